import type { Drawing, Mark, Point, Role } from '@snug/core'
import { rgb, type PDFFont, type PDFPage } from 'pdf-lib'
import { printable } from './printable'

const POINT = 72 / 25.4
const BLACK = rgb(0.13, 0.13, 0.13)

/** Tints that survive a black-and-white printer. */
const TINT: Partial<Record<Role, ReturnType<typeof rgb>>> = {
  'body-wood': rgb(0.96, 0.93, 0.84),
  'neck-wood': rgb(0.92, 0.85, 0.72),
  board: rgb(0.8, 0.72, 0.65),
  metal: rgb(0.88, 0.87, 0.85),
  plastic: rgb(0.97, 0.96, 0.93),
  pickup: rgb(0.55, 0.53, 0.5),
  cavity: rgb(0.85, 0.81, 0.72),
  film: rgb(0.91, 0.85, 0.7),
  bit: rgb(0.88, 0.87, 0.85),
  tape: rgb(0.75, 0.72, 0.88),
  remove: rgb(0.93, 0.8, 0.8),
  doubt: rgb(0.9, 0.88, 0.96),
}

/**
 * A drawing on a page. @param scale mm on paper for each of the drawing's @param at the corner above left, mm from the page's foot
 */
export function drawOnPage(page: PDFPage, drawing: Drawing, scale: number, at: Point, font: PDFFont): void {
  const { x, y } = drawing.bounds
  const on = (p: Point) => ({ x: at.x + (p.x - x) * scale, y: at.y - (p.y - y) * scale })
  for (const m of drawing.marks) drawMark(page, m, on, scale, font)
}

const style = (dashed: boolean | undefined) => ({
  borderWidth: 0.2 * POINT,
  borderColor: BLACK,
  ...(dashed ? { borderDashArray: [1.4 * POINT, POINT] } : {}),
})

function drawMark(page: PDFPage, m: Mark, on: (p: Point) => Point, scale: number, font: PDFFont): void {
  switch (m.mark) {
    case 'area':
      return path(page, m.points.map(on), true, m.dashed, TINT[m.role])
    case 'line':
      return path(page, m.points.map(on), false, m.dashed)
    case 'circle': {
      const c = on(m.at)
      const tint = TINT[m.role]
      page.drawCircle({
        x: c.x * POINT,
        y: c.y * POINT,
        size: Math.max(m.r * scale, 0.3) * POINT,
        ...style(m.dashed),
        ...(tint ? { color: tint } : {}),
      })
      return
    }
    case 'label':
      return text(page, on(m.at), m.text, m.anchor ?? 'start', font)
    case 'dimension': {
      path(page, [on(m.from), on(m.to)], false)
      const [a, b] = [on(m.from), on(m.to)]
      return text(page, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 + 1 }, m.text, 'middle', font)
    }
  }
}

function path(page: PDFPage, points: readonly Point[], close: boolean, dashed?: boolean, tint?: ReturnType<typeof rgb>): void {
  // The path's y is turned over and counted from the page's corner.
  const d = `M${points.map((p) => `${p.x * POINT} ${-p.y * POINT}`).join('L')}${close ? 'Z' : ''}`
  page.drawSvgPath(d, { x: 0, y: 0, ...style(dashed), ...(tint ? { color: tint } : {}) })
}

function text(page: PDFPage, at: Point, words: string, anchor: 'start' | 'middle' | 'end', font: PDFFont): void {
  const size = 2.8 * POINT
  const said = printable(words)
  const wide = font.widthOfTextAtSize(said, size)
  const shift = anchor === 'middle' ? wide / 2 : anchor === 'end' ? wide : 0
  page.drawText(said, { x: at.x * POINT - shift, y: at.y * POINT, size, font, color: BLACK })
}
