import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SETUP_READINGS, SETUP_SCREWS, type Build, type ScrewTurn, type SetupReading } from '../document/build'
import { SETUP_BOUNDS, setupReadingId } from '../document/setupReadings'
import { standardTuning } from '../instrument/tunings'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { balanceDrawing } from './balanceDrawing'
import { balanceWork } from './balance'
import { buzzWork } from './buzz'
import { levelWork } from './levels'
import { pickupHeights } from './pickupHeights'
import { pitchLines } from './pitchPlot'
import { playingDiagnosis, playingSymptomsOf } from './playingTroubles'
import { returnTest } from './returnTest'
import { saddleArch } from './saddleArch'
import { setupDrawing } from './setupDrawing'
import { setupResult } from './setupResult'
import { setupSheets } from './setupSheets'
import { slotSpacing } from './slotSpacing'
import { stringsThen } from './stringsThen'

const MOUNTS = ['two-stud', 'six-screw', 'double-locking', 'post', 'screws', 'string-through']
const at = (minute: number) => new Date(Date.UTC(2026, 11, 1, 10, minute)).toISOString()

const aReading = (strings: number) =>
  fc
    .record({
      what: fc.constantFrom(...SETUP_READINGS),
      string: fc.integer({ min: 1, max: strings }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    })
    .map(({ what, string, share }): SetupReading => {
      const { from, to } = SETUP_BOUNDS[what]
      const value = from + share * (to - from)
      if (what === 'relief' || what === 'slack' || what === 'float') return { what, value }
      return { what, string, value, ...(what === 'pickup' || what === 'level' ? { slot: 'pickup-neck' as const } : {}) }
    })
const aTurn = (strings: number) =>
  fc
    .record({
      screw: fc.constantFrom(...SETUP_SCREWS),
      string: fc.integer({ min: 1, max: strings }),
      turns: fc.double({ min: -3, max: 3, noNaN: true }),
    })
    .map(({ screw, string, turns }): Omit<ScrewTurn, 'at'> => ({ screw, turns, ...(screw === 'length' ? { string } : {}) }))

/** Any instrument that goes on the bench, in any state of being read and turned. */
const anyBuild = fc
  .constantFrom(4, 5, 6, 7, 8, 12)
  .chain((strings) =>
    fc.record({
      strings: fc.constant(strings),
      mount: fc.option(fc.constantFrom(...MOUNTS)),
      joint: fc.constantFrom('bolt', 'set'),
      scale: fc.double({ min: 560, max: 870, noNaN: true }),
      gauges: fc.array(fc.double({ min: 0.2, max: 2.6, noNaN: true }), { minLength: 12, maxLength: 12 }),
      strung: fc.boolean(),
      happened: fc.array(fc.oneof(aReading(strings), aTurn(strings)), { maxLength: 12 }),
      rocks: fc.dictionary(fc.constantFrom('1-5', '2-9', '1-14'), fc.double({ min: 0, max: 0.6, noNaN: true })),
      attack: fc.option(fc.double({ min: 0.1, max: 6, noNaN: true })),
    }),
  )
  .map(({ strings, mount, joint, scale, gauges, strung, happened, rocks, attack }): Build => {
    const sizes = Object.fromEntries(gauges.map((g, i) => [`strings/gauge.${i + 1}`, g])) as Record<`strings/${string}`, number>
    const traits = { 'neck/joint': joint, ...(mount ? { 'bridge/mount': mount } : {}) } as Record<`neck/${string}`, string>
    const base = changed(fullBuild(), { ...sizes, 'neck/scale': scale }, traits)
    if (!mount) delete base.parts.bridge!.traits.mount
    const setup: Build['setup'] = { school: 'low', readings: {}, turns: {}, rocks, ...(attack ? { attack } : {}) }
    happened.forEach((h, i) => {
      if ('what' in h) setup.readings[setupReadingId({ ...h, at: at(i) })] = { ...h, at: at(i) }
      else setup.turns![String(i)] = { ...h, at: at(i) }
    })
    const b = { ...base, strings, setup }
    return strung ? b : without(b, 'strings')
  })

/** Everything the station says of a build, as one text, with every number in it. */
const everything = (b: Build): string => {
  const setup = setupResult(b)
  return JSON.stringify(
    [
      setup,
      balanceWork(b),
      buzzWork(b),
      levelWork(b),
      pickupHeights(b),
      pitchLines(b),
      playingSymptomsOf(b).map((s) => playingDiagnosis(b, s)),
      returnTest(b),
      saddleArch(b),
      setupDrawing(b),
      balanceDrawing(b),
      setupSheets(b, setup),
      slotSpacing(b),
      stringsThen(b, { tuning: { name: 'lower', notes: standardTuning(b.strings).map((n) => n - 3) } }),
    ],
    (_, v: unknown) => {
      if (typeof v === 'number' && !Number.isFinite(v)) throw new Error(`${v} in what is said`)
      return v
    },
  )
}

describe('laws of the setup', () => {
  it('whatever was read and turned on whatever instrument, every number is finite and no sentence has a hole', () =>
    fc.assert(
      fc.property(anyBuild, (b) => {
        expect(everything(b)).not.toMatch(/NaN|undefined|Infinity|\[object/)
      }),
      { numRuns: 60 },
    ))
  it('no sentence of any instrument has a hyphen for a sign, nor tells of nothing as of something', () => {
    const sentences = (x: unknown): string[] =>
      typeof x === 'string' ? [x] : typeof x === 'object' && x ? Object.values(x).flatMap(sentences) : []
    const law = fc.property(anyBuild, (b) => {
      for (const s of sentences(JSON.parse(everything(b)))) expect(s).not.toMatch(/(^|[\s(])-\d|\bby 0(\.0+)? (mm|dB)|\bgave 0(\.0+)? mm/)
    })
    holds(law, 60)
  })
  it('no claw is told to go further than its screws do', () =>
    fc.assert(
      fc.property(anyBuild, (b) => {
        for (const s of balanceWork(b)?.says ?? []) {
          const turns = /both claw screws (\d+)(?: \d\/\d)? turns? /.exec(s)
          // Of the thread most have, 2 mm a turn.
          if (turns) expect(Number(turns[1]), s).toBeLessThanOrEqual(10)
        }
      }),
    ))
  it('no turn is told on a number nobody has read, nor on one that no longer holds', () =>
    fc.assert(
      fc.property(anyBuild, (b) => {
        for (const m of setupResult(b).moves) {
          if (!m.measured || m.stale || m.done) expect(m.turns, m.id).toBeUndefined()
          if (m.done) expect(m.measured, m.id).toBeDefined()
        }
      }),
    ))
  it('words and turns agree: the sense and the amount said are those that are written down', () =>
    fc.assert(
      fc.property(anyBuild, (b) => {
        for (const m of setupResult(b).moves)
          for (const t of m.turns ?? []) {
            if (!t.turns) continue
            const sense = t.turns > 0 ? /(?<!counter-)clockwise/ : /counter-clockwise/
            expect(m.says, `${m.id} ${t.turns}`).toMatch(sense)
          }
      }),
    ))
  it('a left-handed instrument has the same numbers', () =>
    fc.assert(
      fc.property(anyBuild, (b) => {
        const [right, left] = (['right', 'left'] as const).map((handedness) => setupResult({ ...b, handedness }))
        expect(left).toEqual(right)
      }),
      { numRuns: 20 },
    ))
  it('raising any fret never gives more room anywhere', () =>
    fc.assert(
      fc.property(anyBuild, fc.integer({ min: 2, max: 20 }), (b, fret) => {
        const cells = (x: Build) => buzzWork(x).map.cells
        const flat = { ...b, setup: { ...b.setup, rocks: {} } }
        const high = { ...b, setup: { ...b.setup, rocks: { [`1-${fret}`]: 0.2 } } }
        // Held at the high fret itself the string starts higher: that is room it gives to those beyond.
        cells(flat).forEach((c, i) => {
          if (c.stop !== fret) expect(cells(high)[i]!.margin, `${c.string} at ${c.stop}`).toBeLessThanOrEqual(c.margin + 1e-6)
        })
      }),
      { numRuns: 8 },
    ))
})
