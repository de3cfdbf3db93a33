import { describe, expect, it } from 'vitest'
import { keyFor } from './keyFor'

describe('a name as a key', () => {
  it.each([
    ['P120 paper', 'p120-paper'],
    ['  Neck tinted, frets levelled ', 'neck-tinted-frets-levelled'],
    ['Spänebürste', 'spänebürste'],
    ['лак', 'лак'],
    ['???', 'one'],
    ['__proto__', 'proto'],
    ['Constructor', 'constructor-2'],
    ['a'.repeat(60), 'a'.repeat(40)],
  ])('%j becomes %j', (name, key) => expect(keyFor(name)).toBe(key))
  it('never takes the place of another', () => {
    expect(keyFor('Tint', { tint: 1 })).toBe('tint-2')
    expect(keyFor('Tint', { tint: 1, 'tint-2': 1 })).toBe('tint-3')
    expect(keyFor('!', { one: 1 })).toBe('one-2')
  })
})
