import {
  applyChange,
  choosePart,
  jobsLeft,
  judgeJoints,
  mockupSteps,
  setIn,
  setSize,
  stateOf,
  type Build,
  measuringSheet,
  mockupSheet,
  orderSheet,
  rescueSheet,
  unpackingSheet,
} from '@snug/core'
import { sheetHtml } from '@snug/formats'
import { orderFor } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { dunlin, heron } from './index'

const build = heron('2026-11-24', '2027-02-15', '2026-12-05')
const done = (b: Build): Build =>
  mockupSteps(b).reduce(
    (all, s) =>
      applyChange(
        all,
        setIn(all, 'mockup', s.id, { outcome: s.ref ? 'measured' : 'goes', at: '2026-11-24T20:00:00Z', basis: s.basis }, s.title),
      ),
    b,
  )
const states = (b: Build) => Object.fromEntries(mockupSteps(b).map((s) => [s.id, stateOf(s, b.mockup?.[s.id])]))

describe('mock-up sheet', () => {
  it('starts with the bare neck and ends on the strap, one measurement at a time', () => {
    const ids = mockupSteps(build).map((s) => s.id)
    expect(ids[0]).toBe('pocket-mouth')
    expect(ids.at(-1)).toBe('hang')
    expect(ids.indexOf('neck-in')).toBeLessThan(ids.indexOf('bridge-on'))
    expect(ids.indexOf('pickups-in')).toBeLessThan(ids.indexOf('guard-on'))
    expect(mockupSteps(build).some((s) => /press/.test(s.how) && !/without pressing|nothing pressed|hand press/.test(s.how))).toBe(false)
  })
  it('changing the bridge makes only what read it stale', () => {
    const tried = done(build)
    expect(Object.values(states(tried)).every((s) => s === 'done')).toBe(true)
    const other = { ...build.parts.bridge!, name: 'Another vibrato' }
    const after = states(applyChange(tried, choosePart(tried, 'bridge', other)))
    expect(after['bridge-on']).toBe('stale')
    expect(after['low-enough']).toBe('stale')
    expect(after['neck-in']).toBe('done')
    expect(after['pickups-in']).toBe('done')
    expect(after['truss']).toBe('done')
  })
  it('measuring again keeps the reading and re-opens what stood on it', () => {
    const tried = done(build)
    const after = states(
      applyChange(tried, setSize(tried, { slot: 'body', size: 'pocket.widthMouth' }, { value: 56.7, doubt: 0.05, known: 'calipers' })),
    )
    expect(after['pocket-mouth']).toBe('done')
    expect(after['neck-in']).toBe('stale')
    expect(after['guard-on']).toBe('done')
  })
  it('what a build has not is not asked for', () => {
    const ids = mockupSteps(dunlin('2026-11-24', '2027-02-15', '2026-12-13')).map((s) => s.id)
    expect(ids).not.toContain('guard-on')
    expect(ids).toContain('hang')
  })
  it('leaves the jobs of wood and plastic', () => {
    const jobs = jobsLeft(judgeJoints(build))
    expect(jobs.map((j) => j.joint.id)).toContain('pocket-mouth')
    expect(jobs.every((j) => j.job.length > 10)).toBe(true)
  })
})

describe('printed sheets', () => {
  it('hold what they promise and no markup from a part’s name', () => {
    const sly = structuredClone(build)
    sly.parts.guard!.name = '<script>alert(1)</script>'
    const order = orderFor(sly.parts.guard!, undefined, '2026-11-24')
    const paper = [
      unpackingSheet(sly),
      orderSheet(sly, 'guard', order),
      mockupSheet(sly),
      measuringSheet('neck'),
      rescueSheet(['coil'], 60, 180, 'EUR'),
    ]
    for (const html of paper.map(sheetHtml)) {
      expect(html).toMatch(/^<!doctype html>/)
      expect(html).not.toMatch(/<script/i)
    }
    expect(sheetHtml(orderSheet(sly, 'guard', order))).toMatch(/Revision 1[\s\S]*<svg[\s\S]*Neck pickup opening, centre/)
    expect(sheetHtml(measuringSheet('neck'))).toMatch(/Heel width, at the pocket mouth/)
    expect(sheetHtml(rescueSheet(['coil'], 60, 180, 'EUR'))).toMatch(/Ohms at the jack/)
  })
})
