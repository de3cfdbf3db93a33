import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { setupReadingId } from '../document/setupReadings'
import { stringPulls, tuningSays } from '../instrument/stringPulls'
import { standardTuning, tuningsFor } from '../instrument/tunings'
import { underEdge } from '../physics/neckCurve'
import { actionAt, openGap, sliver } from '../physics/nutAction'
import { changed, fullBuild } from '../testing/fullBuild'
import { bestRelief, buzzMap, fretsInTheWay, lowestActions } from './buzz'
import { highFrets, radiusAtSaddles, setupModel } from './model'
import { nutSlots } from './nutSlots'
import { slotSpacing } from './slotSpacing'
import { setupResult } from './setupResult'

const read = (b: Build, ...readings: SetupReading[]): Build => ({
  ...b,
  setup: {
    ...b.setup,
    readings: {
      ...b.setup.readings,
      ...Object.fromEntries(
        readings.map((r, i) => [setupReadingId({ ...r, at: r.at ?? `2026-12-01T19:0${i}:00Z` }), { at: `2026-12-01T19:0${i}:00Z`, ...r }]),
      ),
    },
  },
})
const bare = (): Build => ({ ...fullBuild(), setup: { school: 'ordinary', readings: {} } })
const action = (string: number, value: number, fret?: number): SetupReading => ({
  what: 'action',
  string,
  value,
  ...(fret ? { fret } : {}),
})

describe('one model', () => {
  it('says back every number that was read of it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.4, noNaN: true }),
        fc.double({ min: 1.1, max: 2.4, noNaN: true }),
        fc.double({ min: 1.1, max: 2.4, noNaN: true }),
        fc.double({ min: 0.02, max: 0.4, noNaN: true }),
        (relief, treble, bass, left) => {
          const m = setupModel(
            read(bare(), { what: 'relief', value: relief }, action(1, treble), action(6, bass), { what: 'sliver', string: 3, value: left }),
          )
          const [first, third, last] = [m.strings[0]!, m.strings[2]!, m.strings[5]!]
          expect(underEdge(first.neck, 8)).toBeCloseTo(relief, 6)
          expect(actionAt(first.neck, first.saddle, 12)).toBeCloseTo(treble, 6)
          expect(actionAt(last.neck, last.saddle, 12)).toBeCloseTo(bass, 6)
          expect(sliver(third.neck, 3)).toBeCloseTo(left, 6)
        },
      ),
    ))
  it('an open gap read is the gap it has, whatever the action', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.25, max: 0.8, noNaN: true }), fc.double({ min: 1.2, max: 2.2, noNaN: true }), (gap, high) => {
        const m = setupModel(read(bare(), action(1, high), action(6, high), { what: 'gap', string: 2, value: gap }))
        expect(openGap(m.strings[1]!.neck, m.strings[1]!.saddle)).toBeCloseTo(gap, 4)
      }),
    ))
  it('4/64 in over fret 22 with a nut 0.4 mm high is 1.23 mm at fret 12 on a straight neck', () => {
    const b = changed(
      read({ ...bare(), setup: { ...bare().setup, wanted: { relief: 0 } } }, action(1, 1.5875, 22), action(6, 1.5875, 22), {
        what: 'relief',
        value: 0,
      }),
      { 'nut/slot': 0.4 },
    )
    expect(setupModel(b).strings[5]!.action).toBeCloseTo(1.23, 2)
  })
  it('a sliver held at fret 2 becomes the one at 3 by x 1.333 on a straight neck', () => {
    const b = read(bare(), { what: 'relief', value: 0 }, { what: 'sliver', string: 1, value: 0.15, fret: 2 })
    expect(sliver(setupModel(b).strings[0]!.neck, 3)).toBeCloseTo(0.15 * 1.3328, 3)
  })
  it('0.065 to 0.059 in at the bass: the saddle comes down twice the six thou', () => {
    const b = read(changed(bare(), {}, { 'bridge/mount': 'screws' }), action(6, 1.651), action(1, 1.25))
    const school: Build = { ...b, setup: { ...b.setup, school: 'low' } }
    const says = setupResult(school).moves.find((m) => m.id === 'action')!.says
    // 12 thou, 0.305 mm, on a half-millimetre thread: 5/8 turn.
    expect(says).toMatch(/Bass saddle screws 5\/8 turn counter-clockwise/)
  })
})

describe('nut slots', () => {
  it('filed by what it says and read again, a slot is as wanted', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.25, max: 0.5, noNaN: true }), fc.double({ min: 0, max: 0.3, noNaN: true }), (left, relief) => {
        const b = read(bare(), { what: 'relief', value: relief }, { what: 'sliver', string: 4, value: left })
        const before = nutSlots(b, setupModel(b))[3]!
        expect(before.state).toBe('file')
        // Taking h off the slot takes (x3 - x1)/x3 of it off the sliver.
        const x = (n: number) => 1 - 2 ** (-n / 12)
        const then = read(b, { what: 'sliver', string: 4, value: left - (before.file * (x(3) - x(1))) / x(3), at: '2026-12-02T19:00:00Z' })
        expect(nutSlots(then, setupModel(then))[3]!.state).toBe('good')
      }),
    ))
  it('too deep is never told to file', () => {
    const of = (value: number) => {
      const b = read(bare(), { what: 'sliver', string: 1, value })
      return nutSlots(b, setupModel(b))[0]
    }
    expect(of(0.01)).toMatchObject({ state: 'low', says: expect.stringMatching(/Fill/) })
    // Lower than the ordinary school, as the fine one is: nobody fills that.
    expect(of(0.06)).toMatchObject({ state: 'good', says: expect.stringMatching(/lower than ordinary wants.*leave it/) })
  })
  it('equal gaps set thick strings further from their neighbours’ middles; both keep the outer ones', () => {
    const s = slotSpacing(bare())!
    expect(s[0]!.centres).toBeCloseTo(s[0]!.gaps, 9)
    expect(s.at(-1)!.gaps).toBeCloseTo(s.at(-1)!.centres, 9)
    const gap = (i: number) => s[i + 1]!.gaps - s[i]!.gaps - (s[i]!.gauge! + s[i + 1]!.gauge!) / 2
    for (let i = 1; i < s.length - 1; i++) expect(gap(i)).toBeCloseTo(gap(0), 9)
  })
})

