import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Part } from '../parts/part'
import { anyBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { evaluate } from './evaluate'

const OTHER = { left: 'right', right: 'left' } as const

/** The same part for the other hand: of tuners as many on the left of the head as there were on its right. */
function otherPart(part: Part): Part {
  const hand = part.traits.hand
  const [all, right] = [part.sizes.count, part.sizes['count.right']]
  return {
    ...part,
    traits: { ...part.traits, ...(hand === 'left' || hand === 'right' ? { hand: OTHER[hand] } : {}) },
    sizes: { ...part.sizes, ...(all && right ? { 'count.right': { ...right, value: all.value - right.value } } : {}) },
  }
}
const mirrored = (build: Build): Build => ({
  ...build,
  handedness: OTHER[build.handedness],
  parts: Object.fromEntries(Object.entries(build.parts).map(([slot, part]) => [slot, otherPart(part)])),
})

/** Words that name a hand or a side of the head, for the other one. "These tuners are right" names none. */
const inTheMirror = (text: string): string =>
  text.replace(
    /(?<!Right- and )\b(left|right)(?=-handed| side of the head)|(?<=and \d+ for the )(left|right)\b/g,
    (side) => OTHER[side as 'left' | 'right'],
  )

/** Every text and number of a result under where it stands. */
function* said(of: unknown, path = ''): Generator<[string, string]> {
  if (typeof of === 'string' || typeof of === 'number' || typeof of === 'boolean') yield [path, String(of)]
  else if (of && typeof of === 'object') for (const [key, value] of Object.entries(of)) yield* said(value, `${path}/${key}`)
}

describe('an instrument in the mirror', () => {
  it('has every verdict, size, hole, step and sentence of the other; only the hand has another name', () => {
    let texts = 0
    const asked = holds(
      fc.property(anyBuild, (build) => {
        const [one, other] = [build, mirrored(build)].map((b) => [...said(evaluate(b, '2026-12-02'))])
        expect(other!.length).toBe(one!.length)
        const otherwise = one!.flatMap(([path, text], i) => (other![i]![1] === inTheMirror(text) ? [] : [[path, text, other![i]![1]]]))
        expect(otherwise).toEqual([])
        texts += one!.length
      }),
      25,
    )
    expect(texts).toBeGreaterThan(200 * asked)
  })
})
