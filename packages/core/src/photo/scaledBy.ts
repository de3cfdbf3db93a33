import { carried, homography, type Homography } from '../geometry/homography'
import type { Point } from '../geometry/point'
import { straightened, type Lens } from './picture'

/** A plastic card, mm. [published: ISO/IEC 7810 ID-1] */
export const PLASTIC_CARD = { width: 85.6, height: 53.98, thick: 0.76 } as const

/** Places in a picture whose places in the plane are known. */
export interface KnownPlace {
  /** Pixels. */
  at: Point
  /** mm. */
  is: Point
  /** How surely the pixel is known, one standard deviation. */
  sigma: number
}

/** What else is known of how a picture was taken. */
export interface HowTaken {
  lens?: Lens
  /** How surely lengths are right after that lens, share of a length, 95 %; nothing for one that is known. */
  lensDoubt?: number
  /** What the scale was taken from lies this far below what is measured, mm; above is negative. */
  below?: { mm: number; doubt: number }
  /** From the camera to the plane, mm; only used with `below`. */
  distance?: number
}

/** A picture brought to millimetres. */
export interface ScaledPicture {
  known: readonly KnownPlace[]
  taken: HowTaken
  map: Homography | undefined
  /** Two known points give a scale and no more: right only straight from above. */
  scaleOnly?: number
}

/** Without a lens of its own a picture bends lengths by up to this share. [computed, from a lens of k -0.09 at 300 mm] */
const LENS_DOUBT = 0.0055
/** A camera held square by eye is off by this, degrees, one standard deviation. [ours] */
const BY_EYE = 2.5
/** Picks of measured ends are good to this, pixels, one standard deviation. [ours] */
export const PICKED = 1

/** @returns nothing where what is known does not make a scale */
export function scaledBy(known: readonly KnownPlace[], taken: HowTaken = {}): ScaledPicture | undefined {
  const flat = known.map((k) => unbent(taken, k.at))
  if (known.length >= 4) {
    const map = homography(
      flat,
      known.map((k) => k.is),
    )
    return map && { known, taken, map }
  }
  if (known.length < 2) return undefined
  const [a, b] = known as [KnownPlace, KnownPlace]
  const px = Math.hypot(flat[0]!.x - flat[1]!.x, flat[0]!.y - flat[1]!.y)
  const mm = Math.hypot(a.is.x - b.is.x, a.is.y - b.is.y)
  return px > 0 && mm > 0 ? { known, taken, map: undefined, scaleOnly: mm / px } : undefined
}

const unbent = ({ lens }: HowTaken, p: Point) => (lens ? straightened(lens, p) : p)

/** Where a pixel lies in the plane, mm. */
export function placeInPlane({ map, scaleOnly, taken }: ScaledPicture, at: Point): Point {
  const p = unbent(taken, at)
  return map ? carried(map, p) : { x: p.x * scaleOnly!, y: p.y * scaleOnly! }
}

/** A distance in the picture, with the doubt of the way it was scaledBy, 95 %. */
export interface PictureLength {
  mm: number
  doubt: number
  /** Which share of the doubt is what, largest first. */
  from: { what: string; doubt: number }[]
}

/**
 * How far apart two picked places are, mm. Its doubt is what each known pixel, either pick, the lens, the plane and the camera's tilt move
 * it by. [published: law of propagation of uncertainty, first order, from memory]
 * @param picked standard deviation of the two picks, pixels
 */
