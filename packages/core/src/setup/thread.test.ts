import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { measuredBuild } from '../testing/setup'
import { pitchSays } from './pitchSays'
import { setupResult } from './setupResult'
import { trialPitch } from './thread'

const EIGHTH = 1 / 8

/** A guitar of whose bridge nobody knows a thread; or only the usual one. */
function unknown(mount: string, usual?: number): Build {
  const b = structuredClone(changed({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } }, {}, { 'bridge/mount': mount }))
  for (const key of ['height.pitch', 'length.pitch']) {
    delete b.parts.bridge!.sizes[key]
    if (usual) b.parts.bridge!.sizes[key] = { value: usual, doubt: 0.6, known: 'assumed' }
  }
  return b
}
const action = (b: Build) => setupResult(b).moves.find((m) => m.id === 'action')!

describe('turns of a thread nobody has measured', () => {
  it('a first try goes too far on no thread there is, and is half a turn at most', () =>
    holds(
      fc.property(fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 1, maxLength: 2 }), (moves) => {
        const pitch = trialPitch(...moves)
        for (const up of moves) {
          expect(Math.abs(up / pitch)).toBeLessThanOrEqual(0.5)
          for (const thread of [0.35, 0.5, 0.7, 1.25]) expect(Math.abs((up / pitch) * thread)).toBeLessThanOrEqual(Math.abs(up) + 1e-9)
        }
      }),
      500,
    ))

  it('the action: which way, so far first, and nothing by a thread that is only usual', () => {
    for (const mount of ['two-stud', 'post', 'string-through']) {
      const told = action(measuredBuild(changed(unknown(mount), { 'bridge/height.pitch': 0.5 }), { relief: 0.2, bass: 2.6, treble: 2.1 }))
      const open = [undefined, 0.35, 1.25].map((usual) =>
        action(measuredBuild(unknown(mount, usual), { relief: 0.2, bass: 2.6, treble: 2.1 })),
      )
      for (const m of open) {
        expect(m.says).toMatch(/^Saddles have to go .* First bass .*What a turn gives nobody has said/)
        expect(m.says).toBe(open[0]!.says)
        for (const [i, t] of m.turns!.entries()) {
          expect(Math.abs(t.turns)).toBeLessThanOrEqual(0.5 + EIGHTH / 2)
          // The same way as with a thread that is known, for whatever is turned at all.
          if (t.turns !== 0) expect(Math.sign(t.turns), `${mount} ${t.label}`).toBe(Math.sign(told.turns![i]!.turns))
        }
        expect(m.turns!.some((t) => t.turns !== 0)).toBe(true)
      }
      expect(told.says).toMatch(/^Bass /)
    }
  })

  it('saddles that clamp their strings are slid: how far, and no turns, unless somebody read a thread of theirs', () => {
    const cents = { cents: { 1: 12, 4: -8 } }
    const slid = setupResult(measuredBuild(unknown('double-locking'), cents))
    const screwed = setupResult(measuredBuild(unknown('two-stud'), cents))
    for (const n of [1, 4]) {
      const [a, b] = [slid, screwed].map((r) => r.intonation.find((i) => i.number === n)!)
      expect([a!.back, a!.turns]).toEqual([b!.back, undefined])
      expect(b!.turns).toBeDefined()
    }
    // 12 cents of 647.7 mm: 647.7 x ln 2 / 1200 = 0.374 mm a cent, 4.5 mm; 8 cents, 3.0 mm.
    expect(pitchSays(slid).says).toBe('1: 4.5 mm back · 4: 3 mm forward')
    const threaded = setupResult(measuredBuild(changed(unknown('double-locking'), { 'bridge/length.pitch': 0.5 }), cents))
    expect(threaded.intonation.find((i) => i.number === 1)!.turns).toBeCloseTo(4.489 / 0.5, 2)
  })
  it('intonation: half a turn at most until one saddle has taught the thread of all', () => {
    // Twelve cents sharp on 647.7 mm: back by some 4.5 mm.
    const b = measuredBuild(unknown('two-stud'), { cents: { 1: 12, 3: 12, 4: -8 } })
    const at = (build: Build, n: number) => setupResult(build).intonation.find((i) => i.number === n)!
    expect(at(b, 3)).toMatchObject({ trial: true })
    expect(Math.abs(at(b, 3).turns!)).toBeLessThanOrEqual(0.5)
    expect(at(b, 3).turns!).toBeGreaterThan(0)
    expect(at(b, 4).turns!).toBeLessThan(0)
    expect(pitchSays(setupResult(b)).says).toMatch(/^1: first 1\/2 back · 3: first 1\/2 back · 4: first 1\/2 forward/)

    // Two turns took string 3 from 12 to 6 cents, 3 a turn: back by half of what was wanted.
    const steps: SetupReading[] = [
      { what: 'cents', string: 3, value: 12, at: '2026-12-01T10:00:00Z' },
      { what: 'cents', string: 3, value: 6, at: '2026-12-01T10:20:00Z' },
    ]
    const readings = Object.fromEntries(steps.map((r) => [setupReadingId(r), r]))
    const b2: Build = {
      ...b,
      setup: {
        ...b.setup,
        readings: { ...Object.fromEntries(Object.entries(b.setup.readings).filter(([, r]) => r.string !== 3)), ...readings },
        turns: { a: { screw: 'length', string: 3, turns: 2, at: '2026-12-01T10:10:00Z' } },
      },
    }
    expect(at(b2, 3).turns).toBeCloseTo(2, 6)
    expect(at(b2, 1).trial).toBeUndefined()
    const thread = at(b, 3).back! / 4
    expect(at(b2, 1).turns).toBeCloseTo(at(b2, 1).back! / thread, 1)
    // A thread somebody measured is not learned anew.
    expect(at(changed(b2, { 'bridge/length.pitch': 0.7 }), 1).turns).toBeCloseTo(at(b2, 1).back! / 0.7, 6)
  })
})
