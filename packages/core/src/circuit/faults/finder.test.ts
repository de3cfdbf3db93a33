import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { PAIR, TRIO, HUM } from '../../testing/wirings'
import { harnessOf } from '../schemes/harnessOf'
import type { Outcome } from './benchTests'
import { nextTest } from './nextTest'
import { cabinetOf, suspects, type Cabinet, type Evidence } from './rank'

type Wanted = Parameters<typeof wirable>[0]
const WIRINGS: Record<string, Wanted> = {
  'one pickup': { places: ['bridge'] },
  'two on a toggle': PAIR,
  'two volumes, no selector': { places: ['neck', 'bridge'], second: true },
  'two volumes, coupled': { ...PAIR, second: true, options: { volumes: 'two' } },
  'two volumes, independent': { ...PAIR, second: true, options: { volumes: 'two', style: 'independent' } },
  'two on a lever of three': { ...PAIR, contacts: 'lever-3' },
  'two on a lever of five': { ...PAIR, contacts: 'lever-5' },
  'one or the other on a slide': { ...PAIR, contacts: 'slide' },
  'two on four': { ...PAIR, contacts: 'lever-4' },
  'two humbuckers on four poles': { ...HUM, contacts: 'lever-5x4' },
  'humbuckers parted by a pulled knob': { ...HUM, pull: true, options: { pull: 'split' } },
  'a second circuit': { ...PAIR, second: true, options: { preset: 'neck' } },
  'two active': { ...PAIR, active: ['neck', 'bridge'] },
  'a rotary of tones': { ...PAIR, rotary: true, options: { tone: 'rotary' } },
  'three on five': TRIO,
  'three on three': { ...TRIO, contacts: 'lever-3' },
  'three on a toggle, the middle mixed in': { ...TRIO, contacts: 'toggle-3', second: true },
  'three on a rotary': { ...TRIO, contacts: 'rotary-6' },
  'two on a rotary': { ...PAIR, contacts: 'rotary-5' },
  'humbuckers and a single, tapped': { ...TRIO, two: ['neck', 'bridge'], leads: 'four', contacts: 'lever-5x4', options: { tap: 'tap' } },
}
const cabinet = (w: Wanted): Cabinet => {
  const made = harnessOf(wirable(w))
  if (!made.ok) throw new Error(made.says ?? 'missing')
  return cabinetOf(made.harness)
}
/** A noise that repeats: a linear congruence, near enough to normal by adding four. */
const noise = (seed: number) => {
  let s = seed
  const next = () => (s = (s * 1664525 + 1013904223) % 4294967296) / 4294967296
  return () => (next() + next() + next() + next() - 2) * Math.sqrt(3)
}
const read = (shown: Outcome, gauss: () => number): Outcome =>
  typeof shown === 'number' && Number.isFinite(shown) ? shown * (1 + 0.02 * gauss()) : shown
const names = (s: { fault?: { id: string }; alike: { id: string }[] }) => [s.fault?.id ?? 'nothing', ...s.alike.map((f) => f.id)]

/** How it went with one fault: after the whole check list, and by following the next tests. */
function hunted(c: Cabinet, i: number, begin: ReturnType<typeof nextTest>): { third: boolean; named: boolean; tests: number } {
  const id = c.faults[i]?.id ?? 'nothing'
  const gauss = noise(i + 1)
  const outcome = (k: number) => read(c.shown[i]![k]!, gauss)
  const all = c.tests.map((t, k): Evidence => ({ test: t.id, outcome: outcome(k) }))
  const third = suspects(c, all)
    .slice(0, 3)
    .some((s) => names(s).includes(id))
  const evidence: Evidence[] = []
  for (let next = begin; next && evidence.length < 40; next = nextTest(c, evidence)) {
    const k = c.tests.indexOf(next.test)
    evidence.push({ test: next.test.id, outcome: outcome(k) })
    const [first] = suspects(c, evidence)
    if (first!.fault && first!.chance > 0.98) break
  }
  return { third, named: names(suspects(c, evidence)[0]!).includes(id), tests: evidence.length }
}

describe.each(Object.entries(WIRINGS))('every single fault of %s', (_, wanted) => {
  const c = cabinet(wanted)
  const begin = nextTest(c, [])
  const went = c.faults.map((_f, i) => hunted(c, i, begin))
  const share = (of: (w: (typeof went)[number]) => boolean) => went.filter(of).length / went.length
  const missed = (of: (w: (typeof went)[number]) => boolean) =>
    went.flatMap((w, i) => (of(w) ? [] : [c.faults[i]?.id ?? 'nothing'])).join('; ')
  it('is among the first three once the whole check list is done, in 95 of 100', () =>
    expect(
      share((w) => w.third),
      missed((w) => w.third),
    ).toBeGreaterThanOrEqual(0.95))
  it('is named, alone or with what only an iron can part, by following the next tests, in 95 of 100', () =>
    expect(
      share((w) => w.named),
      missed((w) => w.named),
    ).toBeGreaterThanOrEqual(0.95))
  it('takes a dozen tests or fewer, as a rule', () =>
    expect(went.map((w) => w.tests).toSorted((a, b) => a - b)[Math.floor(went.length / 2)]).toBeLessThanOrEqual(12))
})
