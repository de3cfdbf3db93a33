import { countsOf, evaluate, newBuild, type Build, type MeasureRank } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { nextMeasure } from './next'

const empty = newBuild({ name: 'Trial', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-24')
const calipers = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })
const withPocket: Build = {
  ...empty,
  parts: {
    body: {
      kind: 'body',
      name: 'Body',
      state: 'in hand',
      traits: {},
      sizes: { 'pocket.widthMouth': calipers(56.4), 'pocket.widthEnd': calipers(56.4) },
    },
    neck: {
      kind: 'neck',
      name: 'Neck',
      state: 'in hand',
      traits: {},
      sizes: { 'heel.widthMouth': { value: 56.05, doubt: 0.4, known: 'rule' }, 'heel.widthEnd': calipers(56.1) },
    },
  },
}
const e = (b: Build) => evaluate(b, '2026-11-24')

describe('what the sill offers', () => {
  it('nothing to measure in an empty build', () => expect(nextMeasure(empty, e(empty), undefined)).toBeUndefined())
  it('until the ranking is there, what the first open joint asks for', () => {
    const next = nextMeasure(withPocket, e(withPocket), undefined)!
    expect(next.says).toMatch(/^Measure /)
    expect(next.joint).toBeDefined()
  })
  it('then the first of the ranking', () => {
    const ranked: MeasureRank[] = [
      { ref: { slot: 'neck', size: 'heel.widthMouth' }, gain: 0.4, minutes: 1.5, tool: 'calipers', joints: ['pocket-mouth'] },
    ]
    expect(nextMeasure(withPocket, e(withPocket), ranked)).toEqual({
      joint: 'pocket-mouth',
      ref: ranked[0]!.ref,
      says: 'Measure heel width, at the pocket mouth (neck)',
    })
  })
  it('a ranking that settles nothing is passed over', () => {
    const ranked: MeasureRank[] = [{ ref: { slot: 'neck', size: 'crown' }, gain: 0.0001, minutes: 1, tool: 'rule', joints: [] }]
    expect(nextMeasure(withPocket, e(withPocket), ranked)!.ref.size).not.toBe('crown')
  })
})

describe('counts on the tool roll', () => {
  it('open slots, joints that need a person, missing circuit parts', () => {
    const c = countsOf(empty, e(empty))
    expect(c.parts).toBeGreaterThan(3)
    expect(c.fit).toBe(0)
    // A pickup and a jack are the least a circuit is made of.
    expect(c.wire).toBe(2)
    expect(countsOf(withPocket, e(withPocket)).fit).toBeGreaterThan(0)
  })
})
