import type { Build } from '../../document/build'
import { sizeAt } from '../../document/read'
import { type Point, pt } from '../../geometry/point'
import type { PickupPlace } from '../../instrument/guardPlace'
import { printMm } from '../../quantity/length'
import type { Bench } from '../bench'
import { routerPair, templateOffset } from '../cards/router'
import type { DrawnCard } from '../holeCard'
import { type Hollow, hollowsOf } from '../hollows'
import { type TemplateId, closed, line, roundedBox, words } from './template'
import { type Made, TITLES } from './titles'

/** An opening for a guide bushing, larger than the cut by what the bushing is wider than the bit. */
export function routeTemplate(build: Build, bench: Bench, cards: readonly DrawnCard[], place: PickupPlace): Made | undefined {
  const id = `route-${place}` as const
  const pair = routerPair(bench.bushings, bench.routerBits)
  const hollow = hollowsOf(build).find((h) => h.id === id) ?? planned(cards, id)
  if (!pair || !hollow) return undefined
  return bushingTemplate(id, pair, sidesOf(hollow), sizeAt(build, { slot: 'body', size: `route.${place}.radius` })?.value, hollow)
}

/** The control route, from the face it is cut from. */
export function controlTemplate(build: Build, bench: Bench, cards: readonly DrawnCard[]): Made | undefined {
  const hollow = hollowsOf(build).find((h) => h.id === 'control') ?? planned(cards, 'route-control')
  const pair = routerPair(bench.bushings, bench.routerBits)
  return hollow && pair && bushingTemplate('route-control', pair, sidesOf(hollow), undefined, hollow)
}

/** The hollow a card makes, where it is not there yet and its place is known. */
const planned = (cards: readonly DrawnCard[], id: string): Hollow | undefined => cards.find((c) => c.id === id)?.cuts

/** How long and how wide it is, along itself where it lies askew. */
function sidesOf({ box, askew }: Hollow): { l: number; w: number } {
  if (!askew) return { l: box.width, w: box.height }
  const [a, b, c] = askew as [Point, Point, Point]
  return { l: Math.hypot(b.x - a.x, b.y - a.y), w: Math.hypot(c.x - b.x, c.y - b.y) }
}

/** An opening so much larger than its cut that a bushing runs in it. */
function bushingTemplate(
  id: TemplateId,
  pair: { bushing: number; bit: number },
  cut: { l: number; w: number },
  radius: number | undefined,
  { face, askew }: Hollow,
): Made {
  const offset = templateOffset(pair.bushing, pair.bit)
  const size = { l: cut.l + 2 * offset, w: cut.w + 2 * offset }
  const corner = Math.max(pair.bit / 2, radius ?? 0)
  return {
    title: TITLES[id],
    seen: face,
    notes: [
      `FOR A ${printMm(pair.bushing, 2)} mm BUSHING AND A ${printMm(pair.bit, 2)} mm BIT: the edge stands ${printMm(offset, 3)} mm outside the cut. With a bearing bit it cuts too large.`,
    ],
    shapes: [
      closed(roundedBox({ x: -size.l / 2, y: -size.w / 2, width: size.l, height: size.w }, corner + offset), 'cut'),
      closed(roundedBox({ x: -cut.l / 2, y: -cut.w / 2, width: cut.l, height: cut.w }, corner)),
      line([pt(-size.l / 2 - 25, 0), pt(size.l / 2 + 25, 0)]),
      line([pt(0, -size.w / 2 - 15), pt(0, size.w / 2 + 15)]),
      words(pt(2, -size.w / 2 - 8), askew ? 'across its plate' : 'across the strings', 'start'),
    ],
  }
}
