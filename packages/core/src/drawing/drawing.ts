import type { Box } from '../geometry/box'
import type { Point } from '../geometry/point'

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
  | 'fade'
  | 'string'
  | 'fret'
  | 'centre'
  | 'guide'
  | 'remove'
  | 'doubt'
  | 'bit'
  | 'tape'
  | 'tool'
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

/**
 * Drawings as data: what to show, in millimetres, with the meaning of every line. Screens and printers turn the
 * same drawing into their own strokes; the numbers are the drawing's equivalent in text.
 */
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
