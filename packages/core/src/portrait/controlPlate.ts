import { pt } from '../geometry/point'
import { plateEdge } from '../instrument/platePlace'
import { ownScrew } from './hardware'
import { controlHoles } from './places'
import type { Sketch } from './sketch'

/** Places of two pots behind a switch; of seconds between them. */
export const CONTROL_PLATE_USUAL: Readonly<Record<string, number>> = {
  'jack.x': 142,
  'switch.x': 45,
  'volume.x': 82,
  'tone.x': 117,
  'switch-2.x': 20,
  'volume-2.x': 100,
  'tone-2.x': 135,
}

/** x from its front end towards the tail, across from its middle line. */
export function sketchControlPlate(s: Sketch): void {
  const [long, wide, spread] = [s.v('length'), s.v('width'), s.v('screw.spread')]
  s.onInstrument('front', 'from the front, the end nearer the neck first')
  s.area('metal', plateEdge(long, wide, s.trait('ends') !== 'square'), ['length', 'width'])
  s.line('centre', pt(-8, 0), pt(long + 8, 0))
  // Rounded ends reach furthest on the middle line.
  s.along('length', 'outside', 0, 0).across('width', 'outside', long * 0.4)
  controlHoles(s)
  for (const side of [-1, 1]) s.round('cavity', pt(long / 2 + (side * spread) / 2, 0), 3, ['screw.spread', 'length'])
  s.take('screw.spread', 'rule', pt((long - spread) / 2, 0), pt((long + spread) / 2, 0))
  s.view('edge', 'its edge')
  s.box('metal', 0, 0, 60, s.v('thickness'), ['thickness']).down('thickness', 'outside', 30, 0)
  ownScrew(s)
}
