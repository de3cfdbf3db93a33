import { describe, expect, it } from 'vitest'
import { untold } from '../testing/anyBuild'
import { changed, fullBuild } from '../testing/fullBuild'
import { TRIAL_RESULTS } from './build'
import { applyChange } from './change'
import { removePart, setTrait } from './changes'
import { forgetTrial, recordTrial, trialOf } from './trials'

const JOINT = {
  id: 'pocket-mouth',
  title: 'Heel in pocket',
  reads: [
    { slot: 'body', size: 'pocket.widthMouth' },
    { slot: 'neck', size: 'no.such' },
  ],
  slots: ['body', 'neck'],
} as Parameters<typeof recordTrial>[1]
const DAY = '2026-11-24'
const tried = (build = fullBuild()) => applyChange(build, recordTrial(build, JOINT, TRIAL_RESULTS[0], DAY))

describe('a joint tried by hand', () => {
  it('is kept with the day and all it stands on: the parts, their traits, the sizes that are known', () => {
    const { trial, since } = trialOf(tried(), JOINT.id)!
    expect(since).toBeUndefined()
    expect([trial.result, trial.on]).toEqual([TRIAL_RESULTS[0], DAY])
    const build = fullBuild()
    expect(trial.of.body).toBe(build.parts.body!.name)
    expect(trial.of['body/pocket.widthMouth']).toBe(build.parts.body!.sizes['pocket.widthMouth']!.value)
    for (const [trait, said] of Object.entries(build.parts.body!.traits)) expect(trial.of[`body.${trait}`]).toBe(said)
    expect(trial.of).not.toHaveProperty('neck/no.such')
    expect(trialOf(build, JOINT.id)).toBeUndefined()
  })
  it('says what has become another since: a size, a trait, the part', () => {
    const build = tried()
    expect(trialOf(changed(build, { 'body/pocket.widthMouth': 70 }), JOINT.id)!.since).toBe('body/pocket.widthMouth')
    expect(trialOf(changed(build, { 'body/thickness': 40 }), JOINT.id)!.since).toBeUndefined()
    const [trait] = Object.keys(build.parts.body!.traits)
    expect(trialOf(applyChange(build, setTrait(build, 'body', trait!, 'another')), JOINT.id)!.since).toBe(`body.${trait}`)
    expect(trialOf(applyChange(build, removePart(build, 'body')), JOINT.id)!.since).toMatch(/^body/)
    expect(trialOf(untold(build, 'sizes', 'body', 'pocket.widthMouth'), JOINT.id)!.since).toBe('body/pocket.widthMouth')
  })
  it('stands beside others, and is forgotten alone', () => {
    const one = tried()
    const two = applyChange(one, recordTrial(one, { ...JOINT, id: 'other', title: 'Other' }, TRIAL_RESULTS[1], DAY))
    expect(Object.keys(two.trials!)).toEqual([JOINT.id, 'other'])
    expect(Object.keys(applyChange(two, forgetTrial(two, JOINT)).trials!)).toEqual(['other'])
  })
})
