import type { Build } from '../../document/build'
import type { Point } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import type { Slot } from '../../parts/slots'

/** Where on the instrument a part is pointed at; the body's lower half when it has no place of its own. */
export function partPlace(build: Build, slot: Slot | undefined): Point {
  const d = datums(build)
  const places: Partial<Record<Slot, Point>> = {
    neck: { x: d.scale * 0.3, y: 0 },
    tuners: { x: -90, y: 0 },
    nut: { x: -4, y: 0 },
    strings: { x: d.scale * 0.35, y: 0 },
    bridge: { x: d.studs, y: 0 },
    guard: { x: d.heelEnd + 60, y: 60 },
    'pickup-neck': { x: d.heelEnd + 32, y: 0 },
    'pickup-middle': { x: d.heelEnd + 88, y: 0 },
    'pickup-bridge': { x: d.heelEnd + 143, y: 0 },
    switch: { x: d.heelEnd + 148, y: -62 },
  }
  return (slot && places[slot]) ?? { x: d.studs + 50, y: 70 }
}
