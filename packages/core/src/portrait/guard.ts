import { outlinePoints } from '../instrument/outline'
import { pt } from '../geometry/point'
import { ownScrew } from './hardware'
import { controlHoles, opening } from './places'
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
  'jack.x': 232,
  'jack.y': -88,
  'switch.x': 140,
  'switch.y': -66,
  'switch-2.x': 110,
  'switch-2.y': -66,
  'screw.edge': 8,
}

export function sketchGuard(s: Sketch): void {
  const rows = s.part?.outline
  const edge = s.v('bridge.edge')
  const round = s.trait('lies') !== 'beside'
  s.onInstrument('front', 'from the front')
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
  for (const place of ['neck', 'middle', 'bridge'] as const) opening(s, `opening.${place}`, round && `pickup-${place}` in s.build.parts)
  controlHoles(s)
  s.only(['neck.width', 'bridge.edge'], round, () => s.across('neck.width', 'inside', 0).along('bridge.edge', 'rule', 0, 0))
  s.round('cavity', pt(-10, 40), 3, ['screw.edge']).along('screw.edge', 'rule', -10, 40)
  s.view('edge', 'its edge')
  s.box('plastic', 0, 0, 60, s.v('thickness'), ['thickness']).down('thickness', 'outside', 30, 0)
  ownScrew(s)
}
