import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../testing/fullBuild'
import { measuredBuild } from '../testing/setup'
import { setupResult } from './setupResult'

/** The move for a relief of 0.5 mm, more than the 0.25 to 0.3 mm wanted, or of what is given. */
function move(truss: string | undefined, relief = 0.5) {
  const bare = { ...fullBuild(), setup: { school: 'ordinary' as const, readings: {} } }
  return setupResult(measuredBuild(changed(bare, {}, { 'neck/truss': truss }), { relief })).moves.find((m) => m.id === 'relief')!
}

describe('relief, by what the neck has to turn', () => {
  it('a neck that bows back reads less than nothing, and is told so', () => {
    const back = move('head', -0.05)
    expect([back.measured, back.says.slice(0, 6)]).toEqual(['−0.05 mm', 'Loosen'])
  })
  it('a nut that was told is turned from where it sits', () => {
    expect(move('head').says).toMatch(/^Tighten \(clockwise, looking from the headstock/)
    expect(move('heel').says).toMatch(/^Tighten \(clockwise, looking from the body/)
  })
  it('a neck of which nobody said it is looked at first: a bar has no nut, and its relief is mended otherwise', () => {
    expect(move(undefined).says).toMatch(/^Look whether it has a truss nut.*under Parts\. If it has: Tighten \(clockwise/)
    expect(move('fixed').says).toMatch(/^More than is wanted, and nothing on this neck turns/)
  })
  it('relief that is right leaves alone what there is to leave alone', () => {
    expect([undefined, 'head', 'fixed', 'no-rod'].map((truss) => move(truss, 0.28).says)).toEqual([
      'As it should be.',
      'Leave the truss rod alone.',
      'As it should be.',
      'As it should be.',
    ])
  })
  it('turns go by what a quarter gave here: a whole one at most, in quarters, and then there is more to go', () => {
    const gave = (reliefPerQuarter: number, relief: number) => {
      const bare = { ...fullBuild(), setup: { school: 'ordinary' as const, readings: {}, reliefPerQuarter } }
      const b = measuredBuild(changed(bare, {}, { 'neck/truss': 'head' }), { relief })
      const { says, turns, target } = setupResult(b).moves.find((m) => m.id === 'relief')!
      return { says, turned: turns![0]!.turns, target }
    }
    // Wanted 0.15 to 0.3 mm, so 0.225: 0.5 is 0.275 too much, 0.425 is 0.2, 0.3375 a little over a tenth.
    expect(gave(0.05, 0.5)).toEqual({
      says: 'Tighten (clockwise, looking from the headstock down the neck) 1 turn: this neck gave 0.05 mm a quarter. In quarters, some minutes and a retune between. Then measure: there is more to go.',
      turned: 1,
      target: '0.15 to 0.3 mm',
    })
    expect(gave(0.1, 0.425)).toMatchObject({ says: expect.stringMatching(/1\/2 turn: .* and a retune between\.$/) as string, turned: 0.5 })
    expect(gave(0.1125, 0.3375)).toMatchObject({
      says: expect.stringMatching(/1\/4 turn: this neck gave 0\.11 mm a quarter\.$/) as string,
      turned: 0.25,
    })
    expect(gave(0.1, 0.025)).toMatchObject({ says: expect.stringMatching(/^Loosen \(counter-clockwise/) as string, turned: -0.5 })
    // A quarter that gave a hundredth gave nothing: no more is turned at once by it, neither way.
    for (const next of [gave(0.01, 0.5), gave(-0.01, 0.5)]) {
      expect(next.says).toMatch(
        /^Tighten \(clockwise, .*\) a quarter turn, .* moved next to nothing: a slack rod takes up its play first\. Stop where/,
      )
      expect(next.turned).toBe(0.25)
    }
    expect(gave(0.02, 0.5).says).toMatch(/this neck gave 0\.02 mm a quarter/)
    expect(gave(-0.1, 0.425)).toMatchObject({
      says: expect.stringMatching(/clockwise made more relief, by 0\.1 mm a quarter: .*1\/2 turn counter-clockwise, looking/) as string,
      turned: -0.5,
    })
  })
})
