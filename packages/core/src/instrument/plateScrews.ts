import { sizeRef, type SizeRef } from '../document/read'
import { pt } from '../geometry/point'
import { onPlate, PLATE_PLACE, poseFrom } from './platePlace'

/** What says how the control route lies under its plate, in the order `roomUnder` takes it. */
export const UNDER_PLATE: readonly SizeRef[] = [
  ...PLATE_PLACE,
  sizeRef('body', 'control.x'),
  sizeRef('body', 'control.y'),
  sizeRef('body', 'control.length'),
  sizeRef('body', 'control.width'),
]

/** The route's middle and half sizes on the plate's own marks, and the plate's length, mm. */
export function roomUnder([x, y, tail, long, routeX, routeY, routeLong, routeWide]: readonly number[]) {
  return {
    long: long!,
    middle: onPlate(poseFrom(x!, y!, tail!, long!), pt(routeX!, routeY!)),
    half: pt(routeLong! / 2, routeWide! / 2),
  }
}

/** What says how much wood the plate's outer screws have, in the order `woodAtScrews` takes it. */
export const SCREW_WOOD: readonly SizeRef[] = [...UNDER_PLATE, sizeRef('control-plate', 'screw.spread')]

/** From the middle of the worse of its two outer screws to the route's end, mm; less than nothing over the route. */
export function woodAtScrews(values: readonly number[]): number {
  const { long, middle, half } = roomUnder(values)
  const spread = values[8]!
  const [front, tail] = [(long - spread) / 2, (long + spread) / 2]
  return Math.min(middle.x - half.x - front, tail - (middle.x + half.x))
}
