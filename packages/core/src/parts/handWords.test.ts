import { describe, expect, it } from 'vitest'
import { aPart } from '../testing/bench'
import { handWords } from './handWords'

describe('what tells a handed part from its twin', () => {
  it('tuners by their sides, other parts by their hand', () => {
    expect(handWords(aPart('tuners', { count: 6, 'count.right': 3 }))).toBe('3 left 3 right')
    expect(handWords(aPart('tuners', { count: 6, 'count.right': 6 }))).toBe('6 right')
    expect(handWords(aPart('tuners', { count: 6, 'count.right': 0 }, { hand: 'right' }))).toBe('6 left')
    expect(handWords(aPart('tuners', { count: 6 }, { hand: 'left' }))).toBe('left-handed')
    expect(handWords(aPart('bridge', {}, { hand: 'either' }))).toBeUndefined()
    expect(handWords(aPart('nut', {}))).toBeUndefined()
  })
})
