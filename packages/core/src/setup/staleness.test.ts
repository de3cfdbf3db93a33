import { describe, expect, it } from 'vitest'
import type { Build, SetupReading, SetupScrew } from '../document/build'
import type { Asked } from '../document/setupReadings'
import { changed, fullBuild } from '../testing/fullBuild'
import { withReading } from '../testing/setup'
import { setupModel } from './model'
import { bendsChoke, buzzes, floatsHigh, muchRelief, nearPickup, offAtTwelve, slackRod, stillHigh } from './playingEvidence'
import { pitchSays } from './pitchSays'
import { setupDrawing } from './setupDrawing'
import { setupResult } from './setupResult'
import { freshReading, staleSays } from './staleness'
import { stringsThen } from './stringsThen'

const at = (minute: number) => `2026-12-01T19:${String(minute).padStart(2, '0')}:00.000Z`
const READINGS: readonly SetupReading[] = [
  { what: 'relief', value: 0.5 },
  { what: 'action', string: 1, value: 0.9 },
  { what: 'action', string: 6, value: 2.4 },
  { what: 'cents', string: 3, value: 9 },
  { what: 'float', value: 3 },
  { what: 'pickup', string: 1, slot: 'pickup-bridge', value: 0.8 },
  { what: 'pickup', string: 6, slot: 'pickup-bridge', value: 2.2 },
  { what: 'slack', value: 0.1 },
]
const read = (): Build =>
  READINGS.map((r, i) => ({ ...r, at: at(i) })).reduce(withReading, {
    ...changed(fullBuild(), { 'neck/board.radius': 184 }, { 'bridge/mount': 'two-stud' }),
    setup: { school: 'low', readings: {} },
  } as Build)
const turned = (b: Build, screw: SetupScrew, minute: number): Build => ({
  ...b,
  setup: { ...b.setup, turns: { t: { screw, turns: 0.5, at: at(minute) } } },
})
const SCREWS: readonly SetupScrew[] = ['truss', 'claw', 'bass', 'treble']

/** What speaks for a cause, and the readings it quotes. */
const QUOTES: readonly (readonly [string, (b: Build) => string | undefined, readonly Asked[]])[] = [
  ['slack rod', slackRod, [{ what: 'relief' }]],
  ['much relief', muchRelief, [{ what: 'relief' }]],
  ['still high', stillHigh, [{ what: 'action', string: 6 }]],
  ['off at twelve', offAtTwelve, [{ what: 'cents', string: 3 }]],
  ['floats high', floatsHigh, [{ what: 'float' }]],
  ['near a pickup', nearPickup, [{ what: 'pickup', string: 1, slot: 'pickup-bridge' }]],
  ['buzzes', buzzes, [1, 6].map((string) => ({ what: 'action', string }) as const)],
  ['bends choke', bendsChoke, [1, 6].map((string) => ({ what: 'action', string }) as const)],
]

describe('what was read before something was turned', () => {
  it.each(QUOTES)('%s: speaks for a cause while it holds, and for none after', (_, evidence, asked) => {
    expect(evidence(read())).toBeDefined()
    for (const screw of SCREWS) {
      const later = turned(read(), screw, 30)
      const stale = asked.some((a) => staleSays(later, a))
      expect(evidence(later) === undefined, screw).toBe(stale)
      // Turned before the readings, it takes nothing from them.
      expect(evidence(turned(read(), screw, 0)), screw).toBeDefined()
    }
    expect(SCREWS.some((screw) => evidence(turned(read(), screw, 30)) === undefined)).toBe(true)
  })
  it('the model knows what holds, and the drawing tells no saddle to move by what does not', () => {
    const now = setupModel(read())
    expect([now.reliefHolds, now.actionHolds]).toEqual([true, true])
    const truss = turned(read(), 'truss', 30)
    expect([setupModel(truss).reliefHolds, setupModel(truss).actionHolds, setupModel(truss).actionRead]).toEqual([false, false, true])
    const bass = setupModel(turned(read(), 'bass', 30))
    expect([bass.reliefHolds, bass.actionHolds]).toEqual([true, false])
    const numbers = (b: Build) => Object.fromEntries(setupDrawing(b).numbers!.map((n) => [n.label, n.value]))
    expect(numbers(read()).Saddle).toMatch(/^\d\.?\d* mm down$/)
    expect(numbers(truss)).toMatchObject({
      Saddle: 'not known',
      Relief: '0.5 mm, old: read again',
      'Action at fret 12, bass': '2.4 mm, old: read again',
    })
    const arrow = (b: Build) => setupDrawing(b).marks.some((m) => m.mark === 'label' && /^saddle .* (up|down)$/.test(m.text))
    expect([arrow(read()), arrow(truss)]).toEqual([true, false])
  })
  it('the line of all pitches turns what is off, asks again for what no longer holds, and never makes a number of what is none', () => {
    const says = (b: Build) => pitchSays(setupResult(b))
    const none = { ...read(), setup: { school: 'low' as const, readings: {} } }
    expect(says(none).state).toBe('open')
    // 9 cents sharp: back, by its thread.
    expect(says(read())).toEqual({ state: 'out', says: expect.stringMatching(/^3: [\d /]+ back$/) as string })
    expect(says(turned(read(), 'truss', 30))).toEqual({ state: 'again', says: '3: moved since, read again' })
    const both = withReading(turned(read(), 'truss', 30), { what: 'cents', string: 5, value: -9, at: at(40) })
    expect(says(both)).toEqual({
      state: 'out',
      says: expect.stringMatching(/^5: [\d /]+ forward · 3: moved since, read again$/) as string,
    })
    const fine = withReading(none, { what: 'cents', string: 1, value: 1, at: at(1) })
    expect(says(fine)).toEqual({ state: 'done', says: 'All strings read are in tune at fret 12' })
    for (const screw of SCREWS) expect(says(turned(both, screw, 50)).says, screw).not.toMatch(/NaN|undefined/)
  })
  it('nothing is foretold of other strings by it', () => {
    const other = [0.25, 0.33, 0.43, 0.66, 0.91, 1.17]
    const then = (b: Build) => stringsThen(b, { gauges: other })
    expect(then(read()).relief).toBeDefined()
    expect(then(turned(read(), 'truss', 30)).relief).toBeUndefined()
  })
  it('a reading that holds is the newest; one that does not is none', () => {
    expect(freshReading(read(), { what: 'relief' })).toBe(0.5)
    expect(freshReading(turned(read(), 'truss', 30), { what: 'relief' })).toBeUndefined()
    const again = withReading(turned(read(), 'truss', 30), { what: 'relief', value: 0.2, at: at(40) })
    expect(freshReading(again, { what: 'relief' })).toBe(0.2)
    expect(freshReading(read(), { what: 'gap', string: 2 })).toBeUndefined()
  })
})
