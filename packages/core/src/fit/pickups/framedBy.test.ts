import { describe, expect, it } from 'vitest'
import { everyMake, untold } from '../../testing/anyBuild'
import { sizeAt, sizeRef } from '../../document/read'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn } from '../../testing/rows'

/** A guard with an opening of 36.8 and a ring of 37 for a cover of 36. */
const both = everyMake().find((b) => b.parts.guard && b.parts['ring-neck'] && !b.parts['ring-bridge'])!
const unsaid = untold(both, 'traits', 'pickup-neck', 'mount')

describe('a pickup of which nobody has said whether it hangs from its ring or from the guard', () => {
  it('is told no figure that is true of one of them only', () => {
    expect(checkIn(both, 'room-neck', 'length').says).toBe('The cover drops in with 1 mm to spare.')
    expect(checkIn(changed(both, {}, { 'pickup-neck/mount': 'guard' }), 'room-neck', 'length').says).toBe(
      'The cover drops in with 0.8 mm to spare.',
    )
    expect(checkIn(unsaid, 'room-neck', 'length').says).toBe(
      'Along the strings: snug, whatever is found for what nobody knows yet: hangs from (neck pickup).',
    )
  })
  it('is not called snug where a ring would be too small', () => {
    const small = changed(unsaid, { 'ring-neck/length': 35 })
    const { raw, untold: asked } = checkIn(small, 'room-neck', 'length')
    expect([raw.verdict, asked]).toEqual(['cant-tell', [{ slot: 'pickup-neck', trait: 'mount' }]])
  })
  // The guard is 2.5 thick: from it the cover stands so much higher than screwed to the wood.
  it('is not called clear of the strings where it stands under them from the wood alone', () => {
    const above = sizeAt(fullBuild(), sizeRef('pickup-neck', 'above'))!.value
    const air = (mount: string | undefined, more: number) => {
      const build = changed(fullBuild(), { 'pickup-neck/above': above + more })
      return checkIn(
        mount ? changed(build, {}, { 'pickup-neck/mount': mount }) : untold(build, 'traits', 'pickup-neck', 'mount'),
        'bridge-height',
        'cover-neck',
      )
    }
    expect(air('guard', 0).says).toBe('Strings clear the neck cover by 5.5 mm.')
    expect(air('body', 0).says).toBe('Strings clear the neck cover by 8 mm.')
    expect(air(undefined, 0).says).toMatch(/nobody knows yet: hangs from \(neck pickup\)/)
    // 1 mm of air from the guard, 3.5 from the wood.
    expect(['guard', 'body', undefined].map((mount) => air(mount, 4.5).raw.verdict)).toEqual(['tight', 'snug', 'cant-tell'])
  })
})
