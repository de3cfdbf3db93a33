import type { Build } from '../document/build'
import { sizeAt } from '../document/read'
import { areaOf, perimeterOf } from '../geometry/polygon'
import { bodyShape } from '../instrument/bodyShape'
import { outlinePoints } from '../instrument/outline'
import type { System } from './systems'

/** Theoretical spread, m2 per litre: 10 x solids % / dry film um. [published: coatings-industry formula] */
export const spread = (solids: number, film: number): number => (10 * solids) / film

/** Dry film from a volume on an area, um. The same formula solved for the film. */
export const filmFrom = (millilitres: number, solids: number, transfer: number, squareMetres: number): number =>
  (millilitres * (solids / 100) * transfer) / squareMetres

/** Surface to coat, m2: both faces and the edge band of the body, the headstock's faces, and the neck's back. */
export interface Area {
  body: number
  head: number
  neckBack: number
  total: number
  known: boolean
}

const MM2 = 1e-6

export function areaToCoat(build: Build): Area {
  const shape = bodyShape(build)
  const outline = shape.known === 'usual' ? undefined : shape.rows
  const thickness = sizeAt(build, { slot: 'body', size: 'thickness' })?.value
  const head = build.parts.neck?.outline
  let bodyArea = 0.29
  const known = !!outline && thickness !== undefined
  if (outline && thickness !== undefined) {
    const points = outlinePoints(outline)
    bodyArea = (2 * areaOf(points) + perimeterOf(points) * thickness) * MM2
  }
  const headArea = head ? 2 * areaOf(outlinePoints(head)) * MM2 : 0.022
  const nut = sizeAt(build, { slot: 'neck', size: 'nut.width' })?.value ?? 42
  const end = sizeAt(build, { slot: 'neck', size: 'board.widthEnd' })?.value ?? 56
  const length = sizeAt(build, { slot: 'neck', size: 'nutToHeelEnd' })?.value ?? 0.714 * build.scale
  // Back of a neck: about half a circle over its mean width. [ours]
  const neckBack = (Math.PI / 2) * ((nut + end) / 2) * length * MM2
  return { body: bodyArea, head: headArea, neckBack, total: bodyArea + headArea + neckBack, known }
}

export interface Need {
  millilitres: number
  /** Cans or jars to buy; one is added when the last would be more than four fifths used up. [ours] */
  containers: number
}

/** How much of the product the planned coats take. */
export function productNeeded(area: number, film: number, solids: number, system: System): Need {
  const millilitres = (area / (spread(solids, film) * system.transfer)) * 1000
  const exact = millilitres / system.container
  const rest = Math.ceil(exact) - exact
  return { millilitres, containers: Math.ceil(exact) + (rest < 0.2 ? 1 : 0) }
}
