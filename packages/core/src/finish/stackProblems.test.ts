import { describe, expect, it } from 'vitest'
import type { Build, ZoneLayer } from '../document/build'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { chosenLayers, layersOf, stackFaults } from './stack'
import { stackProblems } from './stackProblems'

const made = (finish: Partial<Build['finish']>, surface?: 'raw' | 'sealed' | 'coated'): Build => {
  const build = surface ? changed(fullBuild(), {}, { 'body/surface': surface }) : structuredClone(fullBuild())
  if (!surface) delete build.parts.body!.traits['surface']
  const { layers: _, under: __, ...rest } = build.finish
  return { ...build, finish: { ...rest, ...finish } }
}
const laid = (...products: string[]): ZoneLayer[] => products.map((product) => ({ product, coats: 2 }))
const DYED: Partial<Build['finish']> = { system: 'lacquer', under: { dye: true } }

const ASKED = /^Raw or sealed\? Nobody has said\./
const LOST = /: dye does not go into the wood through it\. Sand all of it off, or choose a colour coat over it\.$/
const SCUFF = /^What is on the body is scuffed with P400 first/
const kinds = (build: Build): string[] =>
  stackProblems(build).map((s) => (ASKED.test(s) ? 'asked' : LOST.test(s) ? 'lost' : SCUFF.test(s) ? 'scuff' : s))

