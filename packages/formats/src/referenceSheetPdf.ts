import { RING, SHEET_BAR, sheetMarks, sheetSize, type SheetPaper } from '@snug/core'
import { PDFDocument, rgb, StandardFonts } from 'pdf-lib'

const POINT = 72 / 25.4
const BLACK = rgb(0, 0, 0)

/** Our reference sheet: marks far apart that are found by themselves in a picture, and a bar to verify the printer by. */
export async function referenceSheetPdf(paper: SheetPaper): Promise<Uint8Array> {
  const { width, height } = sheetSize(paper)
  const doc = await PDFDocument.create()
  doc.setTitle('Reference sheet for pictures')
  doc.setCreator('Snug Bolt')
  const font = await doc.embedFont(StandardFonts.Helvetica)
  const page = doc.addPage([width * POINT, height * POINT])
  // The page's y grows upwards.
  const up = (y: number) => (height - y) * POINT
  for (const { x, y } of sheetMarks(paper)) {
    const middle = (RING.inner + RING.outer) / 2
    page.drawCircle({ x: x * POINT, y: up(y), size: middle * POINT, borderWidth: (RING.outer - RING.inner) * POINT, borderColor: BLACK })
    page.drawCircle({ x: x * POINT, y: up(y), size: RING.dot * POINT, color: BLACK })
  }
  const [x0, y] = [(width - SHEET_BAR) / 2, height - 14]
  page.drawLine({
    start: { x: x0 * POINT, y: up(y) },
    end: { x: (x0 + SHEET_BAR) * POINT, y: up(y) },
    thickness: 0.3 * POINT,
    color: BLACK,
  })
  for (const x of [x0, x0 + SHEET_BAR])
    page.drawLine({ start: { x: x * POINT, y: up(y - 2) }, end: { x: x * POINT, y: up(y + 2) }, thickness: 0.3 * POINT, color: BLACK })
  page.drawText('100 mm. Print at 100 %, measure this bar, and say what it measured. Lay the sheet flat in the plane you measure.', {
    x: 35 * POINT,
    y: up(y + 5),
    size: 2.8 * POINT,
    font,
  })
  return doc.save()
}
