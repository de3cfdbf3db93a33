import { describe, expect, it } from 'vitest'
import { watch } from './watch'

const DEPTH = { parts: { '*': { sizes: {} } } }
interface Doc {
  name: string
  parts: Record<string, { sizes: Record<string, { value: number }>; label: string } | undefined>
}
const a = { value: 1 }
const doc = (): Doc => ({ name: 'x', parts: { body: { sizes: { a, b: { value: 2 } }, label: 'B' }, neck: { sizes: {}, label: 'N' } } })
const body = (d: Doc) => d.parts.body!
const after = (read: (d: Doc) => unknown, change: (d: Doc) => void) => {
  const first = doc()
  const { watched, stillReads } = watch(first, DEPTH)
  read(watched)
  const now = { ...first, parts: { ...first.parts, body: { ...body(first), sizes: { ...body(first).sizes } } } }
  expect(stillReads(now)).toBe(true)
  change(now)
  return stillReads(now)
}

describe('what was read of an object', () => {
  it.each<[string, boolean, (d: Doc) => unknown, (d: Doc) => void]>([
    ['a size that was read', false, (d) => body(d).sizes.a, (d) => (body(d).sizes.a = { value: 9 })],
    ['another size', true, (d) => body(d).sizes.a, (d) => (body(d).sizes.b = { value: 9 })],
    ['the same value as another object', false, (d) => body(d).sizes.a, (d) => (body(d).sizes.a = { ...a })],
    ['a size that was not there', false, (d) => body(d).sizes.c, (d) => (body(d).sizes.c = { value: 3 })],
    ['whether a size was there', false, (d) => Object.hasOwn(body(d).sizes, 'c'), (d) => (body(d).sizes.c = { value: 3 })],
    ['whether it was, by in', false, (d) => 'b' in body(d).sizes, (d) => delete body(d).sizes.b],
    ['all of a list, one more', false, (d) => Object.keys(body(d).sizes), (d) => (body(d).sizes.c = { value: 3 })],
    ['all of a list, one moved', true, (d) => Object.keys(body(d).sizes), (d) => (body(d).sizes.b = { value: 7 })],
    ['all values of a list, one moved', false, (d) => Object.values(body(d).sizes), (d) => (body(d).sizes.b = { value: 7 })],
    ['a part that went', false, (d) => body(d).label, (d) => (d.parts.body = undefined)],
    ['a part nobody looked at', true, (d) => body(d).label, (d) => (d.parts.neck = undefined)],
    ['a copy of a part', false, (d) => ({ ...body(d) }), (d) => (body(d).label = 'C')],
    ['a word', false, (d) => d.name, (d) => (d.name = 'y')],
  ])('%s', (_, same, read, change) => expect(after(read, change)).toBe(same))
  describe('of one made from it', () => {
    const made = (d: Doc): Doc => ({ ...d, parts: { ...d.parts, body: { ...body(d), sizes: { ...body(d).sizes, a: { value: 5 } } } } })
    const watchMade = () => {
      const first = doc()
      const seen = watch(first, DEPTH)
      const now = (sizes: Record<string, { value: number }>) => ({
        ...first,
        parts: { ...first.parts, body: { ...body(first), sizes: { ...body(first).sizes, ...sizes } } },
      })
      return { ...seen, now }
    }
    it('it answers as it was made, and copying it reads nothing', () => {
      const { madeFrom, stillReads, now } = watchMade()
      expect(body(madeFrom(made)).sizes.a).toEqual({ value: 5 })
      expect(stillReads(now({ b: { value: 9 } }))).toBe(true)
    })
    it.each<[string, (d: Doc) => unknown, Record<string, { value: number }>, boolean]>([
      ['what it has from the first is read of the first', (d) => body(d).sizes.b, { b: { value: 9 } }, false],
      ['so is what was changed in it', (d) => body(d).sizes.a, { a: { value: 9 } }, false],
      ['what neither has', (d) => body(d).sizes.c, { c: { value: 9 } }, false],
      ['what is there', (d) => Object.hasOwn(body(d).sizes, 'c'), { c: { value: 9 } }, false],
      ['all that is there', (d) => Object.keys(body(d).sizes), { c: { value: 9 } }, false],
      ['another size', (d) => body(d).sizes.a, { b: { value: 9 } }, true],
    ])('%s', (_, read, sizes, same) => {
      const { madeFrom, stillReads, now } = watchMade()
      read(madeFrom(made))
      expect(stillReads(now({}))).toBe(true)
      expect(stillReads(now(sizes))).toBe(same)
    })
  })
})
