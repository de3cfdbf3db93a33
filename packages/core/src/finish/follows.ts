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
  'sealed>filler': 'The pores are closed already: leave it out, or sand all of it off to the wood.',
  'coated>filler': 'The pores are closed already: leave it out, or sand all of it off to the wood.',
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

/** What to do where one thing never holds on what lies under it. */
export type Instead =
  /** A film on which the one holds, and which holds on the other. */
  | { lay: Medium }
  /** The same layer further down: before that one of what it goes over. */
  | { before: number }

/** What is said of one thing put over another; nothing where there is nothing to say. */
export interface FollowSays {
  follow: Exclude<Follow, 'yes'>
  /** The reason, and what to do about it. */
  says: string
  /** The reason alone. */
  because: string
  instead?: Instead
}

/** The first that closes the wood to what has to go into it. */
const closedBy = (grounds: readonly Ground[], above: Medium): Ground | undefined =>
  INTO_WOOD.includes(above) ? grounds.find((g) => !OPEN.includes(g)) : undefined

const never = (grounds: readonly Ground[], above: Medium): boolean =>
  closedBy(grounds, above) !== undefined || mayFollow(grounds.at(-1) ?? 'raw', above) === 'never'

/** Films that are laid between two others, the one that holds on most things first. [practice] */
const BETWEEN = ['shellac', 'lacquer', 'acrylic'] as const satisfies readonly Medium[]
const LABOUR: Record<Follow, number> = { yes: 0, cure: 1, test: 1, never: Infinity }

/** The way out of it that asks for least, by the same table; nothing where there is none. */
function insteadOf(grounds: readonly Ground[], above: Medium, there: number): Instead | undefined {
  const ground = grounds.at(-1) ?? 'raw'
  // Over a film that filler would hold on there are no pores left to fill.
  const films = above === 'filler' ? [] : BETWEEN
  const between = films
    .filter((film) => !never(grounds, film) && !never([...grounds, film], above))
    .toSorted((a, b) => {
      const labour = (film: Medium) => LABOUR[mayFollow(ground, film)] + LABOUR[mayFollow(film, above)]
      return labour(a) - labour(b)
    })
  if (between[0]) return { lay: between[0] }
  for (let at = grounds.length - 1; at >= there; at--) {
    const under = grounds.slice(0, at)
    const over = grounds.slice(at) as Medium[]
    const holds = over.every((medium, i) => !never([...under, above, ...over.slice(0, i)], medium))
    if (!never(under, above) && holds) return { before: at }
  }
  return undefined
}

function insteadSays(grounds: readonly Ground[], above: Medium, there: number, instead: Instead | undefined): string {
  const the = (g: Ground) => (g === 'decal' ? 'the transfer' : `the ${CALLED[g]}`)
  if (!instead && grounds.length === 1) return ''
  const closed = closedBy(grounds, above)
  const culprit = closed ? grounds.indexOf(closed) : grounds.length - 1
  if (!instead) return culprit < there ? ' Leave it out, or sand off what lies there.' : ' One of the two has to go.'
  if ('before' in instead) return ` Lay it before ${the(grounds[instead.before]!)}.`
  const ground = grounds.at(-1)!
  const [under, over] = [mayFollow(ground, instead.lay), mayFollow(instead.lay, above)]
  const film = instead.lay === 'shellac' && (above === 'waterborne' || above === 'poly') ? 'shellac free of wax' : CALLED[instead.lay]
  const how = [
    `Lay ${film} between them`,
    ...(under === 'cure' ? [`after the full cure of ${the(ground)} and a scuff`] : []),
    ...(over === 'cure' ? [`and let it cure in full before ${the(above)}`] : []),
  ].join(', ')
  return ` ${how}${under === 'test' || over === 'test' ? ': on a test piece first' : ''}.`
}

/**
 * May this go on next?
 * @param grounds everything it goes over, from the wood up
 * @param there how many of them lie there already, so that nothing comes before them; all, where it lies on them too
 */
export function nextOver(grounds: readonly Ground[], above: Medium, there: number | 'all' = 1): FollowSays | undefined {
  const ground = grounds.at(-1) ?? 'raw'
  const closed = closedBy(grounds, above)
  const name = cap(CALLED[above])
  const why = WHY[`${ground}>${above}`]
  if (closed || mayFollow(ground, above) === 'never') {
    const because = closed
      ? `${name} does not go into the wood through ${CALLED[closed]}.`
      : (why ?? `${name} does not hold on ${CALLED[ground]}.`)
    if (closed === 'sealed' || closed === 'coated')
      return {
        follow: 'never',
        because,
        says: `${because} Sand all of it off to the wood, or choose ${LIES_ON[above] ?? 'a colour coat'}.`,
      }
    if (there === 'all')
      return { follow: 'never', because, says: `${because} It lies there: sand it off again before anything goes over it.` }
    const instead = insteadOf(grounds, above, there)
    return { follow: 'never', because, says: because + insteadSays(grounds, above, there, instead), ...(instead ? { instead } : {}) }
  }
  const follow = mayFollow(ground, above)
  if (follow === 'yes') return undefined
  const says =
    follow === 'cure'
      ? `${name} goes on ${CALLED[ground]} only after its full cure and a scuff.`
      : (why ?? `${name} on ${CALLED[ground]}: try it on a test piece or a hidden place first.`)
  return { follow: follow as 'cure' | 'test', says, because: says }
}

/** What takes the place of what cannot go into the wood; colour lies on it too. */
const LIES_ON: Partial<Record<Medium, string>> = { oil: 'a finish that lies on it', 'hard-wax': 'a finish that lies on it' }

const cap = (s: string) => s[0]!.toUpperCase() + s.slice(1)
