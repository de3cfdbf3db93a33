import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Drawing } from '../drawing/drawing'
import { told } from '../quantity/size'
import { anyBuild, knownBuild } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { USUAL_BENCH } from './bench'
import { cardDrawing, drawnCards } from './holes'
import type { DrawnCard } from './holeCard'

/** Sizes somebody told, by their names: what is only supposed has no figure in the drawing of a hole. */
const toldOf = (build: Build, named: RegExp): number[] =>
  Object.values(build.parts).flatMap((part) =>
    Object.entries(part.sizes).flatMap(([name, s]) => (told(s) && named.test(name) ? [s.value] : [])),
  )

/** What is left of a thickness under something cut into it. */
function woods(build: Build): number[] {
  const cut = toldOf(build, /depth$/i)
  return toldOf(build, /thickness$/).flatMap((thick) => cut.map((deep) => thick - deep))
}

/** What a card says in numbers and in words; its wood is what is drilled and what stays. */
function figuresOf(c: Omit<DrawnCard, 'draw'>): number[] {
  const words = [c.size, c.says, ...c.steps, ...c.mind, ...c.from].join(' ').match(/\d+(\.\d+)?/g) ?? []
  const own = [c.bit, c.takes, c.depth, c.flag, c.left, ...c.guards.map((g) => g.spare?.value)].filter((x) => x !== undefined)
  const way = c.way ? [Math.hypot(c.way.to.x - c.way.from.x, c.way.to.y - c.way.from.y)] : []
  return [...own, ...way, ...words.map(Number), ...(c.flag !== undefined && c.left !== undefined ? [c.flag + c.left] : [])]
}

const builds = fc
  .tuple(fc.oneof(anyBuild, knownBuild), fc.boolean(), fc.nat())
  .map(([build, fresh, mask]) => (fresh ? undrilled(drillable(build), mask) : drillable(build)))

/** What stands in the drawing's own numbers and beside its hole. */
const besideIt = (drawing: Drawing): string[] => [
  ...drawing.numbers.flatMap(({ value }) => /^(-?\d+(?:\.\d+)?) mm/.exec(value)?.[1] ?? []),
  ...drawing.marks.flatMap((m) => (m.mark === 'label' ? (/^⌀ (\d+(?:\.\d+)?)$/.exec(m.text)?.[1] ?? []) : [])),
]

/** Within half of the last digit printed. */
const isAs = (text: string, x: number) =>
  Math.abs(Math.abs(x) - Math.abs(Number(text))) <= 0.5 * 10 ** -(text.split('.')[1]?.length ?? 0) + 1e-6

describe('what is drawn of a hole', () => {
  it('is a size somebody told, a figure of its card, or the wood under a cut; and as long as it says', () => {
    let seen = 0
    const runs = holds(
      fc.property(builds, fc.nat(), (build, n) => {
        const cards = drawnCards(build, USUAL_BENCH)
        const card = cards[n % cards.length]!
        // Of a room that is refused the drawing alone says what it would be.
        if (card.stands === 'refused' && card.id.startsWith('route-')) return
        const drawing = cardDrawing(card)
        const known = [...toldOf(build, /./), ...woods(build), ...figuresOf(card)]
        const isKnown = (text: string) =>
          expect(
            known.some((x) => isAs(text, x)),
            `${card.id} ${card.stands}: ${text}`,
          ).toBe(true)
        // A card that waits shows the part to be measured, with its usual sizes beside it; what is there may be shown so too.
        if (card.stands !== 'refused' && card.stands !== 'waiting' && card.work !== 'keep')
          for (const text of besideIt(drawing)) isKnown(text)
        for (const m of drawing.marks) {
          if (m.mark !== 'dimension' || !/^-?\d+(\.\d+)?$/.test(m.text)) continue
          seen++
          isKnown(m.text)
          if (!/true proportion/.test(drawing.note ?? '')) continue
          expect(
            isAs(m.text, Math.hypot(m.to.x - m.from.x, m.to.y - m.from.y)),
            `${card.id} ${card.stands}: ${m.text}, drawn otherwise`,
          ).toBe(true)
        }
      }),
      2_000,
    )
    expect(seen).toBeGreaterThan(runs / 3)
  })
})
