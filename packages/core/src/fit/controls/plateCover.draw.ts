import { ofHand } from '../../drawing/turnedOver'
import type { Build } from '../../document/build'
import { isSaid, sizeRef, valueAt } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { framed, nothingYet } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { controlRefs, potSlot, potsIn } from '../../instrument/controlPlace'
import { hasRoundEnds, plateEdge } from '../../instrument/platePlace'
import { roomUnder, UNDER_PLATE } from '../../instrument/plateScrews'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'

const TITLE = 'Control plate over its route, from above'

/** On the plate's own marks: its front end at 0, the route under it, the pots' bodies, its end screws. */
export function plateCoverDrawing(build: Build): Drawing {
  const refs = [...UNDER_PLATE, sizeRef('control-plate', 'width')]
  if (!isSaid(build, ...refs)) return nothingYet(TITLE)
  const values = UNDER_PLATE.map((ref) => valueAt(build, ref)!)
  const { long, middle: m, half: h } = roomUnder(values)
  const wide = valueAt(build, sizeRef('control-plate', 'width'))!
  const spread = valueAt(build, sizeRef('control-plate', 'screw.spread'))
  const marks: Mark[] = [
    { mark: 'area', role: 'metal', points: plateEdge(long, wide, hasRoundEnds(build) ?? true) },
    { mark: 'area', role: 'cavity', points: rectangle(m.x - h.x, m.y - h.y, m.x + h.x, m.y + h.y) },
    { mark: 'line', role: 'centre', points: [pt(-6, 0), pt(long + 6, 0)] },
  ]
  for (const control of potsIn(build)) {
    const { x, y } = controlRefs(build, control)
    if (isSaid(build, x, y))
      marks.push({
        mark: 'circle',
        role: 'metal',
        at: pt(valueAt(build, x)!, valueAt(build, y)!),
        r: drawnAt(build, sizeRef(potSlot(control), 'body.diameter')) / 2,
      })
  }
  if (spread !== undefined)
    for (const side of [-1, 1]) marks.push({ mark: 'circle', role: 'cavity', at: pt((long + side * spread) / 2, 0), r: 1.5 })
  const [front, tail] = [m.x - h.x, long - m.x - h.x]
  const drawing = framed(TITLE, 'true proportion · dark: the route under it · the end nearer the neck first', marks, [
    { label: 'Beyond the route, front end', value: `${printMm(front, 1)} mm` },
    { label: 'Beyond the route, tail end', value: `${printMm(tail, 1)} mm` },
    { label: 'Beyond its sides', value: `${printMm(wide / 2 - Math.abs(m.y) - h.y, 1)} mm` },
  ])
  return ofHand(drawing, build.handedness)
}
