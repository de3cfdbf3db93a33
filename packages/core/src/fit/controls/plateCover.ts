import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { pt } from '../../geometry/point'
import { controlRefs, potsIn } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { platePose } from '../../instrument/platePlace'
import { roomUnder, SCREW_WOOD, UNDER_PLATE, woodAtScrews } from '../../instrument/plateScrews'
import { judged } from '../../judge/assemble'
import type { Cure, JudgedJoint, Question } from '../../judge/joint'
import { sizeIn, sizesIn } from '../../judge/known'
import { liesOnFront } from '../../judge/onFront'
import type { Band } from '../../judge/verdict'
import { likelyOf, linear, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { inRoute, wallFrom } from '../guard/inRoute'
import { plateCoverDrawing } from './plateCover.draw'
import { besideBridge, besideGuard, onTheBody } from './plateNeighbours'

/** A plate covers its route's edge by at least this, mm. [practice] */
const COVER = 1.5
/** Its screws stand at least this far from the route, mm. [practice] */
const WOOD = 3
/** As much as a block glued in gives a screw, mm. [ours] */
const BLOCKED = 6
const COVER_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: COVER, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

const wideRef = sizeRef('control-plate', 'width')
const read = (build: Build) => UNDER_PLATE.map((ref) => ofSize(sizeIn(build, ref)))

/** A plate of its own over the controls: does it cover their route, carry them clear of its walls, find wood for its screws, and lie free? */
export function plateCoverJoint(build: Build): JudgedJoint {
  const { front } = platePose(build)
  return judged(build, {
    id: 'plate-cover',
    title: 'Control plate over its route',
    slots: [
      'control-plate',
      'body',
      ...(build.parts.guard ? (['guard'] as const) : []),
      ...(build.parts.bridge ? (['bridge'] as const) : []),
    ],
    at: pt(datums(build).mouth + front.x + 12, front.y),
    draw: () => plateCoverDrawing(build),
    asks: [ends, sides, controls, screws, besideBridge, besideGuard, onTheBody, lies],
  })
}

/** How the route's ends lie under the plate's: what is beyond each, mm. */
const beyondEnds = (values: readonly number[]) => {
  const { long, middle, half } = roomUnder(values)
  return { front: middle.x - half.x, tail: long - middle.x - half.x }
}

function ends(build: Build): Question {
  const by = propagate((v) => Math.min(...Object.values(beyondEnds(v))), read(build))
  const now = beyondEnds(UNDER_PLATE.map((ref) => sizeIn(build, ref).value))
  const at = now.front < now.tail ? 'front end' : 'tail end'
  const off = (now.front - now.tail) / 2
  return cover('ends', at, likelyOf(by), by, (now.front + now.tail) / 2, {
    job: `Lay the plate ${printMm(Math.abs(off), 1)} mm further towards the ${off > 0 ? 'tail' : 'neck'}.`,
    plan: { slot: 'body', size: 'plate.x', delta: off, doubt: 0.3 },
  })
}

function sides(build: Build): Question {
  const by = propagate(
    ([wide, ...v]) => {
      const { middle, half } = roomUnder(v)
      return wide! / 2 - Math.abs(middle.y) - half.y
    },
    [ofSize(sizeIn(build, wideRef)), ...read(build)],
  )
  const { middle, half } = roomUnder(UNDER_PLATE.map((ref) => sizeIn(build, ref).value))
  // What shows, shows where the route reaches out further.
  const at = middle.y > 0 ? 'bass side' : 'treble side'
  const across = { delta: middle.y, doubt: 0.3 }
  return cover('sides', at, likelyOf(by), by, sizeIn(build, wideRef).value / 2 - half.y, {
    job: `Lay the plate ${printMm(Math.abs(middle.y), 1)} mm further to the ${middle.y > 0 ? 'bass' : 'treble'} side.`,
    plan: { slot: 'body', size: 'plate.y', ...across, also: [{ slot: 'body', size: 'plate.tail', ...across }] },
  })
}

/** @param best what would be beyond each edge with the plate in the middle, mm */
function cover(
  id: 'ends' | 'sides',
  at: string,
  by: number,
  clearance: Question['clearance'],
  best: number,
  move: Pick<Cure, 'job' | 'plan'>,
): Question {
  return {
    id,
    label: `Plate beyond the route’s ${id}`,
    clearance,
    bands: COVER_BANDS,
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `The plate covers the route’s ${id} by ${printMm(by, 1)} mm or more.`
        : by < 0
          ? `The route shows ${printMm(-by, 1)} mm beyond the plate at its ${at}.`
          : `The plate covers the route by only ${printMm(by, 1)} mm at its ${at}.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : best > COVER + 0.5 && best - by > 0.2
          ? [
              {
                id: `move-plate-${id}`,
                ...move,
                how: 'While its screws’ holes are not drilled; holes that are there are plugged first. Look where its controls come then.',
                gives: 'nothing',
                tools: ['rule', 'tape'],
              },
            ]
          : [
              {
                id: `fill-route-${id}`,
                job: `Glue a strip of the body’s wood into the route’s ${at} and cut it flush.`,
                how: 'Before any finish; or take a plate that is larger there.',
                gives: 'nothing',
                tools: ['wood strip', 'wood glue', 'chisel'],
              },
            ],
  }
}

/** Every pot it carries hangs in the route with its body's radius and room for wires. */
function controls(build: Build): Question[] {
  return potsIn(build).map((control) => {
    const { x, y } = sizesIn(build, controlRefs(build, control))
    const shaft = propagate(([px, py, ...v]) => wallFrom(roomUnder(v), pt(px!, py!)), [ofSize(x), ofSize(y), ...read(build)])
    return inRoute(build, control, shaft)
  })
}

function screws(build: Build): Question {
  const wood = propagate(
    woodAtScrews,
    SCREW_WOOD.map((ref) => ofSize(sizeIn(build, ref))),
  )
  const have = likelyOf(wood)
  return {
    id: 'screws',
    label: 'Its screws to the route',
    clearance: linear([[1, wood]], -WOOD),
    shown: wood,
    bands: [
      // Nothing but air or a sliver of wood under it.
      { upTo: 0.5 - WOOD, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `Both end screws stand on wood, ${printMm(have, 1)} mm from the route or more.`
        : have < 0
          ? `One of the plate’s end screws hangs ${printMm(-have, 1)} mm inside the route.`
          : `One of the plate’s end screws lands ${printMm(have, 1)} mm from the route; the wood there splits out under ${WOOD} mm.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'block-for-plate',
              job: `Glue a block into the route’s end so that ${BLOCKED} mm of wood stand beside that screw.`,
              how: 'A block of the body’s wood, flush with the top; before any finish. Look that the nearest control still clears it.',
              gives: 'nothing',
              tools: ['wood', 'wood glue'],
            },
          ],
  }
}

/** Metal that is screwed down over a curve springs. */
const lies = (build: Build): Question =>
  liesOnFront(build, 'control plate', 'screwed down it springs and draws its screws.', {
    job: 'Take a plate bent to the front’s curve, or a body with a flat top.',
    how: 'A plate is bent over a rounded block before anything is drilled in it, never with its controls in.',
    gives: 'the plate',
    tools: [],
  })
