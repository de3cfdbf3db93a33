import { expect, it } from 'vitest'
import { aMm, capital } from './words'

it('a size goes by how it is spoken: an 8, an 11, an 18, an 80; a 1.8, a 110, a 16', () => {
  expect([8, 8.5, 11, 11.2, 18, 18.5, 80, 85].map((v) => aMm(v).split(' ')[0])).toEqual(Array.from({ length: 8 }, () => 'an'))
  expect([1.8, 10, 16, 17.8, 1.1, 110, 180, 28].map((v) => aMm(v).split(' ')[0])).toEqual(Array.from({ length: 8 }, () => 'a'))
  expect(capital(aMm(18.04, 1))).toBe('An 18 mm')
})
