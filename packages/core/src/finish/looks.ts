import { ofHand } from '../drawing/turnedOver'
import { FINISH_ZONES, type Build, type FinishZone } from '../document/build'
import { boundsOf } from '../drawing/bounds'
import type { Drawing, Mark } from '../drawing/drawing'
import { backView, frontView } from '../instrument/longView'
import { inset } from '../geometry/inset'
import type { Point } from '../geometry/point'
import { traitAt } from '../document/read'
import { woodNamed } from '../parts/woods'
import { groupOf, zoneGroups } from './zones'
import type { Layer } from './stack'

/** Red, green, blue, 0 to 1. */
type Rgb = readonly [number, number, number]

const rgb = (hex: string): Rgb => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255) as unknown as Rgb
const hex = (c: Rgb): string =>
  `#${c
    .map((x) =>
      Math.round(255 * Math.min(1, Math.max(0, x)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`

/** Sanded wood under daylight. A preview, not a promise. [ours] */
const WOOD: Record<string, string> = {
  'hard-maple': '#ead9b5',
  alder: '#d3a878',
  poplar: '#d8cda4',
  ash: '#e0cba0',
  basswood: '#e5d3ad',
  mahogany: '#a9683f',
}
const SOME_WOOD = '#d6b483'
const SOME_PAINT: Partial<Record<Layer['name'], string>> = { primer: '#c8c5bb', colour: '#8f8f8a' }

/** Warm films tint what lies under them by so much for each 100 um. [ours] */
const WARMTH: Partial<Record<Layer['medium'], Rgb>> = {
  lacquer: [1, 0.96, 0.85],
  shellac: [1, 0.9, 0.68],
  poly: [1, 0.95, 0.82],
  oil: [0.86, 0.79, 0.66],
  'hard-wax': [0.92, 0.87, 0.78],
}
/** One coat of paint hides so much of what is under it. [practice] */
const HIDES = 0.75

/** How one zone will look: its colour a distance from its edge, mm, and how far in that changes. */
export interface ZoneLook {
  zone: FinishZone
  wood: string
  at: (fromEdge: number) => string
  /** Of its widest burst; 0 where it is one colour. */
  fade: number
  /** Layers with a colour nobody has named yet. */
  unnamed: string[]
}

export function zoneLook(build: Build, zone: FinishZone): ZoneLook {
  const group = groupOf(zoneGroups(build), zone)
  const slot = zone === 'neck-back' || zone === 'head-face' ? 'neck' : 'body'
  const part = build.parts[slot]
  const wood = part?.colour ?? (woodNamed(traitAt(build, slot, 'wood')) ? WOOD[traitAt(build, slot, 'wood')!] : undefined) ?? SOME_WOOD
  const layers = group?.layers ?? []
  const edge = zone === 'rim' || zone === 'binding'
  return {
    zone,
    wood,
    // The rim and the binding are edge all over.
    at: (d) => hex(layers.reduce((c, l) => under(c, l, edge ? 0 : d), rgb(wood))),
    fade: edge ? 0 : Math.max(0, ...layers.map((l) => l.burst ?? 0)),
    unnamed: layers.filter((l) => (l.name === 'colour' || l.name === 'dye') && !l.colour).map((l) => l.label),
  }
}

/** What a layer makes of the colour under it, a distance from the edge. */
function under(c: Rgb, l: Layer, d: number): Rgb {
  const there = l.burst === undefined ? 1 : 1 - smooth(d / l.burst)
  if (l.opaque) {
    const named = l.colour ?? SOME_PAINT[l.name]
    if (!named) return c
    const hidden = (1 - (1 - HIDES) ** l.coats) * there
    const p = rgb(named)
    return c.map((x, i) => x + (p[i]! - x) * hidden) as unknown as Rgb
  }
  if (l.colour) {
    // Light goes through the dye and back: each coat takes its share again.
    const power = ((l.strength ?? 100) / 100) * l.coats * there * 0.6
    const t = rgb(l.colour)
    return c.map((x, i) => x * Math.max(0.02, t[i]!) ** power) as unknown as Rgb
  }
  const warm = WARMTH[l.medium]
  if (!warm) return c
  const power = Math.min(1.5, (l.film * l.coats) / (l.medium === 'oil' || l.medium === 'hard-wax' ? 20 : 100))
  return c.map((x, i) => x * warm[i]! ** power) as unknown as Rgb
}

/** From 0 to 1 with soft ends. */
const smooth = (t: number) => (t <= 0 ? 0 : t >= 1 ? 1 : t * t * (3 - 2 * t))

/** Rings a fade is drawn in. */
const RINGS = 14

/** A face in its colours: rings from the edge inwards. */
export function faceMarks(look: ZoneLook, outline: readonly Point[]): Mark[] {
  const step = Math.ceil(outline.length / RING_POINTS)
  const coarse = outline.filter((_, i) => i % step === 0)
  const ring = (d: number): Mark[] => {
    const points = inset(d ? coarse : outline, d)
    return points.length ? [{ mark: 'area', role: d ? 'fade' : 'body-wood', thing: 'body', tint: look.at(d), points }] : []
  }
  return look.fade ? Array.from({ length: RINGS + 1 }, (_, i) => (i * look.fade) / RINGS).flatMap(ring) : ring(0)
}

/** Points of the edge a ring is drawn in from: of a body's, one a centimetre and more. */
const RING_POINTS = 110

/** The instrument's marks with every zone in the colour it will have; what is only thought of stays as it was drawn. */
export function painted(build: Build, marks: readonly Mark[], view: 'front' | 'back' | 'side'): Mark[] {
  const face = zoneLook(build, view === 'back' ? 'back' : 'front')
  const neck = zoneLook(build, view === 'front' ? 'head-face' : 'neck-back').at(NECK)
  const rim = zoneLook(build, 'rim').at(0)
  return marks.flatMap((m): Mark[] => {
    if (m.mark !== 'area' || m.dashed) return [m]
    if (m.role === 'neck-wood') return [{ ...m, tint: neck }]
    if (m.role !== 'body-wood') return [m]
    if (view === 'side') return [{ ...m, tint: rim }]
    return m.thing === 'body' ? faceMarks(face, m.points) : [m]
  })
}

/** A neck is no wider than this from its edge, mm. */
const NECK = 20

/** The instrument in its colours, to lay beside the test board. */
export function lookDrawing(build: Build, view: 'front' | 'back'): Drawing {
  const marks = painted(build, view === 'front' ? frontView(build) : backView(build), view)
  const drawing = {
    title: view === 'front' ? 'From the front' : 'From the back',
    marks,
    bounds: boundsOf(marks),
    numbers: FINISH_ZONES.map((zone) => zoneLook(build, zone)).map((l) => ({
      label: l.zone,
      value: l.fade ? `${l.at(0)} at the edge, ${l.at(l.fade)} inside` : l.at(0),
    })),
  }
  return ofHand(drawing, build.handedness)
}
