import { describe, expect, it } from 'vitest'
import { cutOf } from '../../judge/leastCut'
import { aPart } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn } from '../../testing/rows'

/** What may come off a cover [practice, from memory]: its wall keeps 0.6; nobody's is taken for more than 1. */
describe('a cover filed into its opening', () => {
  const cures = (wide: number, wall?: number, traits = {}) => {
    const build = changed(
      fullBuild(),
      { 'pickup-neck/width': wide, ...(wall === undefined ? {} : { 'pickup-neck/cover.wall': wall }) },
      traits,
    )
    return checkIn(build, 'room-neck', 'width').cures
  }
  const ids = (...of: Parameters<typeof cures>) => cures(...of).map((c) => c.id)
  it.each([
    // Opening 70. 70.4 needs 0.6 in all, 0.3 a side; 71.4 needs 0.8 a side.
    ['by as much as any wall gives', 70.4, undefined, true],
    ['by more than an unmeasured wall is sure to give', 71.4, undefined, false],
    ['by what a thick wall gives', 71.4, 1.5, true],
    ['by more than a thin wall gives', 70.4, 0.85, false],
    ['never by half its size', 74, undefined, false],
  ] as const)('%s', (_, wide, wall, offered) => {
    expect(ids(wide, wall).includes('file-cover-width')).toBe(offered)
    expect(ids(wide, wall)).toContain('file-width')
  })
  it('a ring is filed by 1 mm a side, and past that another is taken', () => {
    const { guard: _, ...parts } = fullBuild().parts
    const ring = { length: 38, width: 71, radius: 2, 'height.neckSide': 3, 'height.bridgeSide': 4 }
    const ringed = { ...fullBuild(), parts: { ...parts, 'ring-neck': aPart('ring-neck', ring, { foot: 'flat' }) } }
    const by = (wide: number) =>
      checkIn(changed(ringed, { 'pickup-neck/width': wide }, { 'pickup-neck/mount': 'ring' }), 'room-neck', 'width')
    expect(by(72.7).cures[0]!.job).toBe('File the ring: 0.90 to 1.00 mm off each side, bass and treble.')
    // Exchanged, not cut: nothing of it is to be taken off little by little.
    expect(cutOf(by(73).cures[0]!)).toBeUndefined()
    expect(cutOf(by(72.7).cures[0]!)).toBeDefined()
    expect(by(73).cures[0]!.job).toBe('Take a ring whose opening is 2.10 to 2.30 mm wider.')
  })
  it('says which sides, and that the wall is looked at where nobody measured it', () => {
    const [, cover] = cures(70.4)
    expect(cover!.job).toBe('Or file the cover: 0.25 to 0.35 mm off each side, bass and treble.')
    expect(cover!.how).toMatch(/looked at from its open side first: 0\.6 mm/)
    expect(cures(70.4, 1.5)[1]!.how).not.toMatch(/looked at/)
  })
})
