import { decode } from 'jpeg-js'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { pt, type Point } from '../geometry/point'
import { dotNear } from './blots'
import { fittedCorners } from './edges'
import { greyOf, type Lens, type GreyPicture } from './picture'
import { cardKnown, pictureLength, scaledBy, type KnownPlace, type HowTaken } from './scaledBy'

interface Truth {
  file: string
  camera: { distance_mm: number; focal_px: number; centre_px: [number, number] }
  k1: number
  marks: Record<string, { mm: [number, number]; px: [number, number] }>
  card: { corners_px: [number, number][]; z_mm: number } | null
  distances: Record<string, number>
}
const HERE = new URL('./photographs/', import.meta.url)
const TRUTH = JSON.parse(readFileSync(new URL('truth.json', HERE), 'utf8')) as Record<string, Truth>
const pictures = new Map<string, GreyPicture>()
function picture(name: string): GreyPicture {
  const known = pictures.get(name)
  if (known) return known
  const { data, width, height } = decode(readFileSync(new URL(TRUTH[name]!.file, HERE)), { useTArray: true })
  const made = greyOf(data, width, height)
  pictures.set(name, made)
  return made
}
const at = ([x, y]: [number, number]) => pt(x, y)
const lensOf = ({ k1, camera }: Truth): Lens => ({ k: k1, focal: camera.focal_px, middle: at(camera.centre_px) })
/** A pick by hand is some pixels off. */
const picked = (points: readonly Point[], off = 5) =>
  points.map((p, i) => pt(p.x + off * Math.cos(2.1 * i + 1), p.y + off * Math.sin(2.1 * i + 1)))
/** Marks found in the picture from picks 2 px off. */
const found = (name: string, mark: string) => dotNear(picture(name), picked([at(TRUTH[name]!.marks[mark]!.px)], 2)[0]!, 9)

/**
 * Rendered photographs with known truth. Twice the standard deviation of a distance by each way, mm, from 2 000 draws of a simulation made for
 * them: card edges fitted to 0.1 px, four marks 240 x 200 mm apart picked to 1 px.
 */
const TWICE = {
  P1: { card: 0.58, marks: 0.98 },
  P2: { card: 0.92, marks: 1.1 },
  P3: { card: 4.68, marks: 1.08 },
  P4: { card: NaN, marks: 0.98 },
}

describe.each(Object.keys(TRUTH) as (keyof typeof TWICE)[])('photograph %s', (name) => {
  const truth = TRUTH[name]!
  const taken: HowTaken = {
    lens: lensOf(truth),
    ...(truth.card?.z_mm ? { below: { mm: -truth.card.z_mm, doubt: 0.5 }, distance: truth.camera.distance_mm } : {}),
  }
  it('each mark is found within 0.2 px of where it is', () => {
    for (const [mark, { px }] of Object.entries(truth.marks)) {
      const dot = found(name, mark)
      expect(Math.hypot(dot.x - px[0], dot.y - px[1]), mark).toBeLessThan(0.25)
    }
  })
  it.runIf(truth.card)('the card’s corners, by its sides fitted through many pixels, lie within 0.3 px of where its sides meet', () => {
    const corners = truth.card!.corners_px.map(at)
    const fit = fittedCorners(picture(name), picked(corners))!
    fit.corners.forEach((c, i) => expect(Math.hypot(c.x - corners[i]!.x, c.y - corners[i]!.y)).toBeLessThan(0.35))
    expect(fit.sigma).toBeLessThan(0.4)
  })
  it.runIf(truth.card)('every marked distance by the card’s edges is within twice its doubt, and says that doubt itself', () => {
    const fit = fittedCorners(picture(name), picked(truth.card!.corners_px.map(at)))!
    const scale = scaledBy(cardKnown(fit.corners, fit.sigma), taken)!
    for (const [pair, mm] of Object.entries(truth.distances)) {
      const [a, b] = pair.split('-').map((m) => found(name, m))
      const length = pictureLength(scale, a!, b!, 0.15)
      expect(Math.abs(length.mm - mm), `${pair}: ${length.mm}`).toBeLessThan(TWICE[name].card)
      expect(Math.abs(length.mm - mm), `${pair}: ${length.mm} ±${length.doubt}`).toBeLessThanOrEqual(length.doubt)
    }
  })
  it('every marked distance by four marks far apart', () => {
    const known = ['M3', 'M4', 'M6', 'M5'].map((m): KnownPlace => ({ at: found(name, m), is: at(truth.marks[m]!.mm), sigma: 0.15 }))
    const scale = scaledBy(known, { lens: lensOf(truth) })!
    for (const [pair, mm] of Object.entries(truth.distances)) {
      const [a, b] = pair.split('-').map((m) => found(name, m))
      const length = pictureLength(scale, a!, b!, 0.15)
      expect(Math.abs(length.mm - mm), pair).toBeLessThan(TWICE[name].marks)
      expect(Math.abs(length.mm - mm), pair).toBeLessThanOrEqual(length.doubt)
    }
  })
  it('by two known points alone: wrong where the camera tilts, and its doubt says so', () => {
    const known = ['M1', 'M2'].map((m): KnownPlace => ({ at: found(name, m), is: at(truth.marks[m]!.mm), sigma: 0.15 }))
    const scale = scaledBy(known, { distance: truth.camera.distance_mm })!
    const length = pictureLength(scale, found(name, 'M3'), found(name, 'M4'), 0.15)
    expect(length.from[0]!.what).toMatch(/square|lens/)
    if (name === 'P4') expect(Math.abs(length.mm - 240)).toBeLessThanOrEqual(length.doubt)
  })
  it.runIf(truth.k1 !== 0)('a lens nobody knows is part of the doubt', () => {
    const fit = fittedCorners(picture(name), picked(truth.card!.corners_px.map(at)))!
    const scale = scaledBy(cardKnown(fit.corners, fit.sigma))!
    const length = pictureLength(scale, found(name, 'M1'), found(name, 'M2'), 0.15)
    expect(Math.abs(length.mm - 300)).toBeLessThanOrEqual(length.doubt)
    expect(length.doubt).toBeGreaterThan(1.5)
  })
})
