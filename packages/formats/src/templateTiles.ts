import type { Point, Template } from '@snug/core'

export type Paper = 'a4' | 'letter'

/** mm, upright. [published: ISO 216; ANSI Y14.1] */
export const PAPERS: Record<Paper, { width: number; height: number }> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
}
/** What home printers leave white, mm. [practice] */
export const MARGIN = 10
/** Two neighbouring sheets show the same stretch, mm, so that they can be laid on each other. */
export const OVERLAP = 10
/** Strip at the foot of each sheet for its bars and words, mm. */
const STRIP = 26
/** One sheet: which part of the template lies on it, mm in the template's own frame, and how large the paper is. */
export interface Tile {
  column: number
  row: number
  x: number
  y: number
  width: number
  height: number
  page: { width: number; height: number }
}

/** Parts a template over sheets of paper, each overlapping the next; the paper is turned the way that takes fewer. */
export function tilesOf({ bounds }: Pick<Template, 'bounds'>, paper: Paper): Tile[] {
  const { width, height } = PAPERS[paper]
  const [upright, across] = [parted(bounds, { width, height }), parted(bounds, { width: height, height: width })]
  return across.length < upright.length ? across : upright
}

function parted(bounds: Template['bounds'], page: Tile['page']): Tile[] {
  const inner = { width: page.width - 2 * MARGIN, height: page.height - 2 * MARGIN - STRIP }
  const along = (length: number, room: number) => Math.max(1, Math.ceil((length - OVERLAP) / (room - OVERLAP)))
  const [columns, rows] = [along(bounds.width, inner.width), along(bounds.height, inner.height)]
  return Array.from({ length: rows * columns }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns]
    return {
      column,
      row,
      x: bounds.x + column * (inner.width - OVERLAP),
      y: bounds.y + row * (inner.height - OVERLAP),
      ...inner,
      page,
    }
  })
}

/** Crosses in the middle of each overlap, on both sheets that share it. */
export function crossesOf(tile: Tile, tiles: readonly Tile[]): Point[] {
  const found: Point[] = []
  for (const other of tiles) {
    const [dc, dr] = [other.column - tile.column, other.row - tile.row]
    if (Math.abs(dc) + Math.abs(dr) !== 1) continue
    const [a, b] = dc + dr > 0 ? [tile, other] : [other, tile]
    for (const share of [0.25, 0.75])
      found.push(dc ? { x: b.x + OVERLAP / 2, y: a.y + share * a.height } : { x: a.x + share * a.width, y: b.y + OVERLAP / 2 })
  }
  return found
}