describe('buzz', () => {
  const set = (more: Partial<Build['setup']> = {}) => {
    const b = read(bare(), { what: 'relief', value: 0.2 }, action(1, 1.5), action(6, 1.7))
    return { ...b, setup: { ...b.setup, ...more } }
  }
  it('every string at every fret has its place, and a harder attack never makes fewer of them buzz', () => {
    const map = buzzMap(set())
    expect(map.cells).toHaveLength(6 * 22)
    for (const c of map.cells) expect(c.hits).toBeGreaterThan(c.stop)
    expect(buzzMap(set({ attack: 2.5 })).buzzes).toBeGreaterThanOrEqual(map.buzzes)
  })
  it('a high fret is named by whom it stops', () => {
    const b = set({ rocks: { '1-9': 0.3, '6-9': 0.3, '2-12': 0 } })
    expect(highFrets(b)).toEqual([{ fret: 9, by: 0.15, strings: [1, 6] }])
    expect(fretsInTheWay(b)[0]!.fret).toBe(9)
    expect(buzzMap(b).buzzes).toBeGreaterThan(buzzMap(set()).buzzes)
  })
  it('at the lowest action nothing buzzes, and a hair under it something does', () => {
    const b = set()
    const low = lowestActions(b)
    const at = (more: number) => read(b, ...low.map((l) => ({ ...action(l.string, l.action + more), at: '2026-12-03T19:00:00Z' })))
    expect(buzzMap(at(0.002)).buzzes).toBe(0)
    expect(buzzMap(at(-0.02)).buzzes).toBeGreaterThan(0)
  })
  it('the best relief lets the strings lie no higher than any other tried', () => {
    const b = set()
    const best = bestRelief(b)
    for (const relief of [0, 0.1, 0.2, 0.3, 0.4]) {
      const low = lowestActions(b, setupModel(b, { relief }))
      expect(best.bass + best.treble).toBeLessThanOrEqual(low[0]!.action + low[5]!.action + 1e-9)
    }
  })
})

describe('strings and tuning', () => {
  it('six strings on 762 mm at standard with bass gauges are noticed by their pull, and an octave down fits', () => {
    const gauges = Object.fromEntries([0.6, 0.8, 1.0, 1.3, 1.7, 2.1].map((g, i) => [`strings/gauge.${i + 1}`, g]))
    const b = changed({ ...bare(), scale: 762 }, { ...gauges, 'neck/scale': 762, 'strings/wound': 4 })
    expect(tuningSays(b)).toMatch(/would pull \d{3,} N.*These gauges fit an octave down/)
    const octave = { ...b, setup: { ...b.setup, tuning: tuningsFor(6).find((t) => t.name === 'an octave down')! } }
    expect(tuningSays(octave)).toBeUndefined()
  })
  it('a step lower the pull falls to 79.4 %', () => {
    const b = bare()
    const lower = { ...b, setup: { ...b.setup, tuning: tuningsFor(6).find((t) => t.name === 'a step down')! } }
    const sum = (x: Build) => stringPulls(x).reduce((s, p) => s + p.newton, 0)
    expect(sum(lower) / sum(b)).toBeCloseTo(2 ** (-4 / 12), 9)
    expect(2 ** (-4 / 12)).toBeCloseTo(0.794, 3)
  })
  it('twelve strings without core sizes: the thickest are wound, and no octave string becomes so', () => {
    const twelve = [0.25, 0.25, 0.33, 0.33, 0.2, 0.43, 0.3, 0.66, 0.43, 0.91, 0.66, 1.17]
    const plain = structuredClone(bare())
    for (const size of Object.keys(plain.parts.strings!.sizes)) if (size.startsWith('core.')) delete plain.parts.strings!.sizes[size]
    const b = changed(
      { ...plain, strings: 12 },
      { ...Object.fromEntries(twelve.map((g, i) => [`strings/gauge.${i + 1}`, g])), 'strings/wound': 4 },
    )
    expect(
      stringPulls(b)
        .filter((p) => p.wound)
        .map((p) => p.number),
    ).toEqual([8, 10, 11, 12])
    expect(standardTuning(12)).toHaveLength(12)
  })
  it('every tuning there is names a note for every string', () => {
    for (const n of [4, 5, 6, 7, 8, 12]) for (const t of tuningsFor(n)) expect(t.notes, `${n} ${t.name}`).toHaveLength(n)
  })
  it('a compound board carried on to the saddles is flatter there', () => {
    const b = changed(bare(), { 'neck/board.radius': 254, 'neck/board.radiusEnd': 406, 'neck/frets': 22, 'neck/scale': 647.7 })
    // Its radius at the last fret is what is read: 647.7 (1 - 2^(-22/12)) = 465.9 mm from the nut.
    expect(radiusAtSaddles(b)).toBeCloseTo(254 + (152 * 647.7) / 465.94, 2)
  })
})
