import { Matrix, solve } from 'ml-matrix'
import { pt, type Point } from './point'

/** A map of one plane onto another, row by row; the last number is 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number]

/**
 * The map that carries each `from` to its `to`: exact through four pairs, least squares through more. Both sides are brought to a middle of
 * nothing and a spread of one first, so that the sums stay well behaved. [published: direct linear transformation, Hartley & Zisserman, from
 * memory]
 * @returns nothing where fewer than four pairs are given or three of four lie in line
 */
export function homography(from: readonly Point[], to: readonly Point[]): Homography | undefined {
  if (from.length < 4 || from.length !== to.length) return undefined
  const [a, b] = [normal(from), normal(to)]
  const rows: number[][] = []
  const right: number[][] = []
  from.forEach((p, i) => {
    const [x, y] = [(p.x - a.x) / a.s, (p.y - a.y) / a.s]
    const [u, v] = [(to[i]!.x - b.x) / b.s, (to[i]!.y - b.y) / b.s]
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y])
    right.push([u], [v])
  })
  let h: number[]
  try {
    h = solve(new Matrix(rows), new Matrix(right)).getColumn(0)
  } catch {
    return undefined
  }
  if (!h.every(Number.isFinite)) return undefined
  // H = B^-1 h A, where A and B bring the sides to their middles.
  const m = [...h, 1]
  const A = [1 / a.s, 0, -a.x / a.s, 0, 1 / a.s, -a.y / a.s, 0, 0, 1]
  const B = [b.s, 0, b.x, 0, b.s, b.y, 0, 0, 1]
  const full = times(B, times(m, A))
  const last = full[8]!
  if (Math.abs(last) < 1e-12) return undefined
  return full.slice(0, 8).map((x) => x / last) as unknown as Homography
}

const times = (a: readonly number[], b: readonly number[]): number[] =>
  [0, 1, 2].flatMap((r) => [0, 1, 2].map((c) => a[3 * r]! * b[c]! + a[3 * r + 1]! * b[3 + c]! + a[3 * r + 2]! * b[6 + c]!))

function normal(points: readonly Point[]): { x: number; y: number; s: number } {
  const x = points.reduce((s, p) => s + p.x, 0) / points.length
  const y = points.reduce((s, p) => s + p.y, 0) / points.length
  const s = points.reduce((sum, p) => sum + Math.hypot(p.x - x, p.y - y), 0) / points.length
  return { x, y, s: s || 1 }
}

/** Where a point of the one plane lies on the other. */
export function carried(h: Homography, { x, y }: Point): Point {
  const w = h[6] * x + h[7] * y + 1
  return pt((h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w)
}
