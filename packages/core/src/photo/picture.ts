import { pt, type Point } from '../geometry/point'

/** A picture as its brightness, 0 to 255, row by row; pixel (0, 0) is the middle of the one at the top left. */
export interface GreyPicture {
  width: number
  height: number
  grey: Uint8Array | Uint8ClampedArray | Float32Array
}

/** Brightness from red, green, blue and opacity, four numbers a pixel. [published: ITU-R BT.601 luma, from memory] */
export function greyOf(rgba: ArrayLike<number>, width: number, height: number): GreyPicture {
  const grey = new Uint8Array(width * height)
  for (let i = 0, j = 0; i < grey.length; i++, j += 4) grey[i] = 0.299 * rgba[j]! + 0.587 * rgba[j + 1]! + 0.114 * rgba[j + 2]! + 0.5
  return { width, height, grey }
}

/** Brightness between pixels, bilinear; at the edge, the edge's. */
export function brightness({ width, height, grey }: GreyPicture, x: number, y: number): number {
  const [cx, cy] = [Math.min(width - 1.001, Math.max(0, x)), Math.min(height - 1.001, Math.max(0, y))]
  const [ix, iy] = [Math.floor(cx), Math.floor(cy)]
  const [fx, fy] = [cx - ix, cy - iy]
  const i = iy * width + ix
  return (grey[i]! * (1 - fx) + grey[i + 1]! * fx) * (1 - fy) + (grey[i + width]! * (1 - fx) + grey[i + width + 1]! * fx) * fy
}

/** How a lens bends what is straight: pixels between 1 + k r^2, r from the middle in focal lengths. [published: Brown, from memory] */
export interface Lens {
  k: number
  /** In pixels. */
  focal: number
  middle: Point
}

/** Where a pixel would lie if the lens bent nothing; found by going back and forth, to a thousandth of a pixel. */
export function straightened({ k, focal, middle }: Lens, p: Point): Point {
  const [dx, dy] = [(p.x - middle.x) / focal, (p.y - middle.y) / focal]
  let [x, y] = [dx, dy]
  for (let i = 0; i < 12; i++) {
    const by = 1 + k * (x * x + y * y)
    ;[x, y] = [dx / by, dy / by]
  }
  return pt(middle.x + focal * x, middle.y + focal * y)
}
