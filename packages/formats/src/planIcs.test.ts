import { evaluate } from '@snug/core'
import { changed, fullBuild } from '@snug/core/testing/fullBuild'
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { planIcs } from './planIcs'

const TODAY = '2026-11-24'
const MADE = new Date('2026-11-24T18:00:00Z')
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[] as never).getAllSubcomponents('vevent').map((v) => new ICAL.Event(v))

describe('the plan as a calendar', () => {
  const { steps } = evaluate(changed(fullBuild(), {}, {}), TODAY).plan
  const made = planIcs('Heron', steps, MADE)
  const events = made.ok ? read(made.text) : []
  it('read by another program: an entry for every open step that has a day, under its name', () => {
    expect(made.ok).toBe(true)
    expect(events.map((e) => e.summary)).toEqual(steps.filter((s) => s.date && s.state !== 'done').map((s) => s.title))
  })
  it('each begins on its own evening and lasts its minutes', () => {
    for (const s of steps.filter((x) => x.date && !x.calendar)) {
      const e = events.find((x) => x.summary === s.title)!
      expect(e.startDate.toString().slice(0, 10), s.id).toBe(s.date)
      expect(e.duration.toSeconds() / 60, s.id).toBe(Math.max(5, Math.round(s.minutes)))
      expect(e.startDate.hour).toBeGreaterThanOrEqual(19)
    }
  })
  it('coats over several evenings stand as whole days from first to last', () => {
    const coats = steps.find((s) => s.calendar)!
    const e = events.find((x) => x.summary === coats.title)!
    expect(e.startDate.isDate).toBe(true)
    expect(e.startDate.toString()).toBe(coats.date)
  })
  it('what is only a bound says so', () => {
    const b = structuredClone(fullBuild())
    Object.assign(b.parts.neck!, { state: 'ordered' })
    delete b.parts.neck!.arrives
    const bound = planIcs('x', evaluate(b, TODAY).plan.steps, MADE)
    expect(bound.ok && bound.text.replace(/\r\n[ \t]/g, '')).toMatch(/Not before this day/)
  })
  it('without a free evening it says what is missing', () => {
    const none = planIcs('x', evaluate({ ...fullBuild(), evenings: [0, 0, 0, 0, 0, 0, 0] }, TODAY).plan.steps, MADE)
    expect(none).toMatchObject({ ok: false, why: expect.stringMatching(/which evenings are free/) as string })
  })
})
