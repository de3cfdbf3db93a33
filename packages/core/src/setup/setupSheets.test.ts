import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { measuredBuild, withReading } from '../testing/setup'
import { printMm } from '../quantity/length'
import { setupResult } from './setupResult'
import { setupSheets } from './setupSheets'

const bare = (): Build => ({ ...fullBuild(), setup: { school: 'low', readings: {} } })
const sheets = (b: Build) => setupSheets(b, setupResult(b))
type Blocks = ReturnType<typeof sheets>[number]['blocks']
const tables = (blocks: Blocks) => blocks.flatMap((b) => ('table' in b ? [b.table] : []))
const ticks = (blocks: Blocks) => blocks.flatMap((b) => ('tick' in b ? [b.tick] : []))
const at = (minute: number) => `2026-12-01T19:${String(minute).padStart(2, '0')}:00.000Z`

describe('the setup sheet', () => {
  it('has a row for each move with what was read, what is wanted and what to do, and one for each string and pickup', () => {
    const b = withReading(measuredBuild(bare(), { relief: 0.35, bass: 1.9, treble: 1.6, cents: { 3: 5 } }), {
      what: 'pickup',
      string: 6,
      slot: 'pickup-bridge',
      value: 2.6,
    })
    const result = setupResult(b)
    const [moves, strings, pickups] = tables(sheets(b)[0]!.blocks).map((t) => t.rows)
    expect(moves!.map((r) => r[0])).toEqual(result.moves.map((m) => m.title))
    expect(moves![0]).toEqual(['Relief at fret 8', '0.35 mm', result.moves[0]!.target, result.moves[0]!.says])
    expect(strings).toHaveLength(6)
    // Read: the outer two, and the pitch of the third. The wanted rises from treble to bass.
    expect(strings!.map((r) => r[2])).toEqual([printMm(1.6), 'not read', 'not read', 'not read', 'not read', printMm(1.9)])
    expect(strings!.map((r) => r[4])).toEqual(['not read', 'not read', '+5.0', 'not read', 'not read', 'not read'])
    expect(strings!.map((r) => r[1])).toEqual(['E4', 'B3', 'G3', 'D3', 'A2', 'E2'])
    expect(strings!.map((r) => r[3])).toEqual(result.actions.map((a) => printMm(a.wanted)))
    expect(Number(strings![5]![3])).toBeGreaterThan(Number(strings![0]![3]))
    const bridge = pickups!.find((r) => /ridge/.test(r[0]!))!
    expect(bridge.slice(1)).toEqual([expect.stringMatching(/^2\.6; wanted \d\.\d$/), expect.stringMatching(/^not read; wanted \d\.\d$/)])
  })
  it('says what strings it stands with, or that nobody knows', () => {
    expect(sheets(bare())[0]!.about).toMatch(/1: 0\.\d\d, 2: 0\.\d\d.*6: 1\.\d\d, mm; tuned/)
    const unknown = changed(bare(), Object.fromEntries([1, 2, 3, 4, 5, 6].map((n) => [`strings/gauge.${n}`, undefined])))
    expect(sheets(unknown)[0]!.about).toMatch(/Strings of unknown gauge; tuned/)
  })
})

describe('the shop ticket', () => {
  it('wants what is not done and keeps what is; all is read again on its return', () => {
    // 0.20 lies within the low school's relief, 3 mm over every action.
    const b = measuredBuild(bare(), { relief: 0.2, bass: 3, treble: 3 })
    const { moves } = setupResult(b)
    expect(moves.filter((m) => m.done).map((m) => m.id)).toContain('relief')
    const [wanted, kept, back] = ticks(sheets(b)[1]!.blocks)
    const open = moves.filter((m) => !m.done)
    expect(wanted!.map((t, i) => t.startsWith(`${open[i]!.title}: ${open[i]!.target}, now `))).toEqual(open.map(() => true))
    expect(wanted!.find((t) => t.startsWith('Action'))).toMatch(/, now 3 mm bass, 3 mm treble$/)
    expect(kept).toEqual([
      ...moves.filter((m) => m.done).map((m) => `${m.title}: ${m.measured ?? m.target}`),
      'Wiring and pickups',
      'Strings’ gauge and tuning',
    ])
    expect(back).toHaveLength(moves.length)
    expect(back![0]).toBe('Relief at fret 8: 0.2 mm handed over, ______ on its return')
    // What nobody read is written in by hand.
    expect(back!.filter((t) => t.includes(': ______ handed over'))).toHaveLength(moves.filter((m) => !m.measured).length)
  })
})

