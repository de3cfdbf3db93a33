import type { Build } from '../document/build'
import { rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { outlinePoints } from './outline'

/** The guard where it lies against the heel, mm from the nut and across; a plain rectangle while nobody has drawn it. */
export function guardOutline(build: Build, heelEnd: number): Point[] {
  const rows = build.parts.guard?.outline
  if (rows && rows.length >= 3) return outlinePoints(rows).map((p) => pt(p.x + heelEnd, p.y))
  return rectangle(heelEnd, -95, heelEnd + 165, 60)
}
