import type { Build } from '../document/build'
import { believedAt, specAt, type SizeRef } from '../document/read'
import type { Drawing, Mark } from '../drawing/drawing'
import { boundsOf } from '../drawing/bounds'
import type { Box } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { printValue } from '../parts/check'
import { bandOf } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { printMm } from '../quantity/length'
import { jaws } from './jaws'
import { sketchOf } from './sketches'
import type { Hold, Place, Sketch, View } from './sketch'
import { told } from '../quantity/size'
import { unknownSizes, ownSizes } from '../parts/unknown'

/** Room between two views of a part, as a share of the larger. */
const APART = 0.16

const moved = (m: Mark, by: Point): Mark => {
  const at = (p: Point) => pt(p.x + by.x, p.y + by.y)
  switch (m.mark) {
    case 'area':
    case 'line':
      return { ...m, points: m.points.map(at) }
    case 'dimension':
      return { ...m, from: at(m.from), to: at(m.to) }
    default:
      return { ...m, at: at(m.at) }
  }
}

const numbersOf = (part: Part): Drawing['numbers'] =>
  ownSizes(part).map(([key, s]) => ({
    label: KINDS[part.kind].sizes[key]?.label ?? key,
    value: printValue(s.value, KINDS[part.kind].sizes[key]?.unit ?? 'mm'),
  }))

/** Does anything of it rest on usual values? */
const guessed = (part: Part): boolean => unknownSizes(part).some((size) => KINDS[part.kind].sizes[size]!.unit === 'mm')

/** The part in hand as it looks from its sizes, its sides under one another; what nobody has measured is dotted. */
export function partDrawing(build: Build, slot: Slot): Drawing {
  const part = build.parts[slot]
  if (!part)
    return {
      title: slotSpec(slot).label,
      marks: [{ mark: 'label', at: pt(0, 0), text: 'Empty slot', anchor: 'middle' }],
      bounds: { x: -40, y: -12, width: 80, height: 24 },
      numbers: [],
    }
  const sketch = sketchOf(build, slot)
  const [main, ...rest] = sketch.views.map((view) => ({ view, box: boundsOf(view.marks) })).filter(({ view }) => view.marks.length > 0)
  const marks = main ? [...main.view.marks, ...dimensions(sketch, main.view)] : []
  let box = boundsOf(marks)
  // A long part has its other sides under it, a tall one beside it.
  const under = box.width > 1.5 * box.height
  for (const { view, box: b } of rest.filter(({ box: r }) => r.width <= 1.2 * box.width && r.height <= 1.2 * box.height)) {
    const gap = APART * Math.max(box.height, b.height)
    const by = under
      ? pt(box.x + (box.width - b.width) / 2 - b.x, box.y + box.height + gap - b.y)
      : pt(box.x + box.width + gap - b.x, box.y + (box.height - b.height) / 2 - b.y)
    const placed = [...view.marks, ...dimensions(sketch, view)].map((m) => moved(m, by))
    marks.push(...placed)
    box = boundsOf(marks)
  }
  const electric = ownSizes(part).flatMap(([key, s]) => {
    const spec = KINDS[part.kind].sizes[key]
    // Of what it wants outside itself its own picture says nothing.
    return spec && key !== 'load' && /^(ohm|farad|henry)$/.test(spec.unit) ? [printValue(s.value, spec.unit)] : []
  })
  if (electric.length)
    marks.push({ mark: 'label', at: pt(box.x + box.width / 2, box.y - 0.06 * box.height), text: electric.join(' · '), anchor: 'middle' })
  return {
    title: part.name,
    note: guessed(part) ? 'from its sizes; dotted where they are not known' : 'true proportion, from its own sizes',
    marks,
    bounds: grown(boundsOf(marks), 0.06),
    numbers: numbersOf(part),
  }
}

/** Only what it looks like from its first side, for a tray of parts. */
export function partPicture(build: Build, slot: Slot): Pick<Drawing, 'marks' | 'bounds'> {
  const marks = sketchOf(build, slot).views.find((v) => v.marks.length)?.marks ?? []
  return { marks, bounds: grown(boundsOf(marks), 0.04) }
}

/** Dimensions of a view: its two or three longest known sizes that do not run over one another. */
function dimensions(sketch: Sketch, view: View): Mark[] {
  const shown: { from: Point; to: Point }[] = []
  const places = [...sketch.places]
    .filter(([size, p]) => p.view === view.id && p.hold !== 'gauge' && p.times === 1 && sketch.known(size) && lengthOf(p) > 0)
    .toSorted(([, a], [, b]) => lengthOf(b) - lengthOf(a))
  const marks: Mark[] = []
  const box = boundsOf(view.marks)
  for (const [size, p] of places) {
    if (lengthOf(p) < 0.12 * Math.max(box.width, box.height) || shown.some((s) => crowded(s, p, box))) continue
    shown.push(p)
    marks.push({ mark: 'dimension', from: p.from, to: p.to, text: printMm(Math.abs(sketch.v(size)), lengthOf(p) > 100 ? 1 : 2) })
    if (shown.length === 4) break
  }
  return marks
}

