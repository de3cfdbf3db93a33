import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { layersOf } from '../../finish/stack'
import type { Check, Cure, JudgedJoint } from '../../judge/joint'
import type { Verdict } from '../../judge/verdict'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { minutesFor, minutesReplanned, replanOf } from './minutes'

const cure = (id: string, more: Partial<Cure> = {}): Cure => ({
  id,
  job: `${id}.`,
  how: '',
  gives: 'guard',
  tools: [],
  plan: { slot: 'guard', size: 'thickness', delta: 0.1, doubt: 0.1 },
  ...more,
})
/** A check with its chance of being snug or loose. */
const check = (verdict: Verdict, good = 0, ...cures: Cure[]) =>
  ({ raw: { verdict, chances: { snug: good / 2, loose: good / 2, tight: 1 - good, 'wont-go': 0 } }, cures }) as unknown as Check
const joint = (verdict: Verdict, ...checks: Check[]) =>
  ({ verdict, checks, cures: checks.flatMap((c) => c.cures) }) as unknown as JudgedJoint
const coated = changed(fullBuild(), {}, { 'body/surface': 'coated' })
const raw = changed(fullBuild(), {}, { 'body/surface': 'raw' })
const UNCUT = { noCuttingFinished: true }

describe('minutes to make a joint go', () => {
  it('by what it is; what cannot be told costs more where it is surely bad, and only there', () => {
    const of = (...given: Parameters<typeof joint>) => minutesFor(joint(...given), coated, {})
    expect([of('snug'), of('loose'), of('tight'), of('wont-go')]).toEqual([0, 10, 30, Infinity])
    expect([of('cant-tell', check('cant-tell', 0.08)), of('cant-tell', check('cant-tell', 0.12))]).toEqual([40, 20])
    // Beside one that cannot be told for other reasons a tight one is not what cannot be told.
    expect(of('cant-tell', check('tight', 0), check('cant-tell', 0.5))).toBe(20)
    expect(of('tight', check('cant-tell', 0.02), check('tight', 0))).toBe(30)
    // Snug and loose are both good: 0.06 and 0.06.
    expect(of('cant-tell', check('cant-tell', 0.12), check('cant-tell', 0.2))).toBe(20)
  })
  it('a tight one is out where every cure is forbidden, and only then', () => {
    const deepen = cure('deepen', { gives: 'body', tools: ['router'] })
    const of = (cures: Cure[], limits: Parameters<typeof minutesFor>[2], build = coated) =>
      minutesFor(joint('tight', check('tight', 0, ...cures)), build, limits)
    expect([of([deepen], {}), of([deepen], UNCUT), of([deepen], UNCUT, raw)]).toEqual([30, Infinity, 30])
    expect([of([deepen], { lacking: ['router'] }), of([deepen], { lacking: ['file'] }), of([deepen], { lacking: [] })]).toEqual([
      Infinity,
      30,
      30,
    ])
    expect(of([deepen, cure('file')], UNCUT)).toBe(30)
    expect(of([cure('exchange-too-much')], UNCUT)).toBe(Infinity)
    expect(of([cure('too-much-exchange')], UNCUT)).toBe(30)
    // Where nobody knows a cure there is none to forbid.
    expect(of([], UNCUT)).toBe(30)
    expect(of([deepen], UNCUT, without(coated, 'body'))).toBe(30)
    // What is not tight is not asked for its cures.
    expect(minutesFor(joint('loose', check('loose', 1, deepen)), coated, UNCUT)).toBe(10)
    expect(minutesFor(joint('cant-tell', check('cant-tell', 0.5, deepen)), coated, UNCUT)).toBe(20)
  })
})

