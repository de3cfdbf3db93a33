import type { SwitchControl } from '../instrument/controlPlace'
import { outlinePoints } from '../instrument/outline'
import { pt } from '../geometry/point'
import { ownScrew } from './hardware'
import { HOLE_PLACES, opening } from './places'
import type { Sketch } from './sketch'

export const GUARD_USUAL: Readonly<Record<string, number>> = {
  'opening.neck.centre': 22,
  'opening.middle.centre': 72,
  'opening.bridge.centre': 116,
  'neck.width': 56,
  'bridge.edge': 140,
  'volume.x': 178,
  'volume.y': -62,
  'tone.x': 214,
  'tone.y': -78,
  'volume-2.x': 164,
  'volume-2.y': -92,
  'tone-2.x': 200,
  'tone-2.y': -98,
  'switch.x': 140,
  'switch.y': -66,
  'switch-2.x': 110,
  'switch-2.y': -66,
  'screw.edge': 8,
}

const isSwitch = (hole: (typeof HOLE_PLACES)[number]): hole is SwitchControl => hole === 'switch' || hole === 'switch-2'
/** The slot its place belongs to. */
const holed = (hole: (typeof HOLE_PLACES)[number]): string => (isSwitch(hole) ? hole : `pot-${hole}`)

/** A lever's slot with its two screws, or a toggle's hole, in a guard. */
function switchSlot(s: Sketch, of: SwitchControl): void {
  const at = pt(s.v(`${of}.x`), s.v(`${of}.y`))
  const [slot, screws, hole] = [`${of}.slot`, `${of}.screws`, `${of}.hole`]
  s.box('cavity', at.x - s.v(slot) / 2, at.y - 1.5, at.x + s.v(slot) / 2, at.y + 1.5, [slot, `${of}.x`, `${of}.y`])
  for (const side of [-1, 1]) s.round('cavity', pt(at.x + (side * s.v(screws)) / 2, at.y), 3, [screws])
  s.wide(slot, 'inside', at.x, at.y).wide(screws, 'rule', at.x, at.y)
  s.only([hole], false, () => s.round('cavity', at, s.v(hole), [hole]).wide(hole, 'inside', at.x, at.y))
}

export function sketchGuard(s: Sketch): void {
  const rows = s.part?.outline
  const edge = s.v('bridge.edge')
  s.view('front', 'from the front')
  if (rows) s.mark({ mark: 'area', role: 'plastic', points: outlinePoints(rows) })
  else
    s.mark({
      mark: 'area',
      role: 'plastic',
      dashed: true,
      points: [
        pt(-30, -62),
        pt(40, -88),
        pt(180, -104),
        pt(240, -92),
        pt(236, -60),
        pt(edge, -40),
        pt(edge, 48),
        pt(30, 66),
        pt(-40, 52),
        pt(-30, 28),
        pt(0, 28),
        pt(0, -28),
        pt(-30, -28),
      ],
    })
  s.line('centre', pt(-20, 0), pt(edge + 30, 0))
  for (const place of ['neck', 'middle', 'bridge'] as const) opening(s, `opening.${place}`, `pickup-${place}` in s.build.parts)
  for (const hole of HOLE_PLACES)
    s.only([`${hole}.x`, `${hole}.y`], !hole.endsWith('-2') || holed(hole) in s.build.parts, () => {
      const [x, y] = [s.v(`${hole}.x`), s.v(`${hole}.y`)]
      s.take(`${hole}.x`, 'rule', pt(0, y), pt(x, y)).take(`${hole}.y`, 'rule', pt(x, 0), pt(x, y))
      if (!isSwitch(hole)) s.round('cavity', pt(x, y), s.v('pot.hole'), [`${hole}.x`, `${hole}.y`, 'pot.hole'])
    })
  s.wide('pot.hole', 'inside', s.v('volume.x'), s.v('volume.y'))
  for (const hole of HOLE_PLACES.filter(isSwitch))
    s.only([`${hole}.slot`, `${hole}.screws`], hole === 'switch' || hole in s.build.parts, () => switchSlot(s, hole))
  s.across('neck.width', 'inside', 0).along('bridge.edge', 'rule', 0, 0)
  s.round('cavity', pt(-10, 40), 3, ['screw.edge']).along('screw.edge', 'rule', -10, 40)
  s.view('edge', 'its edge')
  s.box('plastic', 0, 0, 60, s.v('thickness'), ['thickness']).down('thickness', 'outside', 30, 0)
  ownScrew(s)
}
