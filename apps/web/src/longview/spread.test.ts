import { describe, expect, it } from 'vitest'
import { spread } from './spread'

describe('pegs on the long view', () => {
  it('leave free ones where they are', () => {
    const free = [
      { x: 0, y: 0 },
      { x: 50, y: 3 },
    ]
    expect(spread(free, [10, 10])).toEqual(free)
  })
  it('part those on one spot, the same way every time', () => {
    const on = Array.from({ length: 6 }, () => ({ x: 100, y: 40 }))
    const apart = spread(
      on,
      on.map(() => 8),
    )
    for (let i = 0; i < 6; i++)
      for (let j = i + 1; j < 6; j++) expect(Math.hypot(apart[i]!.x - apart[j]!.x, apart[i]!.y - apart[j]!.y)).toBeGreaterThan(9)
    expect(
      spread(
        on,
        on.map(() => 8),
      ),
    ).toEqual(apart)
  })
})
