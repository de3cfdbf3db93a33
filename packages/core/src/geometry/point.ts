/** A place in a plane, mm. */
export interface Point {
  x: number
  y: number
}
export const pt = (x: number, y: number): Point => ({ x, y })