describe('what the wood and the choice do not agree about', () => {
  it('nothing on raw wood; asked where nobody has looked; scuffed and tried where it came with something', () => {
    const clear = { layers: laid('sanding-sealer', 'lacquer-clear') }
    expect(kinds(made(clear, 'raw'))).toEqual([])
    expect(kinds(made(clear))).toEqual(['asked'])
    expect(kinds(made(clear, 'sealed'))).toEqual(['scuff'])
    expect(kinds(made(clear, 'coated'))).toEqual(['scuff'])
  })
  it('nothing while nothing is chosen, or there is no body', () => {
    expect(stackProblems(made({ system: 'none' }))).toEqual([])
    expect(stackProblems(made({ system: 'none', layers: [] }))).toEqual([])
    expect(stackProblems(without(made({ system: 'lacquer' }), 'body'))).toEqual([])
    // A system chosen of which nothing is left to lay still asks about the wood.
    expect(kinds(made({ system: 'lacquer', layers: [] }))).toEqual(['asked'])
    expect(kinds(made({ system: 'none', layers: laid('lacquer-clear') }))).toEqual(['asked'])
  })
  it('dye wanted in wood that is closed is left out of the stack, and that is said by what it came with', () => {
    const names = (build: Build) => layersOf(build).map((l) => l.name)
    expect(names(made(DYED, 'raw'))).toEqual(['dye', 'sealer', 'top'])
    expect(names(made(DYED))).toEqual(['dye', 'sealer', 'top'])
    expect(kinds(made(DYED, 'raw'))).toEqual([])
    for (const [surface, said] of [
      ['sealed', 'The body came sealed: dye'],
      ['coated', 'The body came with a coat: dye'],
    ] as const) {
      const build = made(DYED, surface)
      expect(names(build)).toEqual(['sealer', 'top'])
      // It is said once; that the rest is scuffed comes when it is clear what is to be done.
      expect(kinds(build)).toEqual(['lost'])
      expect(stackProblems(build)[0]!.startsWith(said)).toBe(true)
    }
    const filled = made({ system: 'lacquer', under: { filler: true, colour: true } }, 'coated')
    expect(names(filled)).toEqual(['primer', 'colour', 'top'])
    expect(kinds(filled)).toEqual(['scuff'])
    expect(names(made({ system: 'lacquer', under: { filler: true } }, 'raw'))).toEqual(['filler', 'sealer', 'top'])
  })
  it('a dye laid by hand on what is closed: the table’s own sentence, once, and no scuff beside it', () => {
    const build = made({ layers: laid('water-dye', 'lacquer-clear'), under: { dye: true } }, 'coated')
    const [only, ...more] = stackProblems(build)
    expect(more).toEqual([])
    expect(only).toMatch(/^Dye does not go into the wood through the coat it came with/)
  })
  it('only what never holds is a problem here: what wants a test piece stands at its layer', () => {
    const build = made({ layers: laid('lacquer-clear', 'acrylic-clear') }, 'raw')
    expect(stackFaults('raw', layersOf(build)).map((f) => [f.at, f.follow])).toEqual([[1, 'test']])
    expect(stackProblems(build)).toEqual([])
    const never = made({ layers: laid('wax', 'lacquer-clear') }, 'raw')
    const faults = stackFaults('raw', layersOf(never))
    expect(faults.map((f) => f.follow).toSorted()).toEqual(['never', 'test'])
    expect(stackProblems(never)).toEqual(['Lacquer does not hold on wax. Lay it before the wax.'])
  })
  it('a label outweighs the table, but sends nothing through what closes the wood', () => {
    const follow = (product: string) =>
      stackFaults('coated', layersOf(made({ layers: [{ product, coats: 1, byLabel: true }] }, 'coated'))).map((f) => f.follow)
    expect(follow('water-dye')).toEqual(['never'])
    expect(follow('grain-filler')).toEqual(['test'])
    const said = stackFaults('coated', layersOf(made({ layers: [{ product: 'grain-filler', coats: 1, byLabel: true }] }, 'coated')))
    expect(said[0]!.says).toMatch(/^By its label it holds there; usually it does not \(.+\) A test piece first\.$/)
  })
  it('the same product again needs nothing; metallic wants a clear somewhere over it', () => {
    expect(stackFaults('raw', layersOf(made({ layers: laid('lacquer-clear', 'lacquer-clear') }, 'raw')))).toEqual([])
    const metal = (...over: string[]) =>
      stackFaults('raw', layersOf(made({ layers: laid('filler-primer', 'metallic-base', ...over) }, 'raw'))).filter((f) => f.at === 1)
    expect(metal().map((f) => [f.at, f.follow])).toEqual([[1, 'test']])
    expect(metal('acrylic-clear')).toEqual([])
    expect(metal('sparkle')).toHaveLength(1)
    expect(metal('sparkle', 'acrylic-clear')).toEqual([])
  })
  it('what a can of the top says of its solids goes to the top alone, and only where it is not the usual', () => {
    const solids = (n: number) => chosenLayers(made({ ...DYED, solids: n }, 'raw')).map((l) => [l.product, l.solids])
    const usual = made(DYED, 'raw').finish.solids
    const [other] = [usual === 20 ? 21 : 20]
    expect(solids(other).filter(([, s]) => s !== undefined)).toEqual([['lacquer-clear', other]])
  })
  it('layers of one product go by their colours, and by their place where those have one name', () => {
    const colours = (...of: (string | undefined)[]) =>
      layersOf(made({ layers: of.map((colour) => ({ product: 'lacquer-colour', coats: 1, ...(colour ? { colour } : {}) })) }, 'raw')).map(
        (l) => l.label.replace(/^Nitrocellulose colour/, ''),
      )
    expect(colours(undefined)).toEqual([''])
    expect(colours(undefined, undefined)).toEqual([', lower', ', upper'])
    expect(colours(undefined, undefined, undefined)).toEqual([', lower', ', middle', ', upper'])
    expect(colours(undefined, undefined, undefined, undefined)).toEqual([', 1 of 4', ', 2 of 4', ', 3 of 4', ', 4 of 4'])
    const [first, second] = colours('#c02020', '#2020c0')
    expect(first).not.toBe(second)
    expect([first, second].some((s) => /lower|upper/.test(s!))).toBe(false)
    const same = colours('#c02020', '#c02020')
    expect(same.map((s) => s.split(', ').at(-1))).toEqual(['lower', 'upper'])
    // One that stands alone is called by its name, whatever its colour.
    expect(colours('#c02020')).toEqual([''])
  })
})
