import { describe, expect, it } from 'vitest'
import type { Build, MockupResult } from '../../document/build'
import { untold } from '../../testing/anyBuild'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeJoints } from '../findJoints'
import { jobsLeft, mockupSteps, stateOf } from './mockup'

const step = (b: Build, id: string) => mockupSteps(b).find((s) => s.id === id)!
const noted = (b: Build, id: string): MockupResult => ({ outcome: 'goes', at: '2026-11-24T20:00:00Z', basis: step(b, id).basis })

describe('mock-up sheet', () => {
  const full = fullBuild()
  it('goes from the bare neck to the strap, and measures before it tries', () => {
    const ids = mockupSteps(full).map((s) => s.id)
    expect(ids[0]).toBe('pocket-mouth')
    expect(ids.at(-1)).toBe('hang')
    for (const [first, then] of [
      ['pocket-mouth', 'neck-in'],
      ['neck-in', 'bridge-on'],
      ['bridge-on', 'strings-line'],
      ['strings-line', 'low-enough'],
      ['pickups-in', 'guard-on'],
      ['guard-on', 'controls-in'],
      ['housing', 'tuners-in'],
    ] as const)
      expect(ids.indexOf(first), `${first} before ${then}`).toBeLessThan(ids.indexOf(then))
  })
  it('asks for nothing the build has no part for', () => {
    const ids = mockupSteps(without(full, 'guard', 'tuners')).map((s) => s.id)
    expect(ids).not.toContain('guard-on')
    expect(ids).not.toContain('housing')
    expect(mockupSteps(without(full, 'body')).map((s) => s.id)).not.toContain('neck-in')
  })
  it('looks through body and plate at the heel’s holes where both are drilled or nobody has said; never where they are to be marked', () => {
    const has = (body?: string, neck?: string) => {
      const traits = { ...(body ? { 'body/bored.neck': body } : {}), ...(neck ? { 'neck/pilots': neck } : {}) }
      return mockupSteps(changed(untold(untold(full, 'traits', 'body', 'bored.neck'), 'traits', 'neck', 'pilots'), {}, traits)).some(
        (s) => s.id === 'neck-holes',
      )
    }
    expect([has('drilled', 'drilled'), has(), has('drilled', 'none'), has('none', 'drilled')]).toEqual([true, true, false, false])
    expect(mockupSteps(changed(full, {}, { 'neck/joint': 'set' })).map((s) => s.id)).not.toContain('neck-holes')
  })
  it('never asks to press bushings in', () => {
    const words = mockupSteps(full)
      .map((s) => s.how)
      .join(' ')
    expect(words).toMatch(/nothing pressed/)
    expect(words).not.toMatch(/hammer (the|it)/)
  })
  it('every step settles joints that are there, with words to do it by', () => {
    const there = new Set(judgeJoints(full).map((j) => j.id))
    for (const s of mockupSteps(full)) {
      expect(s.how.length, s.id).toBeGreaterThan(10)
      expect(s.joints.length, s.id).toBeGreaterThan(0)
      for (const j of s.joints) expect(there.has(j), `${s.id}: ${j}`).toBe(true)
    }
  })
  it('open, done, and stale once something it stood on has changed', () => {
    const result = noted(full, 'neck-in')
    expect(stateOf(step(full, 'neck-in'), undefined)).toBe('open')
    expect(stateOf(step(full, 'neck-in'), result)).toBe('done')
    expect(stateOf(step(changed(full, { 'neck/heel.widthMouth': 56.5 }), 'neck-in'), result)).toBe('stale')
  })
  it('a trait said otherwise makes it stale like a size', () => {
    const result = noted(full, 'bridge-on')
    expect(stateOf(step(full, 'bridge-on'), result)).toBe('done')
    expect(stateOf(step(changed(full, {}, { 'bridge/mount': 'double-locking' }), 'bridge-on'), result)).toBe('stale')
  })
  it('another bridge makes only what reads the bridge stale', () => {
    const results = Object.fromEntries(mockupSteps(full).map((s) => [s.id, noted(full, s.id)]))
    const other = { ...full, parts: { ...full.parts, bridge: { ...full.parts.bridge!, name: 'another bridge' } } }
    const stale = mockupSteps(other)
      .filter((s) => stateOf(s, results[s.id]) === 'stale')
      .map((s) => s.id)
    expect(stale).toContain('bridge-on')
    expect(stale).toContain('low-enough')
    for (const id of ['pocket-mouth', 'neck-in', 'truss', 'tuners-in', 'housing']) expect(stale).not.toContain(id)
  })
  it('a size read again with the same value stays done; its own reading never makes it stale', () => {
    const result = noted(full, 'pocket-mouth')
    expect(stateOf(step(changed(full, { 'body/pocket.widthMouth': 57 }), 'pocket-mouth'), result)).toBe('done')
  })
  it('afterwards the jobs that remain, those of joints that do not go', () => {
    const tight = changed(full, { 'body/pocket.widthMouth': 56, 'guard/pot.hole': 8 })
    const jobs = jobsLeft(judgeJoints(tight))
    // Both pots ask for the same bore.
    expect(jobs.map((j) => [j.joint.id, ...j.alsoFor.map((o) => o.id)])).toEqual(
      expect.arrayContaining([['pocket-mouth'], ['pot-volume', 'pot-tone']]),
    )
    expect(jobs.find((j) => j.joint.id === 'pocket-mouth')!.job).toBe(jointIn(tight, 'pocket-mouth').cures[0]!.job)
    expect(jobsLeft(judgeJoints(full))).toEqual([])
  })
})
