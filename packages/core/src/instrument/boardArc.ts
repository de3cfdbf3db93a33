/** How far an arc of radius R falls below its middle at a place y across, mm. [physics: circle] */
export const fallOf = (radius: number, y: number): number => radius - Math.sqrt(Math.max(0, radius * radius - y * y))

/** No arc over saddles is rounder than this, mm: a board that gets rounder along its length is followed no further. [practice] */
const ROUNDEST = 100

/** Radius of a board that changes along its length, carried on to the saddle by the cone's straight line. [physics] */
export function radiusAtSaddle(nut: number, end: number, lastFret: number, scale: number): number {
  return Math.max(Math.min(ROUNDEST, end), nut + ((end - nut) * scale) / lastFret)
}
