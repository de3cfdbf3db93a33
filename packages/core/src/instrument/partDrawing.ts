import type { Build } from '../document/build'
import { sizeAt } from '../document/read'
import type { Drawing, Mark } from '../drawing/drawing'
import { boxAround, rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { printValue } from '../parts/check'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { printMm } from '../quantity/length'
import { outlinePoints } from './outline'

/** A part without lengths says its value, such as a capacitor's; one whose lengths are missing says that. */
function undrawn(part: Part): string {
  const specs = KINDS[part.kind].sizes
  if (Object.values(specs).some((s) => s.unit === 'mm')) return 'No lengths entered yet'
  const said = Object.entries(part.sizes).flatMap(([key, s]) =>
    specs[key] ? [`${specs[key].label} ${printValue(s.value, specs[key].unit)}`] : [],
  )
  return said.join(', ') || 'Nothing entered yet'
}

/** The part in hand with its own sizes as dimension lines; what was not entered is left out. */
export function partDrawing(build: Build, slot: Slot): Drawing {
  const part = build.parts[slot]
  const spec = slotSpec(slot)
  const numbers = part
    ? Object.entries(part.sizes).map(([key, s]) => ({
        label: KINDS[part.kind].sizes[key]?.label ?? key,
        value: `${printValue(s.value, KINDS[part.kind].sizes[key]?.unit ?? 'mm')}`,
      }))
    : []
  const drawn = part ? (DRAWN[spec.kind]?.(build, slot) ?? lengths(build, slot)) : []
  const marks = drawn.length
    ? drawn
    : [{ mark: 'label', at: pt(0, 0), text: part ? undrawn(part) : 'Empty slot', anchor: 'middle' } as Mark]
  const points = marks.flatMap((m) =>
    m.mark === 'area' || m.mark === 'line' ? m.points : m.mark === 'dimension' ? [m.from, m.to] : [m.at],
  )
  const box = boxAround(points, 2)
  const grow = 0.1 * Math.max(box.width, box.height, 20)
  return {
    title: part ? part.name : spec.label,
    ...(drawn.length ? { note: 'true proportion, from its own sizes' } : {}),
    marks,
    bounds: { x: box.x - grow, y: box.y - grow, width: box.width + 2 * grow, height: box.height + 2 * grow },
    numbers,
  }
}

type Draw = (build: Build, slot: Slot) => Mark[]
const get = (build: Build, slot: Slot) => (size: string) => sizeAt(build, { slot, size })?.value
const across = (x: number, w: number, text: string, emphasis = false): Mark => ({
  mark: 'dimension',
  from: pt(x, -w / 2),
  to: pt(x, w / 2),
  text,
  emphasis,
})
const along = (y: number, a: number, b: number, text: string): Mark => ({ mark: 'dimension', from: pt(a, y), to: pt(b, y), text })

const drawBody: Draw = (build, slot) => {
  const v = get(build, slot)
  const rows = build.parts[slot]?.outline
  const outline = rows ? outlinePoints(rows) : []
  const marks: Mark[] = outline.length ? [{ mark: 'area', role: 'body-wood', points: outline }] : []
  const [mouth, end, length, bridge] = [v('pocket.widthMouth'), v('pocket.widthEnd'), v('pocket.length'), v('mouthToBridge')]
  if (mouth && length) {
    marks.push({
      mark: 'area',
      role: 'cavity',
      points: [pt(0, -mouth / 2), pt(length, -(end ?? mouth) / 2), pt(length, (end ?? mouth) / 2), pt(0, mouth / 2)],
    })
    marks.push(across(-12, mouth, printMm(mouth), true), along(-mouth / 2 - 12, 0, length, printMm(length, 1)))
  }
  for (const place of ['neck', 'middle', 'bridge']) {
    const [c, l, w] = ['centre', 'length', 'width'].map((k) => v(`route.${place}.${k}`))
    if (c && l && w) marks.push({ mark: 'area', role: 'cavity', points: rectangle(c - l / 2, -w / 2, c + l / 2, w / 2) })
  }
  if (bridge)
    marks.push({ mark: 'line', role: 'centre', points: [pt(bridge, -60), pt(bridge, 60)] }, along(58, 0, bridge, printMm(bridge, 1)))
  return marks
}

const drawNeck: Draw = (build, slot) => {
  const v = get(build, slot)
  const [nut, end, length, heel, last] = [v('nut.width'), v('board.widthEnd'), v('boardLength'), v('heel.widthMouth'), v('nutToHeelEnd')]
  if (!nut || !end || !length) return lengths(build, slot)
  const head = build.parts[slot]?.outline
  const marks: Mark[] = [
    { mark: 'area', role: 'board', points: [pt(0, -nut / 2), pt(length, -end / 2), pt(length, end / 2), pt(0, nut / 2)] },
  ]
  if (head) marks.unshift({ mark: 'area', role: 'neck-wood', points: outlinePoints(head) })
  marks.push(across(12, nut, printMm(nut)), across(length - 14, end, printMm(end)))
  if (heel && last)
    marks.push(
      { mark: 'line', role: 'centre', points: [pt(last, -40), pt(last, 40)] },
      across(last - 60, heel, printMm(heel), true),
      along(52, 0, last, printMm(last, 1)),
    )
  return marks
}

const drawGuard: Draw = (build, slot) => {
  const v = get(build, slot)
  const rows = build.parts[slot]?.outline
  const marks: Mark[] = rows ? [{ mark: 'area', role: 'plastic', points: outlinePoints(rows) }] : []
  const centres: number[] = []
  for (const place of ['neck', 'middle', 'bridge']) {
    const [c, l, w] = ['centre', 'length', 'width'].map((k) => v(`opening.${place}.${k}`))
    if (!c || !l || !w) continue
    centres.push(c)
    marks.push({ mark: 'area', role: 'cavity', points: rectangle(c - l / 2, -w / 2, c + l / 2, w / 2) })
  }
  if (centres.length > 1) marks.push(along(0, centres[0]!, centres.at(-1)!, printMm(centres.at(-1)! - centres[0]!, 1)))
  const hole = v('pot.hole')
  for (const name of ['volume', 'tone']) {
    const [x, y] = [v(`${name}.x`), v(`${name}.y`)]
    if (x !== undefined && y !== undefined && hole) marks.push({ mark: 'circle', role: 'cavity', at: pt(x, y), r: hole / 2 })
  }
  return marks
}

const drawPickup: Draw = (build, slot) => {
  const v = get(build, slot)
  const [l, w] = [v('length'), v('width')]
  if (!l || !w) return []
  return [
    { mark: 'area', role: 'pickup', points: rectangle(0, -w / 2, l, w / 2) },
    across(l + 8, w, printMm(w), true),
    along(w / 2 + 7, 0, l, printMm(l)),
  ]
}

const drawBridge: Draw = (build, slot) => {
  const v = get(build, slot)
  const [l, w, studs, spread] = [v('plate.length'), v('plate.width'), v('studSpacing'), v('spread')]
  if (!l || !w) return lengths(build, slot)
  const marks: Mark[] = [{ mark: 'area', role: 'metal', points: rectangle(-6, -w / 2, l - 6, w / 2) }]
  if (studs)
    marks.push(
      ...[-1, 1].map((s): Mark => ({ mark: 'circle', role: 'cavity', at: pt(0, (s * studs) / 2), r: 4 })),
      across(-14, studs, printMm(studs), true),
    )
  if (spread) {
    for (let i = 0; i < build.strings; i++) {
      const y = spread * (i / (build.strings - 1) - 0.5)
      marks.push({ mark: 'area', role: 'open', points: rectangle(6, y - 4, 22, y + 4) })
    }
    marks.push(across(l + 6, spread, printMm(spread)))
  }
  return marks
}

const drawStrings: Draw = (build, slot) => {
  const v = get(build, slot)
  const marks: Mark[] = []
  for (let n = 1; n <= build.strings; n++) {
    const d = v(`gauge.${n}`)
    if (!d) continue
    const core = v(`core.${n}`)
    const x = (n - 1) * 3
    marks.push({ mark: 'circle', role: 'metal', at: pt(x, 0), r: d / 2 })
    if (core) marks.push({ mark: 'circle', role: 'open', at: pt(x, 0), r: core / 2 })
    marks.push(
      { mark: 'label', at: pt(x, 2), text: String(n), anchor: 'middle' },
      { mark: 'label', at: pt(x, -1.5), text: (d / 0.0254).toFixed(0), anchor: 'middle' },
    )
  }
  return marks
}

/** Any other part: its lengths as bars to one scale. */
const lengths: Draw = (build, slot) => {
  const part = build.parts[slot]
  if (!part) return []
  const rows = Object.entries(part.sizes).filter(([key]) => KINDS[part.kind].sizes[key]?.unit === 'mm')
  const longest = Math.max(10, ...rows.map(([, s]) => Math.abs(s.value)))
  const step = longest / 9
  return rows.flatMap(([key, s], i): Mark[] => {
    const y = i * step
    const box: Point[] = rectangle(0, y - step * 0.22, Math.max(Math.abs(s.value), longest * 0.004), y + step * 0.22)
    return [
      { mark: 'area', role: 'metal', points: box },
      {
        mark: 'label',
        at: pt(longest * 0.03 + Math.abs(s.value), y + step * 0.2),
        text: `${KINDS[part.kind].sizes[key]!.label} ${printMm(s.value)}`,
        anchor: 'start',
      },
      ...(i === 0 ? [{ mark: 'line', role: 'guide', points: [pt(0, -step), pt(longest * 2.2, -step)] } as Mark] : []),
    ]
  })
}

const DRAWN: Partial<Record<string, Draw>> = {
  body: drawBody,
  neck: drawNeck,
  guard: drawGuard,
  pickup: drawPickup,
  bridge: drawBridge,
  strings: drawStrings,
}
