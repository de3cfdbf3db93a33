import { describe, expect, it } from 'vitest'
import type { SizeRef } from '../document/read'
import { pt } from '../geometry/point'
import { certain, normal } from '../quantity/distribution'
import { aBuild, aPart } from '../testing/bench'
import { Asker } from './ask'
import { asData } from './judgedCheck'
import { judged, jointOf, sizeText } from './assemble'
import { figureOf, signed, type Check, type Cure, type Question } from './joint'
import { amount, gapOf, landing, sizeIn, sizeToDraw, traitIn } from './known'
import { isWorse, judge, worst, type Band, type Verdict } from './verdict'

const BANDS: readonly Band[] = [
  { upTo: -0.5, is: 'wont-go' },
  { upTo: 0.05, is: 'tight' },
  { upTo: 0.35, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
const ref = (size: string): SizeRef => ({ slot: 'body', size })
const cure = (id: string): Cure => ({ id, job: id, how: '', gives: 'body', tools: [] })
const asks = (id: string, mean: number, sigma = 0.001, more: Partial<Question> = {}): Question => ({
  id,
  label: id,
  clearance: normal(mean, sigma),
  bands: BANDS,
  says: (j) => `${id} ${j.verdict}`,
  ...more,
})
/** A judged check, as if it had read these sizes. */
const a = (
  id: string,
  mean: number,
  sigma = 0.001,
  { reads = [ref(id)], ...more }: Partial<Question> & { reads?: SizeRef[] } = {},
): Check => ({
  ...asData(new Asker(aBuild({})).judge(() => asks(id, mean, sigma, more))[0]!),
  reads,
})
const NOTHING = { title: '', marks: [], bounds: { x: 0, y: 0, width: 1, height: 1 }, numbers: [] }
const base = { id: 'j', title: 'J', slots: ['body' as const], at: () => pt(0, 0), draw: () => NOTHING }

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
  it('worst: won’t go, tight, can’t tell, loose, snug', () => {
    const order: Verdict[] = ['snug', 'loose', 'cant-tell', 'tight', 'wont-go']
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
    const verdict = (mean: number) => a('x', mean, 0.001, { hearsay: 'heard' }).raw.verdict
    expect([verdict(0.2), verdict(1), verdict(0), verdict(-1)]).toEqual(['cant-tell', 'cant-tell', 'tight', 'wont-go'])
  })
  it('its figure is signed, with two decimals below ten and one above', () => {
    expect(figureOf(a('x', 0.2, 0.05))).toEqual({ text: '+0.20', value: 0.2, doubt: 0.1, unit: 'mm' })
    expect(figureOf(a('x', -9.996, 0))!.text).toBe('−10.00')
    expect(figureOf(a('x', 10, 0))!.text).toBe('+10.0')
    expect(figureOf(a('x', -12.34, 0))!.text).toBe('−12.3')
    expect(figureOf(a('x', 1, 0, { shown: certain(7) }))!.value).toBe(7)
    expect(figureOf(a('x', 1, 0, { unit: 'none' }))).toBeUndefined()
  })
  it('nothing has no sign, whichever side it was rounded from', () =>
    expect([signed(0.004), signed(-0.004), signed(0), signed(0.006), signed(-0.006), signed(1.26, 1)]).toEqual([
      '0.00',
      '0.00',
      '0.00',
      '+0.01',
      '−0.01',
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

describe('a check asked of parts of which not all is known', () => {
  const thickness = ref('thickness')
  const over = (bands: readonly Band[], reckon: (mm: number) => number = (mm) => mm) => ({
    ...base,
    asks: [
      (b: Parameters<typeof sizeIn>[0]) =>
        asks('x', reckon(sizeIn(b, thickness).value), sizeIn(b, thickness).doubt / 2, {
          bands,
          cures: () => [{ ...cure('cut'), plan: { slot: 'body' as const, size: 'thickness', delta: 18, doubt: 0 } }, cure('buy')],
        }),
    ],
  })
  const none = aBuild({ body: aPart('body', {}) })
  const known = (mm: number) => aBuild({ body: aPart('body', { thickness: [mm, 'calipers', 0.02] }) })
  const at = (mm: number): Band[] => [
    { upTo: mm, is: 'tight' },
    { upTo: Infinity, is: 'snug' },
  ]
  it('nobody can tell, and the size is named, where what bodies are found in lies on both sides of a limit', () => {
    const j = judged(none, over(at(45)))
    expect([j.verdict, j.missing, j.settles, j.says]).toEqual(['cant-tell', [thickness], thickness, 'Not known yet: thickness (body).'])
    expect(j.cures).toEqual([])
    expect(judged(known(44), over(at(45))).verdict).toBe('tight')
    expect(judged(known(46), over(at(45))).verdict).toBe('snug')
  })
  it('an assumed size is not a known one', () => {
    const assumed = aBuild({ body: aPart('body', { thickness: [46, 'assumed', 0.02] }) })
    expect(judged(assumed, over(at(45))).verdict).toBe('cant-tell')
  })
  it('what is the same for every body there is stands: bodies are 28 to 60 mm thick', () => {
    expect(judged(none, over(at(27.9))).verdict).toBe('snug')
    expect(judged(none, over(at(28.1))).verdict).toBe('cant-tell')
    expect(judged(none, over(at(60.1))).verdict).toBe('tight')
    expect(judged(none, over(at(59.9))).verdict).toBe('cant-tell')
  })
  it('a sure fault says what its amount hangs on, and plans no amount', () => {
    const j = judged(none, over(at(61)))
    expect(j.says).toBe('x tight By how much hangs on what is not known yet: thickness (body), 28 to 60 mm.')
    expect(j.cures.map((c) => c.id)).toEqual(['buy'])
    expect(judged(known(44), over(at(61))).cures.map((c) => c.id)).toEqual(['cut', 'buy'])
  })
  it('a fault at both ends is none where the middle goes, however narrow the middle', () => {
    // Ample only within 1 mm of 33: neither end of the band nor its middle lies there.
    const j = (build: typeof none) =>
      judged(
        build,
        over(at(0), (mm) => 1 - Math.abs(mm - 33)),
      ).verdict
    expect([j(known(33)), j(known(40)), j(none)]).toEqual(['snug', 'tight', 'cant-tell'])
  })
  it('a trait nobody has told is every option it has, never the first and never a no', () => {
    const plan = {
      ...base,
      asks: [(b: Parameters<typeof traitIn>[0]) => asks('x', traitIn(b, 'body', 'notch') === 'yes' ? 0.2 : 0)],
    }
    const j = judged(none, plan)
    expect([j.verdict, j.untold, j.says]).toEqual([
      'cant-tell',
      [{ slot: 'body', trait: 'notch' }],
      'Not known yet: notch for a truss tool at the neck’s end (body).',
    ])
    const told = (notch: string) => judged(aBuild({ body: aPart('body', {}, { notch }) }), plan).verdict
    expect([told('yes'), told('no')]).toEqual(['snug', 'tight'])
  })
  it('where a check exists only for some answers, its fault is not sure and its going is', () => {
    const only = (mean: number) => ({
      ...base,
      asks: [(b: Parameters<typeof traitIn>[0]) => (traitIn(b, 'body', 'build') === 'solid' ? undefined : asks('x', mean))],
    })
    expect(judged(none, only(0)).verdict).toBe('cant-tell')
    expect(judged(none, only(0.2)).verdict).toBe('snug')
    expect(judged(aBuild({ body: aPart('body', {}, { build: 'solid' }) }), only(0)).checks).toEqual([])
  })
  it('so many untold traits that not every answer is tried: never sure that it goes', () => {
    const plan = {
      ...base,
      asks: [
        (b: Parameters<typeof traitIn>[0]) => {
          for (const trait of ['wood', 'grain', 'build', 'top', 'surface']) traitIn(b, 'body', trait)
          return asks('x', 0.2)
        },
      ],
    }
    expect(judged(none, plan).verdict).toBe('cant-tell')
  })
  it('a sure fault is said although another check cannot be told', () => {
    const j = judged(none, { ...base, asks: [...over(at(45)).asks, () => asks('sure', 0)] })
    expect([j.verdict, j.says, j.missing]).toEqual(['tight', 'sure tight', [thickness]])
  })
  it('what it cannot be told without and is no size is named too', () => {
    const j = judged(none, { ...base, asks: [() => asks('x', 0.2, 0.001, { lacks: 'the outline' })] })
    expect([j.verdict, j.checks[0]!.says]).toEqual(['cant-tell', 'Not known yet: the outline.'])
  })
  it('by doubt alone: the figure and the classes it may be', () => {
    const [c] = judged(known(44), { ...base, asks: [() => asks('Gap', 0.05, 0.1)] }).checks
    expect(c!.says).toBe('Gap: +0.05 ±0.20 mm, tight (50 %) or snug (50 %).')
  })
})

describe('what is known', () => {
  const build = aBuild(
    { body: aPart('body', { thickness: 44 }) },
    { jobs: { j: { slot: 'body', size: 'pocket.depth', delta: 0.3, doubt: 0.4, text: 'x' } } },
  )
  it('to draw by: a size that is there, or the kind’s usual one; planned jobs are done to either', () => {
    expect(sizeToDraw(build, ref('thickness'))).toMatchObject({ value: 44, known: 'calipers' })
    expect(sizeToDraw(build, ref('pocket.depth'))).toMatchObject({ value: 16.3, known: 'assumed' })
  })
  it('outside a check there is no size that nobody knows', () =>
    expect(() => sizeIn(build, ref('pocket.depth'))).toThrow(/outside a check/))
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
