import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { sizeRef } from '../document/read'
import { normal } from '../quantity/distribution'
import { aBuild, aPart } from '../testing/bench'
import { Asker, type Ask } from './ask'
import type { Question } from './joint'
import { sizeIn, traitIn } from './known'

const [THICK, DEEP, LONG] = [sizeRef('body', 'thickness'), sizeRef('body', 'pocket.depth'), sizeRef('body', 'pocket.length')]
/** Its thickness is known with a doubt; how deep and long the pocket is, and how its top is, nobody has told. */
const aBody = (): Build => aBuild({ body: aPart('body', { thickness: [44, 'calipers', 0.4] }) })

const question = (id: string, clearance: number, says: () => string): Question => ({
  id,
  label: id,
  clearance: normal(clearance, 0),
  spread: true,
  bands: [
    { upTo: 0, is: 'tight' },
    { upTo: Infinity, is: 'snug' },
  ],
  // Read when somebody looks.
  says,
})
const wood: Ask = (b) => question('wood', sizeIn(b, THICK).value - sizeIn(b, DEEP).value / 2, () => `${traitIn(b, 'body', 'top')} wood`)
const length: Ask = (b) => question('length', sizeIn(b, LONG).value + sizeIn(b, THICK).value - 40, () => `${sizeIn(b, LONG).value} long`)
/** All of a check, its words too. */
const read = (checks: ReturnType<Asker['judge']>) => JSON.stringify(checks)

describe('one completed build for every ask', () => {
  it('what is asked in the midst of another ask disturbs neither', () => {
    const build = aBody()
    const within: string[] = []
    const around: Ask = (b) => {
      const before = sizeIn(b, THICK).value
      within.push(read(new Asker(build).judge(length)))
      // Under the same supposition as before, and written down in the same place.
      expect(sizeIn(b, THICK).value).toBe(before)
      return question('wood', sizeIn(b, THICK).value - sizeIn(b, DEEP).value / 2, () => `${traitIn(b, 'body', 'top')} wood`)
    }
    const nested = read(new Asker(build).judge(around))
    expect(nested).toBe(read(new Asker(aBody()).judge(wood)))
    expect(within.length).toBeGreaterThan(3)
    expect(new Set(within)).toEqual(new Set([read(new Asker(aBody()).judge(length))]))
  })
  it('the words of a check are its own, whatever has been asked since', () => {
    const build = aBody()
    const first = new Asker(build).judge(wood)
    const second = new Asker(build).judge(length)
    new Asker(aBody()).judge(wood)
    expect([read(second), read(first)]).toEqual([read(new Asker(aBody()).judge(length)), read(new Asker(aBody()).judge(wood))])
  })
  it('a check that is there under one answer only is told in the words of that answer', () => {
    const arched: Ask = (b) => (traitIn(b, 'body', 'top') === 'arched' ? wood(b) : undefined)
    const deep = { ...aBody(), parts: { body: aPart('body', { thickness: [44, 'calipers', 0.4], 'pocket.depth': 16 }) } }
    expect(new Asker(deep).judge(arched).map((c) => [c.raw.verdict, c.says])).toEqual([['snug', 'arched wood']])
  })
})
