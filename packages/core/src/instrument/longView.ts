import { turnedOver } from '../drawing/turnedOver'
import { pickupAlong } from './pickupPlace'
import type { Build } from '../document/build'
import { sizeAt, traitAt, valueAt, isGlued, isThrough } from '../document/read'
import type { Mark, Role } from '../drawing/drawing'
import { rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import type { Metal, Part } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { fretPlace, fretPlaces } from '../physics/frets'
import { bodyOutline } from './bodyShape'
import { controlPlace, controlSaid, POTS, potSlot } from './controlPlace'
import { datums } from './datums'
import { guardOutline } from './guardOutline'
import { PLACES } from './guardPlace'
import { outlinePoints } from './outline'
import { plateOutline } from './platePlace'
import { isOnStuds, isVibrato } from './vibrato'
import { courses, stringAcross, stringLines } from './strings'
import { tunerPosts } from './tuners'

/**
 * The instrument from the front in true proportion, from its own sizes: x from the nut towards the tail, y across with
 * the bass side positive. What it cannot do without and is not chosen yet, and parts of which nothing is known but guesses, are drawn
 * dashed at usual proportions; what may be missing and is, is not drawn.
 */
export function frontView(build: Build): Mark[] {
  const d = datums(build)
  const has = (slot: Slot) => build.parts[slot] !== undefined
  const value = (slot: Slot, size: string, otherwise: number) => sizeAt(build, { slot, size })?.value ?? otherwise
  const marks: Mark[] = []
  const hinted = (slot: Slot) => has(slot) || slotSpec(slot).needed
  const area = (slot: Slot, role: Role, points: Point[]) => {
    const tint = tintOf(build, slot, role)
    if (hinted(slot)) marks.push({ mark: 'area', role, points, thing: slot, dashed: !has(slot), ...(tint ? { tint } : {}) })
  }

  area('body', 'body-wood', bodyOutline(build, d.mouth))
  const hole = valueAt(build, { slot: 'body', size: 'soundHole.diameter' })
  if (hole !== undefined)
    marks.push({
      mark: 'circle',
      role: 'cavity',
      at: pt(d.mouth + value('body', 'soundHole.x', 100), value('body', 'soundHole.y', 80)),
      r: hole / 2,
      thing: 'body',
    })
  area('guard', 'plastic', guardOutline(build, d.heelEnd))
  area('control-plate', 'metal', plateOutline(build))
  for (const place of PLACES) {
    const slot = `pickup-${place}` as const
    const x = pickupAlong(build, place)
    const l = value(slot, 'length', place === 'middle' ? 18 : 36) / 2
    const w = value(slot, 'width', 69) / 2
    area(slot, 'pickup', rectangle(x - l, -w, x + l, w))
  }
  neckMarks(build, d, value, area, marks)
  bridgeMarks(build, d.studs, value, area)
  if (has('tailpiece')) tailMarks(d.studs + value('body', 'tail.toBridge', 45), value, area)
  for (const control of POTS) {
    const slot = potSlot(control)
    if (hinted(slot))
      marks.push({
        mark: 'circle',
        role: 'metal',
        at: controlPlace(build, control),
        r: 9,
        thing: slot,
        // Where nobody has said its place it is drawn where such a pot usually sits.
        dashed: !has(slot) || !controlSaid(build, control),
      })
  }
  const { x: sx, y: sy } = controlPlace(build, 'switch')
  area('switch', 'metal', [pt(sx - 13, sy - 3), pt(sx + 13, sy + 3), pt(sx + 13, sy + 5), pt(sx - 13, sy - 1)])
  return marks.map((m) => ('thing' in m && m.thing && guessed(build.parts[m.thing as Slot]) ? { ...m, dashed: true } : m))
}

/** Is every size of it an assumption? Then it is only thought of so far. */
const guessed = (part: Part | undefined): boolean => {
  const sizes = Object.values(part?.sizes ?? {})
  return sizes.length > 0 && sizes.every((s) => s.known === 'assumed')
}

/** How metals look side by side; a preview, not a promise. [ours] */
const METAL_TINT: Record<Metal, string> = {
  nickel: '#d2cdbf',
  chrome: '#dbe2e6',
  black: '#35322f',
  gold: '#cfae5c',
  brass: '#bf9f55',
  steel: '#c3c7ca',
}

/** A part's own colour on what carries it, its metal on its metal. */
function tintOf(build: Build, slot: Slot, role: Role): string | undefined {
  const part = build.parts[slot]
  if (role === 'metal') return part?.metal && METAL_TINT[part.metal]
  return role === 'body-wood' || role === 'neck-wood' || role === 'plastic' || role === 'pickup' ? part?.colour : undefined
}

type Value = (slot: Slot, size: string, otherwise: number) => number
type Area = (slot: Slot, role: Role, points: Point[]) => void

function neckMarks(build: Build, d: ReturnType<typeof datums>, value: Value, area: Area, marks: Mark[]) {
  const head = build.parts.neck?.outline
  const nut = value('neck', 'nut.width', 42)
  const end = value('neck', 'board.widthEnd', 56)
  const length = isThrough(build) ? d.heelEnd : value('neck', 'boardLength', d.heelEnd + 8)
  const frets = value('neck', 'frets', 22)
  area('neck', 'neck-wood', head ? outlinePoints(head) : [pt(0, -nut / 2), pt(0, nut / 2), pt(-150, 26), pt(-170, 0), pt(-150, -26)])
  // As wide as it is said to be at the last fret, and on by the same taper to its end.
  const halfAt = (x: number) => (nut + ((end - nut) * x) / fretPlace(d.scale, frets)) / 2
  area('neck', 'board', [pt(0, -nut / 2), pt(length, -halfAt(length)), pt(length, halfAt(length)), pt(0, nut / 2)])
  for (const x of fretPlaces(d.scale, frets))
    marks.push({ mark: 'line', role: 'fret', points: [pt(x, -halfAt(x)), pt(x, halfAt(x))], thing: 'neck' })
  for (const n of [3, 5, 7, 9, 12, 15, 17, 19, 21]) {
    if (n > frets) continue
    const x = (fretPlace(d.scale, n) + fretPlace(d.scale, n - 1)) / 2
    for (const y of n === 12 ? [-9, 9] : [0]) marks.push({ mark: 'circle', role: 'guide', at: pt(x, y), r: 1.8, thing: 'neck' })
  }
  area('nut', 'plastic', rectangle(-4, -nut / 2, 0, nut / 2))
  const posts = tunerPosts(build)
  const lines = stringLines(build.strings, value('nut', 'spread', nut - 7), value('bridge', 'spread', 52.5))
  const has = build.parts.strings !== undefined
  const saddle = d.scale + 3
  for (const line of lines) {
    // The lowest string goes to the first post, the highest to the last.
    const post = posts[build.strings - line.number]
    const points = [pt(saddle, stringAcross(line, saddle, d.scale)), pt(0, line.atNut)]
    if (post) points.push(pt(post.x, post.y))
    marks.push({ mark: 'line', role: 'string', points, thing: 'strings', dashed: !has })
  }
  const outside = traitAt(build, 'neck', 'head') !== 'two-rows'
  for (const p of posts) {
    const away = outside || p.y > 0 ? 1 : -1
    area('tuners', 'metal', rectangle(p.x - 4, p.y + away * 13, p.x + 4, p.y + away * 26))
    marks.push({ mark: 'circle', role: 'metal', at: p, r: 3.4, thing: 'tuners', dashed: !build.parts.tuners })
  }
}

/** A tailpiece as a bar across its studs. */
function tailMarks(x: number, value: Value, area: Area) {
  const w = value('tailpiece', 'studSpacing', 82) / 2 + 9
  area('tailpiece', 'metal', rectangle(x - 7, -w, x + 8, w))
}

function bridgeMarks(build: Build, studs: number, value: Value, area: Area) {
  const mount = traitAt(build, 'bridge', 'mount')
  // Narrow, with what carries the strings across it.
  const narrow = isOnStuds(mount) && !isVibrato(mount)
  const w = value('bridge', 'plate.width', 80) / 2
  const l = value('bridge', 'plate.length', narrow ? 14 : 36)
  const front = value('bridge', 'plate.front', 6)
  area('bridge', 'metal', rectangle(studs - front, -w, studs - front + l, w))
  const spread = value('bridge', 'spread', 52.5)
  const n = build.strings
  if (narrow) {
    for (const line of courses(n, spread)) area('bridge', 'metal', rectangle(studs - 5, line - 1.4, studs + 5, line + 1.4))
    return
  }
  const across = Array.from({ length: n }, (_, i) => (n === 1 ? 0 : spread * (i / (n - 1) - 0.5)))
  const each = traitAt(build, 'bridge', 'carries') === 'two' ? 2 : 1
  for (let i = 0; i < n; i += each) {
    const carried = across.slice(i, i + each)
    area('bridge', 'metal', rectangle(studs + 3, carried[0]! - 4, studs + 20, carried.at(-1)! + 4))
  }
}

/** From the back: outline, cavities and their covers, the neck's back; y already turned over. */
export function backView(build: Build): Mark[] {
  const d = datums(build)
  const value = (slot: Slot, size: string, otherwise: number) => sizeAt(build, { slot, size })?.value ?? otherwise
  const marks: Mark[] = [{ mark: 'area', role: 'body-wood', points: bodyOutline(build, d.mouth), thing: 'body', dashed: !build.parts.body }]
  const nut = value('neck', 'nut.width', 42)
  const end = value('neck', 'heel.widthMouth', 56)
  const head = build.parts.neck?.outline
  marks.push({
    mark: 'area',
    role: 'neck-wood',
    points: [pt(0, -nut / 2), pt(d.mouth, -end / 2), pt(d.mouth, end / 2), pt(0, nut / 2)],
    thing: 'neck',
    dashed: !build.parts.neck,
  })
  if (head) marks.push({ mark: 'area', role: 'neck-wood', points: outlinePoints(head), thing: 'neck' })
  for (const p of tunerPosts(build))
    marks.push({
      mark: 'area',
      role: 'metal',
      points: rectangle(p.x - 7, p.y - 8, p.x + 7, p.y + 8),
      thing: 'tuners',
      dashed: !build.parts.tuners,
    })
  const middle = (d.mouth + d.heelEnd) / 2
  if (!isGlued(build))
    marks.push({
      mark: 'area',
      role: 'metal',
      points: rectangle(middle - 32, -25, middle + 32, 25),
      thing: 'neck-screws',
      dashed: !build.parts['neck-screws'],
    })
  if (isVibrato(traitAt(build, 'bridge', 'mount')))
    marks.push({ mark: 'area', role: 'cavity', points: rectangle(d.mouth + 95, -30, d.studs + 34, 30), thing: 'body' })
  return marks.map(turnedOver)
}

/** Everything from headstock tip to tail. */
export function lengthOf(marks: readonly Mark[]): { from: number; to: number; half: number } {
  let from = Infinity
  let to = -Infinity
  let half = 0
  for (const m of marks) {
    const points = m.mark === 'area' || m.mark === 'line' ? m.points : m.mark === 'circle' ? [m.at] : []
    for (const p of points) {
      from = Math.min(from, p.x)
      to = Math.max(to, p.x)
      half = Math.max(half, Math.abs(p.y))
    }
  }
  return { from, to, half }
}
