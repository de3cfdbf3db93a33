import { describe, expect, it } from 'vitest'
import { dice } from '../../quantity/dice'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import { explained, pairSuspects } from './pairs'
import { TestBench } from './predict'
import { agreement, cabinetOf, type Evidence } from './rank'

const made = harnessOf(wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' }))
if (!made.ok) throw new Error('missing')
const c = cabinetOf(made.harness)
const good = new TestBench(c.harness)
const shut = c.tests.filter((t) => !t.open)
const evidenceOf = (harness: typeof c.harness): Evidence[] => {
  const bench = new TestBench(harness, good)
  return shut.map((t) => ({ test: t.id, outcome: bench.outcome(t) }))
}
const of = (id: string) => c.faults.find((f) => f?.id === id)!

describe('two faults at once', () => {
  it('of one fault no pair is spoken of', () => {
    expect(pairSuspects(c, evidenceOf(of('jack-swapped').apply(c.harness)))).toEqual([])
    expect(pairSuspects(c, [])).toEqual([])
  })
  it('a broken neck coil and a string ground that is off: no single one explains it, the pair does', () => {
    const evidence = evidenceOf(of('coil-open neck').apply(of('open case.1 strings.1').apply(c.harness)))
    expect(explained(c, evidence)).toBe(false)
    const [first] = pairSuspects(c, evidence)
    expect(first!.explains).toBe(evidence.length)
    expect(first!.faults.map((f) => f.id)).toContain('open case.1 strings.1')
  })
  it('of sixty pairs drawn at random, most are among the six, or one that shows the same of every test', () => {
    const next = dice(11)
    const singles = c.faults.flatMap((f, i) =>
      f && shut.some((t) => c.shown[i]![c.tests.indexOf(t)] !== c.shown[0]![c.tests.indexOf(t)]) ? [f] : [],
    )
    let [asked, right] = [0, 0]
    for (let n = 0; n < 60; n++) {
      const [a, b] = [singles[Math.floor(next() * singles.length)]!, singles[Math.floor(next() * singles.length)]!]
      if (a.id === b.id) continue
      const evidence = evidenceOf(b.apply(a.apply(c.harness)))
      if (explained(c, evidence)) continue
      asked++
      const same = pairSuspects(c, evidence).some(
        (p) =>
          p.faults.every((f) => f.id === a.id || f.id === b.id) ||
          evidenceOf(p.faults[1].apply(p.faults[0].apply(c.harness))).every(
            (e, k) => agreement(shut[k]!, 0.02, e.outcome, evidence[k]!.outcome) > 0.5,
          ),
      )
      if (same) right++
    }
    expect(asked).toBeGreaterThan(15)
    // Measured with this seed: 36 of 38.
    expect(right / asked).toBeGreaterThan(0.85)
  })
})