const lengthOf = (p: Place) => Math.hypot(p.to.x - p.from.x, p.to.y - p.from.y)
const middle = (p: { from: Point; to: Point }) => pt((p.from.x + p.to.x) / 2, (p.from.y + p.to.y) / 2)
/** Two dimensions whose figures would stand on one another, or that run along each other on one line. */
const crowded = (a: { from: Point; to: Point }, b: { from: Point; to: Point }, box: Box): boolean => {
  const [m, n] = [middle(a), middle(b)]
  const size = Math.max(box.width, box.height)
  const near = (p: number, q: number) => Math.abs(p - q) < 0.08 * size
  // Figures are wider than high.
  const beside = Math.abs(m.x - n.x) < 0.18 * size
  const meet = (k: 'x' | 'y') =>
    Math.min(a.from[k], a.to[k]) < Math.max(b.from[k], b.to[k]) && Math.min(b.from[k], b.to[k]) < Math.max(a.from[k], a.to[k])
  return (beside && near(m.y, n.y)) || (near(m.y, n.y) && meet('x')) || (near(m.x, n.x) && meet('y'))
}
const grown = (b: Box, share: number): Box => {
  const by = share * Math.max(b.width, b.height) + 1
  return { x: b.x - by, y: b.y - by, width: b.width + 2 * by, height: b.height + 2 * by }
}

/** How each hold is said to the hand. */
const HOLD_WORDS: Readonly<Record<Hold, string>> = {
  outside: 'Outside jaws over it',
  inside: 'Inside jaws in it',
  depth: 'Depth rod: the end of the beam on the edge, the rod down to the floor',
  rule: 'Rule laid along it',
  gauge: 'Gauge or feeler held to it',
}

/** What a size is so far: "9.82 mm", or a question. */
function soFar(build: Build, ref: SizeRef): string {
  const now = told(believedAt(build, ref))
  return now ? printValue(now.value, specAt(ref).unit) : '?'
}
/** What such parts are found with, for a size that nobody has said. */
function found(build: Build, ref: SizeRef): string {
  const spec = specAt(ref)
  const { low, high } = bandOf(spec)
  if (soFar(build, ref) !== '?') return ''
  const from = spec.unit === 'mm' ? printMm(low) : printValue(low, spec.unit)
  const band = `${from} to ${printValue(high, spec.unit)}`
  return ` · ${band.replace(/(?<![\d.])-/g, '−')} are found`
}

/**
 * Where one size is taken: the part from the side it is taken at, with what is held to it.
 * @returns the part as it is, for what is counted, weighed or read with a meter
 */
export function sizeDrawing(build: Build, ref: SizeRef): Drawing {
  const part = build.parts[ref.slot]
  const sketch = sketchOf(build, ref.slot, ref.size)
  const place = sketch.places.get(ref.size)
  const view = place && sketch.views.find((v) => v.id === place.view)
  if (!part) return partDrawing(build, ref.slot)
  if (!place || !view) {
    const drawing = partDrawing(build, ref.slot)
    return { ...drawing, note: `${drawing.note ?? ''}${found(build, ref)}`.replace(/^ · /, '') }
  }
  const whole = boundsOf([...view.marks, { mark: 'dimension', from: place.from, to: place.to, text: '' }])
  const window = lookAt(whole, place, view.marks)
  const reach = 0.16 * Math.min(window.width, window.height * 1.6)
  const tool = jaws(place, reach)
  const text = soFar(build, ref)
  return {
    title: `${slotSpec(ref.slot).label}, ${view.title}`,
    note: HOLD_WORDS[place.hold].toLowerCase() + found(build, ref),
    marks: [
      ...view.marks,
      ...tool,
      ...(place.hold === 'gauge' ? [] : [{ mark: 'dimension', from: place.from, to: place.to, text, emphasis: true } as Mark]),
    ],
    bounds: window,
    numbers: [{ label: specAt(ref).label, value: text }, ...numbersOf(part)],
  }
}

/** The whole view, or of a small size as much of it as shows where it is: with an edge or a hole in sight, for bare wood is nowhere. */
function lookAt(whole: Box, place: Place, marks: readonly Mark[]): Box {
  const all = grown(whole, 0.2)
  const m = middle(place)
  let seen = Math.max(5 * lengthOf(place), 0.08 * Math.max(whole.width, whole.height))
  while (seen < 0.75 * Math.max(all.width, all.height)) {
    const window = { x: m.x - seen / 2, y: m.y - seen * 0.3, width: seen, height: seen * 0.6 }
    if (shownIn(marks, window).some((mark) => edgesIn(mark, window))) return window
    seen *= 1.3
  }
  return all
}

/** What is drawn after the last that lies all around the window: that covers what was before it. */
const shownIn = (marks: readonly Mark[], window: Box): readonly Mark[] =>
  marks.slice(marks.findLastIndex((mark) => mark.mark === 'area' && isAround(boundsOf([mark]), window)) + 1)

const isAround = (b: Box, window: Box): boolean =>
  b.x <= window.x && b.x + b.width >= window.x + window.width && b.y <= window.y && b.y + b.height >= window.y + window.height

/** Is an edge of it in the window? A line is no thing. */
function edgesIn(mark: Mark, window: Box): boolean {
  if (mark.mark !== 'area' && mark.mark !== 'circle') return false
  const b = boundsOf([mark])
  const [right, under] = [window.x + window.width, window.y + window.height]
  return b.x < right && b.x + b.width > window.x && b.y < under && b.y + b.height > window.y && !isAround(b, window)
}
