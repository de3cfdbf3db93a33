import type { Owned } from '../plan/tools'
import type { PilotBand } from '../physics/pilot'
import { printMm } from '../quantity/length'

/** What a person drills with. It is theirs, not an instrument's. */
export interface Bench {
  /** Diameters of the bits in the box, mm. */
  bits: readonly number[]
  /** How far the post of each drill press stands from its spindle, mm. */
  throats: readonly number[]
  /** A stand that slides on the work and holds a hand drill upright. */
  stand: boolean
  /** A guide block: scrap with a hole drilled square through it. */
  block: boolean
  /** Router bits, mm, and the outside diameters of its guide bushings, mm. */
  routerBits: readonly number[]
  bushings: readonly number[]
  /** What is said of other tools and things used up, by their name in the steps. */
  things?: Readonly<Record<string, Owned>>
}

/** What people start with: a set in half millimetres and a block made from scrap. [practice] */
export const USUAL_BENCH: Bench = {
  bits: Array.from({ length: 25 }, (_, i) => 1 + i * 0.5),
  throats: [],
  stand: false,
  block: true,
  routerBits: [6.35],
  bushings: [12.7],
}

/** Two benches are one when they can do the same. */
export const benchKey = (bench: Bench): string => JSON.stringify(bench)

/** A bit for a hole: one from the box, or the one to get. */
export interface Bit {
  bit: number
  owned: boolean
}

/** How far under the root of its screw a pilot bit must stay, mm. [ours] */
const UNDER_ROOT = 0.05
/** A pilot may be so much smaller, or larger, than wanted in soft wood, mm. [practice] */
const SMALLER = 0.3
const LARGER = 0.1

/**
 * The bit for a pilot hole. In hard wood a small hole snaps the screw or splits the wood, so that it is rounded up, but never to the root;
 * in soft wood a large hole does not hold, so that it is hardly rounded up at all. In between, or in wood nobody named, the smallest in the band comes
 * first, to be tried in scrap. [practice]
 */
export function pilotBit({ from, to }: PilotBand, root: number, owned: readonly number[]): Bit {
  const hard = from / root > 0.89
  const soft = to / root < 0.71
  const [low, high] = hard ? [from - 0.02, root - UNDER_ROOT] : soft ? [from - SMALLER, to + LARGER] : [from - 0.02, to + 0.02]
  const fit = owned.filter((b) => b >= low - 1e-9 && b <= high + 1e-9)
  if (fit.length) return { bit: soft ? nearest(fit, to) : Math.min(...fit), owned: true }
  const toGet = hard
    ? Math.min(Math.ceil(from * 10 - 1e-6) / 10, Math.floor((root - UNDER_ROOT) * 20) / 20)
    : Math.floor((soft ? to : (from + to) / 2) * 10 + 1e-6) / 10
  return { bit: toGet, owned: false }
}

/** The bit for a bore that may measure from so much to so much: the nearest to the best of it, or the one to get. */
export function boreBit(from: number, to: number, best: number, owned: readonly number[]): Bit {
  const fit = owned.filter((b) => b >= from - 1e-9 && b <= to + 1e-9)
  return fit.length ? { bit: nearest(fit, best), owned: true } : { bit: Math.round(best * 10) / 10, owned: false }
}

const nearest = (bits: readonly number[], d: number) => bits.reduce((a, b) => (Math.abs(b - d) < Math.abs(a - d) ? b : a))

export const bitWords = ({ bit, owned }: Bit): string =>
  owned ? `${printMm(bit)} mm` : `${printMm(bit)} mm, which is not in your box: get it`

/** A way to hold a drill upright, and how far from upright it ends, degrees. [ours] */
export interface Method {
  id: 'press' | 'stand' | 'block' | 'hand'
  words: string
  degrees: number
}
export const METHODS: Record<Method['id'], Method> = {
  press: { id: 'press', words: 'drill press', degrees: 0.15 },
  stand: { id: 'stand', words: 'hand drill in a stand on the work', degrees: 0.4 },
  block: { id: 'block', words: 'hand drill through a guide block', degrees: 0.7 },
  hand: { id: 'hand', words: 'hand drill by eye, a square beside it', degrees: 2 },
}

/**
 * The best way there is for a hole so far from the nearest edge. A press is kept off by its post once the hole is further in than its throat.
 * @param inwards mm from the edge; nothing where nobody drew the outline
 */
export function methodFor(bench: Bench, inwards: number | undefined): { method: Method; why?: string } {
  const throat = Math.max(0, ...bench.throats)
  const next = bench.stand ? METHODS.stand : bench.block ? METHODS.block : METHODS.hand
  if (!throat) return { method: next }
  if (inwards === undefined) return { method: next, why: 'Whether it reaches under your press nobody can tell without the outline.' }
  if (inwards <= throat) return { method: METHODS.press }
  return {
    method: next,
    why: `It lies ${printMm(inwards, 0)} mm from the edge and your press reaches ${printMm(throat, 0)}: ${next.words}, ${next.degrees} instead of ${METHODS.press.degrees} degrees off.`,
  }
}
