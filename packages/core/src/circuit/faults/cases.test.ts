import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import { checkList, fits } from './checkList'
import { hunt } from './hunt'
import { agreement, cabinetOf, suspects, type Cabinet, type Evidence } from './rank'
import { answer, roundOf, scored } from './trainer'

const made = (w: Parameters<typeof wirable>[0]) => {
  const found = harnessOf(wirable(w))
  if (!found.ok) throw new Error('missing')
  return found.harness
}
const TRIO = made({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' })
const PAIR = made({ places: ['neck', 'bridge'], contacts: 'toggle-3' })
const HUM = made({ places: ['neck', 'bridge'], contacts: 'toggle-3', two: ['neck', 'bridge'], leads: 'four' })
const first = (c: Cabinet, evidence: Evidence[]) => suspects(c, evidence)[0]!
const ids = (s: ReturnType<typeof first>) => [s.fault?.id, ...s.alike.map((f) => f.id)]
const STRINGS = { tip: 'ohms jack.tip strings.1 ', sleeve: 'ohms jack.sleeve strings.1 ' }
const trio = cabinetOf(TRIO)
const pair = cabinetOf(PAIR)
const hum = cabinetOf(HUM)
const shownOf = (c: Cabinet, fault: string, test: string) =>
  c.shown[c.faults.findIndex((f) => f?.id === fault)]![c.tests.findIndex((t) => t.id === test)]

describe('what is known of faults', () => {
  it('buzz that grows on touching metal, signal there, tip to strings 0.2 ohm, sleeve to strings kilohms: tip and sleeve are swapped', () => {
    const s = first(trio, [
      { test: 'touch', outcome: 'rises' },
      { test: 'strum 1', outcome: 'as it should' },
      { test: STRINGS.tip, outcome: 0.2 },
      { test: STRINGS.sleeve, outcome: 8650 },
    ])
    expect(ids(s)).toContain('jack-swapped')
  })
  it('loud hum, hardly any signal, open at the jack: the sleeve’s lead is off', () => {
    const s = first(trio, [
      { test: 'strum 1', outcome: 'thin' },
      { test: 'ohms jack.tip jack.sleeve 1', outcome: Infinity },
      { test: STRINGS.sleeve, outcome: Infinity },
    ])
    expect(ids(s)).toContain('open case.1 jack.sleeve')
  })
  it('touching the strings changes nothing and sleeve to strings is open: the string ground', () => {
    const s = first(trio, [
      { test: 'touch', outcome: 'stays the same' },
      { test: STRINGS.sleeve, outcome: Infinity },
      { test: 'strum 1', outcome: 'as it should' },
      { test: 'ohms jack.tip jack.sleeve 1', outcome: 8650 },
    ])
    expect(ids(s)).toContain('open case.1 strings.1')
  })
  it('a humbucker with its link on ground: half the resistance', () => {
    // 8.8 k: one coil of 4.4 beside 500 k.
    const s = first(hum, [{ test: 'ohms jack.tip jack.sleeve 1', outcome: 1 / (1 / 4400 + 1 / 500e3) }])
    expect(ids(s)).toContain('link-grounded bridge')
  })
  it('one pickup turned over: thin together, readings as they should be', () => {
    expect(shownOf(pair, 'reversed neck', 'strum 2')).toBe('thin')
    expect(shownOf(pair, 'reversed neck', 'strum 3')).toBe('as it should')
    const s = first(pair, [
      { test: 'strum 2', outcome: 'thin' },
      { test: 'ohms jack.tip jack.sleeve 2', outcome: 1 / (1 / 7400 + 1 / 8800 + 1 / 500e3) },
    ])
    expect(ids(s).some((id) => id!.startsWith('reversed'))).toBe(true)
  })
  it('the volume falls as the tone is turned: the capacitor is shorted', () => {
    expect(shownOf(trio, 'cap-short cap', 'turn tone')).toBe('kills it')
    expect(ids(first(trio, [{ test: 'turn tone', outcome: 'kills it' }]))).toContain('cap-short cap')
  })
  it('positions in the wrong order: the switch is wired from its other side', () => {
    const s = first(trio, [
      { test: 'tap neck 1', outcome: 'thumps' },
      { test: 'tap bridge 1', outcome: 'nothing' },
      { test: 'tap bridge 5', outcome: 'thumps' },
    ])
    expect(ids(s)).toContain('switch-mirrored')
  })
  it('a 50 k tone pot fitted as the volume: dark, low', () => {
    expect(shownOf(trio, 'pot-wrong volume 50000', 'strum 1')).toMatch(/dull|weak/)
    // 8.8 k and 7.4 k beside 50 k. The first alone is also what the neck reads, two positions mixed up.
    const s = first(trio, [
      { test: 'ohms jack.tip jack.sleeve 1', outcome: 1 / (1 / 8800 + 1 / 50e3) },
      { test: 'ohms jack.tip jack.sleeve 5', outcome: 1 / (1 / 7400 + 1 / 50e3) },
    ])
    expect(ids(s)).toContain('pot-wrong volume 50000')
  })
  it('a wiper that touches nothing is told from its wire being off: along the wire it beeps', () => {
    const ends = trio.tests.find((t) => t.id === 'ohms volume.2 jack.tip ends')!
    expect([shownOf(trio, 'track-open volume', ends.id), shownOf(trio, 'open jack.tip volume.2', ends.id)]).toEqual([0, Infinity])
    const evidence: Evidence[] = [
      { test: 'ohms jack.tip jack.sleeve 1', outcome: Infinity },
      { test: ends.id, outcome: 0 },
      { test: STRINGS.sleeve, outcome: 0 },
    ]
    expect(ids(first(trio, evidence))).toContain('track-open volume')
  })
  it('a good guitar hums less when its strings are touched', () =>
    expect(trio.shown[0]![trio.tests.findIndex((t) => t.id === 'touch')]).toBe('falls'))
  it('all as it should be: nothing is suspected first', () => {
    const evidence = trio.tests.map((t, k): Evidence => ({ test: t.id, outcome: trio.shown[0]![k]! }))
    expect(suspects(trio, evidence)[0]!.fault).toBeUndefined()
  })
})

describe('the check before closing', () => {
  it.each([
    ['three on five', trio],
    ['two on a toggle', pair],
    ['two humbuckers', hum],
  ] as const)('%s: finds every fault that any test can find, and no line is idle', (_, c) => {
    const list = checkList(c)
    const apart = (i: number, k: number) => agreement(c.tests[k]!, c.spread[k]!, c.shown[i]![k]!, c.shown[0]![k]!) < 0.2
    for (let i = 1; i < c.faults.length; i++) {
      const findable = c.tests.some((_t, k) => apart(i, k))
      expect(
        list.some((l) => apart(i, c.tests.indexOf(l.test))),
        c.faults[i]!.id,
      ).toBe(findable)
    }
    for (const l of list) expect(l.finds).toBeGreaterThan(0)
    expect(list.length).toBeLessThan(c.tests.length / 2)
  })
  it.each([
    [{ should: 8000, spread: 0.02 }, 8310, true],
    [{ should: 8000, spread: 0.02 }, 8330, false],
    [{ should: 0, spread: 0.02 }, 1.5, true],
    [{ should: 0, spread: 0.02 }, 3, false],
    [{ should: Infinity, spread: 0.02 }, 1e8, true],
    [{ should: 8000, spread: 0.02 }, 1e8, false],
    [{ should: 'thumps', spread: 0 }, 'faint', false],
  ] as const)('%j and %j', (line, found, is) => expect(fits(line, found)).toBe(is))
  it('says beep, ohms or silence', () => {
    const list = checkList(trio)
    const says = (id: string) =>
      hunt(wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' }), [])!.checks.find((x) => x.test.id === id)?.expect
    expect(list.map((l) => l.expect).every((e) => e.length > 3)).toBe(true)
    expect(says(STRINGS.sleeve) ?? 'a beep: under 2 Ω').toBe('a beep: under 2 Ω')
  })
})

describe('the trainer', () => {
  it('a round is the same whenever its seed is given, and rounds differ', () => {
    const rounds = Array.from({ length: 40 }, (_, seed) => roundOf(trio, seed).hidden)
    expect(rounds).toEqual(Array.from({ length: 40 }, (_, seed) => roundOf(trio, seed).hidden))
    expect(new Set(rounds).size).toBeGreaterThan(15)
    for (const t of trio.tests) expect(answer(trio, roundOf(trio, 7), t.id)).toEqual(answer(trio, roundOf(trio, 7), t.id))
  })
  it('what told says what came and what belongs there', () => {
    const hidden = trio.faults.findIndex((f) => f?.id === 'open jack.tip volume.2')
    const seed = Array.from({ length: 4000 }, (_, n) => n).find((n) => roundOf(trio, n).hidden === hidden)!
    const asked = ['ohms jack.tip jack.sleeve 1', 'strum 1', 'tap neck 1']
    const { explains } = scored(trio, roundOf(trio, seed), asked, 'nothing', 3)
    // Neck and bridge alone in position 1: the neck is silent there also where all is well, and tells nothing.
    expect(explains.slice(2)).toEqual([
      expect.stringMatching(
        /^Meter from tip to sleeve in position 1, knobs at 10: an open line\. All being well: 8\.6\d k ±\d+ Ω, no beep\.$/,
      ),
      'Strum in position 1, knobs at 10: dead. All being well: every string full and clear.',
    ])
  })
  it('who names it is right, who names another is not; fewer minutes are more points', () => {
    const round = roundOf(trio, 3)
    const asked = trio.tests.slice(0, 4).map((t) => t.id)
    const id = trio.faults[round.hidden]!.id
    expect(scored(trio, round, asked, id, 3)).toMatchObject({ right: true, tests: 4 })
    expect(scored(trio, round, asked, 'nothing', 3)).toMatchObject({ right: false, points: 0 })
    const long = trio.tests.map((t) => t.id)
    expect(scored(trio, round, long, id, 3).points).toBeLessThan(scored(trio, round, asked, id, 3).points)
  })
})
