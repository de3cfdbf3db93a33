import { MEDIA, type Medium } from './products'

/** What a layer goes on: wood as it came, binding of plastic or wood, or another product. */
export type Ground = 'raw' | 'sealed' | 'coated' | 'binding' | Medium

/** Yes; after full cure and a scuff; after a test piece; never. */
export type Follow = 'yes' | 'cure' | 'test' | 'never'

/** What may go on what: a row for the ground, a letter for each medium that is to go on it. The label wins. [practice, from memory] */
const LETTER = { y: 'yes', c: 'cure', t: 'test', n: 'never' } as const
type Letter = keyof typeof LETTER
const TABLE: Record<Ground, string> = {
  //            d w f s l a m b p o h k x
  raw: /*      */ 'y y y y y y t y y y y n t',
  sealed: /*   */ 'n n n y t t t t t n n t y',
  coated: /*   */ 'n n n t t t t t t n n t y',
  binding: /*  */ 't t t y y y t y y t t n t',
  dye: /*      */ 'y y t y y y t t y y y n t',
  wash: /*     */ 'y y t y t y y y y y y n t',
  filler: /*   */ 't t y y y y t y y t t n n',
  shellac: /*  */ 'n n y y y y t t t n n t y',
  lacquer: /*  */ 'n n n t y t t c c n n y c',
  acrylic: /*  */ 'n n n t t y y c c n n y c',
  metallic: /* */ 'n n n t t y y t t n n t n',
  waterborne: /**/ 'n n n t t t t y c n n y c',
  poly: /*     */ 'n n n c n t t c y n n t c',
  oil: /*      */ 'n n n c t t t c c y c n c',
  'hard-wax': /**/ 'n n n n n n n n n n y n c',
  decal: /*    */ 'n n n t t t t y t n n y n',
  wax: /*      */ 'n n n n n n n n n n n n y',
}

export const mayFollow = (ground: Ground, above: Medium): Follow => LETTER[TABLE[ground].split(' ')[MEDIA.indexOf(above)] as Letter]

/** What has to go into the wood: nothing that closes it may lie anywhere under it. */
export const INTO_WOOD: readonly Medium[] = ['dye', 'wash', 'oil', 'hard-wax']
const OPEN: readonly Ground[] = ['raw', 'binding', 'dye', 'wash', 'oil', 'hard-wax', 'filler']

/** What a ground is called in a sentence. */
const CALLED: Record<Ground, string> = {
  raw: 'bare wood',
  sealed: 'wood that came sealed',
  coated: 'the coat it came with',
  binding: 'binding',
  dye: 'dye',
  wash: 'acrylic wash',
  filler: 'grain filler',
  shellac: 'shellac',
  lacquer: 'lacquer',
  acrylic: 'acrylic',
  metallic: 'metallic',
  waterborne: 'waterborne',
  poly: 'polyurethane',
  oil: 'oil',
  'hard-wax': 'hard-wax oil',
  decal: 'a transfer',
  wax: 'wax',
}

/** Nobody is asked what a binding is made of. */
const NOTHING_INTO = 'Into plastic binding nothing goes, it lies on it and rubs off; into one of wood it does: a test piece first.'

/** Why not, where a pair has a reason of its own. [practice] */
const WHY: Partial<Record<`${Ground}>${Medium}`, string>> = {
  'metallic>waterborne': 'Metallic is never sanded, so that nothing can be keyed: a test piece first.',
  'metallic>poly': 'Metallic is never sanded, so that nothing can be keyed: a test piece first.',
  'poly>lacquer': 'Its solvents lift polyurethane: it wrinkles.',
  'waterborne>lacquer': 'Its solvents may wrinkle a waterborne film.',
  'acrylic>lacquer': 'Its solvents may lift acrylic from a can.',
  'wash>lacquer': 'Its solvents soften acrylic: mist coats first, on the test board.',
  'dye>waterborne': 'Water dye is dissolved again and runs: seal it with shellac, or a mist coat on the test board.',
  'dye>filler': 'Some fillers show as patches over dye.',
  'filler>dye': 'Some fillers show as patches under dye.',
  'shellac>waterborne': 'Only on shellac free of wax.',
  'shellac>poly': 'Only on shellac free of wax.',
  'binding>dye': NOTHING_INTO,
  'binding>wash': NOTHING_INTO,
  'binding>oil': NOTHING_INTO,
  'binding>hard-wax': NOTHING_INTO,
  'binding>filler': 'Plastic binding has no grain to fill; one of wood may have: a test piece first.',
  'binding>metallic': 'It shows every scratch: primer first.',
  'binding>decal': 'A transfer is laid on film that is dry and level.',
  'raw>metallic': 'It shows every pore: primer first.',
  'raw>decal': 'A transfer is laid on film that is dry and level.',
  'decal>lacquer': 'A wet coat melts a transfer: three mist coats first.',
  'decal>acrylic': 'A wet coat melts a transfer: three mist coats first.',
}

/** What is said of one thing put over another; nothing where there is nothing to say. */
export interface FollowSays {
  follow: Exclude<Follow, 'yes'>
  says: string
}

/**
 * May this go on next?
 * @param grounds everything it goes over, from the wood up
 */
export function nextOver(grounds: readonly Ground[], above: Medium): FollowSays | undefined {
  const ground = grounds.at(-1) ?? 'raw'
  const closed = INTO_WOOD.includes(above) ? grounds.find((g) => !OPEN.includes(g)) : undefined
  const name = CALLED[above]
  if (closed) {
    const come = closed === 'sealed' || closed === 'coated'
    return {
      follow: 'never',
      says: `${cap(name)} does not go into the wood through ${CALLED[closed]}.${come ? ' Sand all of it off to the wood, or choose a colour coat.' : ''}`,
    }
  }
  const follow = mayFollow(ground, above)
  if (follow === 'yes') return undefined
  const why = WHY[`${ground}>${above}`]
  if (follow === 'never') return { follow, says: why ?? `${cap(name)} does not hold on ${CALLED[ground]}.` }
  if (follow === 'cure') return { follow, says: `${cap(name)} goes on ${CALLED[ground]} only after its full cure and a scuff.` }
  return { follow, says: why ?? `${cap(name)} on ${CALLED[ground]}: try it on a test piece or a hidden place first.` }
}

const cap = (s: string) => s[0]!.toUpperCase() + s.slice(1)
