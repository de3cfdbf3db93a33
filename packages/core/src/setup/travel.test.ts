import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { measuredBuild } from '../testing/setup'
import { pitchSays } from './pitchSays'
import { setupDrawing } from './setupDrawing'
import { setupResult } from './setupResult'

/** Wound from 8.5 to 17 mm, and its saddles from 3 mm behind the studs to 18: 8.5 mm up, 15 mm along. */
const bare = (): Build => ({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } })
const action = (b: Build) => setupResult(b).moves.find((m) => m.id === 'action')!

const wayDrawn = (b: Build) => setupDrawing(b).marks.some((m) => m.mark === 'line' && m.role === 'remove')

describe('no screw goes further than its stops', () => {
  it('action read 5.5 mm over at fret 12: 11 mm of saddle, and the bridge has 8.5', () => {
    const b = measuredBuild(bare(), { relief: 0.2, bass: 7.5, treble: 7.5 })
    expect(action(b).turns).toBeUndefined()
    expect(action(b).says).toMatch(
      /^Saddles have to go 1[12]\.\d+ mm down .*\. From stop to stop this bridge goes 8\.5 mm: read again\. Where it is so, the neck’s angle comes first: Dry fit, Neck angle and bridge height\.$/,
    )
    expect(wayDrawn(b)).toBe(false)
    expect(setupDrawing(b).numbers).toContainEqual({ label: 'Saddle', value: 'read again first' })
    // Of a bridge nobody has said the stops of, nothing is held against it.
    const unsaid = changed(b, { 'bridge/height.min': undefined, 'bridge/height.max': undefined })
    expect(action(unsaid).turns).toHaveLength(2)
    expect(wayDrawn(unsaid)).toBe(true)
    // Lower than any string plays it is a misreading, whatever the screws could do.
    expect(wayDrawn(measuredBuild(bare(), { relief: 0.2, bass: 0.3, treble: 1.5 }))).toBe(false)
  })
  it('55 cents sharp: 20.6 mm back, and a saddle goes 15', () => {
    const b = measuredBuild(bare(), { cents: { 1: 55, 2: 6 } })
    const [first, second] = setupResult(b).intonation
    // 647.7 × ln 2 / 1200 = 0.374 mm a cent.
    expect(first).toMatchObject({ back: expect.closeTo(55 * 0.374, 1), beyond: 15 })
    expect(first!.turns).toBeUndefined()
    expect(second!.turns).toBeGreaterThan(0)
    expect(pitchSays(setupResult(b)).says).toMatch(/^1: 20\.\d mm back, more than its saddle goes · 2: 4 1\/2 back$/)
    const unsaid = changed(b, { 'bridge/travel.front': undefined })
    expect(setupResult(unsaid).intonation[0]!.turns).toBeGreaterThan(0)
  })
  it('whatever is read, whatever the stops: turns are told only of what its screws can do', () => {
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })
    let told = 0
    let withheld = 0
    const cases = holds(
      fc.property(
        mm(0.7, 5),
        mm(0.7, 5),
        mm(-100, 100),
        mm(1, 12),
        mm(2, 25),
        fc.constantFrom('two-stud', 'screws', 'post', 'double-locking'),
        (bass, treble, cents, up, along, mount) => {
          const sizes = { 'bridge/height.min': 8, 'bridge/height.max': 8 + up, 'bridge/travel.front': 2, 'bridge/travel.back': along - 2 }
          const b = measuredBuild(changed(bare(), sizes, { 'bridge/mount': mount }), { bass, treble, cents: { 3: cents } })
          const { turns, says } = action(b)
          const [, ...moves] = /go ([\d.]+) mm \w+ at the bass, ([\d.]+) mm/.exec(says) ?? []
          // The words round to hundredths; a saddle screw's turns at half a millimetre each say the way themselves.
          const far = moves.length ? Math.max(...moves.map(Number)) : Math.max(...(turns ?? []).map((t) => Math.abs(t.turns) * 0.5 - 0.04))
          if (turns) expect(far).toBeLessThanOrEqual(up + 0.01)
          else if (moves.length) expect(far).toBeGreaterThanOrEqual(up - 0.01)
          // Words and picture alike: who is told to read again is shown no way to go.
          if (says.includes('read again')) expect(wayDrawn(b)).toBe(false)
          const third = setupResult(b).intonation.find((i) => i.number === 3)!
          if (third.turns !== undefined) expect(Math.abs(third.back!)).toBeLessThanOrEqual(along)
          told += turns ? 1 : 0
          withheld += third.beyond === undefined ? 0 : 1
        },
      ),
      400,
    )
    expect(told).toBeGreaterThan(cases / 10)
    expect(withheld).toBeGreaterThan(cases / 20)
  })
})
