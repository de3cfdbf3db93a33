import { describe, expect, it } from 'vitest'
import { boardMargins } from './stringsOnBoard'

describe('strings on the board', () => {
  const board = { widthEnd: 56.2, scale: 647.7, frets: 22, pocketMiddle: 424 }
  it('a straight neck leaves the same on both sides', () => {
    const m = boardMargins(board, { nut: 35.5, bridge: 52.5 }, 0)
    expect(m.bass).toBeCloseTo(m.treble, 9)
    expect(m.bass).toBeCloseTo((56.2 - 47.73) / 2, 2)
  })
  it('an axis passing on the bass side leaves less on the treble side, and mirrors', () => {
    const a = boardMargins(board, { nut: 35.5, bridge: 52.5 }, 1)
    const b = boardMargins(board, { nut: 35.5, bridge: 52.5 }, -1)
    expect(a.treble).toBeLessThan(a.bass)
    expect(a.bass).toBeCloseTo(b.treble, 12)
  })
})
