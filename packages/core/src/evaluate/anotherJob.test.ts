import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange } from '../document/change'
import { putOnPile } from '../document/box'
import type { Slot } from '../parts/slots'
import { spending } from '../parts/spending'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { fullBuild } from '../testing/fullBuild'
import { undrilled } from '../testing/undrilled'
import { anotherJob } from './anotherJob'
import { evaluate } from './evaluate'

const TODAY = '2027-03-02'
const finished = (build: Build): Build => ({
  ...build,
  steps: Object.fromEntries(evaluate(build, '2026-12-01').plan.steps.map((s) => [s.id, { done: '2026-12-20T18:00:00+01:00' }])),
})

describe('an instrument that comes back', () => {
  it('is whole: nothing is drilled, mounted or coated, every size that was read is known', () => {
    for (const make of everyMake()) {
      const first = finished(undrilled(drillable(make), 0b101101))
      const again = anotherJob(first, TODAY)
      const { plan, drill, failed } = evaluate(again, TODAY)
      expect(failed).toEqual({})
      expect(drill.filter((c) => c.work === 'new').map((c) => c.id)).toEqual([])
      const open = plan.steps.filter((s) => s.state !== 'done' && s.stage !== 'strings').map((s) => s.id)
      expect(open).toEqual(['say-changed'])
      for (const [slot, part] of Object.entries(again.parts)) expect(part.sizes).toEqual(first.parts[slot as Slot]!.sizes)
    }
  })
  it('costs nothing yet, is due on no day, and what was noted, left out and found then is not of now', () => {
    const first: Build = {
      ...finished(fullBuild()),
      due: '2026-12-24',
      budget: 400,
      plan: {
        noted: { action: '2026-11-01' },
        leftOut: { shield: '2026-11-02' },
        cutOff: 1300,
        booked: { solder: { by: 'Ansel', on: '2026-12-03' } },
      },
      circuit: { ...fullBuild().circuit, complaints: { hum: '2026-12-21' }, leads: { 'neck-a.start': 'red' } },
    }
    first.parts.tuners = { ...first.parts.tuners!, price: 40, seller: 'Capstan Hardware' }
    const again = anotherJob(first, TODAY)
    expect(spending(again)).toMatchObject({ planned: 0, paid: 0, unpriced: 0 })
    expect(again).toMatchObject({ name: `${first.name}, another job`, job: 'upgrade', plan: { cutOff: 1300 } })
    expect(again.plan).not.toHaveProperty('noted')
    expect(again).not.toHaveProperty('due')
    expect(again.circuit).toMatchObject({ leads: { 'neck-a.start': 'red' } })
    expect(again.circuit).not.toHaveProperty('complaints')
  })
  it('keeps the film that was laid, and has none that was only planned', () => {
    const painted: Build = { ...fullBuild(), finish: { ...fullBuild().finish, system: 'lacquer' } }
    expect(anotherJob(painted, TODAY).finish.system).toBe('none')
    const again = anotherJob(finished(painted), TODAY)
    expect(again.finish.system).toBe('lacquer')
    expect(evaluate(again, TODAY).plan.steps.filter((s) => s.stage === 'film' && s.state !== 'done')).toEqual([])
  })
  it('another pickup is the only work, measured against the route that is known', () => {
    const again = anotherJob(finished(fullBuild()), TODAY)
    const then = applyChange(again, putOnPile(again, ['pickup-neck'], 'apart'))
    const { plan, fit } = evaluate(then, TODAY)
    const ids = plan.steps.filter((s) => s.state !== 'done').map((s) => s.id)
    expect(ids).toEqual(expect.arrayContaining(['solder', 'meter-check', 'close-guard', 'string-up']))
    for (const id of ['hardware', 'neck-on', 'trial-build', 'nut-on']) expect(ids).not.toContain(id)
    expect(fit.find((j) => j.id === 'room-neck')!.missing.every((r) => r.slot === 'pickup-neck')).toBe(true)
  })
})
