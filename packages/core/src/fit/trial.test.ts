import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, TrialResult } from '../document/build'
import { applyChange } from '../document/change'
import { forgetTrial, recordTrial, trialOf } from '../document/trials'
import { anyBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { jointIn } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { checkIn } from '../testing/rows'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'
import { press, withTrial } from './trial'

/** Thousands of builds, on whatever machine, ms. */
const LONG = 600_000

const tried = (build: Build, id: string, result: TrialResult): Build =>
  applyChange(build, recordTrial(build, jointIn(build, id), result, '2026-11-25'))

describe('a joint tried by hand', () => {
  const unknown = changed(fullBuild(), { 'jack/width': undefined })
  it('settles what could not be told', () => {
    expect(jointIn(unknown, 'jack').verdict).toBe('cant-tell')
    const j = jointIn(tried(unknown, 'jack', 'goes'), 'jack')
    expect([j.verdict, j.missing, j.says]).toEqual(['snug', [], 'Tried by hand on 25 Nov: it goes in by hand.'])
    // Nothing is left to be settled by a reading.
    expect(jointIn(unknown, 'jack').settles).toEqual({ slot: 'jack', size: 'width' })
    expect(j.settles).toBeUndefined()
  })
  it('stands against a sum that says otherwise, and both are shown with the size to doubt', () => {
    const b = changed(fullBuild(), { 'jack/width': 25 })
    b.parts.jack!.sizes.width = { value: 25, doubt: 0.4, known: 'listed' }
    expect(jointIn(b, 'jack').verdict).toBe('tight')
    const j = jointIn(tried(b, 'jack', 'goes'), 'jack')
    expect(j.verdict).toBe('snug')
    expect(j.says).toMatch(
      /^Tried by hand on 25 Nov: it goes in by hand\. The sum says otherwise: The jack is 1 mm wider than the passage.* Doubt widest part, to pass through a passage first, and measure it again\.$/,
    )
    expect(j.tried!.doubted).toEqual({ slot: 'jack', size: 'width' })
  })
  it('a fault found by hand is one although every sum is snug; the sums are kept', () => {
    const j = jointIn(tried(fullBuild(), 'jack', 'wont'), 'jack')
    expect(j.verdict).toBe('wont-go')
    expect(j.says).toMatch(/it will not go in\. The sum says otherwise/)
    expect(checkIn(tried(fullBuild(), 'jack', 'wont'), 'jack', 'passage').raw.verdict).toBe('snug')
  })
  it('is stale once a size, a trait or the part has become another, and then counts for nothing', () => {
    const b = tried(unknown, 'jack', 'goes')
    for (const [now, what] of [
      [changed(b, { 'body/jack.bore': 10.4 }), 'body/jack.bore'],
      [changed(b, {}, { 'jack/contacts': 'stereo' }), 'jack.contacts'],
      [{ ...b, parts: { ...b.parts, jack: { ...b.parts.jack!, name: 'another jack' } } }, 'jack'],
    ] as const) {
      expect(trialOf(now, 'jack')!.since).toBe(what)
      expect(jointIn(now, 'jack').verdict).toBe('cant-tell')
      expect(jointIn(now, 'jack').tried!.since).toBe(what)
    }
    // A size nobody knew when it was tried, measured since, changes nothing of what was tried.
    expect(trialOf(changed(b, { 'jack/width': 21 }), 'jack')!.since).toBeUndefined()
  })
  it('can be forgotten', () => {
    const b = tried(unknown, 'jack', 'goes')
    expect(jointIn(applyChange(b, forgetTrial(b, jointIn(b, 'jack'))), 'jack').verdict).toBe('cant-tell')
  })
  it('says nothing of the dampest day, of string pull, or of what a hand cannot feel', () => {
    // Goes in today; alder on maple closes by more than a hair in August.
    const damp = changed(
      fullBuild(),
      { 'body/pocket.widthMouth': 56.42 },
      { 'body/wood': 'alder', 'body/grain': 'flat', 'neck/grain': 'flat' },
    )
    expect(jointIn(damp, 'pocket-mouth').verdict).not.toBe('snug')
    expect(jointIn(tried(damp, 'pocket-mouth', 'goes'), 'pocket-mouth').verdict).toBe(jointIn(damp, 'pocket-mouth').verdict)
    const pulled = changed(fullBuild(), { 'bridge/studLength': 12 }, { 'body/wood': 'basswood' })
    expect(jointIn(tried(pulled, 'bridge-on-body', 'goes'), 'bridge-on-body').verdict).toBe('tight')
  })
  it(
    'a good trial leaves a joint no worse, a bad one no better; never unknown where it speaks of every check',
    () => {
      holds(
        fc.property(anyBuild, fc.nat(), fc.constantFrom<TrialResult>('goes', 'force', 'wont'), (build, n, result) => {
          const here = JOINT_KINDS.filter((k) => existsIn(k, build))
          const kind = here[n % here.length]!
          const before = kind.find(build)
          const b = applyChange(build, recordTrial(build, before, result, '2026-11-25'))
          const after = withTrial(b, before, press('by hand'))
          const rank = ['snug', 'loose', 'cant-tell', 'tight', 'wont-go']
          if (result === 'goes') expect(rank.indexOf(after.verdict)).toBeLessThanOrEqual(rank.indexOf(before.verdict))
          else expect(rank.indexOf(after.verdict)).toBeGreaterThanOrEqual(rank.indexOf(result === 'force' ? 'tight' : 'wont-go'))
        }),
        5_000,
      )
    },
    LONG,
  )
  it('every kind of joint can be tried, and says how', () => {
    for (const k of JOINT_KINDS) {
      expect(k.trial.how.length, k.id).toBeGreaterThan(15)
      expect(k.trial.offers.length, k.id).toBeGreaterThan(2)
    }
  })
})
