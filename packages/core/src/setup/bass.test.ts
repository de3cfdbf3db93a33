import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { tuningsFor, isBass } from '../instrument/tunings'
import { jointIn } from '../testing/bench'
import { aBass } from '../testing/aBass'
import { fullBuild } from '../testing/fullBuild'
import { buzzMap } from './buzz'
import { pickupHeights } from './pickupHeights'
import { setupResult } from './setupResult'

const read = (build: Build, ...readings: SetupReading[]): Build => ({
  ...build,
  setup: {
    ...build.setup,
    readings: Object.fromEntries(readings.map((r, i) => [setupReadingId(r), { ...r, at: `2026-12-01T10:0${i}:00Z` }])),
  },
})
/** A bass as shops set one: relief 0.35, 6/64 and 5/64 in at fret 12, slots clear by 0.28 and 0.22, poles 8/64 and 6/64 in away. */
const asShopsDo = (build: Build) =>
  read(
    build,
    { what: 'relief', value: 0.35 },
    { what: 'action', string: 4, value: 2.4 },
    { what: 'action', string: 1, value: 2 },
    ...(['pickup-neck', 'pickup-bridge'] as const).flatMap((slot) => [
      { what: 'pickup' as const, slot, string: 4, value: 3.1 },
      { what: 'pickup' as const, slot, string: 1, value: 2.4 },
    ]),
  )
const move = (b: Build, id: string) => setupResult(b).moves.find((m) => m.id === id)!

describe('a bass is set up as a bass', () => {
  it('what shops set one to is as wanted: nothing is tightened, lowered or raised', () => {
    const b = asShopsDo(aBass())
    expect(move(b, 'relief')).toMatchObject({ done: true, target: '0.25 to 0.4 mm' })
    expect(move(b, 'action')).toMatchObject({ done: true, target: '2.4 mm bass, 2 mm treble' })
    for (const p of pickupHeights(b)) for (const side of p.sides) expect(side.done, `${p.slot} ${side.side}`).toBe(true)
  })
  it('the same numbers on a guitar are high: 2.4 mm comes down', () => {
    const b = read(
      fullBuild(),
      { what: 'relief', value: 0.2 },
      { what: 'action', string: 6, value: 2.4 },
      { what: 'action', string: 1, value: 2 },
    )
    expect(move(b, 'action').done).toBe(false)
  })
  it('at a bass’s action nothing is hit by a bass’s pluck', () => expect(buzzMap(asShopsDo(aBass())).buzzes).toBe(0))
  it('a bass by what it is tuned to: four strings, or six an octave down; a baritone is none', () => {
    const tuned = (name: string): Build => {
      const b = fullBuild()
      return { ...b, setup: { ...b.setup, tuning: tuningsFor(6).find((t) => t.name === name)! } }
    }
    expect(isBass(aBass())).toBe(true)
    expect(isBass(tuned('an octave down'))).toBe(true)
    expect(isBass(tuned('baritone, a fifth down'))).toBe(false)
    expect(isBass(fullBuild())).toBe(false)
  })
  it('its bridge is judged for a bass’s action: the saddles stand for 2 mm at fret 12, not for 1.59', () => {
    const says = jointIn(aBass(), 'bridge-height').checks.map((c) => c.says)
    expect(says.join(' ')).toMatch(/for 2 mm at fret 12 on the treble side/)
  })
})
