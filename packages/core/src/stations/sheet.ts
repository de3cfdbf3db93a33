import type { Drawing } from '../drawing/drawing'

/** One part of a printed sheet: words, a table, a list with boxes to tick, a drawing. */
export type SheetBlock =
  | { heading: string }
  | { text: string }
  | { table: { columns: string[]; rows: string[][] } }
  | { tick: string[] }
  | { drawing: Drawing; width?: number }

/** A sheet people take to the bench, to the door or to a seller: what stands on it, as plain data; how it is printed is not known here. */
export interface Sheet {
  /** Within its station. */
  id: string
  title: string
  about: string
  blocks: SheetBlock[]
}
