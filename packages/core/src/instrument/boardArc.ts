/** How far an arc of radius R falls below its middle at a place y across, mm. [physics: circle] */
export const fallOf = (radius: number, y: number): number => radius - Math.sqrt(Math.max(0, radius * radius - y * y))

/** No arc over saddles is rounder than this, mm: a board that gets rounder along its length is followed no further. [practice] */
const ROUNDEST = 100

/** Board radius carried on to the saddle: constant, or the cone's straight line where it changes along the board. [physics] */
export function radiusAtSaddle(nut: number, end: number | undefined, lastFret: number, scale: number): number {
  return end === undefined ? nut : Math.max(Math.min(ROUNDEST, end), nut + ((end - nut) * scale) / lastFret)
}
