import { expect, it } from 'vitest'
import { idFor } from './idFor'

it('builds of one name get ids of their own, a hundred thousand times', () => {
  expect(new Set(Array.from({ length: 100_000 }, () => idFor('Wren'))).size).toBe(100_000)
})
it.each([
  ['Wren', /^wren-[0-9a-f]{12}$/],
  ['Brûlé, 3rd try!', /^brule-3rd-try-[0-9a-f]{12}$/],
  ['琴', /^build-[0-9a-f]{12}$/],
  ['x'.repeat(80), /^x{40}-[0-9a-f]{12}$/],
])('%s can be read in its id', (name, id) => expect(idFor(name)).toMatch(id))