export function pictureLength(s: ScaledPicture, a: Point, b: Point, picked = PICKED): PictureLength {
  const plain = between(s, a, b)
  const lift = liftOf(s.taken)
  const mm = plain * lift
  const parts: { what: string; sigma: number }[] = [
    { what: 'how surely the scale is known', sigma: byKnown(s, a, b, plain) },
    { what: 'the two picks', sigma: byPicks(s, a, b, plain, picked) },
    ...(s.taken.lens
      ? s.taken.lensDoubt
        ? [{ what: 'the lens, as straight edges showed it', sigma: (Math.min(LENS_DOUBT, s.taken.lensDoubt) * mm) / 2 }]
        : []
      : [{ what: 'the lens, which is not known', sigma: (LENS_DOUBT * mm) / 2 }]),
    ...(s.taken.below
      ? [
          {
            what: 'the height of the plane',
            sigma: (mm * (s.taken.below.doubt + 0.15 * Math.abs(s.taken.below.mm))) / (s.taken.distance ?? 600) / 2,
          },
        ]
      : []),
    ...(s.map ? [] : [{ what: 'a camera not held square', sigma: byTilt(s, a, b, mm) }]),
  ]
  const sigma = Math.hypot(...parts.map((p) => p.sigma))
  return {
    mm,
    doubt: 2 * sigma,
    from: parts.map(({ what, sigma: g }) => ({ what, doubt: 2 * g })).toSorted((x, y) => y.doubt - x.doubt),
  }
}

const between = (s: ScaledPicture, a: Point, b: Point): number => {
  const [p, q] = [placeInPlane(s, a), placeInPlane(s, b)]
  return Math.hypot(p.x - q.x, p.y - q.y)
}

/** What lies below looks smaller, so that a scale taken from it makes all above it too long. */
const liftOf = ({ below, distance }: HowTaken): number => (below ? 1 - below.mm / ((distance ?? 600) + below.mm) : 1)

function byKnown(s: ScaledPicture, a: Point, b: Point, plain: number): number {
  let variance = 0
  s.known.forEach((k, i) => {
    for (const axis of ['x', 'y'] as const) {
      const moved = s.known.map((o, j) => (j === i ? { ...o, at: { ...o.at, [axis]: o.at[axis] + k.sigma } } : o))
      const then = scaledBy(moved, s.taken)
      if (then) variance += (between(then, a, b) - plain) ** 2
    }
  })
  return Math.sqrt(variance)
}

function byPicks(s: ScaledPicture, a: Point, b: Point, plain: number, picked: number): number {
  let variance = 0
  for (const axis of ['x', 'y'] as const) {
    variance += (between(s, { ...a, [axis]: a[axis] + picked }, b) - plain) ** 2
    variance += (between(s, a, { ...b, [axis]: b[axis] + picked }) - plain) ** 2
  }
  return Math.sqrt(variance)
}

/** A scale from two points holds along their line; beside it, tilt makes it wrong by how far beside it is over the camera's distance. */
function byTilt(s: ScaledPicture, a: Point, b: Point, mm: number): number {
  const [p, q] = s.known as [KnownPlace, KnownPlace]
  const middle = { x: (p.at.x + q.at.x) / 2, y: (p.at.y + q.at.y) / 2 }
  const other = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }
  const aside = Math.hypot(other.x - middle.x, other.y - middle.y) * s.scaleOnly!
  const tilt = Math.sin((BY_EYE * Math.PI) / 180)
  const across = 1 - Math.cos((BY_EYE * Math.PI) / 180)
  return mm * Math.hypot((aside * tilt) / (s.taken.distance ?? 600), across, (0.5 * mm * tilt) / (s.taken.distance ?? 600) / 2)
}

/** Four known places of a card from its fitted or picked corners, going round; the long side is told by its length in the picture. */
export function cardKnown(corners: readonly Point[], sigma: number): KnownPlace[] {
  const side = (i: number) => Math.hypot(corners[(i + 1) % 4]!.x - corners[i]!.x, corners[(i + 1) % 4]!.y - corners[i]!.y)
  const longFirst = side(0) + side(2) > side(1) + side(3)
  const [w, h] = longFirst ? [PLASTIC_CARD.width, PLASTIC_CARD.height] : [PLASTIC_CARD.height, PLASTIC_CARD.width]
  const places = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ]
  return corners.map((at, i) => ({ at, is: places[i]!, sigma }))
}
