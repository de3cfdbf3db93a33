import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { addDays } from '../quantity/days'
import { fullBuild } from '../testing/fullBuild'
import { toOrder } from './wanted'

const TODAY = '2026-11-24'
const planned = (...slots: ('tuners' | 'bridge' | 'strings')[]): Build => {
  const b = structuredClone(fullBuild())
  for (const slot of slots) b.parts[slot]!.state = 'planned'
  return b
}

describe('what is still to be ordered', () => {
  it('each with the first step that wants it, and the last day that leaves two to look it over', () => {
    const b = planned('tuners', 'bridge')
    const { plan } = evaluate(b, TODAY)
    const found = toOrder(b, plan, (slot) => (slot === 'bridge' ? 10.2 : undefined))
    const wants = (slot: string) => plan.steps.find((s) => s.stage !== 'parcel' && (s.slot === slot || s.slots?.includes(slot as never)))!
    expect(found.find((w) => w.slot === 'bridge')).toMatchObject({
      by: wants('bridge').date,
      step: wants('bridge').title,
      // 10.2 days are eleven, and two to look it over.
      orderBy: addDays(wants('bridge').date!, -13),
    })
    expect(found.find((w) => w.slot === 'tuners')).not.toHaveProperty('orderBy')
  })
  it('nothing that is ordered or here, and what no step names by hardware or strings', () => {
    expect(toOrder(fullBuild(), evaluate(fullBuild(), TODAY).plan, () => 5)).toEqual([])
    const b = planned('strings')
    const [strings] = toOrder(b, evaluate(b, TODAY).plan, () => 0)
    expect(strings!.step).toMatch(/String up|[Ww]ind|wrap/)
  })
})
