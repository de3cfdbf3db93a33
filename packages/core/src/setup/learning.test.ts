import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, ScrewTurn, SetupReading, SetupScrew } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { changed, fullBuild } from '../testing/fullBuild'
import { postTurns } from './action'
import { learnedPitch, learnedTurn } from './learning'
import { setupResult } from './setupResult'
import { staleSays, totalPull } from './staleness'

/** What happened, minute by minute: a reading, or a turn. */
type Event = SetupReading | Omit<ScrewTurn, 'at'>
function after(build: Build, ...events: Event[]): Build {
  const setup: Build['setup'] = { school: 'ordinary', readings: {}, turns: {} }
  events.forEach((e, i) => {
    const at = new Date(Date.UTC(2026, 11, 1, 10, i)).toISOString()
    if ('what' in e) setup.readings[setupReadingId({ ...e, at })] = { ...e, at }
    else setup.turns![String(i)] = { ...e, at }
  })
  return { ...build, setup: { ...build.setup, ...setup } }
}
const bare = (mount = 'string-through'): Build =>
  changed({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } }, {}, { 'bridge/mount': mount })
const relief = (value: number): SetupReading => ({ what: 'relief', value })
const action = (string: number, value: number): SetupReading => ({ what: 'action', string, value })
const turn = (screw: SetupScrew, turns: number): Event => ({ screw, turns })
const move = (b: Build, id: string) => setupResult(b).moves.find((m) => m.id === id)!

