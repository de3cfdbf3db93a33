import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../../log/entry'
import { evaluate } from '../../evaluate/evaluate'
import { changed, fullBuild } from '../../testing/fullBuild'
import type { Build } from '../../document/build'
import type { SheetBlock } from '../sheet'
import { applyChange } from '../../document/change'
import { noteTurns } from '../../setup/noting'
import { buildBook } from './book'
import { handOver, isOut, reopen } from './handover'
import { measuredBuild } from '../../testing/setup'
import { careSheet } from './careSheet'

const TODAY = '2026-11-24'
const entry = (id: string, at: string, text: string, more: Partial<LogEntry> = {}): LogEntry => ({ id, at, kind: 'note', text, ...more })
const book = (b: Build, log: readonly LogEntry[] = []) => buildBook(b, evaluate(b, TODAY), log).blocks
const under = (blocks: readonly SheetBlock[], heading: string) => {
  const at = blocks.findIndex((b) => 'heading' in b && b.heading === heading)
  return at < 0 ? undefined : JSON.stringify(blocks[at + 1])
}

describe('the build book', () => {
  it('every part with its seller and price; only sizes that were read', () => {
    const b = structuredClone(fullBuild())
    Object.assign(b.parts.tuners!, { price: 24, seller: 'Capstan Hardware' })
    const blocks = book(b)
    expect(under(blocks, 'What it is made of')).toMatch(/Capstan Hardware.*24\.00 EUR/)
    const listed = changed(b, {})
    listed.parts.body!.sizes['pocket.widthMouth'] = { value: 56.1, doubt: 0.8, known: 'listed' }
    expect(under(book(listed), 'Sizes that were read')).not.toMatch(/Body","Pocket width, mouth/)
    expect(under(blocks, 'Sizes that were read')).toMatch(/Body","Pocket width, mouth","56\.\d+ mm/)
  })
  it('wiring, finish and setup stand in it as they are printed', () => {
    const headings = book(fullBuild()).flatMap((b) => ('heading' in b ? [b.heading] : []))
    expect(headings).toEqual(expect.arrayContaining(['Wire list and soldering order', 'Setup sheet']))
  })
  it('what was done stands by day, what is open as a known fault', () => {
    const b = { ...fullBuild(), steps: { solder: { done: '2026-11-20T19:00:00Z' }, place: { done: '2026-11-18T19:00:00Z' } } }
    const done = under(book(b), 'What was done when')!
    expect(done.indexOf('18 Nov 2026')).toBeLessThan(done.indexOf('20 Nov 2026'))
    expect(JSON.stringify(book(b))).toMatch(/Intonation \(should be done\)/)
  })
  it('the log in the order it was written, also where the clock was set back; struck entries left out; decisions with their reason', () => {
    const b = {
      ...fullBuild(),
      plan: { decisions: { g: { question: 'Which guard?', options: ['white', 'black'], chosen: 'black', reason: 'it is here' } } },
    }
    const log = [
      entry('b', '2026-11-22T10:00:00Z', 'earlier'),
      entry('a', '2026-11-20T10:00:00Z', 'later'),
      entry('c', '2026-11-21T10:00:00Z', 'wrong', { struck: 'x' }),
    ]
    const kept = under(book(b, log), 'From the log')!
    expect(kept.indexOf('earlier')).toBeLessThan(kept.indexOf('later'))
    expect(kept).not.toMatch(/wrong/)
    expect(under(book(b), 'Decided, and why')).toMatch(/black.*it is here/)
  })
  it('handed over with what was open that day, though it is done by now; and why it came back', () => {
    const b = fullBuild()
    const out = applyChange(b, handOver(b, evaluate(b, TODAY), '2026-12-01', ' its player '))
    expect(out.delivered).toMatchObject({ on: '2026-12-01', to: 'its player' })
    expect(out.delivered!.faults).toEqual(expect.arrayContaining(['Intonation (should be done)']))
    expect(isOut(out)).toBe(true)
    const back = applyChange(out, reopen(out, '2026-12-20', 'the first test'))
    expect(isOut(back)).toBe(false)
    const steps = Object.fromEntries(evaluate(b, TODAY).plan.steps.map((s) => [s.id, { done: '2026-12-21T19:00:00Z' }]))
    const later = book({ ...back, steps })
    expect(under(later, 'Handed over')).toMatch(/1 Dec 2026, to its player, with this known to be open/)
    expect(JSON.stringify(later)).toMatch(/Intonation \(should be done\).*20 Dec 2026: the first test/)
    expect(under(later, 'Known faults and what is open') ?? '').not.toMatch(/Intonation/)
  })
  it('how far each screw was turned', () => {
    const b = fullBuild()
    const turned = applyChange(
      b,
      noteTurns(
        b,
        [
          { screw: 'claw', turns: -1.5 },
          { screw: 'length', string: 2, turns: -0.5 },
        ],
        '2026-11-24T19:00:00Z',
      ),
    )
    expect(under(book(turned), 'Screws turned so far')).toMatch(
      /Claw screws","1 1\/2 turns counter-clockwise".*Length screw of string 2","1\/2 turn forward"/,
    )
  })
  it('a build with next to nothing makes a book without empty chapters', () => {
    const bare = { ...fullBuild(), parts: {} }
    for (const b of book(bare)) if ('table' in b) expect(b.table.rows.length).toBeGreaterThan(0)
  })
})

