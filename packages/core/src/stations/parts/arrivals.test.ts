import { describe, expect, it } from 'vitest'
import { fullBuild } from '../../testing/fullBuild'
import { arrivalSteps, shopSteps } from './arrivals'

const TODAY = '2026-11-24'

describe('what is on its way', () => {
  const comes = (arrives?: string) => {
    const b = fullBuild()
    b.parts.guard = { ...b.parts.guard!, state: 'ordered', ...(arrives ? { arrives } : {}) }
    const [step] = arrivalSteps(b, TODAY)
    return { notBefore: step!.notBefore, undated: step!.undated, promised: step!.promised, why: step!.why }
  }
  it('is here not before the day it is promised for, that day included', () => {
    for (const day of [TODAY, '2026-12-01']) expect(comes(day)).toMatchObject({ notBefore: day, undated: undefined, promised: undefined })
  })
  it('once that day is past has none, and keeps it in mind', () => {
    const late = comes('2026-11-23')
    expect(late).toMatchObject({ notBefore: undefined, undated: 'on its way', promised: '2026-11-23' })
    expect(late.why).toMatch(/^It was promised for 23 Nov and is not here: ask for a new day\./)
    expect(comes()).toMatchObject({ notBefore: undefined, undated: 'on its way', promised: undefined })
  })
  it('work at a shop the same', () => {
    const back = (day: string) => shopSteps({ ...fullBuild(), shop: { x: { what: 'tint', price: 40, back: day } } }, TODAY)[0]!
    expect(back('2026-12-01')).toMatchObject({ notBefore: '2026-12-01' })
    expect(back('2026-11-20')).toMatchObject({ undated: 'on its way', promised: '2026-11-20' })
  })
})
