import { areaOf, refuse, read, type Parsed, type Point } from '@snug/core'
import DxfParser from 'dxf-parser'
import { XMLParser } from 'fast-xml-parser'
import { svgPathProperties } from 'svg-path-properties'

/** Points an outline in a file may have. */
const MOST = 20_000
/** Ends of a closed outline may lie so far apart, mm. */
const GAP = 1
/** A curve is walked in steps of this, mm. */
const STEP = 1
/** Points that are kept of an outline: a bend is kept, a straight run is not. */
const KEPT = 1500

/** A closed run of places, mm; x to the right and y downwards, as the file has it turned for the screen. */
export type OutlineIn = Parsed<Point[]>

/** The largest closed outline of an SVG or DXF file, in millimetres. Nothing of a file is ever run. */
export function readOutline(name: string, text: string): OutlineIn {
  const lower = name.toLowerCase()
  if (lower.endsWith('.svg')) return checked(fromSvg(text))
  if (lower.endsWith('.dxf')) return checked(fromDxf(text))
  return refuse('An outline comes as an SVG or a DXF file.')
}

function checked(found: OutlineIn): OutlineIn {
  if (!found.ok) return found
  const points = found.value
  const [first, last] = [points[0], points.at(-1)]
  const count = points.length - (first && last && points.length > 1 && first.x === last.x && first.y === last.y ? 1 : 0)
  if (count > MOST) return refuse(`The outline has ${count} points; at most ${MOST} are taken. Save it with fewer.`)
  if (!first || !last || points.length < 8) return refuse('There is no outline in it: a closed line round the part is wanted.')
  if (Math.hypot(first.x - last.x, first.y - last.y) > GAP && !closes(points))
    return refuse(
      `The outline is open: its ends lie ${Math.hypot(first.x - last.x, first.y - last.y).toFixed(1)} mm apart. Close it and save it again.`,
    )
  const kept = thinned(points)
  if (crossesItself(kept)) return refuse('The outline crosses itself; only one line once round the part can be read.')
  const length = Math.max(...kept.map((p) => p.x)) - Math.min(...kept.map((p) => p.x))
  if (length < 60 || length > 900)
    return refuse(
      `It is ${Math.round(length)} mm long, which no body, headstock or guard is. Save it in millimetres, along the centre line from left to right.`,
    )
  return areaOf(kept) < 1000 ? refuse('It holds no area to speak of; is the outline a line drawn back and forth?') : read(kept)
}

/** The last point is near the first compared with how the points follow each other. */
const closes = (points: readonly Point[]) => {
  const [a, b, z] = [points[0]!, points[1]!, points.at(-1)!]
  return Math.hypot(a.x - z.x, a.y - z.y) <= 1.5 * Math.max(GAP, Math.hypot(a.x - b.x, a.y - b.y))
}

/** Every so manieth point, so that what follows stays quick. */
function thinned(points: readonly Point[]): Point[] {
  const every = Math.ceil(points.length / KEPT)
  return points.filter((_, i) => i % every === 0)
}

/** Do two sides that are no neighbours meet? Looked for strip by strip along x. */
function crossesItself(points: readonly Point[]): boolean {
  const sides = points
    .map((a, i) => ({ a, b: points[(i + 1) % points.length]!, i }))
    .toSorted((s, t) => Math.min(s.a.x, s.b.x) - Math.min(t.a.x, t.b.x))
  const n = points.length
  return sides.some((s, k) => {
    const end = Math.max(s.a.x, s.b.x)
    for (let j = k + 1; j < n && Math.min(sides[j]!.a.x, sides[j]!.b.x) <= end; j++) {
      const t = sides[j]!
      const apart = Math.abs(s.i - t.i)
      if (apart > 1 && apart < n - 1 && meets(s.a, s.b, t.a, t.b)) return true
    }
    return false
  })
}
const turn = (p: Point, q: Point, r: Point) => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)
const meets = (a: Point, b: Point, c: Point, d: Point) => turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0

interface SvgNode {
  [name: string]: unknown
}

function fromSvg(text: string): OutlineIn {
  let tree: SvgNode
  try {
    // Entities are not resolved: a file cannot grow beyond what it is.
    tree = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '@', processEntities: false }).parse(text) as SvgNode
  } catch {
    return refuse('The SVG is broken and cannot be read.')
  }
  const svg = tree.svg as SvgNode | undefined
  if (!svg) return refuse('That is no SVG.')
  const paths = pathsOf(svg, false)
  if (paths === 'moved') return refuse('Something in it is moved or scaled by a transform. Flatten transforms and save it again.')
  const scale = unitOf(svg)
  const outlines = paths.flatMap((d) => {
    const points = sampled(d, scale)
    return points ? [points] : []
  })
  if (!outlines.length) return refuse('There is no path in the SVG: an outline drawn as a path is wanted.')
  return read(outlines.reduce((a, b) => (boxOf(b) > boxOf(a) ? b : a)))
}