describe('what a turn gives, learned', () => {
  it('two quarters clockwise took 0.12 mm out: 0.24 mm less a turn', () => {
    const b = after(bare(), relief(0.5), turn('truss', 0.25), turn('truss', 0.25), relief(0.38))
    expect(learnedTurn(b, 'truss')).toEqual({ per: expect.closeTo(-0.24, 9) as number, from: 1 })
  })
  it('then the next turn is computed: 0.38 to 0.225 is 0.155 mm, 0.65 turns, to the eighth 5/8', () => {
    const b = after(bare(), relief(0.5), turn('truss', 0.5), relief(0.38))
    expect(move(b, 'relief').says).toMatch(/^Tighten \(clockwise.*\) 5\/8 turn: this neck gave 0.06 mm a quarter/)
    expect(move(b, 'relief').turns![0]!.turns).toBe(0.625)
  })
  it('a neck where clockwise made more relief is turned as it showed, and told why', () => {
    const b = after(bare(), relief(0.4), turn('truss', 0.25), relief(0.5))
    expect(move(b, 'relief').turns![0]!.turns).toBeLessThan(0)
    expect(move(b, 'relief').says).toMatch(/made more relief.*counter-clockwise/)
  })
  it('a pair with another screw between teaches nothing: the action went with the relief', () => {
    const b = after(bare(), action(6, 2), action(1, 2), turn('truss', 0.5), turn('bass', 1), action(6, 1.9))
    expect(learnedPitch(b)).toBeUndefined()
  })
  it('a saddle whose screw gave 0.7 mm a turn: 2.4 to 2.05 with two halves; the next goes by that', () => {
    // Action at 12 is half of the saddle's move: one turn down of 0.7 mm takes 0.35 mm.
    const b = after(bare(), action(6, 2.4), action(1, 1.59), turn('bass', -1), action(6, 2.05))
    expect(learnedPitch(b)!.per).toBeCloseTo(0.7, 6)
    // 2 (2.05 - 1.59) = 0.92 mm and its set-back, over 0.7: 1.3 turns, 1 3/8 by the eighth.
    expect(move(b, 'action').says).toMatch(/^Bass saddle screws 1 3\/8 turns counter-clockwise, .*A turn gave 0.7 mm here/)
  })
  it('posts: any thread is found again from what both turns did to both strings', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 1.2, noNaN: true }), fc.double({ min: 0.3, max: 2, noNaN: true }), (pitch, down) => {
        const b0 = bare('post')
        const spread = b0.parts.bridge!.sizes['spread']!.value
        const studs = b0.parts.bridge!.sizes['studSpacing']!.value
        const t = postTurns({ bass: -down, treble: -0.2 }, spread, studs, 0.5)
        // Those turns, made on another thread, move the strings by that much more or less.
        const b = after(
          b0,
          action(6, 3),
          action(1, 3),
          turn('bass', t.bass),
          turn('treble', t.treble),
          action(6, 3 - ((down / 2) * pitch) / 0.5),
          action(1, 3 - ((0.2 / 2) * pitch) / 0.5),
        )
        expect(learnedPitch(b)!.per).toBeCloseTo(pitch, 6)
      }),
    ))
  it('posts whose distance is only assumed: unlike turns teach nothing, both alike teach the thread', () => {
    const b0 = changed(bare('post'), {}, {})
    const studs = b0.parts.bridge!.sizes['studSpacing']!
    const bridge = { ...b0.parts.bridge!, sizes: { ...b0.parts.bridge!.sizes, studSpacing: { ...studs, known: 'assumed' as const } } }
    const unread = { ...b0, parts: { ...b0.parts, bridge } }
    const unlike = [action(6, 2.4), turn('bass', -2), turn('treble', -1), action(6, 1.9)]
    expect(learnedPitch(after(b0, ...unlike))).toBeDefined()
    expect(learnedPitch(after(unread, ...unlike))).toBeUndefined()
    // Two turns took 0.5 mm of action, which is 1 mm of bridge: 0.5 mm a turn, seen from above clockwise goes down on a thumb wheel.
    const alike = [action(6, 2.4), turn('bass', 2), turn('treble', 2), action(6, 1.9)]
    expect(learnedPitch(after(unread, ...alike))!.per).toBeCloseTo(0.5, 6)
  })
  it('turns written down the wrong way round are doubted, and the millimetres lead', () => {
    const b = after(bare('two-stud'), action(6, 2.4), action(1, 2.4), turn('bass', -2), turn('treble', -2), action(6, 1.9), action(1, 1.9))
    expect(move(b, 'action').says).toMatch(/the other way than such screws do/)
    expect(move(b, 'action').turns).toBeUndefined()
  })
  it('a length screw that takes 3 cents a turn: 6 cents are two turns', () => {
    const cents = (value: number): SetupReading => ({ what: 'cents', string: 3, value })
    const b = after(bare(), cents(9), { screw: 'length', string: 3, turns: 1 }, cents(6))
    expect(learnedTurn(b, 'length', 3)!.per).toBeCloseTo(-3, 9)
    expect(setupResult(b).intonation.find((i) => i.number === 3)!.turns).toBeCloseTo(2, 9)
    expect(learnedTurn(b, 'length', 4)).toBeUndefined()
  })
  it('a claw that moved nothing lies in its dead zone', () => {
    const b = after(bare('two-stud'), { what: 'float', value: 2 }, turn('claw', 0.5), { what: 'float', value: 2 })
    expect(move(b, 'float').says).toMatch(/moved next to nothing: the springs hold more/)
    const moved = after(bare('two-stud'), { what: 'float', value: 2 }, turn('claw', 0.5), { what: 'float', value: 1.6 })
    // 0.8 mm a turn: 0.6 mm left over is three quarters of a turn.
    expect(move(moved, 'float').turns![0]!.turns).toBe(0.75)
  })
  it('whatever was learned, a turn it advises takes the relief towards what is wanted and never past the far end', () =>
    fc.assert(
      fc.property(fc.double({ min: -0.6, max: -0.05, noNaN: true }), fc.double({ min: -0.3, max: 1.2, noNaN: true }), (per, at) => {
        const b = after(bare(), relief(at - per), turn('truss', 1), relief(at))
        const m = move(b, 'relief')
        if (m.done) return
        const then = at + per * m.turns![0]!.turns
        const middle = 0.225
        expect(Math.abs(then - middle)).toBeLessThan(Math.abs(at - middle) + 1e-9)
      }),
    ))
})

