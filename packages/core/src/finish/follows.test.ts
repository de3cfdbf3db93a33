import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { holds } from '../testing/holds'
import { INTO_WOOD, nextOver, type Ground } from './follows'
import { MEDIA, type Medium } from './products'

const CAME: readonly Ground[] = ['raw', 'sealed', 'coated', 'binding']
const isNever = (grounds: readonly Ground[], above: Medium) => nextOver(grounds, above)?.follow === 'never'
/** What has been laid, each on what it holds on. */
const stacks = fc
  .tuple(fc.constantFrom(...CAME), fc.array(fc.constantFrom(...MEDIA), { maxLength: 4 }))
  .map(([came, wanted]) => wanted.reduce<Ground[]>((grounds, m) => (isNever(grounds, m) ? grounds : [...grounds, m]), [came]))

describe('what does not hold', () => {
  it('done as it is told, it holds: a film between the two, or the layer before another', () => {
    const seen = { lay: 0, before: 0, none: 0 }
    const cases = holds(
      fc.property(stacks, fc.constantFrom(...MEDIA), (grounds, above) => {
        const said = nextOver(grounds, above)
        if (said?.follow !== 'never') return
        const { instead } = said
        seen[!instead ? 'none' : 'lay' in instead ? 'lay' : 'before']++
        expect(said.says.startsWith(said.because)).toBe(true)
        // A reason alone helps nobody: only what lies on what came with the body may have none beside it.
        if (said.says === said.because) expect([...CAME, 'decal']).toContain(grounds.at(-1))
        if (!instead) return
        if ('lay' in instead) {
          expect(isNever(grounds, instead.lay)).toBe(false)
          expect(isNever([...grounds, instead.lay], above)).toBe(false)
          return
        }
        expect(instead.before).toBeGreaterThan(0)
        const then = [...grounds.slice(0, instead.before), above, ...(grounds.slice(instead.before) as Medium[])]
        for (let i = instead.before; i < then.length; i++) expect(isNever(then.slice(0, i), then[i] as Medium), `${i}`).toBe(false)
      }),
      2000,
    )
    expect(seen.lay + seen.before + seen.none).toBeGreaterThan(cases / 10)
    for (const n of Object.values(seen)) expect(n).toBeGreaterThan(0)
  })
  it('that nothing helps is said only where no film between and no other place does', () => {
    const films: readonly Medium[] = ['shellac', 'lacquer', 'acrylic']
    for (const ground of [...CAME, ...MEDIA])
      for (const above of MEDIA) {
        const grounds: Ground[] = CAME.includes(ground) ? [ground] : ['raw', ground]
        const said = nextOver(grounds, above)
        if (said?.follow !== 'never' || said.instead || (INTO_WOOD.includes(above) && CAME.includes(ground))) continue
        if (grounds.length > 1) expect(isNever(['raw'], above) || isNever(['raw', above], ground as Medium)).toBe(true)
        // It fills pores, and over a film there are none left.
        if (above === 'filler') continue
        expect(films.filter((f) => !isNever(grounds, f) && !isNever([...grounds, f], above))).toEqual([])
      }
  })
  it.each<[Ground[], Medium, string]>([
    [
      ['raw', 'poly'],
      'lacquer',
      'Its solvents lift polyurethane: it wrinkles. Lay shellac between them, after the full cure of the polyurethane and a scuff.',
    ],
    [['raw', 'lacquer'], 'filler', 'Grain filler does not hold on lacquer. Lay it before the lacquer.'],
    [['raw', 'shellac', 'lacquer'], 'dye', 'Dye does not go into the wood through shellac. Lay it before the shellac.'],
    [['raw', 'lacquer', 'wax'], 'lacquer', 'Lacquer does not hold on wax. Lay it before the wax.'],
    [['raw', 'dye'], 'decal', 'A transfer does not hold on dye. Lay lacquer between them.'],
    [['raw', 'hard-wax'], 'lacquer', 'Lacquer does not hold on hard-wax oil. One of the two has to go.'],
    [['sealed'], 'filler', 'The pores are closed already: leave it out, or sand all of it off to the wood.'],
    [
      ['sealed'],
      'dye',
      'Dye does not go into the wood through wood that came sealed. Sand all of it off to the wood, or choose a colour coat.',
    ],
    [
      ['coated'],
      'oil',
      'Oil does not go into the wood through the coat it came with. Sand all of it off to the wood, or choose a finish that lies on it.',
    ],
  ])('%j under %s', (grounds, above, says) => expect(nextOver(grounds, above)?.says).toBe(says))
})
