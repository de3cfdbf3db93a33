import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../testing/fullBuild'
import { applyChange, inverse } from './change'
import { alike, sameAs } from './sameAs'

const build = () => {
  const b = structuredClone(changed(fullBuild(), {}))
  b.parts['pot-volume']!.sizes['bushing.length'] = { value: 9.4, doubt: 0.05, known: 'calipers' }
  b.parts['pot-tone']!.sizes['bushing.length'] = { value: 9.5, doubt: 2, known: 'assumed' }
  b.parts['pot-tone']!.sizes['body.diameter'] = { value: 24.2, doubt: 0.05, known: 'calipers' }
  return b
}

describe('the same as another part of the build', () => {
  it('is offered where the other was measured and this one was not', () => {
    expect(alike(build(), 'pot-tone', 'bushing.length')).toBe('pot-volume')
    expect(alike(build(), 'pot-tone', 'body.diameter')).toBeUndefined()
    expect(alike(build(), 'nut', 'height')).toBeUndefined()
  })
  it('takes over what was read, a little less sure, and nothing that was read of this one itself', () => {
    const b = build()
    const change = sameAs(b, 'pot-tone', 'pot-volume')
    const { sizes } = applyChange(b, change).parts['pot-tone']!
    expect(sizes['bushing.length']!.value).toBe(9.4)
    // 0.05 of the calipers and 0.1 between two of a bag: their root of squares.
    expect(sizes['bushing.length']!.doubt).toBeCloseTo(0.1118, 4)
    expect(sizes['bushing.length']!.known).toBe('calipers')
    expect(sizes['body.diameter']).toEqual(b.parts['pot-tone']!.sizes['body.diameter'])
    expect(applyChange(applyChange(b, change), inverse(change))).toEqual(b)
  })
  it('a guess is lent to nobody', () => {
    const b = build()
    b.parts['pot-volume']!.sizes['bushing.length']!.known = 'assumed'
    expect(alike(b, 'pot-tone', 'bushing.length')).toBeUndefined()
  })
})
