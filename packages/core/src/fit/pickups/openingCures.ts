import type { Build } from '../../document/build'
import { sizeAt, traitAt, type SizeRef } from '../../document/read'
import type { Frame } from '../../instrument/pickupFrame'
import type { Cure } from '../../judge/joint'
import { amount } from '../../judge/known'
import { printMm } from '../../quantity/length'

/** A cover's wall has to keep this after filing, mm. [practice, from memory] */
const WALL_KEPT = 0.6
/** A plastic cover's wall that nobody has measured is found no thinner, mm. [practice, from memory] */
const WALL_LEAST = 1
/** A ring's frame gives no more than this on one side before it breaks at its screws, mm. [practice, from memory] */
const RING_GIVES = 1
/** Filed or papered by hand, a side gives this before a saw or a router is quicker and straighter, mm. [practice, from memory] */
const BY_HAND = 1.5
/** What goes beside it when it is in, on both sides together, mm. [practice] */
const BESIDE = 0.2

/** What can come off one side of a cover before its wall is too thin, mm. */
const filable = (wall: number): number => Math.max(0, wall - WALL_KEPT)

/**
 * Both schools: the plastic or the cover first, the wood last; or the wood, so that the cover stays whole.
 * @param at the cover's size and the opening's, the same way along or across
 * @param clearance opening less cover, mm
 */
export function openingCures(build: Build, frame: Frame, at: { cover: SizeRef; opening: SizeRef }, clearance: number): Cure[] {
  const take = Math.max(0.05, BESIDE - clearance)
  const off = amount(take / 2, 0.05)
  const sides = at.cover.size === 'width' ? 'bass and treble' : 'neck and bridge side'
  const wall = sizeAt(build, { slot: at.cover.slot, size: 'cover.wall' })?.value
  const plan = { slot: at.opening.slot, size: at.opening.size, delta: take, doubt: 0.1 }
  const otherRing: Cure = {
    id: `larger-ring-${at.cover.size}`,
    job: `Take a ring whose opening is ${amount(take, 0.1)} mm ${at.cover.size === 'width' ? 'wider' : 'longer'}.`,
    how: `Filed by so much its frame breaks at the screws: ${printMm(RING_GIVES)} mm a side is what it gives.`,
    gives: 'the ring',
    tools: [],
    plan,
  }
  const opened: Cure = {
    id: `file-${at.cover.size}`,
    job: `${take / 2 > BY_HAND ? 'Cut' : 'File'} the ${frame.name}${take / 2 > BY_HAND ? ' out' : ''}: ${off} mm off each side, ${sides}.`,
    ...(frame.slot === 'body' ? inWood(build, take / 2) : inPlastic(take / 2)),
    gives: frame.slot === 'body' ? 'body' : frame.name,
    plan,
  }
  const first = frame.name === 'ring' && take / 2 > RING_GIVES ? otherRing : opened
  // More than its wall can give would open the cover onto its coil.
  if (take / 2 > filable(wall ?? WALL_LEAST)) return [first]
  const cover: Cure = {
    id: `file-cover-${at.cover.size}`,
    job: `Or file the cover: ${off} mm off each side, ${sides}.`,
    how: `Only a cover of plastic. ${wall === undefined ? `Its wall is looked at from its open side first: ${printMm(WALL_KEPT)} mm of it stay. ` : ''}The coil is taken out or wrapped: filings stick to magnets.`,
    gives: 'pickup’s cover',
    tools: ['flat file', 'tape'],
    plan: { slot: at.cover.slot, size: at.cover.size, delta: -take, doubt: 0.1 },
  }
  return [first, cover]
}

const inPlastic = (side: number): Pick<Cure, 'how' | 'tools'> =>
  side > BY_HAND
    ? {
        how: 'Scribed from the cover, a hole drilled inside each corner, fine saw 1 mm inside the line, filed to it. Off the instrument, clamped flat on scrap.',
        tools: ['fine saw', 'flat file', 'clamp', 'eye protection'],
      }
    : { how: 'Flat file drawn along the edge. Wrap the pickup: filings stick to magnets.', tools: ['flat file', 'tape'] }

function inWood(build: Build, side: number): Pick<Cure, 'how' | 'tools'> {
  const raw = traitAt(build, 'body', 'surface') === 'raw'
  if (side > BY_HAND)
    return {
      how: `A template held fast on both sides, bearing bit, passes of 3 to 5 mm${raw ? '' : '; where there is a film it is scored along the line first, through tape'}. Eyes covered, both hands on the router.`,
      tools: ['router', 'bearing bit', 'template', 'eye protection'],
    }
  return {
    how: raw
      ? 'Paper on a flat stick, before any coat goes on; the cover stays whole.'
      : 'Where there is a film it is scored along the line first, through tape; then a narrow chisel and file strokes into the route, never out of it: the film lifts. The last by paper on a flat stick, its edges taped. The cover stays whole.',
    tools: ['P80 on a flat stick'],
  }
}
