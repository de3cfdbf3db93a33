/**
 * Drawings as data: what to show, in millimetres, with the meaning of every line. Screens and printers turn the
 * same drawing into their own strokes; the numbers are the drawing's equivalent in text.
 */
export interface Point {
  x: number
  y: number
}
export const pt = (x: number, y: number): Point => ({ x, y })

/** What a mark stands for. How it looks is the interface's business. */
export type Role =
  | 'body-wood'
  | 'neck-wood'
  | 'board'
  | 'metal'
  | 'plastic'
  | 'pickup'
  | 'cavity'
  | 'film'
  | 'film-light'
  | 'string'
  | 'fret'
  | 'centre'
  | 'guide'
  | 'remove'
  | 'doubt'
  | 'bit'
  | 'tape'
  | 'hot'
  | 'ground'
  | 'coil'
  | 'sounding'
  | 'silent'
  | 'good'
  | 'open'

export type Mark =
  | { mark: 'area'; role: Role; points: Point[]; thing?: string; dashed?: boolean; radius?: number; tint?: string }
  | { mark: 'line'; role: Role; points: Point[]; thing?: string; dashed?: boolean }
  | { mark: 'circle'; role: Role; at: Point; r: number; thing?: string; dashed?: boolean }
  | { mark: 'dimension'; from: Point; to: Point; text: string; away?: number; emphasis?: boolean }
  | { mark: 'label'; at: Point; text: string; anchor?: 'start' | 'middle' | 'end'; role?: Role }

/** A place a person may drag up or down, or move by the arrow keys, to try another value. */
export interface Handle {
  id: string
  label: string
  at: Point
  value: number
  min: number
  max: number
  step: number
  unit: 'deg' | 'mm'
  /** What the value gains for each unit of the drawing it is moved up. */
  perUp: number
}

export interface Drawing {
  title: string
  /** The stated exaggeration, what a hatch means. */
  note?: string
  marks: Mark[]
  handles?: Handle[]
  /** Part of the plane to show, mm. */
  bounds: Box
  /** The same in numbers, for those who cannot see it. */
  numbers: { label: string; value: string }[]
}

export interface Box {
  x: number
  y: number
  width: number
  height: number
}

export const rectangle = (x0: number, y0: number, x1: number, y1: number): Point[] => [pt(x0, y0), pt(x1, y0), pt(x1, y1), pt(x0, y1)]

/** Smallest box round the points, grown by `margin`. */
export function boxAround(points: readonly Point[], margin = 0): Box {
  let x0 = Infinity
  let y0 = Infinity
  let x1 = -Infinity
  let y1 = -Infinity
  for (const p of points) {
    x0 = Math.min(x0, p.x)
    x1 = Math.max(x1, p.x)
    y0 = Math.min(y0, p.y)
    y1 = Math.max(y1, p.y)
  }
  return { x: x0 - margin, y: y0 - margin, width: x1 - x0 + 2 * margin, height: y1 - y0 + 2 * margin }
}