describe('wood that is finished', () => {
  const ream = cure('ream', { gives: 'neck', plan: { slot: 'neck', size: 'tuner.bore', delta: 0.2, doubt: 0.05 } })
  const heel = cure('plane', { gives: 'neck', plan: { slot: 'neck', size: 'heel.widthMouth', delta: -0.2, doubt: 0.05 } })
  const of = (what: Cure, build: Build) => minutesFor(joint('tight', check('tight', 0, what)), build, UNCUT)
  const necks = (surface: string) => changed(raw, {}, { 'neck/surface': surface })
  it('a neck’s head too, whatever the body is; its heel has no film', () => {
    expect([of(ream, necks('coated')), of(ream, necks('raw')), of(ream, necks('sealed'))]).toEqual([Infinity, 30, 30])
    expect(of(heel, necks('coated'))).toBe(30)
    expect(of(ream, changed(coated, {}, { 'neck/surface': 'raw' }))).toBe(30)
  })
  it('as soon as coats of one’s own lie on it', () => {
    const key = layersOf(raw)[0]!
    const laid: Build = {
      ...necks('raw'),
      finish: { ...raw.finish, laid: { [`${key.key}-1`]: { product: key.product, at: '2026-12-01T19:00:00Z' } } },
    }
    expect([of(ream, laid), of(cure('deepen', { gives: 'body' }), laid), of(heel, laid)]).toEqual([Infinity, Infinity, 30])
    expect(of(cure('deepen', { gives: 'body' }), necks('raw'))).toBe(30)
  })
})

describe('what will not go, planned anew', () => {
  const jobs = (checks: Check[], limits: Parameters<typeof replanOf>[2] = {}, build = coated) =>
    replanOf(joint('wont-go', ...checks), build, limits)?.map((c) => c.job)
  it('a job for each thing in the way, an hour each; of one there is none for, none at all', () => {
    const two = [check('wont-go', 0, cure('file')), check('tight', 0, cure('shave')), check('wont-go', 0, cure('open'))]
    expect(jobs(two)).toEqual(['file.', 'open.'])
    expect(minutesReplanned(joint('wont-go', ...two), coated, {})).toBe(120)
    expect(jobs([...two, check('wont-go', 0)])).toBeUndefined()
    expect(minutesReplanned(joint('wont-go', ...two, check('wont-go', 0)), coated, {})).toBe(Infinity)
  })
  it('a joint that will not go by the hand’s word alone has none', () => {
    expect(jobs([check('snug', 1, cure('file'))])).toBeUndefined()
    expect(minutesReplanned(joint('wont-go', check('snug', 1)), coated, {})).toBe(Infinity)
  })
  it('only on what is here: not another part, nor what nobody can plan', () => {
    const { plan: _, ...unplanned } = cure('unplanned')
    expect(jobs([check('wont-go', 0, cure('another', { gives: 'the guard' }), unplanned)])).toBeUndefined()
    expect(jobs([check('wont-go', 0, cure('another', { gives: 'the guard' }), cure('file', { job: 'Or file it.' }))])).toEqual(['File it.'])
    expect(jobs([check('wont-go', 0, cure('on both', { gives: 'guard of the body' }))])).toEqual(['on both.'])
    expect(jobs([check('wont-go', 0, cure('exchange'))])).toBeUndefined()
  })
  it('no cut in finished wood, also where it is done along with something else; without the tool neither', () => {
    const effect = { slot: 'body' as const, size: 'pocket.depth', delta: 1, doubt: 0.1 }
    const guard = { slot: 'guard' as const, size: 'thickness', delta: 0.1, doubt: 0.1 }
    const of = (plan: NonNullable<Cure['plan']>, build = coated) =>
      jobs([check('wont-go', 0, cure('job', { gives: 'nothing', plan }))], UNCUT, build)
    expect([of(effect), of({ ...guard, also: [effect] })]).toEqual([undefined, undefined])
    expect([of(effect, raw), of(guard), of(effect, without(coated, 'body'))]).toEqual([['job.'], ['job.'], ['job.']])
    expect(jobs([check('wont-go', 0, cure('job', { gives: 'body' }))], UNCUT)).toBeUndefined()
    expect(jobs([check('wont-go', 0, cure('job', { tools: ['file'] }))], { lacking: ['file'] })).toBeUndefined()
  })
  it('what goes costs what it costs', () => {
    for (const verdict of ['snug', 'loose', 'tight', 'cant-tell'] as const)
      expect(minutesReplanned(joint(verdict), coated, {})).toBe(minutesFor(joint(verdict), coated, {}))
  })
})