describe('the care sheet', () => {
  const of = (b: Build) => JSON.stringify(careSheet(b, evaluate(b, TODAY).setup))
  it('strings, tuning and what the film wants', () => {
    const b = fullBuild()
    expect(of({ ...b, finish: { ...b.finish, system: 'oil' } })).toMatch(/Oily rags burn by themselves/)
    expect(of({ ...b, finish: { ...b.finish, system: 'lacquer' } })).toMatch(/rubber stands/)
    expect(of(b)).toMatch(/Tuned standard: E4 B3 G3 D3 A2 E2/)
  })
  it('compares with what was read, in its unit once, and names no switch that is not there', () => {
    const b = { ...fullBuild(), setup: { school: 'ordinary' as const, readings: {} } }
    const read = measuredBuild(b, { bass: 1.6, treble: 1.4 })
    expect(of(read)).toMatch(/off what they were \(1\.6 mm bass, 1\.4 mm treble, over fret 12\)/)
    expect(of(read)).toMatch(/position of the switch/)
    const { switch: _, ...parts } = read.parts
    expect(of({ ...read, parts })).not.toMatch(/switch/)
  })
  it('only what was read is told as it left the bench', () => {
    const b = { ...fullBuild(), setup: { school: 'ordinary' as const, readings: {} } }
    expect(of(b)).not.toMatch(/As it left the bench/)
    // A number nobody read is not said to have been.
    expect(of(b)).toMatch(/off what they were"/)
    const read = { ...b.setup, readings: { r: { what: 'relief' as const, value: 0.2, at: '2026-11-20T19:00:00Z' } } }
    expect(of({ ...b, setup: read })).toMatch(/Relief at fret 8","0.2 mm/)
    // Nor one that no longer holds: the truss nut was turned after it.
    const turns = { t: { screw: 'truss' as const, turns: 0.25, at: '2026-11-20T19:30:00Z' } }
    expect(of({ ...b, setup: { ...read, turns } })).not.toMatch(/0\.2 mm/)
  })
})

describe('how the finish is kept, on the care sheet', () => {
  const kept = (finish: Partial<Build['finish']>, body: string | undefined, neck: string | undefined) => {
    const build = changed(fullBuild(), {}, { 'body/surface': body, 'neck/surface': neck })
    const made = { ...build, finish: { ...build.finish, system: 'none' as const, ...finish } }
    const block = careSheet(made, evaluate(made, TODAY).setup).blocks
    const at = block.findIndex((b) => 'heading' in b && b.heading === 'Keeping it')
    const [rows] = block.slice(at + 1).flatMap((b) => ('tick' in b ? [b.tick] : []))
    return rows!.slice(
      0,
      rows!.findIndex((t) => t.startsWith('Air between')),
    )
  }
  it('is that of the last film laid, whatever the system began as', () => {
    expect(kept({ system: 'lacquer' }, 'raw', 'raw')).toEqual([expect.stringMatching(/^Lacquer: /)])
    const oiled = [{ product: 'oil-varnish', coats: 3 }]
    expect(kept({ system: 'lacquer', layers: [...oiled, { product: 'wax', coats: 1 }] }, 'raw', 'raw')).toEqual([
      expect.stringMatching(/^Oil: .*burn by themselves/),
    ])
    const silver = [
      { product: 'metallic-base', coats: 3 },
      { product: 'acrylic-clear', coats: 5 },
    ]
    expect(kept({ system: 'acrylic', layers: silver }, 'raw', 'raw')).toEqual([expect.stringMatching(/^Metallic under clear: /)])
    expect(kept({ system: 'lacquer', zones: { 'neck-back': { layers: oiled } } }, 'raw', 'raw')).toEqual([
      expect.stringMatching(/^Lacquer: .*\(whole instrument\)$/),
      expect.stringMatching(/^Oil: .*\(neck back\)$/),
    ])
  })
  it('that it came with is of nobody knows what; bare wood is only what came raw', () => {
    const came = /^The finish it came with: a soft dry cloth; no solvent/
    expect(kept({}, 'coated', 'coated')).toEqual([expect.stringMatching(came)])
    expect(kept({ system: 'lacquer' }, 'raw', 'coated')).toEqual([
      expect.stringMatching(/^Lacquer: .*\(whole instrument\)$/),
      expect.stringMatching(/^The finish it came with.*\(neck\)$/),
    ])
    expect(kept({}, 'raw', 'raw')).toEqual(['Bare wood: dry hands, no water; it marks.'])
    expect(kept({}, undefined, undefined)).toEqual(['A soft dry cloth.'])
  })
})
