import fc from 'fast-check'
import type { Build } from '../document/build'
import { specAt } from '../document/read'
import { withReading } from './setup'
import { isSlot, type Slot } from '../parts/slots'
import { fullBuild } from './fullBuild'

/** One act of a person on a build, as a pure function; other pieces of the build stay the same objects. */
export type Act = (build: Build) => Build

const WHOLE = fullBuild()
const SLOTS = Object.keys(WHOLE.parts).filter(isSlot)
const SIZES = SLOTS.flatMap((slot) => Object.keys(WHOLE.parts[slot]!.sizes).map((size) => [slot, size] as const))
const TRAITS = SLOTS.flatMap((slot) => Object.keys(WHOLE.parts[slot]!.traits).map((trait) => [slot, trait] as const))

const inPart = (b: Build, slot: Slot, change: (part: NonNullable<Build['parts'][Slot]>) => Build['parts'][Slot]): Build => {
  const part = b.parts[slot]
  return part ? { ...b, parts: { ...b.parts, [slot]: change(part) } } : b
}
const without = <T extends object>(record: T, key: string): T => Object.fromEntries(Object.entries(record).filter(([k]) => k !== key)) as T

const whole = (slot: Slot, size: string, value: number) => (specAt({ slot, size }).unit === 'count' ? Math.round(value) : value)

/** Readings and turns of one evening, in any order. */
const aMinute = fc.integer({ min: 0, max: 59 }).map((m) => `2026-11-24T20:${String(m).padStart(2, '0')}:00.000Z`)

/** Every kind of thing a person does: measures, forgets, chooses, takes out, plans, ticks, reads, lays coats, sets up, turns screws. */
export const anAct: fc.Arbitrary<Act> = fc.oneof(
  fc.tuple(fc.constantFrom(...SIZES), fc.double({ min: 0.9, max: 1.1, noNaN: true })).map(
    ([[slot, size], by]): Act =>
      (b) =>
        inPart(b, slot, (p) => {
          const is = p.sizes[size] ?? WHOLE.parts[slot]!.sizes[size]!
          return { ...p, sizes: { ...p.sizes, [size]: { ...is, value: whole(slot, size, is.value * by) } } }
        }),
  ),
  fc.constantFrom(...SIZES).map(
    ([slot, size]): Act =>
      (b) =>
        inPart(b, slot, (p) => ({ ...p, sizes: without(p.sizes, size) })),
  ),
  fc.constantFrom(...TRAITS).map(
    ([slot, trait]): Act =>
      (b) =>
        inPart(b, slot, (p) => ({ ...p, traits: without(p.traits, trait) })),
  ),
  fc.constantFrom(...SLOTS).map(
    (slot): Act =>
      (b) => ({ ...b, parts: without(b.parts, slot) }),
  ),
  fc.constantFrom(...SLOTS).map(
    (slot): Act =>
      (b) => ({ ...b, parts: { ...b.parts, [slot]: WHOLE.parts[slot]! } }),
  ),
  fc.constantFrom(...SLOTS).map(
    (slot): Act =>
      (b) =>
        inPart(b, slot, (p) => ({ ...p, state: 'ordered', arrives: '2026-12-24', price: 40 })),
  ),
  fc.constantFrom(...SIZES).map(
    ([slot, size]): Act =>
      (b) => ({
        ...b,
        jobs: { ...b.jobs, [`${slot}-job`]: { slot, size, delta: 0.2, doubt: 0.05, text: 'Take a little off.' } },
      }),
  ),
  fc.constant<Act>((b) => ({ ...b, jobs: {} })),
  fc.integer({ min: 1, max: 9 }).map(
    (coats): Act =>
      (b) => ({ ...b, finish: { ...b.finish, coats } }),
  ),
  fc.integer({ min: 5, max: 30 }).map(
    (air): Act =>
      (b) => ({ ...b, finish: { ...b.finish, weather: { ...b.finish.weather, air } } }),
  ),
  fc.constantFrom('trial-build', 'sand', 'solder', 'drill-stud-bores').map(
    (id): Act =>
      (b) => ({
        ...b,
        steps: b.steps[id] ? without(b.steps, id) : { ...b.steps, [id]: { done: '2026-11-24T19:00:00Z' } },
      }),
  ),
  fc.tuple(fc.double({ min: 0.05, max: 0.6, noNaN: true }), aMinute).map(
    ([relief, at]): Act =>
      (b) =>
        withReading(b, { what: 'relief', value: relief, at }),
  ),
  fc
    .tuple(
      fc.constantFrom('action' as const, 'cents' as const),
      fc.integer({ min: 1, max: 6 }),
      fc.double({ min: 0.5, max: 9, noNaN: true }),
      aMinute,
    )
    .map(
      ([what, string, value, at]): Act =>
        (b) =>
          withReading(b, { what, string, value: what === 'action' ? value / 3 : value, at }),
    ),
  fc
    .tuple(
      fc.constantFrom('truss' as const, 'claw' as const, 'bass' as const, 'treble' as const, 'length' as const),
      fc.integer({ min: 1, max: 6 }),
      aMinute,
    )
    .map(
      ([screw, string, at]): Act =>
        (b) => {
          const turn = { screw, turns: 0.25, at, ...(screw === 'length' ? { string } : {}) }
          return { ...b, setup: { ...b.setup, turns: { ...b.setup.turns, [`${screw}-${at}`]: turn } } }
        },
    ),
  fc.boolean().map(
    (split): Act =>
      (b) => ({ ...b, circuit: { ...b.circuit, split } }),
  ),
  fc.integer({ min: 20, max: 80 }).map(
    (now): Act =>
      (b) => ({ ...b, room: { ...b.room, now } }),
  ),
  fc.constantFrom<Build['handedness']>('left', 'right').map(
    (handedness): Act =>
      (b) => ({ ...b, handedness }),
  ),
)
