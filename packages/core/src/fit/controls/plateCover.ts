import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { pt, type Point } from '../../geometry/point'
import { CONTROL_WORDS, controlRefs, jackPanel, potsIn, SWITCHES_OF } from '../../instrument/controlPlace'
import { FRAME, isScrewedDown } from '../../instrument/switchMake'
import { datums } from '../../instrument/datums'
import { leftOfTurn, PLATE_TURN, platePose, saidTooFar } from '../../instrument/platePlace'
import { roomUnder, SCREW_WOOD, UNDER_PLATE, woodAtScrews } from '../../instrument/plateScrews'
import { judged } from '../../judge/assemble'
import type { Cure, JudgedJoint, Question } from '../../judge/joint'
import { sizeIn, sizesIn, traitIn } from '../../judge/known'
import { liesOnFront } from '../../judge/onFront'
import type { Band } from '../../judge/verdict'
import { likelyOf, linear, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { elsewhere } from '../guard/elsewhere'
import { filledEdge } from '../guard/filledEdge'
import { EASED_AT_MOST, inRoute, wallFrom } from '../guard/inRoute'
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
  return judged(build, {
    id: 'plate-cover',
    title: 'Control plate over its route',
    slots: [
      'control-plate',
      'body',
      ...(build.parts.guard ? (['guard'] as const) : []),
      ...(build.parts.bridge ? (['bridge'] as const) : []),
    ],
    at: () => {
      const { front } = platePose(build)
      return pt(datums(build).mouth + front.x + 12, front.y)
    },
    draw: () => plateCoverDrawing(build),
    asks: [turn, ends, sides, controls, levers, jackIn, screws, besideBridge, besideGuard, onTheBody, lies],
  })
}

/** Its ends lie no further apart across the body than it is long; where they are told to, one of three readings is wrong. */
function turn(build: Build): Question {
  const [y, tail, long] = PLATE_TURN.map((ref) => sizeIn(build, ref).value) as [number, number, number]
  const apart = printMm(Math.abs(tail - y), 1)
  return {
    id: 'turn',
    label: 'Its two ends across the body',
    clearance: propagate(
      ([a, b, c]) => leftOfTurn(a!, b!, c!),
      PLATE_TURN.map((ref) => ofSize(sizeIn(build, ref))),
    ),
    bands: [
      { upTo: 0, is: 'wont-go' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? apart === '0'
          ? 'It lies along the strings.'
          : `Its ends are ${apart} mm apart across the body.`
        : saidTooFar(y, tail, long),
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'measure-plate-ends',
              job: 'Measure the plate’s length, and its middle at either end from the centre line.',
              how: 'To the bass side positive, to the treble side negative; the same twice where it lies along the strings.',
              gives: 'nothing',
              tools: ['rule'],
            },
          ],
  }
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
              filledEdge({
                id: `fill-route-${id}`,
                panel: 'control plate',
                route: 'the control route',
                edge: `the control route’s ${at}`,
                lack: COVER - by,
              }),
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

/** A lever's frame lies along the plate, beyond both its screws. */
function levers(build: Build): Question[] {
  return SWITCHES_OF.filter((of) => build.parts[of]).flatMap((of) => {
    if (!isScrewedDown(traitIn(build, of, 'contacts'))) return []
    const { x, y } = sizesIn(build, controlRefs(build, of))
    const free = propagate(
      ([px, py, apart, ...v]) => reachFrom(roomUnder(v), pt(px!, py!), { x: apart! / 2 + FRAME.end, y: FRAME.across }),
      [ofSize(x), ofSize(y), ofSize(sizeIn(build, sizeRef(of, 'screw.spacing'))), ...read(build)],
    )
    return [inHollow(`in-route-${of}`, `${CONTROL_WORDS[of]}’s frame`, free)]
  })
}

function jackIn(build: Build): Question[] {
  if (!jackPanel(build)) return []
  const { x, y } = sizesIn(build, controlRefs(build, 'jack'))
  const free = propagate(
    ([px, py, wide, ...v]) => reachFrom(roomUnder(v), pt(px!, py!), { x: wide! / 2, y: wide! / 2 }),
    [ofSize(x), ofSize(y), ofSize(sizeIn(build, sizeRef('jack', 'width'))), ...read(build)],
  )
  return [inHollow('in-route-jack', 'jack', free)]
}

/** From what reaches so far along and across to the nearest wall of its route, mm. */
const reachFrom = ({ middle, half }: ReturnType<typeof roomUnder>, at: Point, reach: Point): number =>
  Math.min(half.x - Math.abs(at.x - middle.x) - reach.x, half.y - Math.abs(at.y - middle.y) - reach.y)

/** Lugs stand off its ends: as much is wanted beside it, mm. [practice, from memory] */
const BESIDE = 1

const inHollow = (id: string, what: string, free: Question['clearance']): Question => ({
  id,
  label: `Round the ${what} in its route`,
  clearance: free,
  bands: [
    { upTo: 0, is: 'wont-go' },
    { upTo: BESIDE, is: 'tight' },
    { upTo: Infinity, is: 'snug' },
  ],
  says: ({ verdict }) =>
    verdict === 'snug'
      ? `The ${what} hangs free in the control route.`
      : likelyOf(free) < 0
        ? `The ${what} meets the control route’s wall: it lacks ${printMm(-likelyOf(free), 1)} mm.`
        : `The ${what} comes within ${printMm(likelyOf(free), 1)} mm of the control route’s wall.`,
  cures: ({ verdict }) => (verdict === 'snug' ? [] : [easedFor(id, what, BESIDE + 0.5 - likelyOf(free))]),
})

const easedFor = (id: string, what: string, ease: number): Cure =>
  ease > EASED_AT_MOST
    ? elsewhere(
        `${id}-elsewhere`,
        `the place of the ${what} and of the control route`,
        'control plate',
        `It lacks ${printMm(ease, 0)} mm there: no route is eased by so much.`,
      )
    : {
        id: `ease-${id}`,
        job: `Ease the control route there by ${printMm(ease, 1)} mm, before any coat goes on.`,
        how: 'Bearing bit along the wall, or a gouge; the plate still has to cover it.',
        gives: 'body',
        tools: ['router', 'bearing bit'],
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
              how: 'A block of the body’s wood, flush with the top; before any coat goes on. Look that the nearest control still clears it.',
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
