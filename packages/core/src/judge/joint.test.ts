import { describe, expect, it } from 'vitest'
import type { SizeRef } from '../document/read'
import { pt } from '../geometry/point'
import { certain, normal } from '../quantity/distribution'
import { aBuild, aPart } from '../testing/bench'
import { judged, jointOf, sizeText, waitingJoint } from './assemble'
import { check, figureOf, signed, type Check, type Cure } from './joint'
import { amount, gapOf, landing, sizeOr } from './known'
import { isWorse, judge, worst, type Band, type Verdict } from './verdict'

const BANDS: readonly Band[] = [
  { upTo: -0.5, is: 'wont-go' },
  { upTo: 0.05, is: 'tight' },
  { upTo: 0.35, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
const ref = (size: string): SizeRef => ({ slot: 'body', size })
const cure = (id: string): Cure => ({ id, job: id, how: '', gives: 'body', tools: [] })
const a = (id: string, mean: number, sigma = 0.001, more: Partial<Parameters<typeof check>[0]> = {}): Check =>
  check({ id, label: id, clearance: normal(mean, sigma), bands: BANDS, says: (j) => `${id} ${j.verdict}`, reads: [ref(id)], ...more })
const NOTHING = { title: '', marks: [], bounds: { x: 0, y: 0, width: 1, height: 1 }, numbers: [] }
const base = { id: 'j', title: 'J', slots: ['body' as const], at: pt(0, 0), draw: () => NOTHING }

describe('a class', () => {
  it('needs nine tenths, to the last chance: 0.9 is enough, less is not', () => {
    // A normal lies below 1.2816 sigma with nine tenths of its chances.
    const sigma = 0.1
    expect(
      judge(normal(0.05 - 1.2817 * sigma, sigma), [
        { upTo: 0.05, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ]).verdict,
    ).toBe('tight')
    expect(
      judge(normal(0.05 - 1.281 * sigma, sigma), [
        { upTo: 0.05, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ]).verdict,
    ).toBe('cant-tell')
  })
  it('a limit met exactly is the better side’s, whichever side that is; a hundredth beyond it is not', () => {
    const at = (mm: number) => judge(certain(mm), BANDS).verdict
    expect([at(-0.5), at(-0.51), at(0.05), at(0.04), at(0.35), at(0.36)]).toEqual(['tight', 'wont-go', 'snug', 'tight', 'snug', 'loose'])
  })
  it('the same class twice in the bands adds up', () => {
    const bands: Band[] = [
      { upTo: 0, is: 'loose' },
      { upTo: 1, is: 'snug' },
      { upTo: Infinity, is: 'loose' },
    ]
    expect(judge(normal(0.5, 1), bands).chances.loose).toBeCloseTo(0.617, 3)
  })
  it('worst: won’t go, can’t tell, tight, loose, snug', () => {
    const order: Verdict[] = ['snug', 'loose', 'tight', 'cant-tell', 'wont-go']
    for (let i = 0; i < order.length; i++)
      for (let k = 0; k < order.length; k++) {
        expect(isWorse(order[i]!, order[k]!)).toBe(i > k)
        expect(worst([order[i]!, order[k]!])).toBe(order[Math.max(i, k)])
      }
  })
})

describe('a check', () => {
  it('after coats: so much less clearance', () => {
    const c = a('x', 0.2, 0.001, { coats: 0.3 })
    expect([c.raw.verdict, c.coated!.verdict]).toEqual(['snug', 'tight'])
    expect(a('x', 0.2).coated).toBeUndefined()
    expect(a('x', 0.2, 0.001, { coats: 0 }).coated!.verdict).toBe('snug')
  })
  it('known only from listings of a pattern it is never snug or loose; tight and won’t go stay', () => {
    const verdict = (mean: number) => a('x', mean, 0.001, { hearsay: true }).raw.verdict
    expect([verdict(0.2), verdict(1), verdict(0), verdict(-1)]).toEqual(['cant-tell', 'cant-tell', 'tight', 'wont-go'])
  })
  it('its figure is signed, with two decimals below ten and one above', () => {
    expect(figureOf(a('x', 0.2, 0.05))).toEqual({ text: '+0.20', value: 0.2, doubt: 0.1, unit: 'mm' })
    expect(figureOf(a('x', -9.996, 0))!.text).toBe('-10.00')
    expect(figureOf(a('x', 10, 0))!.text).toBe('+10.0')
    expect(figureOf(a('x', -12.34, 0))!.text).toBe('-12.3')
    expect(figureOf(a('x', 1, 0, { shown: certain(7) }))!.value).toBe(7)
    expect(figureOf(a('x', 1, 0, { unit: 'none' }))).toBeUndefined()
  })
  it('nothing has no sign, whichever side it was rounded from', () =>
    expect([signed(0.004), signed(-0.004), signed(0), signed(0.006), signed(-0.006), signed(1.26, 1)]).toEqual([
      '0.00',
      '0.00',
      '0.00',
      '+0.01',
      '-0.01',
      '+1.3',
    ]))
})

describe('a joint of several checks', () => {
  const build = aBuild({ body: aPart('body', { far: [1, 'rule'], near: [1, 'calipers'], said: [1, 'listed', 0.3] }) })
  it('the worst speaks, with its figure, and its cures come first', () => {
    const j = jointOf(build, base, [
      a('fine', 0.2, 0.001, { cures: () => [cure('c1')] }),
      a('close', 0, 0.001, { cures: () => [cure('c2')] }),
      a('wide', 2, 0.001, { cures: () => [cure('c3')] }),
    ])
    expect([j.verdict, j.says, j.figure!.value]).toEqual(['tight', 'close tight', 0])
    expect(j.cures.map((c) => c.id)).toEqual(['c2', 'c1', 'c3'])
  })
  it('of equals the first speaks', () => expect(jointOf(build, base, [a('one', 0), a('two', 0.01)]).says).toBe('one tight'))
  it('after coats only where a check says so, the others as they are', () => {
    expect(jointOf(build, base, [a('x', 0.2), a('y', 0.2)]).coated).toBeUndefined()
    expect(jointOf(build, base, [a('x', 0.2, 0.001, { coats: 0.3 }), a('y', 0.2)]).coated).toBe('tight')
    expect(jointOf(build, base, [a('x', 0.2, 0.001, { coats: 0 }), a('y', -1)]).coated).toBe('wont-go')
  })
  it('each size it reads is named once', () =>
    expect(
      jointOf(build, base, [a('x', 0.2, 0.001, { reads: [ref('p'), ref('q')] }), a('y', 0.2, 0.001, { reads: [ref('q')] })]).reads,
    ).toEqual([ref('p'), ref('q')]))
  it('when it can’t tell, the size with the widest doubt settles it; a listing before a reading of the same doubt, a missing one before all', () => {
    const settles = (...sizes: string[]) => jointOf(build, base, [a('x', 0.05, 0.2, { reads: sizes.map(ref) })]).settles?.size
    expect(settles('near', 'far')).toBe('far')
    expect(settles('far', 'near')).toBe('far')
    expect(settles('far', 'said')).toBe('said')
    expect(settles('said', 'far', 'gone')).toBe('gone')
    expect(jointOf(build, base, [a('x', 0.2, 0.001, { reads: [ref('far')] })]).settles).toBeUndefined()
  })
  it('counts the jobs planned on what it reads, and no others', () => {
    const job = (size: string) => ({ slot: 'body' as const, size, delta: 1, doubt: 0, text: 'x' })
    const planned = { ...build, jobs: { one: job('p'), two: job('z'), three: { ...job('p'), slot: 'neck' as const } } }
    expect(jointOf(planned, base, [a('x', 0.2, 0.001, { reads: [ref('p')] })]).planned).toEqual(['one'])
  })
})

describe('a joint that waits', () => {
  const refs = ['pocket.widthMouth', 'pocket.widthEnd', 'pocket.depth', 'thickness'].map(ref)
  it('names up to three sizes and how many more, and asks for the first', () => {
    const four = waitingJoint(base, refs)
    expect(four.verdict).toBe('cant-tell')
    expect(four.says).toMatch(/^Not known yet: [^,]*\(body\), [^,]*, ?[^,]*\(body\),.* and 1 more\.$|and 1 more\.$/)
    expect(waitingJoint(base, refs.slice(0, 3)).says).not.toMatch(/more/)
    expect(four.settles).toEqual(refs[0])
    expect(four.missing).toEqual(refs)
    expect(waitingJoint(base, []).settles).toBeUndefined()
  })
  it('is judged once all are there', () => {
    const plan = {
      ...base,
      refs: { t: ref('thickness') },
      checks: ({ t }: { t: { value: number } }) => [a('x', t.value)],
      draw: () => NOTHING,
    }
    expect(judged(aBuild({ body: aPart('body', {}) }), plan).missing).toEqual([ref('thickness')])
    expect(judged(aBuild({ body: aPart('body', { thickness: 44 }) }), plan).figure!.value).toBe(44)
  })
})

describe('what is known', () => {
  const build = aBuild(
    { body: aPart('body', { thickness: 44 }) },
    { jobs: { j: { slot: 'body', size: 'pocket.depth', delta: 0.3, doubt: 0.4, text: 'x' } } },
  )
  it('a size that is there, or the usual one with its doubt; planned jobs are done to either', () => {
    expect(sizeOr(build, ref('thickness'), 40, 2)).toMatchObject({ value: 44, known: 'calipers' })
    expect(sizeOr(build, ref('pocket.depth'), 16, 0.3)).toEqual({ value: 16.3, doubt: 0.5, known: 'assumed' })
  })
  it('a gap is the sum of its terms', () => {
    const size = (value: number, doubt: number) => ({ value, doubt, known: 'calipers' as const })
    expect(
      gapOf(
        [
          [1, size(56, 0.06)],
          [-1, size(55, 0.08)],
        ],
        0.5,
      )[0],
    ).toMatchObject({ mean: 1.5, sigma: expect.closeTo(0.05, 12) as number })
  })
  it('a job aims past its limit by 1.35 of what is not known, so that nine in ten land', () => {
    expect(landing(normal(0, 0.03), 0.08)).toBeCloseTo(1.35 * 0.05, 12)
    expect(landing(certain(0), 0)).toBe(0)
  })
  it('amounts have their doubt either side, never below nothing, and none where it would not show', () => {
    expect([amount(0.5, 0.1), amount(0.05, 0.1), amount(0.5, 0.004), amount(0.5, 0.005), amount(2, 0.04, 1)]).toEqual([
      '0.40 to 0.60',
      '0.00 to 0.15',
      '0.50',
      '0.49 to 0.51',
      '2.0',
    ])
  })
  it('a size with its doubt, as tables print it', () =>
    expect(sizeText({ value: 56.1, doubt: 0.05, known: 'calipers' })).toBe('56.1 ±0.05 mm'))
})
