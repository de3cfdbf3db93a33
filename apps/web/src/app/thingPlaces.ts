import { datums, type Build, type Evaluation, type Point } from '@snug/core'

/** Where on the instrument a joint, hole, slot or step lies; the body's middle when it has no place of its own. */
export function placeOf(build: Build, e: Evaluation, thing: string | undefined, slot?: string): Point {
  const d = datums(build)
  const joint = e.joints.find((j) => j.id === thing || j.slots.some((s) => s === thing))
  if (joint) return joint.at
  const hole = e.holes.find((h) => h.id === thing)
  if (hole?.places[0]) return hole.places[0]
  const part = slot ?? thing ?? ''
  const places: Record<string, Point> = {
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
    relief: { x: d.scale * 0.37, y: 0 },
    action: { x: d.scale / 2, y: 0 },
    intonation: { x: d.scale, y: 0 },
  }
  return places[part] ?? { x: d.studs + 50, y: 70 }
}
