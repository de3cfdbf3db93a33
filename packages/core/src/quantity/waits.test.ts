import { describe, expect, it } from 'vitest'
import { exactWait, waitSays } from './waits'

describe('a wait in words', () => {
  it.each([
    [1, '1 min'],
    [119, '119 min'],
    [120, '2 h'],
    [150, '2.5 h'],
    [2879, '48 h'],
    [2880, '2 days'],
    [3600, '2.5 days'],
    [10_080, '7 days'],
  ])('%i minutes are %s', (minutes, said) => expect(waitSays(minutes)).toBe(said))
  it.each([
    [1, '1 min'],
    [179, '179 min'],
    [180, '3 h'],
    [1439.6, '24 h'],
    [2159, '35 h 59 min'],
    [2880, '2 days'],
    [3000, '2 days 2 h'],
    [20_130, '14 days'],
  ])('exactly, %f minutes are %s', (minutes, said) => expect(exactWait(minutes)).toBe(said))
})
