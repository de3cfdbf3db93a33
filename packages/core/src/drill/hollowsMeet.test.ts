import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { Build } from '../document/build'
import { sizeAt, sizeRef, type SizeRef } from '../document/read'
import { insideOf } from '../geometry/polygon'
import { rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { controlRefs, potsIn } from '../instrument/controlPlace'
import { knownBuild } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import type { DrawnCard } from './holeCard'
import { holeCards } from './holes'
import { hollowsOf, type Hollow } from './hollows'
import { CONTROL_HOLES } from './overOpen'
import { withoutGuesses } from './told'

/** Air in the body, as the card or the tape measure has it. */
interface Air {
  id: string
  card?: DrawnCard
  inside: (at: Point) => boolean
  points: readonly Point[]
  /** Below the front, mm. */
  from: number
  to: number
}

const STEP = 3
function areaOf(h: Hollow): Pick<Air, 'inside' | 'points'> {
  const { x, y, width, height } = h.box
  const inside = insideOf(h.askew ?? rectangle(x, y, x + width, y + height))
  const along = Array.from({ length: Math.floor(width / STEP) }, (_, i) => x + (i + 0.5) * STEP)
  const across = Array.from({ length: Math.floor(height / STEP) }, (_, i) => y + (i + 0.5) * STEP)
  return { inside, points: along.flatMap((a) => across.map((b) => pt(a, b))).filter(inside) }
}

function boreOf(at: Point, wide: number): Pick<Air, 'inside' | 'points'> {
  const round = Array.from({ length: 8 }, (_, i) => (i * Math.PI) / 4)
  return {
    inside: (p) => Math.hypot(p.x - at.x, p.y - at.y) < wide / 2,
    points: [at, ...round.map((a) => pt(at.x + 0.48 * wide * Math.cos(a), at.y + 0.48 * wide * Math.sin(a)))],
  }
}

const span = (face: string, thick: number, depth = thick) => (face === 'back' ? { from: thick - depth, to: thick } : { from: 0, to: depth })

/** All the air there is in a body or is to be: hollows that are measured, those that are to be cut, and holes. */
function airIn(build: Build, cards: readonly DrawnCard[]): Air[] {
  const thick = sizeAt(build, sizeRef('body', 'thickness'))!.value
  const hollow = (h: Hollow, card?: DrawnCard): Air => ({
    id: h.id,
    ...areaOf(h),
    ...span(h.face, thick, h.depth),
    ...(card ? { card } : {}),
  })
  return [
    // As Drill has them: of sizes that cannot be right together none is gone by, and they stand where the cards count from.
    ...hollowsOf(withoutGuesses(build)).map((h) => hollow(h)),
    ...cards.flatMap((card) => (card.cuts ? [hollow(card.cuts, card)] : [])),
    ...cards
      .filter((c) => (c.side === 'front' || c.side === 'back') && c.bit !== undefined && !c.byPart)
      .flatMap((card) =>
        card.places.map((at): Air => ({ id: card.id, card, ...boreOf(at, card.bit!), ...span(card.side, thick, card.depth) })),
      ),
  ]
}

const meet = (a: Air, b: Air): boolean =>
  Math.min(a.to, b.to) > Math.max(a.from, b.from) + 0.01 && (a.points.some(b.inside) || b.points.some(a.inside))

/** Made through each other on purpose. */
const MEANT: readonly ((a: string, b: string) => boolean)[] = [
  (a, b) => CONTROL_HOLES.has(a) && b === 'control',
  (a, b) => a === 'neck-clearance' && b === 'pocket',
  (a, b) => a === 'string-holes' && b === 'ferrule-bores',
  (a, b) => a === 'ground-wire' && b === 'stud-bores',
]
const meant = (a: string, b: string): boolean => MEANT.some((of) => of(a, b) || of(b, a))

/** What a card calls its look at the other. */
const looks = (other: Air): readonly string[] => [
  `wall-${other.id}`,
  `hollow-${other.id}`,
  `near-${other.id}`,
  ...(other.id === 'pocket' ? ['pocket'] : []),
  // What is hollow from the back ends a route's floor.
  ...(other.id === 'springs' || other.id === 'control' ? ['face', 'under'] : []),
]

const OF_BODY = [
  ...['neck', 'middle', 'bridge'].map((p) => `route.${p}.centre`),
  'mouthToBridge',
  'control.x',
  'control.y',
  'claw.x',
  'control.depth',
  'spring.depth',
]
const somewhere = fc
  .tuple(knownBuild.map(drillable), fc.nat(2 ** 30), fc.array(fc.integer({ min: -60, max: 60 }), { minLength: 24, maxLength: 24 }))
  .map(([build, mask, by]) => {
    // The pocket stays: everything on the body is counted from it.
    const bare = undrilled(build, mask & ~1)
    const places: SizeRef[] = [
      ...OF_BODY.map((size) => ({ slot: 'body' as const, size })),
      ...potsIn(bare).flatMap((pot) => Object.values(controlRefs(bare, pot))),
    ]
    const moved = places.flatMap((ref, i) => {
      const size = sizeAt(bare, ref)
      return size ? [[`${ref.slot}/${ref.size}`, Math.max(0, size.value + (by[i % by.length]! % (/depth/.test(ref.size) ? 8 : 61)))]] : []
    })
    return changed(bare, Object.fromEntries(moved))
  })

it('whatever would open something else is told so by the card that makes it, wherever both lie', () => {
  let met = 0
  holds(
    fc.property(somewhere, (build) => {
      if (!sizeAt(build, sizeRef('body', 'thickness'))) return
      const cards = holeCards(build) as DrawnCard[]
      const air = airIn(build, cards)
      for (const a of air) {
        if (!a.card || (a.card.work !== 'new' && a.card.work !== 'plug') || a.card.stands === 'done') continue
        for (const b of air) {
          if (a === b || a.card === b.card || meant(a.id, b.id) || !meet(a, b)) continue
          met++
          const said = a.card.guards.filter((g) => looks(b).includes(g.id) && g.verdict !== 'snug')
          expect(said.length, `${a.card.id} meets ${b.id}`).toBeGreaterThan(0)
        }
      }
    }),
    1200,
  )
  expect(met).toBeGreaterThan(100)
})
