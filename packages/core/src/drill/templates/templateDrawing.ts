import type { Drawing, Mark, Role } from '../../drawing/drawing'
import { rectangle, type Box } from '../../geometry/box'
import { printMm } from '../../quantity/length'
import type { Stroke, Template } from './template'

const ROLE: Record<Stroke, Role> = { cut: 'body-wood', shown: 'cavity', centre: 'centre', mark: 'guide' }

/** A template to look at before it is printed, with the sheets it is parted over. */
export function templateDrawing(t: Template, tiles: readonly Box[]): Drawing {
  const shapes = t.shapes.flatMap((s): Mark[] => {
    if (s.shape === 'circle') return [{ mark: 'circle', role: s.stroke === 'cut' ? 'sounding' : 'cavity', at: s.at, r: s.r }]
    if (s.shape === 'text') return []
    if (!s.closed) return [{ mark: 'line', role: ROLE[s.stroke], points: s.points }]
    return [{ mark: 'area', role: ROLE[s.stroke], points: s.points, dashed: s.stroke === 'shown' }]
  })
  const sheets = tiles.map((b): Mark => {
    const corners = rectangle(b.x, b.y, b.x + b.width, b.y + b.height)
    return { mark: 'line', role: 'guide', points: [...corners, corners[0]!], dashed: true }
  })
  const [x0, y0] = [Math.min(t.bounds.x, ...tiles.map((b) => b.x)), Math.min(t.bounds.y, ...tiles.map((b) => b.y))]
  const [x1, y1] = [
    Math.max(t.bounds.x + t.bounds.width, ...tiles.map((b) => b.x + b.width)),
    Math.max(t.bounds.y + t.bounds.height, ...tiles.map((b) => b.y + b.height)),
  ]
  return {
    title: t.title,
    note: `${t.seen === 'back' ? 'seen from the back' : 'seen from the front'}${t.mirrored ? ', mirrored' : ''} · dashed: sheets of paper`,
    marks: [...shapes, ...(tiles.length > 1 ? sheets : [])],
    bounds: { x: x0 - 4, y: y0 - 4, width: x1 - x0 + 8, height: y1 - y0 + 8 },
    numbers: [
      { label: 'Size', value: `${printMm(t.bounds.width, 0)} x ${printMm(t.bounds.height, 0)} mm` },
      { label: 'Sheets', value: String(tiles.length) },
      ...t.notes.map((n, i) => ({ label: `Note ${i + 1}`, value: n })),
    ],
  }
}
