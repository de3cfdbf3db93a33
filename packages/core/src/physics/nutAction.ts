import type { Point } from '../geometry/point'
import { heldPath, type Crowns } from './heldString'

/** Height of a line of points at a place, mm. */
const heightAt = (line: readonly Point[], x: number): number => {
  const i = Math.max(
    1,
    line.findIndex((p) => p.x >= x),
  )
  const [a, b] = [line[i - 1]!, line[i]!]
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x)
}

/** Gap between the open string and a crown, mm; 0 where it lies on it. Computed on the crowns as they stand. [physics] */
export function actionAt(neck: Crowns, saddle: Point, fret: number): number {
  const crown = neck.crowns[fret - 1]!
  return heightAt(heldPath(neck, saddle, 0), crown.x) - crown.y
}

/** Open gap over the first fret, mm. */
export const openGap = (neck: Crowns, saddle: Point): number => actionAt(neck, saddle, 1)

/** What is left over the first fret while the string is held down on another, mm; it may lie on a crown between. [physics] */
export function sliver(neck: Crowns, held: number): number {
  const first = neck.crowns[0]!
  if (held < 2) return 0
  // Held down it is a line over slot and crowns up to the one under the finger.
  const beyond = neck.crowns[held - 1]!
  return Math.max(0, heightAt(heldPath({ nut: neck.nut, crowns: neck.crowns.slice(0, held - 1) }, beyond, 0), first.x) - first.y)
}

/** The saddle's height that makes an action at a fret, mm: the straight line from the slot. [physics] @param back behind the scale line */
export function saddleFor(neck: Crowns, scale: number, action: number, fret: number, back = 0): Point {
  const crown = neck.crowns[fret - 1]!
  const x = scale + back
  return { x, y: neck.nut.y + ((crown.y + action - neck.nut.y) * x) / crown.x }
}

/** The slot's bottom that leaves a sliver while held, mm, on these crowns. [physics: inverse of the sliver on a line] */
export function slotForSliver(neck: Crowns, held: number, wanted: number): number {
  const [first, other] = [neck.crowns[0]!, neck.crowns[held - 1]!]
  return first.y + wanted + ((first.y + wanted - other.y) * first.x) / (other.x - first.x)
}

/** The slot's bottom that leaves an open gap over the first fret, mm. [physics] */
export function slotForGap(neck: Crowns, saddle: Point, wanted: number): number {
  const first = neck.crowns[0]!
  return first.y + wanted + ((first.y + wanted - saddle.y) * first.x) / (saddle.x - first.x)
}
