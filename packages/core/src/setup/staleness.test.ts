import { describe, expect, it } from 'vitest'
import type { Build, SetupReading, SetupScrew } from '../document/build'
import { applyChange } from '../document/change'
import type { Asked } from '../document/setupReadings'
import { stringPulls } from '../instrument/stringPulls'
import { tuningOf } from '../instrument/tunings'
import { changed, fullBuild } from '../testing/fullBuild'
import { withReading } from '../testing/setup'
import { learnedTurn } from './learning'
import { setupModel } from './model'
import { noteReading } from './noting'
import { bendsChoke, buzzes, floatsHigh, muchRelief, nearPickup, offAtTwelve, slackRod, stillHigh } from './playingEvidence'
import { pitchSays } from './pitchSays'
import { setupDrawing } from './setupDrawing'
import { setupResult } from './setupResult'
import { freshReading, staleSays, totalPull } from './staleness'
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
    expect(says(turned(read(), 'truss', 30))).toEqual({ state: 'again', says: '3: old, read again' })
    const both = withReading(turned(read(), 'truss', 30), { what: 'cents', string: 5, value: -9, at: at(40) })
    expect(says(both)).toEqual({
      state: 'out',
      says: expect.stringMatching(/^5: [\d /]+ forward · 3: old, read again$/) as string,
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

  // A set a step heavier tuned a step lower, or one string up and one down: all together they pull the same.
  describe('of a string that is another, or pulls otherwise, while all of them together pull as before', () => {
    const THIRD = { what: 'cents', string: 3 } as const
    const FIRST = { what: 'level', string: 1, slot: 'pickup-neck' } as const
    const noted = (b: Build) =>
      [...([3, 1] as const).map((string) => ({ what: 'cents', string, value: 4 }) as const), { ...FIRST, value: -12 } as const].reduce(
        (to, r, i) => applyChange(to, noteReading(to, { ...r, at: at(i) }, 'read')),
        b,
      )
    const b = noted({ ...fullBuild(), setup: { school: 'low', readings: {} } } as Build)
    const tuned = (by: Record<number, number>): Build => {
      const { name, notes } = tuningOf(b)
      return { ...b, setup: { ...b.setup, tuning: { name: `${name}, changed`, notes: notes.map((n, i) => n + (by[i + 1] ?? 0)) } } }
    }
    it('nothing is said of what is as it was', () => {
      for (const asked of [THIRD, { ...THIRD, string: 1 }, FIRST]) expect(staleSays(b, asked)).toBeUndefined()
    })
    it('one string tuned up and another down', () => {
      const other = tuned({ 3: 1, 2: -1 })
      expect(Math.abs(totalPull(other)! / totalPull(b)! - 1)).toBeLessThan(0.03)
      // A semitone is 2^(1/6) of the pull: 12.2 %.
      const [was, is] = [b, other].map((of) => stringPulls(of).find((p) => p.number === 3)!.newton)
      expect(is! / was!).toBeCloseTo(2 ** (1 / 6), 3)
      expect(staleSays(other, THIRD)).toContain(
        `String 3 pulled ${Math.round(was!)} N when it was read and pulls ${Math.round(is!)} N now.`,
      )
      expect(staleSays(other, { ...THIRD, string: 1 })).toBeUndefined()
      expect(pitchSays(setupResult(other)).says).toContain('3: old, read again')
      expect(pitchSays(setupResult(b)).says).not.toContain('read again')
    })
    it('a thicker string beside a thinner one: its pitch and how loud it is, of it alone', () => {
      const gauge = (n: number) => stringPulls(b).find((p) => p.number === n)!.gauge
      const other = changed(b, { 'strings/gauge.1': gauge(1) + 0.0254, 'strings/gauge.2': gauge(2) - 0.0254 })
      expect(Math.abs(totalPull(other)! / totalPull(b)! - 1)).toBeLessThan(0.03)
      for (const asked of [{ ...THIRD, string: 1 }, FIRST])
        expect(staleSays(other, asked)).toMatch(/^String 1 was 0\.\d+ mm thick when it was read and is/)
      expect(staleSays(other, THIRD)).toBeUndefined()
      // As fine as calipers read the same string twice.
      expect(staleSays(changed(b, { 'strings/gauge.1': gauge(1) + 0.01 }), FIRST)).toBeUndefined()
    })
    it('what a length screw did between two readings of different strings teaches nothing', () => {
      const turn = (to: Build, minute: number): Build => ({
        ...to,
        setup: { ...to.setup, turns: { t: { screw: 'length', string: 3, turns: 1, at: at(minute) } } },
      })
      const again = (to: Build) => applyChange(to, noteReading(to, { ...THIRD, value: -2, at: at(30) }, 'read'))
      expect(learnedTurn(again(turn(b, 20)), 'length', 3)!.per).toBeCloseTo(-6, 9)
      expect(learnedTurn(again(turn(tuned({ 3: 1, 2: -1 }), 20)), 'length', 3)).toBeUndefined()
    })
  })
})
