import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { idleFor } from '../instrument/idleParts'
import { anyBuild, everyMake, JACK_PLATE } from '../testing/anyBuild'
import { aPart, jointIn } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { findJoints } from './findJoints'
import { notJudged } from './notJudged'

const PARTS = {
  tailpiece: aPart(
    'tailpiece',
    { height: 12, studDiameter: 11, studLength: 25, studSpacing: 82, mass: 90, 'string.hole': 1 },
    { type: 'stop' },
  ),
  ferrules: aPart('ferrules', { count: 6, diameter: 8, length: 9, 'string.hole': 1 }),
  'ring-neck': aPart('ring-neck', { length: 37, width: 70, 'height.neckSide': 5 }, { foot: 'flat' }),
  'jack-plate': JACK_PLATE,
} satisfies Partial<Build['parts']>
type Idle = keyof typeof PARTS
const IDLE = Object.keys(PARTS) as Idle[]

const withPart = (build: Build, slot: Idle): Build => ({ ...build, parts: { ...build.parts, [slot]: { ...PARTS[slot], metal: 'black' } } })
const said = (build: Build) =>
  findJoints(build).map(({ id, verdict, says, missing, untold, cures }) => ({
    id,
    verdict,
    says,
    missing,
    untold,
    jobs: cures.map((c) => c.job),
  }))

describe('a part that nothing takes', () => {
  it('changes nothing that is said of the others, and is no joint of its own', () => {
    let met = 0
    const asked = holds(
      fc.property(fc.oneof(anyBuild, fc.constantFrom(...everyMake())), fc.constantFrom(...IDLE), (any, slot) => {
        const { [slot]: _, ...rest } = any.parts
        const without = { ...any, parts: rest } as Build
        const now = withPart(without, slot)
        if (!idleFor(now.parts, slot)) return
        met++
        // That one could be taken after all is said where the jack falls through.
        const others = (build: Build) => said(build).filter((j) => slot !== 'jack-plate' || j.id !== 'jack')
        expect(others(now), slot).toEqual(others(without))
      }),
      200,
    )
    expect(met).toBeGreaterThan(asked / 4)
  })
  // A tailpiece beside a bridge that holds its strings: their break is counted over the bridge alone.
  it('a tailpiece is not where the strings go', () => {
    const held = changed(fullBuild(), { 'bridge/exit.height': 2, 'bridge/exit.distance': 16 }, { 'bridge/mount': 'two-stud' })
    const at = (build: Build) => jointIn(build, 'saddle-break')
    expect(at(withPart(held, 'tailpiece')).says).toBe(at(held).says)
    const posts = withPart(changed(held, { 'body/tail.toBridge': 45 }, { 'bridge/mount': 'post' }), 'tailpiece')
    expect(at(posts).says).not.toBe(at(held).says)
    // Nobody has told which: no angle is sure before.
    const open = at(changed(posts, {}, { 'bridge/mount': undefined }))
    expect([open.verdict, open.untold]).toEqual(['cant-tell', [{ slot: 'bridge', trait: 'mount' }]])
  })
  // 24 - 9.5 of the thread: it falls through, whatever lies in the drawer.
  it('a jack told to be held by its own thread is not judged by a plate, nor its bore widened for one', () => {
    const plated = withPart(changed(fullBuild(), { 'body/jack.bore': 24 }), 'jack-plate')
    const jack = jointIn(plated, 'jack')
    expect(jack.verdict).toBe('wont-go')
    expect(jack.cures.map((c) => c.job)).toEqual(['Say of the jack under Parts that a plate or cup holds it, where it does.'])
    expect(jointIn(changed(plated, {}, { 'jack/held': 'plate' }), 'jack').verdict).toBe('snug')
    expect(findJoints(plated).some((j) => j.id === 'jack-plate')).toBe(false)
    expect(notJudged(plated)).toEqual([{ slot: 'jack-plate', label: 'Jack plate or cup', why: 'the jack is held by its own thread' }])
  })
  it('springs under a bridge that does not move are told to be left out, in their own joint', () => {
    const fixed = changed(fullBuild(), {}, { 'bridge/mount': 'screws' })
    expect([idleFor(fixed.parts, 'springs'), jointIn(fixed, 'springs').verdict, notJudged(fixed)]).toEqual([
      'the bridge does not move',
      'wont-go',
      [],
    ])
  })
})