describe('readings that go stale', () => {
  it('a turn after a reading asks for another before any further turn; of the nut nut alone, of the action by four screws', () => {
    const b = after(bare(), relief(0.5), action(6, 2), action(1, 2), turn('truss', 0.25))
    expect(move(b, 'relief')).toMatchObject({
      stale: true,
      says: expect.stringMatching(/Turned since it was read: the truss nut/) as string,
    })
    expect(move(b, 'relief').turns).toBeUndefined()
    expect(move(b, 'action').stale).toBe(true)
    const saddles = after(bare(), relief(0.5), action(6, 2), action(1, 2), turn('bass', 1))
    expect(move(saddles, 'relief').turns).toBeDefined()
    expect(move(saddles, 'action').stale).toBe(true)
  })
  it('frets levelled after a slot was read: it is read again, and no file is put to it', () => {
    const b = after(bare(), { what: 'sliver', string: 2, value: 0.4 })
    expect(setupResult(b).nut[1]!.state).toBe('file')
    const level = (done: string) => setupResult({ ...b, steps: { 'level-frets': { done } } }).nut[1]!
    expect(level('2026-12-02T09:00:00Z')).toMatchObject({
      state: 'unread',
      says: expect.stringMatching(/levelled since it was read/) as string,
    })
    expect(level('2026-11-30T09:00:00Z').state).toBe('file')
    // What the strings pull does not lift a slot.
    const low = { ...b.setup, readings: { a: { what: 'sliver', string: 2, value: 0.4, at: '2026-12-01T10:00:00Z', pull: 200 } as const } }
    expect(setupResult({ ...b, setup: low }).nut[1]!.state).toBe('file')
  })
  it('a length screw makes its own string’s pitch stale, no other’s', () => {
    const b = after(
      bare(),
      { what: 'cents', string: 3, value: 9 },
      { what: 'cents', string: 4, value: 9 },
      { screw: 'length', string: 3, turns: 1 },
    )
    const of = (n: number) => setupResult(b).intonation.find((i) => i.number === n)!
    expect(of(3).stale).toBe(true)
    expect(of(4).turns).toBeDefined()
  })
  const read = (b: Build) =>
    after(b, { what: 'relief', value: 0.4, pull: totalPull(b)! }, { what: 'cents', string: 6, value: 8, pull: totalPull(b)! })
  it('a step down pulls 79.4 % of it: relief and pitch are read again, no turn is told', () => {
    const b = read(bare())
    expect(staleSays(b, { what: 'relief' })).toBeUndefined()
    const low = { ...b, setup: { ...b.setup, tuning: { name: 'a step down', notes: [-7, -12, -16, -21, -26, -31] } } }
    // (2^(-2/12))^2 = 0.7937 [physics]
    expect(totalPull(low)! / totalPull(b)!).toBeCloseTo(0.7937, 4)
    expect(move(low, 'relief')).toMatchObject({ stale: true, done: false })
    expect(move(low, 'relief').turns).toBeUndefined()
    expect(setupResult(low).intonation[5]).toMatchObject({ stale: true })
    expect(setupResult(low).intonation[5]!.back).toBeUndefined()
  })
  it('within three per cent it holds; a reading without its pull is never called stale', () => {
    const b = bare()
    const total = totalPull(b)!
    expect(staleSays(after(b, { what: 'relief', value: 0.4, pull: total * 1.02 }), { what: 'relief' })).toBeUndefined()
    expect(staleSays(after(b, { what: 'relief', value: 0.4, pull: total * 1.05 }), { what: 'relief' })).toMatch(/Read it again/)
    expect(staleSays(after(b, relief(0.4)), { what: 'relief' })).toBeUndefined()
  })
})
