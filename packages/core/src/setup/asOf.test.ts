import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, ScrewTurn, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { crownsOf } from '../physics/neckCurve'
import { actionAt, saddleFor, sliver } from '../physics/nutAction'
import { fullBuild } from '../testing/fullBuild'
import { readingAsOf } from './asOf'
import { bestRelief } from './buzz'
import { setupModel, shapeOf } from './model'
import { nutSlots } from './nutSlots'

type Read = SetupReading & { at: string }
const on = (day: number, minute: number) => `2026-12-0${day}T19:0${minute}:00Z`
const action = (string: number, value: number, at: string): Read => ({ what: 'action', string, value, at })

function after(readings: readonly Read[], turns: readonly ScrewTurn[] = []): Build {
  const b = fullBuild()
  return {
    ...b,
    setup: {
      school: 'ordinary',
      readings: Object.fromEntries(readings.map((r) => [setupReadingId(r), r])),
      turns: Object.fromEntries(turns.map((t) => [t.at, t])),
    },
  }
}

/** An instrument as it is: what a feeler finds over its first fret. */
function felt(slot: number, relief: number, high: number): { gap: number; sliver: number } {
  const shape = shapeOf(fullBuild(), slot, relief)
  const neck = crownsOf(shape)
  return { gap: actionAt(neck, saddleFor(neck, shape.scale, high, 12), 1), sliver: sliver(neck, 3) }
}

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true })

describe('a nut slot is as it is cut, whatever was turned since it was read', () => {
  it('read openly or held down: the same slot before and after the relief and the height are others', () =>
    fc.assert(
      fc.property(
        mm(0.3, 0.9),
        fc.tuple(mm(0.05, 0.4), mm(0.05, 0.4)),
        fc.tuple(mm(1.2, 2.4), mm(1.2, 2.4)),
        fc.constantFrom('gap' as const, 'sliver' as const),
        fc.boolean(),
        (slot, [r1, r2], [a1, a2], what, noted) => {
          const first: Read[] = [
            { what: 'relief', value: r1, at: on(1, 0) },
            action(1, a1, on(1, 1)),
            action(6, a1, on(1, 2)),
            { what, string: 1, value: felt(slot, r1, a1)[what], at: on(1, 3) },
          ]
          const then: Read[] = [{ what: 'relief', value: r2, at: on(2, 2) }, action(1, a2, on(2, 4)), action(6, a2, on(2, 5))]
          const turns: ScrewTurn[] = [
            { screw: 'truss', turns: 0.25, at: on(2, 0) },
            { screw: 'treble', turns: 1, at: on(2, 3) },
          ]
          const [before, now] = [after(first), after([...first, ...then], noted ? turns : [])]
          for (const b of [before, now]) expect(setupModel(b).strings[0]!.slot).toBeCloseTo(slot, 4)
          // What is filed is what reading it again would ask for.
          const again = after([...first, ...then, { what, string: 1, value: felt(slot, r2, a2)[what], at: on(2, 6) }], noted ? turns : [])
          expect(nutSlots(now, setupModel(now))[0]!.file).toBeCloseTo(nutSlots(again, setupModel(again))[0]!.file, 3)
        },
      ),
    ))
  it('by hand: 0.62 mm open at 2.0 mm and 0.3 mm of relief; lower and straighter it is no higher than it was', () => {
    // The slot's bottom over the first crown: 0.62 + (the line's rise to there). Lowering the saddle 0.5 mm at fret 12 lowers the string over
    // fret 1 by 2 x 0.5 x 0.0561 = 0.056 mm, which is no reason to file 0.056 mm deeper.
    const first: Read[] = [
      { what: 'relief', value: 0.3, at: on(1, 0) },
      action(1, 2, on(1, 1)),
      action(6, 2, on(1, 2)),
      { what: 'gap', string: 1, value: 0.62, at: on(1, 3) },
    ]
    const lowered = after([...first, action(1, 1.5, on(2, 0)), action(6, 1.5, on(2, 1))])
    const [was, is] = [after(first), lowered].map((b) => nutSlots(b, setupModel(b))[0]!)
    expect(is!.open).toBeCloseTo(0.62 - 0.056, 2)
    expect(is!.file).toBeCloseTo(was!.file, 6)
  })
  it('another relief that is only tried leaves the slots as they are', () => {
    const b = after([
      { what: 'relief', value: 0.3, at: on(1, 0) },
      action(1, 2, on(1, 1)),
      action(6, 2, on(1, 2)),
      { what: 'gap', string: 1, value: 0.7, at: on(1, 3) },
    ])
    const slot = (relief?: number) => setupModel(b, relief === undefined ? {} : { relief }).strings[0]!.slot
    for (const relief of [0, 0.15, 0.5]) expect(slot(relief)).toBe(slot())
    expect(slot(bestRelief(b).relief)).toBe(slot())
  })
})

describe('which reading tells how it was', () => {
  const relief = (value: number, at?: string): SetupReading => ({ what: 'relief', value, ...(at ? { at } : {}) })
  const asOf = (at: string | undefined, readings: SetupReading[], turns: ScrewTurn[] = []) =>
    readingAsOf(after(readings as Read[], turns), { what: 'relief' }, at)?.value
  const turn = (day: number, minute: number): ScrewTurn => ({ screw: 'truss', turns: 0.25, at: on(day, minute) })
  it('the one nothing was turned between, before it or after it', () => {
    const both = [relief(0.3, on(1, 0)), relief(0.2, on(3, 0))]
    expect(asOf(on(2, 0), both, [turn(1, 5)])).toBe(0.2)
    expect(asOf(on(2, 0), both, [turn(2, 5)])).toBe(0.3)
  })
  it('the nearer in time where turns do not tell them apart', () => {
    const both = [relief(0.3, on(1, 0)), relief(0.2, on(3, 0))]
    expect(asOf(on(1, 5), both)).toBe(0.3)
    expect(asOf('2026-12-02T18:00:00Z', both)).toBe(0.3)
    expect(asOf('2026-12-02T21:00:00Z', both)).toBe(0.2)
    const each = [turn(2, 0), { ...turn(2, 0), at: '2026-12-02T22:00:00Z' }]
    expect(asOf('2026-12-02T21:00:00Z', both, each)).toBe(0.2)
    expect(asOf('2026-12-02T18:00:00Z', both, [turn(1, 5), ...each])).toBe(0.3)
  })
  it('of one sitting the one before it, however soon it was read again', () =>
    expect(asOf(on(1, 4), [relief(0.3, on(1, 0)), relief(0.2, on(1, 5))])).toBe(0.3))
  it('the only one there is; nothing where there is none; of another screw no turn counts', () => {
    expect(asOf(on(1, 0), [relief(0.2, on(3, 0))])).toBe(0.2)
    expect(asOf(on(4, 0), [relief(0.2, on(3, 0))])).toBe(0.2)
    expect(asOf(on(1, 0), [])).toBeUndefined()
    const both = [relief(0.3, on(1, 0)), relief(0.2, on(3, 0))]
    expect(asOf(on(1, 5), both, [{ screw: 'bass', turns: 1, at: on(1, 2) }])).toBe(0.3)
  })
  it('where nobody noted when: that of the same kind, or the first that was noted', () => {
    expect(asOf(undefined, [relief(0.4), relief(0.2, on(3, 0))], [turn(1, 0)])).toBe(0.4)
    expect(asOf(undefined, [relief(0.3, on(1, 0)), relief(0.2, on(3, 0))])).toBe(0.3)
    expect(asOf(on(1, 0), [relief(0.4), relief(0.2, on(3, 0))])).toBe(0.2)
  })
})
