import type { Point, Shape, Stroke, Template } from '@snug/core'
import {
  clip,
  degrees,
  endPath,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  StandardFonts,
  type PDFFont,
  type PDFPage,
} from 'pdf-lib'
import { printable } from './printable'
import { BARS, footLines } from './templateFoot'
import { crossesOf, MARGIN, OVERLAP, tilesOf, type Paper, type Tile } from './templateTiles'

const POINT = 72 / 25.4
/** Where the words beside the bars begin, mm. */
const LEGEND = 117

const WIDTH: Record<Stroke, number> = { cut: 0.4, shown: 0.25, centre: 0.18, mark: 0.18 }
const DASH: Partial<Record<Stroke, number[]>> = { shown: [3, 1.5], centre: [8, 2, 1, 2] }

/**
 * A template as PDF at true size on sheets a home printer has: overlapping, with marks to lay one sheet on the next, and bars to measure on
 * each of them.
 */
export async function templatePdf(template: Template, build: string, paper: Paper = 'a4'): Promise<Uint8Array> {
  const doc = await PDFDocument.create()
  doc.setTitle(`${build}: ${template.title}`)
  doc.setCreator('Snug Bolt')
  const fonts = { plain: await doc.embedFont(StandardFonts.Helvetica), bold: await doc.embedFont(StandardFonts.HelveticaBold) }
  const tiles = tilesOf(template, paper)
  for (const tile of tiles) sheet(doc.addPage([tile.page.width * POINT, tile.page.height * POINT]), template, build, tile, tiles, fonts)
  return doc.save()
}

interface Fonts {
  plain: PDFFont
  bold: PDFFont
}

function sheet(page: PDFPage, template: Template, build: string, tile: Tile, tiles: readonly Tile[], fonts: Fonts) {
  // The page's y grows upwards and begins below; the template's grows downwards.
  const top = page.getHeight() / POINT - MARGIN
  const on = (p: Point): Point => ({ x: MARGIN + p.x - tile.x, y: top - (p.y - tile.y) })
  page.pushOperators(
    pushGraphicsState(),
    rectangle(MARGIN * POINT, (top - tile.height) * POINT, tile.width * POINT, tile.height * POINT),
    clip(),
    endPath(),
  )
  for (const s of template.shapes) drawShape(page, s, on, fonts.plain)
  page.pushOperators(popGraphicsState())
  registration(page, tile, tiles, on)
  strip(page, template, build, tile, tiles, fonts)
}

function drawShape(page: PDFPage, s: Shape, on: (p: Point) => Point, font: PDFFont) {
  if (s.shape === 'text') {
    const size = 3 * POINT
    const text = printable(s.text)
    const wide = font.widthOfTextAtSize(text, size)
    const at = on(s.at)
    const shift = s.anchor === 'middle' ? wide / 2 : s.anchor === 'end' ? wide : 0
    page.drawText(text, { x: at.x * POINT - shift, y: at.y * POINT, size, font })
    return
  }
  const dash = DASH[s.stroke]?.map((d) => d * POINT)
  const style = { borderWidth: WIDTH[s.stroke] * POINT, borderColor: rgb(0, 0, 0), ...(dash ? { borderDashArray: dash } : {}) }
  if (s.shape === 'circle') {
    const at = on(s.at)
    page.drawCircle({ x: at.x * POINT, y: at.y * POINT, size: s.r * POINT, ...style })
    return
  }
  const points = s.points.map(on)
  // drawSvgPath turns y over and counts from where it is told: from the page's own corner that is minus y.
  const d = `M${points.map((p) => `${p.x * POINT} ${-p.y * POINT}`).join('L')}${s.closed ? 'Z' : ''}`
  page.drawSvgPath(d, { x: 0, y: 0, ...style })
}

function registration(page: PDFPage, tile: Tile, tiles: readonly Tile[], on: (p: Point) => Point) {
  for (const cross of crossesOf(tile, tiles)) {
    const { x, y } = on(cross)
    for (const [dx, dy] of [
      [4, 0],
      [0, 4],
    ] as const)
      page.drawLine({
        start: { x: (x - dx) * POINT, y: (y - dy) * POINT },
        end: { x: (x + dx) * POINT, y: (y + dy) * POINT },
        thickness: 0.15 * POINT,
        color: rgb(0, 0, 0),
      })
    page.drawCircle({ x: x * POINT, y: y * POINT, size: 2.5 * POINT, borderWidth: 0.15 * POINT, borderColor: rgb(0, 0, 0) })
  }
}

function strip(page: PDFPage, template: Template, build: string, tile: Tile, tiles: readonly Tile[], fonts: Fonts) {
  const bar = (length: number, y: number, words: string) => {
    const black = { thickness: 0.2 * POINT, color: rgb(0, 0, 0) }
    const [x0, x1] = [MARGIN, MARGIN + length]
    page.drawLine({ start: { x: x0 * POINT, y: y * POINT }, end: { x: x1 * POINT, y: y * POINT }, ...black })
    for (const x of [x0, x1])
      page.drawLine({ start: { x: x * POINT, y: (y - 1.5) * POINT }, end: { x: x * POINT, y: (y + 1.5) * POINT }, ...black })
    page.drawText(words, { x: (x0 + 2) * POINT, y: (y + 0.8) * POINT, size: 2.4 * POINT, font: fonts.plain })
  }
  bar(BARS.millimetres, MARGIN + 18, '100 mm: measure before you trust it')
  bar(BARS.inches, MARGIN + 13, '4 in')
  const [columns, rows] = [1 + Math.max(...tiles.map((t) => t.column)), 1 + Math.max(...tiles.map((t) => t.row))]
  const lines = [
    ...footLines(template, build),
    ...(tiles.length > 1
      ? [
          {
            text: `Sheet ${tile.row * columns + tile.column + 1} of ${tiles.length}: column ${tile.column + 1} of ${columns}, row ${tile.row + 1} of ${rows}. Lay cross on cross, ${OVERLAP} mm overlap.`,
            big: false,
          },
        ]
      : []),
  ]
  lines.slice(-4).forEach((l, i) =>
    page.drawText(printable(l.text).slice(0, 120), {
      x: MARGIN * POINT,
      y: (MARGIN + 9 - i * 3.6) * POINT,
      size: (l.big ? 3.6 : 2.8) * POINT,
      font: l.big ? fonts.bold : fonts.plain,
    }),
  )
  // Beside the bars: what the marks mean.
  template.legend.slice(0, 8).forEach((l, i) =>
    page.drawText(printable(l).slice(0, 72), {
      x: LEGEND * POINT,
      y: (MARGIN + 20.5 - i * 3) * POINT,
      size: 2.4 * POINT,
      font: fonts.plain,
    }),
  )
  const mirror = lines.find((l) => l.big)
  if (template.mirrored && mirror)
    page.drawText(printable(mirror.text), {
      x: (MARGIN - 3) * POINT,
      y: 60 * POINT,
      size: 5 * POINT,
      font: fonts.bold,
      rotate: degrees(90),
    })
}
