import type { Build } from '../../document/build'
import { boardRef, isThrough, sizeRef, specAt, type SizeRef } from '../../document/read'
import { datums } from '../../instrument/datums'
import { PLACES, type PickupPlace } from '../../instrument/guardPlace'
import { riseAt } from '../../instrument/frontRise'
import { riseOver } from '../../instrument/neckAngle'
import type { Ask } from '../../judge/ask'
import type { Cure, Question } from '../../judge/joint'
import { drawnAt, sizeIn } from '../../judge/known'
import { fretPlace } from '../../physics/frets'
import { certain, likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { frameOf, mountHeight, RING_SIDES } from '../../instrument/pickupFrame'
import { nearestPole } from '../../instrument/pickupTargets'
import { likelySaddle, tiltOf } from './sideSetting'

/** A ring or bezel this near a string is struck by it, mm. [ours] */
const CLEAR_OF_RING = 1

/** Whatever stands up under the strings, each against the string held at the last fret, where it sinks furthest. */
export const underStrings: readonly Ask[] = PLACES.map(
  (place) => (build) => (build.parts[`pickup-${place}`] ? [overCover(build, place), ...overRing(build, place)] : []),
)

/**
 * Height of a string held at the last fret over the front under it, at a place from the nut, mm; straight from that crown to the saddle. [physics]
 * An arched front is taken to rise evenly from the pocket's mouth to the bridge. [ours]
 */
function heldString(build: Build, x: number): number {
  const d = datums(build)
  const board = drawnAt(build, boardRef(build)) - drawnAt(build, sizeRef('body', 'pocket.depth'))
  const last = fretPlace(d.scale, drawnAt(build, sizeRef('neck', 'frets')))
  const crownAt = board + drawnAt(build, sizeRef('neck', 'crown')) + riseOver(last - d.mouth, tiltOf(build).value)
  const share = (x - last) / (d.scale - last)
  const rise = riseAt(build, 'bridge')!.value
  // A flat front is as high everywhere, wherever the bridge stands.
  const front = rise && (rise * (x - d.mouth)) / (d.studs - d.mouth)
  return share * (likelySaddle(build) + rise) + (1 - share) * crownAt - front
}

function overCover(build: Build, place: PickupPlace): Question {
  const wanted = nearestPole(build)
  const above = sizeIn(build, sizeRef(`pickup-${place}`, 'above'))
  const centre = sizeIn(build, sizeRef('body', `route.${place}.centre`))
  const mount = mountHeight(build, place).reduce((sum, [share, height]) => sum + share * sizeIn(build, height).value, 0)
  const free = certain(heldString(build, datums(build).mouth + centre.value) - above.value - mount - wanted)
  const air = likelyOf(free) + wanted
  const down = 0.2 - likelyOf(free)
  return {
    id: `cover-${place}`,
    spread: true,
    label: `Strings over the ${place} cover, held at the last fret`,
    clearance: free,
    shown: linear([[1, free]], wanted),
    bands: [
      { upTo: -wanted, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `Strings clear the ${place} cover by ${printMm(air, 1)} mm.`
        : air < 0
          ? `Run right down the ${place} cover still stands ${printMm(-air, 1)} mm into the strings held at the last fret; ${wanted} of air is wanted.`
          : `Run right down the ${place} cover still stands only ${printMm(air, 1)} mm under the strings held at the last fret; ${wanted} is wanted.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            ...lowerRing(build, place, down),
            {
              id: `lower-cover-${place}`,
              job: `Let the ${place} pickup ${printMm(down, 1)} mm deeper: deepen its route${isThrough(build) ? '' : ', or raise the strings with a plate under the heel'}.`,
              how: 'With the neck angle as it is; first see that nothing under the pickup, its leads or foam, holds it up.',
              gives: 'body',
              tools: ['router', 'bearing bit'],
              plan: { slot: `pickup-${place}`, size: 'above', delta: -down, doubt: 0.2 },
            },
            down > above.value ? higherStrings(build, place, down - above.value, 'pickup') : lowerPickup(place, down),
          ],
  }
}

const lowerPickup = (place: PickupPlace, down: number): Cure => ({
  id: `lower-pickup-${place}`,
  job: `Or take a ${place} pickup whose cover stands ${printMm(down, 1)} mm lower, run right down.`,
  how: 'Nothing is cut. What counts is its height over guard, ring or body, not how deep it is.',
  gives: 'the pickup',
  tools: [],
})

/** More than it stands out at all: no other one is low enough. */
const higherStrings = (build: Build, id: string, by: number, what: 'pickup' | 'ring'): Cure => ({
  id: `higher-strings-${id}`,
  job: `Or lift the strings there by ${printMm(by, 1)} mm or more: no ${what} is low enough.`,
  how: isThrough(build)
    ? 'The board stands as it was built: saddles set higher lift the strings there by a part of it, and the action with them. A pickup let into the wood stands lower.'
    : 'A plate under the whole heel lifts board and strings; so does a neck tipped further back. Neck angle and bridge height says what the bridge can follow.',
  gives: 'nothing',
  tools: [],
})

/** A lower ring takes its pickup down with it. */
function lowerRing(build: Build, place: PickupPlace, by: number) {
  const { slot } = frameOf(build, place)
  if (slot !== 'ring-neck' && slot !== 'ring-bridge') return []
  const down = { slot, delta: -by, doubt: 0.2 }
  return [
    {
      id: `lower-ring-${place}`,
      job: `Take a ring ${printMm(by, 1)} mm lower on both sides.`,
      how: 'The pickup comes down with it; nothing is cut.',
      gives: 'the ring',
      tools: ['screwdriver'],
      plan: { ...down, size: RING_SIDES[0], also: [{ ...down, size: RING_SIDES[1] }] },
    },
  ]
}

/** Each edge of a ring stands up by its own height, at its own place under the strings. */
function overRing(build: Build, place: PickupPlace): Question[] {
  const { slot, length } = frameOf(build, place)
  if (slot !== 'ring-neck' && slot !== 'ring-bridge') return []
  const middle = datums(build).mouth + sizeIn(build, sizeRef('body', `route.${place}.centre`)).value
  const half = sizeIn(build, length).value / 2
  return RING_SIDES.map((size, i): Question => {
    const ref: SizeRef = sizeRef(slot, size)
    const side = i === 0 ? 'neck' : 'bridge'
    const air = certain(heldString(build, middle + (i === 0 ? -half : half)) - sizeIn(build, ref).value)
    const short = CLEAR_OF_RING - likelyOf(air)
    const lower = short + 0.3
    const beyond = lower - (sizeIn(build, ref).value - specAt(ref).min)
    return {
      id: `ring-${place}-${side}`,
      spread: true,
      label: `Strings over the ${place} ring’s edge on the ${side} side`,
      clearance: certain(-short),
      shown: air,
      bands: [
        { upTo: -CLEAR_OF_RING, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'wont-go'
          ? `The ${place} ring’s edge on the ${side} side stands ${printMm(Math.max(0, -likelyOf(air)), 1)} mm into the strings held at the last fret.`
          : `The strings held at the last fret pass ${printMm(likelyOf(air), 1)} mm over the ${place} ring’s edge on the ${side} side.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : beyond > 0
            ? [higherStrings(build, `${place}-ring`, beyond, 'ring')]
            : [
                {
                  id: `lower-ring-${place}-${side}`,
                  job: `Take a ring ${printMm(lower, 1)} mm lower on the ${side} side.`,
                  how: 'A ring that slopes less or more may do; turned round, its lower side comes here. Its foot can be rubbed down on paper laid flat.',
                  gives: 'the ring',
                  tools: ['P120 on a flat plate'],
                  plan: { slot, size, delta: -lower, doubt: 0.2 },
                },
              ],
    }
  })
}