describe('the player’s page', () => {
  it('has a line for each string, and the arm’s lines only where there is one', () => {
    const page = (b: Build) => ticks(sheets(b)[2]!.blocks)
    expect(page(bare())[0]!.map((t) => t.slice(0, 8))).toEqual([1, 2, 3, 4, 5, 6].map((n) => `String ${n}`))
    const arm = (b: Build) =>
      page(b)
        .flat()
        .filter((t) => t.startsWith('Arm'))
    expect(arm(changed(bare(), {}, { 'bridge/mount': 'two-stud' }))).toHaveLength(2)
    expect(arm(without(changed(bare(), {}, { 'bridge/mount': 'two-stud' }), 'springs'))).toEqual([])
    expect(arm(changed(bare(), {}, { 'bridge/mount': 'string-through' }))).toEqual([])
  })
})

describe('a number on paper is taken for what is', () => {
  const readings: SetupReading[] = [
    { what: 'relief', value: 0.35, at: at(1) },
    { what: 'action', string: 1, value: 1.7, at: at(2) },
    { what: 'action', string: 6, value: 2.2, at: at(3) },
    { what: 'cents', string: 2, value: 4, at: at(4) },
    { what: 'pickup', string: 1, slot: 'pickup-bridge', value: 1.9, at: at(5) },
  ]
  const read = readings.reduce(withReading, bare())
  const turned = (screw: 'truss' | 'bass' | 'treble', minute: number): Build => ({
    ...read,
    setup: { ...read.setup, turns: { one: { screw, turns: 0.25, at: at(minute) } } },
  })
  it('fresh, none is called old', () => expect(JSON.stringify(sheets(read))).not.toMatch(/\bold\b|Old:/))
  it('after the truss nut was turned relief, action and pitch are old on every page, and none stands as handed over', () => {
    const b = turned('truss', 30)
    expect(setupResult(b).moves[0]!.stale).toBe(true)
    const [sheet, ticket] = sheets(b)
    const [moves, strings] = tables(sheet!.blocks)
    expect(moves!.rows[0]![1]).toBe('0.35 mm, old')
    expect([strings!.rows[0]![2], strings!.rows[5]![2]]).toEqual([`${printMm(1.7)}, old`, `${printMm(2.2)}, old`])
    expect(JSON.stringify(sheet!.blocks)).toMatch(/Old: read before/)
    const [wanted, , back] = ticks(ticket!.blocks)
    expect(wanted![0]).toMatch(/now 0\.35 mm, old$/)
    expect(back![0]).toBe('Relief at fret 8: ______ handed over, ______ on its return')
    expect(JSON.stringify(ticket!.blocks)).toMatch(/Old: read before/)
  })
  it('whatever was turned, and when: a stale number is marked, a fresh one is not', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('truss' as const, 'bass' as const, 'treble' as const),
        fc.integer({ min: 0, max: 40 }),
        (screw, minute) => {
          const b = turned(screw, minute)
          const result = setupResult(b)
          const [moves, strings] = tables(sheets(b)[0]!.blocks)
          result.moves.forEach((m, i) => expect(moves!.rows[i]![1]!.endsWith(', old'), m.id).toBe(!!m.stale))
          result.actions.forEach((a, i) => expect(strings!.rows[i]![2]!.endsWith(', old'), `action ${a.number}`).toBe(!!a.stale))
          const anyOld = JSON.stringify(sheets(b)[0]!.blocks).includes('Old: read before')
          expect(anyOld).toBe(JSON.stringify(sheets(b)[0]!.blocks).includes(', old'))
        },
      ),
    ))
})