/** Every path's description, however deep; or that something is transformed. */
function pathsOf(node: unknown, named: boolean): string[] | 'moved' {
  if (Array.isArray(node)) return gathered(node.map((n) => pathsOf(n, named)))
  if (typeof node !== 'object' || node === null) return []
  const own = node as SvgNode
  const inner = gathered(Object.entries(own).flatMap(([name, value]) => (name.startsWith('@') ? [] : [pathsOf(value, name === 'path')])))
  if (inner === 'moved' || (typeof own['@transform'] === 'string' && (named || inner.length))) return 'moved'
  return named && typeof own['@d'] === 'string' ? [own['@d'], ...inner] : inner
}
const gathered = (found: (string[] | 'moved')[]): string[] | 'moved' => (found.includes('moved') ? 'moved' : (found as string[][]).flat())

/** Millimetres a unit: by the size written on the drawing, else a unit is a millimetre. */
function unitOf(svg: SvgNode): number {
  const [, number, unit] = /^([\d.]+)\s*(mm|cm|in|)$/.exec(typeof svg['@width'] === 'string' ? svg['@width'] : '') ?? []
  const box =
    typeof svg['@viewBox'] === 'string'
      ? svg['@viewBox']
          .trim()
          .split(/[\s,]+/)
          .map(Number)
      : []
  const factor = unit === 'cm' ? 10 : unit === 'in' ? 25.4 : unit === 'mm' ? 1 : undefined
  return factor === undefined || !box[2] ? 1 : (Number(number) * factor) / box[2]
}

function sampled(d: string, scale: number): Point[] | undefined {
  // Only the first run of a path: a second one is a hole in it.
  const first = /^\s*[Mm][^Mm]*/.exec(d)?.[0]
  if (!first) return undefined
  try {
    const path = new svgPathProperties(first)
    const length = path.getTotalLength()
    const n = Math.min(MOST + 1, Math.max(8, Math.ceil((length * scale) / STEP)))
    const closed = /[Zz]\s*$/.test(first)
    const points = Array.from({ length: closed ? n : n + 1 }, (_, i) => path.getPointAtLength((length * i) / n))
    return points.every((p) => Number.isFinite(p.x) && Number.isFinite(p.y))
      ? points.map((p) => ({ x: p.x * scale, y: p.y * scale }))
      : undefined
  } catch {
    return undefined
  }
}

function boxOf(points: readonly Point[]): number {
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  const span = (v: number[]) => v.reduce((a, b) => Math.max(a, b), -Infinity) - v.reduce((a, b) => Math.min(a, b), Infinity)
  return span(xs) * span(ys)
}

/** Millimetres a unit, by the number such files keep; nothing written is millimetres. [published: DXF reference, INSUNITS, from memory] */
const DXF_UNITS: Record<number, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 }

interface Vertex extends Point {
  bulge?: number
}

function fromDxf(text: string): OutlineIn {
  let file: ReturnType<DxfParser['parseSync']>
  try {
    file = new DxfParser().parseSync(text)
  } catch {
    return refuse('The DXF is broken and cannot be read.')
  }
  const scale = DXF_UNITS[Number((file?.header as Record<string, unknown> | undefined)?.$INSUNITS)] ?? 1
  const lines = (file?.entities ?? []).flatMap((e) => {
    if (e.type !== 'LWPOLYLINE' && e.type !== 'POLYLINE') return []
    const { vertices, shape } = e as unknown as { vertices: Vertex[]; shape?: boolean }
    const run = vertices.flatMap((v, i): Point[] => {
      const next = vertices[i + 1] ?? (shape ? vertices[0] : undefined)
      return next && v.bulge ? arc(v, next, v.bulge) : [{ x: v.x, y: v.y }]
    })
    // A closed one does not say its first place twice. Such files have y upwards.
    return [[...run, ...(shape && run[0] ? [run[0]] : [])].map((p) => ({ x: p.x * scale, y: -p.y * scale }))]
  })
  if (!lines.length) return refuse('There is no polyline in the DXF: an outline as one closed polyline is wanted.')
  const outline = lines.reduce((a, b) => (boxOf(b) > boxOf(a) ? b : a))
  return read(outline)
}

/** An arc between two places: a bulge is the tangent of a quarter of its angle. */
function arc(a: Point, b: Point, bulge: number): Point[] {
  const angle = 4 * Math.atan(bulge)
  const chord = Math.hypot(b.x - a.x, b.y - a.y)
  const radius = chord / (2 * Math.sin(angle / 2))
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const height = radius * Math.cos(angle / 2)
  const centre = { x: middle.x - (height * (b.y - a.y)) / chord, y: middle.y + (height * (b.x - a.x)) / chord }
  const from = Math.atan2(a.y - centre.y, a.x - centre.x)
  const n = Math.max(2, Math.ceil(Math.abs(angle * radius) / STEP))
  return Array.from({ length: n }, (_, i) => ({
    x: centre.x + Math.abs(radius) * Math.cos(from + (angle * i) / n),
    y: centre.y + Math.abs(radius) * Math.sin(from + (angle * i) / n),
  }))
}
