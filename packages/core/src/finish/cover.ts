import type { Build, FinishZone } from '../document/build'
import { neckEnd, sizeAt } from '../document/read'
import { areaOf, perimeterOf } from '../geometry/polygon'
import { bodyShape } from '../instrument/bodyShape'
import { outlinePoints } from '../instrument/outline'
import type { Layer } from './stack'
import type { ZoneGroup } from './zones'

/** Theoretical spread, m2 per litre: 10 x solids by volume % / dry film um. [published: coatings-industry formula] */
export const spread = (solids: number, film: number): number => (10 * solids) / film

/** Dry film from a volume on an area, um. The same formula solved for the film. */
export const filmFrom = (millilitres: number, solids: number, transfer: number, squareMetres: number): number =>
  (millilitres * (solids / 100) * transfer) / squareMetres

/** Surface to coat, m2, by zone; the back of the head is the neck's back. */
export interface Area {
  zones: Record<FinishZone, number>
  body: number
  head: number
  neckBack: number
  /** Of the zones most finishes cover: all but board and binding. */
  total: number
  /** The body's outline and thickness are known. */
  known: boolean
}

const MM2 = 1e-6
/** Binding shows about so much of itself, mm. [ours] */
const STRIP = 7
/** A body nobody has drawn: both faces and rim, m2. [ours] */
const USUAL_BODY = 0.29
const USUAL_PERIMETER = 1400
const USUAL_THICKNESS = 44

export function areaToCoat(build: Build): Area {
  const shape = bodyShape(build)
  const outline = shape.known === 'usual' ? undefined : shape.rows
  const thickness = sizeAt(build, { slot: 'body', size: 'thickness' })?.value
  const head = build.parts.neck?.outline
  const known = !!outline && thickness !== undefined
  const points = outline ? outlinePoints(outline) : []
  const around = known ? perimeterOf(points) : USUAL_PERIMETER
  const rim = around * (known ? thickness : USUAL_THICKNESS) * MM2
  const face = known ? areaOf(points) * MM2 : (USUAL_BODY - rim) / 2
  const headFace = head ? areaOf(outlinePoints(head)) * MM2 : 0.011
  const nut = sizeAt(build, { slot: 'neck', size: 'nut.width' })?.value ?? 42
  const end = sizeAt(build, { slot: 'neck', size: 'board.widthEnd' })?.value ?? 56
  const length = sizeAt(build, neckEnd(build))?.value ?? 0.714 * build.scale
  const width = (nut + end) / 2
  // Back of a neck: about half a circle over its mean width. [ours]
  const neckBack = (Math.PI / 2) * width * length * MM2
  const body = 2 * face + rim
  return {
    zones: {
      front: face,
      back: face,
      rim,
      'neck-back': neckBack + headFace,
      'head-face': headFace,
      board: width * length * MM2,
      binding: around * STRIP * MM2,
    },
    body,
    head: 2 * headFace,
    neckBack,
    total: body + 2 * headFace + neckBack,
    known,
  }
}

/** Of a group's zones together, m2. */
export const areaOfZones = (area: Area, zones: readonly FinishZone[]): number => zones.reduce((s, z) => s + area.zones[z], 0)

export interface Need {
  /** What the product is laid from, ml, and the band where solids are not told of what. */
  millilitres: number
  band: { from: number; to: number }
  /** Cans or jars to buy; one is added when the last would be more than four fifths used up. [ours] */
  containers: number
}

/** Containers for an amount. */
export function containersFor(millilitres: number, container: number): number {
  const exact = millilitres / container
  const rest = Math.ceil(exact) - exact
  return Math.ceil(exact) + (millilitres > 0 && rest < 0.2 ? 1 : 0)
}

/** How much of one product the planned coats take. */
export function productNeeded(
  area: number,
  film: number,
  solids: number | { from: number; usual: number; to: number },
  product: { transfer: number; container: number },
): Need {
  const s = typeof solids === 'number' ? { from: solids, usual: solids, to: solids } : solids
  const ml = (percent: number) => (area / (spread(percent, film || 1) * product.transfer)) * (film ? 1000 : 0)
  return {
    millilitres: ml(s.usual),
    band: { from: ml(s.to), to: ml(s.from) },
    containers: containersFor(ml(s.usual), product.container),
  }
}

/** What goes into the wood is reckoned by what wets it, ml per m2 and coat. [practice] */
const WETS: Partial<Record<string, number>> = { dye: 60, filler: 120, decal: 0 }

/** One product of the whole plan: how much, how many, what it costs. */
export interface Shopping extends Need {
  product: string
  label: string
  coats: number
  container: number
  containerName: string
  price?: number
  /** Groups it is for. */
  groups: string[]
}

/** Everything the planned stacks take, by product: a can is shared by all zones that need it. */
export function shoppingFor(area: Area, groups: readonly ZoneGroup[]): Shopping[] {
  const by = new Map<string, Shopping>()
  for (const g of groups)
    for (const l of g.layers) {
      const one = layerNeed(area, g.zones, l)
      const sum = by.get(l.product)
      const millilitres = (sum?.millilitres ?? 0) + one.millilitres
      by.set(l.product, {
        product: l.product,
        label: l.label,
        coats: Math.max(sum?.coats ?? 0, l.coats),
        container: l.container,
        containerName: l.containerName,
        ...(l.price === undefined ? {} : { price: l.price }),
        millilitres,
        band: { from: (sum?.band.from ?? 0) + one.band.from, to: (sum?.band.to ?? 0) + one.band.to },
        containers: l.name === 'decal' ? 1 : containersFor(millilitres, l.container),
        groups: [...(sum?.groups ?? []), ...(sum?.groups.includes(g.label) ? [] : [g.label])],
      })
    }
  return [...by.values()]
}

/** How much of its product one layer takes on its zones. */
export function layerNeed(area: Area, zones: readonly FinishZone[], l: Layer): Need {
  const m2 = areaUnder(area, zones, l.burst)
  const wets = WETS[l.name]
  if (wets === undefined) return productNeeded(m2, l.coats * l.film, l.solids, l)
  const millilitres = m2 * wets * l.coats
  return { millilitres, band: { from: millilitres, to: millilitres }, containers: 0 }
}

/** What a layer lies on, m2: all of its zones, and of the two faces only a band where it is a burst. @param burst of that band, mm */
export function areaUnder(area: Area, zones: readonly FinishZone[], burst?: number): number {
  // The band is as long as the rim, and no more than the face.
  const around = area.zones.binding / (STRIP * 1e-3)
  const share = (z: FinishZone) =>
    burst === undefined || (z !== 'front' && z !== 'back') ? 1 : Math.min(1, (around * (burst / 1000)) / area.zones[z])
  return zones.reduce((sum, z) => sum + area.zones[z] * share(z), 0)
}

/** What the plan's cans cost, where their price is known. */
export const costOf = (shopping: readonly Shopping[]): number => shopping.reduce((s, x) => s + x.containers * (x.price ?? 0), 0)
