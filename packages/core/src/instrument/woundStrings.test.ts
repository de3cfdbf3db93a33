import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { aBass } from '../testing/aBass'
import { changed, fullBuild } from '../testing/fullBuild'
import { aTwelve } from '../testing/otherMakes'
import { stringPulls } from './stringPulls'

const inches = (...thou: number[]) => thou.map((t) => t * 0.0254)
/** A set of which only the gauges were entered. */
function gauged(build: Build, gauges: readonly number[], wound?: number): Build {
  const cores = gauges.map((_, i) => [`strings/core.${i + 1}`, undefined])
  const sizes = gauges.map((g, i) => [`strings/gauge.${i + 1}`, g])
  return changed(build, { ...Object.fromEntries([...cores, ...sizes]), 'strings/wound': wound })
}
const wound = (build: Build) => stringPulls(build).flatMap((p) => (p.wound ? [p.number] : []))

describe('strings of which nobody has said whether they are wound', () => {
  it.each([
    ['a light set', inches(10, 13, 17, 26, 36, 46), [4, 5, 6]],
    ['the lightest there are', inches(8, 10, 15, 21, 30, 38), [4, 5, 6]],
    ['one with a wound third', inches(12, 16, 24, 32, 42, 52), [3, 4, 5, 6]],
  ])('%s: the thick ones are', (_, gauges, numbers) => {
    expect(wound(gauged(fullBuild(), gauges))).toEqual(numbers)
  })
  it('and it pulls as much as with that said: as bare wire the sixth would pull a quarter more', () => {
    const set = inches(10, 13, 17, 26, 36, 46)
    const sum = (b: Build) => stringPulls(b).reduce((s, p) => s + p.newton, 0)
    expect(sum(gauged(fullBuild(), set))).toBeCloseTo(sum(gauged(fullBuild(), set, 3)), 9)
    // Tables of such sets give about 102 lbf, 455 N, for 648 mm. [published, from memory]
    expect(sum(gauged(fullBuild(), set))).toBeGreaterThan(430)
    expect(sum(gauged(fullBuild(), set))).toBeLessThan(480)
    const sixth = (n: number) => stringPulls(gauged(fullBuild(), set, n)).find((p) => p.number === 6)!.newton
    // Steel of 1.168 mm: 7850 x pi/4 x 1.168² = 8.41 g/m, (2 x 0.648 x 82.41)² of it is 95.9 N.
    expect(sixth(0)).toBeCloseTo(95.9, 0)
    expect(sixth(0) / sixth(3)).toBeGreaterThan(1.15)
  })
  it('what is said of them counts: a number, or the cores of some', () => {
    const set = inches(12, 16, 24, 32, 42, 52)
    expect(wound(gauged(fullBuild(), set, 3))).toEqual([4, 5, 6])
    expect(wound(changed(gauged(fullBuild(), set), { 'strings/core.4': 0.36 }))).toEqual([4, 5, 6])
  })
  it('of a bass all, of twelve strings those that are thick wherever they lie', () => {
    const bass = aBass()
    expect(wound(changed(bass, { 'strings/wound': undefined }))).toHaveLength(bass.strings)
    const twelve = aTwelve()
    expect(wound(changed(twelve, { 'strings/wound': undefined }))).toEqual(wound(twelve))
  })
})
