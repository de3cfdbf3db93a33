import { describe, expect, it } from 'vitest'
import { Between } from './bounds'
import { shaped } from './checked'

class Plank {
  @Between(0, 100, 'A thickness', ' mm') thickness!: number
}
const wrong = (type: new () => object, plain: object) => {
  const result = shaped(type, plain)
  return result.ok ? [] : result.problems.map((p) => p.path)
}

describe('rules of a class', () => {
  it('hold for one object after the other, each by its own values', () => {
    expect(wrong(Plank, { thickness: 45 })).toEqual([])
    expect(wrong(Plank, { thickness: 145 })).toEqual(['thickness'])
    expect(wrong(Plank, { thickness: 45 })).toEqual([])
    expect(wrong(Plank, { thickness: 45, width: 1 })).toEqual(['width'])
  })
  it('of a class made from one that was used already are its own and those it was made from', () => {
    class Capped extends Plank {
      @Between(1, 20, 'A cap', ' mm') cap!: number
    }
    expect(wrong(Capped, { thickness: 45, cap: 5 })).toEqual([])
    expect(wrong(Capped, { thickness: 145, cap: 50 }).toSorted()).toEqual(['cap', 'thickness'])
    // And the one it was made from has not got a cap by that.
    expect(wrong(Plank, { thickness: 45, cap: 5 })).toEqual(['cap'])
  })
  it('leave no room for fields with the names of what every object has', () => {
    expect(wrong(Plank, JSON.parse('{"thickness": 45, "__proto__": {"thickness": 1}}') as object)).toEqual(['__proto__'])
    expect(wrong(Plank, JSON.parse('{"thickness": 45, "constructor": 1}') as object)).toEqual(['constructor'])
    expect(wrong(Plank, { thickness: 45, toString: 'x' })).toEqual(['toString'])
  })
})
