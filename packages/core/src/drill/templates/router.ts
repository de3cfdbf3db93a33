import type { Build } from '../../document/build'
import { sizeAt } from '../../document/read'
import { pt } from '../../geometry/point'
import type { PickupPlace } from '../../instrument/guardPlace'
import { printMm } from '../../quantity/length'
import type { Bench } from '../bench'
import { routerPair, templateOffset } from '../cards/router'
import { holeCards } from '../holes'
import { hollowsOf } from '../hollows'
import { type TemplateId, closed, line, roundedBox, words } from './template'
import { type Made, TITLES } from './titles'

/** An opening for a guide bushing, larger than the cut by what the bushing is wider than the bit. */
export function routeTemplate(build: Build, bench: Bench, place: PickupPlace): Made | undefined {
  const card = holeCards(build, bench).find((c) => c.id === `route-${place}`)
  const pair = routerPair(bench.bushings, bench.routerBits)
  const box = hollowsOf(build).find((h) => h.id === `route-${place}`)?.box
  const cover = (['length', 'width'] as const).map((s) => sizeAt(build, { slot: `pickup-${place}`, size: s })?.value)
  const centre = sizeAt(build, { slot: 'body', size: `route.${place}.centre` })?.value
  if (!card || !pair || centre === undefined) return undefined
  const [l, w] = box ? [box.width, box.height] : cover
  if (l === undefined || w === undefined) return undefined
  const room = box ? 0 : 1
  return bushingTemplate(
    `route-${place}`,
    pair,
    { l: l + 2 * room, w: w + 2 * room },
    sizeAt(build, { slot: 'body', size: `route.${place}.radius` })?.value,
    'front',
  )
}

/** The control route, from the face it is cut from. */
export function controlTemplate(build: Build, bench: Bench): Made | undefined {
  const hollow = hollowsOf(build).find((h) => h.id === 'control')
  const pair = routerPair(bench.bushings, bench.routerBits)
  const [l, w] = (['length', 'width'] as const).map((s) => sizeAt(build, { slot: 'body', size: `control.${s}` })?.value)
  if (!hollow || !pair || l === undefined || w === undefined) return undefined
  return bushingTemplate('route-control', pair, { l, w }, undefined, hollow.face)
}

/** An opening so much larger than its cut that a bushing runs in it. */
function bushingTemplate(
  id: TemplateId,
  pair: { bushing: number; bit: number },
  cut: { l: number; w: number },
  radius: number | undefined,
  seen: 'front' | 'back',
): Made {
  const offset = templateOffset(pair.bushing, pair.bit)
  const size = { l: cut.l + 2 * offset, w: cut.w + 2 * offset }
  const corner = Math.max(pair.bit / 2, radius ?? 0)
  return {
    title: TITLES[id],
    seen,
    notes: [
      `FOR A ${printMm(pair.bushing, 2)} mm BUSHING AND A ${printMm(pair.bit, 2)} mm BIT: the edge stands ${printMm(offset, 3)} mm outside the cut. With a bearing bit it cuts too large.`,
    ],
    shapes: [
      closed(roundedBox({ x: -size.l / 2, y: -size.w / 2, width: size.l, height: size.w }, corner + offset), 'cut'),
      closed(roundedBox({ x: -cut.l / 2, y: -cut.w / 2, width: cut.l, height: cut.w }, corner)),
      line([pt(-size.l / 2 - 25, 0), pt(size.l / 2 + 25, 0)]),
      line([pt(0, -size.w / 2 - 15), pt(0, size.w / 2 + 15)]),
      words(pt(2, -size.w / 2 - 8), 'across the strings', 'start'),
    ],
  }
}
