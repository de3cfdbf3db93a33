import { pt, type Point } from '../geometry/point'
import type { GreyPicture } from './picture'

/** A dark patch in a picture: its middle, how many pixels, and the box round it. */
export interface Blot {
  at: Point
  area: number
  width: number
  height: number
}

/** How much darker than its surroundings a pixel is, to belong to a blot. */
const DARKER = 28

/**
 * Dark patches of a picture, each compared with the mean round it, so that light that falls unevenly matters little. Patches are joined by
 * their sides.
 * @param around half the side of the square a pixel is compared with, pixels
 */
export function blots(picture: GreyPicture, around: number, least: number, most: number): Blot[] {
  const { width, height, grey } = picture
  const mean = boxMeans(picture, around)
  const label = new Int32Array(width * height)
  const found: Blot[] = []
  const stack: number[] = []
  let next = 0
  for (let start = 0; start < label.length; start++) {
    if (label[start] || grey[start]! > mean[start]! - DARKER) continue
    next++
    label[start] = next
    stack.push(start)
    let [area, sx, sy, weight, x0, x1, y0, y1] = [0, 0, 0, 0, width, 0, height, 0]
    while (stack.length) {
      const i = stack.pop()!
      const x = i % width
      const y = (i - x) / width
      const w = mean[i]! - grey[i]!
      area++
      sx += x * w
      sy += y * w
      weight += w
      x0 = Math.min(x0, x)
      x1 = Math.max(x1, x)
      y0 = Math.min(y0, y)
      y1 = Math.max(y1, y)
      for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width])
        if (j >= 0 && j < label.length && !label[j] && grey[j]! <= mean[j]! - DARKER) {
          label[j] = next
          stack.push(j)
        }
    }
    if (area >= least && area <= most) found.push({ at: pt(sx / weight, sy / weight), area, width: x1 - x0 + 1, height: y1 - y0 + 1 })
  }
  return found
}

/** Mean of the square round each pixel, by sums of sums. */
function boxMeans({ width, height, grey }: GreyPicture, r: number): Float32Array {
  const sums = new Float64Array((width + 1) * (height + 1))
  for (let y = 0; y < height; y++) {
    let row = 0
    for (let x = 0; x < width; x++) {
      row += grey[y * width + x]!
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row
    }
  }
  const mean = new Float32Array(width * height)
  for (let y = 0; y < height; y++) {
    const [y0, y1] = [Math.max(0, y - r), Math.min(height, y + r + 1)]
    for (let x = 0; x < width; x++) {
      const [x0, x1] = [Math.max(0, x - r), Math.min(width, x + r + 1)]
      const sum = sums[y1 * (width + 1) + x1]! - sums[y0 * (width + 1) + x1]! - sums[y1 * (width + 1) + x0]! + sums[y0 * (width + 1) + x0]!
      mean[y * width + x] = sum / ((y1 - y0) * (x1 - x0))
    }
  }
  return mean
}

/** The middle of a dark dot near a pick: weighed by darkness within a circle, twice, so that the pick itself matters little. */
export function dotNear(picture: GreyPicture, pick: Point, radius: number): Point {
  const { width, height, grey } = picture
  let at = pick
  for (let round = 0; round < 4; round++) {
    const [x0, x1] = [Math.max(0, Math.floor(at.x - radius)), Math.min(width - 1, Math.ceil(at.x + radius))]
    const [y0, y1] = [Math.max(0, Math.floor(at.y - radius)), Math.min(height - 1, Math.ceil(at.y + radius))]
    const rim: number[] = []
    for (let y = y0; y <= y1; y++)
      for (let x = x0; x <= x1; x++) if (Math.abs(Math.hypot(x - at.x, y - at.y) - radius) < 1) rim.push(grey[y * width + x]!)
    const ground = rim.sort((a, b) => a - b)[Math.floor(rim.length / 2)] ?? 255
    let [sx, sy, weight] = [0, 0, 0]
    for (let y = y0; y <= y1; y++)
      for (let x = x0; x <= x1; x++) {
        if (Math.hypot(x - at.x, y - at.y) > radius) continue
        const w = Math.max(0, ground - grey[y * width + x]! - DARKER / 2)
        sx += w * x
        sy += w * y
        weight += w
      }
    if (!weight) return pick
    at = pt(sx / weight, sy / weight)
  }
  return at
}
