import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { likelyOf } from '../../quantity/distribution'
import { untold } from '../../testing/anyBuild'
import { aPart, jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { wantedSaddle } from './sideSetting'

/** On posts with a stop tailpiece; every bridge height so much over or under what it usually is. */
function onPosts(front: { rise: number; tail: number } | 'flat', down = 0, tailDown = 0): Build {
  const full = fullBuild()
  const tailpiece = aPart(
    'tailpiece',
    { studDiameter: 11.5, studLength: 22, studSpacing: 82, height: 5 - tailDown, 'string.hole': 2 },
    { type: 'stop' },
  )
  const of = (size: string) => full.parts.bridge!.sizes[size]!.value
  return changed(
    { ...full, parts: { ...full.parts, tailpiece } },
    {
      'bridge/height.min': of('height.min') - down,
      'bridge/height.max': of('height.max') - down,
      'bridge/back.height': 6 - down,
      'bridge/back.distance': 10,
      'body/tail.toBridge': 45,
      ...(front === 'flat' ? {} : { 'body/arch.bridge': front.rise, 'body/arch.tail': front.tail }),
    },
    { 'bridge/mount': 'post', 'body/top': front === 'flat' ? 'flat' : 'arched' },
  )
}
const clearances = (build: Build) =>
  (['bridge-height', 'saddle-break'] as const).flatMap((id) => jointIn(build, id).checks.map((c) => [c.id, likelyOf(c.clearance)] as const))

describe('an arched front', () => {
  it('lowered by its rise a bridge and a tailpiece are where they were on a flat one', () => {
    const within = (max: number) => fc.double({ min: -2, max, noNaN: true })
    holds(
      fc.property(within(5), within(2.5), (rise, tail) => {
        const flat = clearances(onPosts('flat'))
        const arched = clearances(onPosts({ rise, tail }, rise, tail)).filter(([id]) => !/^(cover|ring)/.test(id))
        for (const [id, value] of arched) expect(value, id).toBeCloseTo(flat.find((f) => f[0] === id)![1], 6)
        expect(arched.map(([id]) => id)).toEqual(expect.arrayContaining(['low-stop', 'high-stop', 'break', 'path']))
      }),
      60,
    )
  })
  it('the same bridge on a front 4 mm higher has to go 4 mm lower, and the strings stand steeper or flatter by what the tailpiece rises less', () => {
    const [flat, arched] = [onPosts('flat'), onPosts({ rise: 4, tail: 2.5 })]
    const saddle = (b: Build) => likelyOf(wantedSaddle(b)!)
    expect(saddle(arched)).toBeCloseTo(saddle(flat) - 4, 9)
    // From the saddle down to the string's way out of the tailpiece: (s - 4) - (5 + 2.5 - 4), over 45 mm.
    const down = saddle(flat) - 4 - (5 + 2.5 - 4)
    const broken = jointIn(arched, 'saddle-break').checks.find((c) => c.id === 'break')!
    expect(likelyOf(broken.clearance)).toBeCloseTo((Math.atan(down / 45) * 180) / Math.PI, 6)
  })
  it('a cover half way to the bridge has half of the rise less under the strings', () => {
    const air = (b: Build) => likelyOf(jointIn(b, 'bridge-height').checks.find((c) => c.id === 'cover-neck')!.clearance)
    const centre = fullBuild().parts.body!.sizes['route.neck.centre']!.value
    const share = centre / fullBuild().parts.body!.sizes.mouthToBridge!.value
    expect(share).toBeGreaterThan(0.05)
    expect(air(onPosts('flat')) - air(onPosts({ rise: 4, tail: 2.5 }))).toBeCloseTo(4 * share, 9)
  })
  it.each([
    ['arch.bridge', 'bridge-height'],
    ['arch.bridge', 'saddle-break'],
    ['arch.tail', 'saddle-break'],
  ])('while nobody has said its %s, %s asks for it', (size, id) => {
    // Lowered as the front asks, everything is in order as long as all of it is known.
    const whole = onPosts({ rise: 4, tail: 2.5 }, 4, 2.5)
    expect(jointIn(whole, id).verdict).toBe('snug')
    const j = jointIn(untold(whole, 'sizes', 'body', size), id)
    expect(j.verdict).toBe('cant-tell')
    expect(j.missing).toContainEqual({ slot: 'body', size })
  })
  it('a flat front asks for neither; one that nobody has described asks how it is made', () => {
    for (const id of ['bridge-height', 'saddle-break']) expect(jointIn(onPosts('flat'), id).missing).toEqual([])
    expect(jointIn(untold(onPosts('flat'), 'traits', 'body', 'top'), 'bridge-height').untold).toContainEqual({ slot: 'body', trait: 'top' })
  })
})
