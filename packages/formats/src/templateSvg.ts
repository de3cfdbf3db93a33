import {
  bodyOutline,
  boxAround,
  datums,
  holeCards,
  outlinePoints,
  printMm,
  pt,
  rectangle,
  sizeAt,
  type Build,
  type Point,
} from '@snug/core'

/** A paper template at true size. */
export interface Template {
  name: 'body' | 'headstock'
  svg: string
  /** Size of the drawing, mm. */
  width: number
  height: number
}

const MARGIN = 12
/** Length of the bar a person measures before trusting the paper, mm, and its twin in inches. */
const CHECK_MM = 100
const CHECK_IN = 101.6

const escape = (s: string) => s.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')
const n = (x: number) => printMm(x, 3)
const path = (points: readonly Point[], close = true) => `M${points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}${close ? 'Z' : ''}`

/** The body seen from the front: outline, pocket, routes, centre line and every hole, one unit one millimetre. */
export function bodyTemplate(build: Build): Template | undefined {
  if (!build.parts.body?.outline) return undefined
  const d = datums(build)
  const size = (key: string) => sizeAt(build, { slot: 'body', size: key })?.value
  const shapes: string[] = []
  const outline = bodyOutline(build, d.mouth)
  shapes.push(`<path class="cut" d="${path(outline)}"/>`)
  const mouth = size('pocket.widthMouth')
  const end = size('pocket.widthEnd')
  if (mouth !== undefined && end !== undefined)
    shapes.push(
      `<path class="route" d="${path([pt(d.mouth, -mouth / 2), pt(d.heelEnd, -end / 2), pt(d.heelEnd, end / 2), pt(d.mouth, mouth / 2)])}"/>`,
    )
  for (const place of ['neck', 'middle', 'bridge']) {
    const [c, l, w] = ['centre', 'length', 'width'].map((k) => size(`route.${place}.${k}`))
    if (c === undefined || l === undefined || w === undefined) continue
    const x = d.mouth + c
    shapes.push(`<path class="route" d="${path(rectangle(x - l / 2, -w / 2, x + l / 2, w / 2))}"/>`)
    shapes.push(label(x, 0, `${place} route`))
  }
  const holes = holeCards(build).filter((h) => h.face === 'front')
  for (const h of holes) h.places.forEach((p, i) => shapes.push(...crossHair(p, h.bit, `${h.title} ${i + 1}`)))
  shapes.push(`<path class="centre" d="${path([pt(d.mouth - 70, 0), pt(Math.max(...outline.map((p) => p.x)) + 6, 0)], false)}"/>`)
  return sheet(build, 'body', shapes, outline, 'Body, seen from the front')
}

/** The headstock seen from the front, with tuner posts and screws. */
export function headTemplate(build: Build): Template | undefined {
  const rows = build.parts.neck?.outline
  if (!rows) return undefined
  const outline = outlinePoints(rows)
  const shapes = [
    `<path class="cut" d="${path(outline)}"/>`,
    `<path class="centre" d="${path([pt(Math.min(...outline.map((p) => p.x)) - 6, 0), pt(12, 0)], false)}"/>`,
  ]
  for (const h of holeCards(build).filter((c) => c.face === 'head back'))
    h.places.forEach((p, i) => shapes.push(...crossHair(p, h.bit, `${h.title} ${i + 1}`)))
  return sheet(build, 'headstock', shapes, outline, 'Headstock, seen from the front')
}

function crossHair(p: Point, bit: number, name: string): string[] {
  const arm = Math.max(4, bit)
  return [
    `<circle class="hole" cx="${n(p.x)}" cy="${n(p.y)}" r="${n(bit / 2)}"/>`,
    `<path class="mark" d="M${n(p.x - arm)} ${n(p.y)}H${n(p.x + arm)}M${n(p.x)} ${n(p.y - arm)}V${n(p.y + arm)}"/>`,
    label(p.x + arm + 1, p.y - 1, `${name} ⌀${printMm(bit, 1)}`, 'start'),
  ]
}

const label = (x: number, y: number, text: string, anchor = 'middle') =>
  `<text x="${n(x)}" y="${n(y)}" text-anchor="${anchor}">${escape(text)}</text>`

/** Puts shapes on a sheet with the check bars; a left-handed build is mirrored, its words are not. */
function sheet(build: Build, name: Template['name'], shapes: string[], outline: readonly Point[], title: string): Template {
  const left = build.handedness === 'left'
  const turned = left ? shapes.map(mirrorShape) : shapes
  const box = boxAround(left ? outline.map((p) => pt(p.x, -p.y)) : [...outline], MARGIN)
  const width = Math.max(box.width, CHECK_IN + 2 * MARGIN)
  const height = box.height + 30
  const y = box.y + box.height + 6
  const bar = (length: number, at: number, text: string) =>
    `<path class="mark" d="M${n(box.x + MARGIN)} ${n(at)}h${n(length)}m0 -2v4M${n(box.x + MARGIN)} ${n(at - 2)}v4"/>${label(box.x + MARGIN + length + 2, at + 1.2, text, 'start')}`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${n(box.x)} ${n(box.y)} ${n(width)} ${n(height)}">
<title>${escape(`${build.name}: ${title}`)}</title>
<style>path,circle{fill:none;stroke:#000;stroke-width:.25}.cut{stroke-width:.4}.route{stroke-dasharray:3 1.5}.centre{stroke-dasharray:8 2 1 2;stroke-width:.18}.mark{stroke-width:.18}text{font:3.2px sans-serif}</style>
${turned.join('\n')}
<g id="check">${bar(CHECK_MM, y, '100 mm: measure this bar before you trust the sheet')}${bar(CHECK_IN, y + 8, '4 in')}</g>
${label(box.x + MARGIN, y + 16, `${build.name}, ${title}${left ? ', left-handed' : ''}. True size: print at 100 %, no fitting to the page.`, 'start')}
</svg>
`
  return { name, svg, width, height }
}

/** Mirrors one shape across the centre line by turning its y coordinates over, so that text stays readable. */
function mirrorShape(shape: string): string {
  const flip = (v: string) => n(-Number(v))
  return shape
    .replace(/ (cy|y)="(-?[\d.]+)"/g, (_, key: string, v: string) => ` ${key}="${flip(v)}"`)
    .replace(/ d="([^"]+)"/g, (_, d: string) => ` d="${mirrorPath(d)}"`)
}

const mirrorPath = (d: string) =>
  d
    .replace(/([ML])(-?[\d.]+) (-?[\d.]+)/g, (_, c: string, x: string, y: string) => `${c}${x} ${n(-Number(y))}`)
    .replace(/V(-?[\d.]+)/g, (_, y: string) => `V${n(-Number(y))}`)
