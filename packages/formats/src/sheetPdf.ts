import type { Sheet, SheetBlock } from '@snug/core'
import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib'
import { drawOnPage } from './drawingPdf'
import { printable } from './printable'
import { PAPERS, type Paper } from './templateTiles'
import { wrapped } from './wrapped'

const POINT = 72 / 25.4
const BLACK = rgb(0, 0, 0)
const GREY = rgb(0.4, 0.4, 0.4)
/** Round every page, and from block to block, mm. */
const EDGE = 18
const GAP = 3

interface Page {
  doc: PDFDocument
  size: { width: number; height: number }
  plain: PDFFont
  bold: PDFFont
  page: PDFPage
  /** How far down the page is written, mm from its top. */
  y: number
}

/**
 * A sheet for the bench as PDF, on paper a home printer has: words, boxes to tick, tables with room to write, drawings at the size they ask
 * for (true size where they stand for it). Nothing is parted from its heading.
 */
export async function sheetPdf({ title, about, blocks }: Sheet, paper: Paper = 'a4'): Promise<Uint8Array> {
  const doc = await PDFDocument.create()
  doc.setTitle(title)
  doc.setCreator('Snug Bolt')
  const size = PAPERS[paper]
  const p: Page = {
    doc,
    size,
    plain: await doc.embedFont(StandardFonts.Helvetica),
    bold: await doc.embedFont(StandardFonts.HelveticaBold),
    page: doc.addPage([size.width * POINT, size.height * POINT]),
    y: EDGE,
  }
  words(p, title, { size: 7, bold: true })
  words(p, about, { colour: GREY })
  blocks.forEach((b, i) => {
    // A heading at the foot of a page goes over with what it stands for.
    if ('heading' in b) room(p, 14 + Math.min(60, heightOf(p, blocks[i + 1])))
    write(p, b)
  })
  doc.getPages().forEach((page, i, all) =>
    page.drawText(printable(`${title} · ${i + 1} of ${all.length}`), {
      x: EDGE * POINT,
      y: 9 * POINT,
      size: 2.8 * POINT,
      font: p.plain,
      color: GREY,
    }),
  )
  return doc.save()
}

const width = (p: Page) => p.size.width - 2 * EDGE
const down = (p: Page, y: number) => (p.size.height - y) * POINT

/** Turns the page where less than so many millimetres are left on it. */
function room(p: Page, needed: number): void {
  if (p.y + needed <= p.size.height - EDGE || p.y === EDGE) return
  p.page = p.doc.addPage([p.size.width * POINT, p.size.height * POINT])
  p.y = EDGE
}

interface Style {
  size?: number
  bold?: boolean
  indent?: number
  colour?: typeof BLACK
}

function words(p: Page, text: string, { size = 4, bold = false, indent = 0, colour = BLACK }: Style = {}): void {
  const font = bold ? p.bold : p.plain
  for (const line of wrapped(font, printable(text), size * POINT, (width(p) - indent) * POINT)) {
    room(p, size * 1.4)
    p.page.drawText(line, { x: (EDGE + indent) * POINT, y: down(p, p.y + size), size: size * POINT, font, color: colour })
    p.y += size * 1.4
  }
  p.y += GAP / 2
}

function write(p: Page, b: SheetBlock): void {
  if ('heading' in b) {
    p.y += GAP
    words(p, b.heading, { size: 5, bold: true })
  } else if ('text' in b) words(p, b.text)
  else if ('tick' in b) for (const t of b.tick) tick(p, t)
  else if ('table' in b) table(p, b.table)
  else picture(p, b)
}

function tick(p: Page, text: string): void {
  room(p, 6)
  p.page.drawRectangle({
    x: EDGE * POINT,
    y: down(p, p.y + 4.2),
    width: 4 * POINT,
    height: 4 * POINT,
    borderWidth: 0.3 * POINT,
    borderColor: BLACK,
  })
  words(p, text, { indent: 7 })
}

function table(p: Page, { columns, rows }: { columns: string[]; rows: string[][] }): void {
  const wide = columnWidths(p, columns, rows)
  row(p, columns, wide, p.bold, 3.2)
  for (const r of rows) row(p, r, wide, p.plain, 3.6)
  p.y += GAP
}

/** Columns as wide as what stands in them asks for, empty ones wide enough to write in. */
function columnWidths(p: Page, columns: string[], rows: string[][]): number[] {
  const asked = columns.map((c, i) =>
    Math.min(80, Math.max(16, ...[c, ...rows.map((r) => r[i] ?? '')].map((t) => p.plain.widthOfTextAtSize(printable(t), 3.6) + 4))),
  )
  const all = asked.reduce((a, b) => a + b, 0)
  return asked.map((a) => (a * width(p)) / all)
}

function row(p: Page, cells: string[], wide: number[], font: PDFFont, size: number): void {
  const lines = cells.map((c, i) => wrapped(font, printable(c), size * POINT, (wide[i]! - 3) * POINT))
  const high = Math.max(1, ...lines.map((l) => l.length)) * size * 1.35 + 1.6
  room(p, high)
  let x = EDGE
  lines.forEach((cell, i) => {
    cell.forEach((line, k) =>
      p.page.drawText(line, { x: x * POINT, y: down(p, p.y + size + k * size * 1.35), size: size * POINT, font, color: BLACK }),
    )
    x += wide[i]!
  })
  p.y += high
  p.page.drawLine({
    start: { x: EDGE * POINT, y: down(p, p.y - 0.6) },
    end: { x: (EDGE + width(p)) * POINT, y: down(p, p.y - 0.6) },
    thickness: 0.15 * POINT,
    color: GREY,
  })
}

type Picture = Extract<SheetBlock, { drawing: unknown }>
const scaleOf = (p: Page, b: Picture) => Math.min(b.width ?? 150, width(p)) / b.drawing.bounds.width

function picture(p: Page, b: Picture): void {
  const scale = scaleOf(p, b)
  const high = b.drawing.bounds.height * scale
  room(p, high + GAP)
  drawOnPage(p.page, b.drawing, scale, { x: EDGE, y: p.size.height - p.y }, p.plain)
  p.y += high + GAP
}

function heightOf(p: Page, b: SheetBlock | undefined): number {
  if (!b) return 0
  return 'drawing' in b ? b.drawing.bounds.height * scaleOf(p, b) : 12
}
