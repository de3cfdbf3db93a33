import type { Build } from '../../document/build'
import { sizeRef, sizesFor, valueAt } from '../../document/read'
import { filmOn } from '../../finish/film'
import { controlPlace } from '../../instrument/controlPlace'
import { jointOf, waitingJoint } from '../../judge/assemble'
import { check, type Check, type Cure, type JudgedJoint } from '../../judge/joint'
import type { Band } from '../../judge/verdict'
import { likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { potDrawing } from './potInGuard.draw'
import { WASHER, NUT, CLEAR, type PotSlot, packing, panelOf } from './potPanel'

/** Hole minus bushing, mm: at least 0.1 to pass, over 0.8 it wanders. [practice] */
const HOLE_BANDS: readonly Band[] = [
  { upTo: 0.1, is: 'tight' },
  { upTo: 0.8, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
/** Thread standing above the nut, mm: over about 2 the knob rides high. [practice] */
const THREAD_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: 2, is: 'snug' },
  { upTo: 12, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]
/** Room under the lugs, mm; wire wants 2. [practice] */
const DEPTH_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: 2, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

/** A pot through the guard or top: its hole, its thread, and the room below. */
export function potInGuardJoint(build: Build, slot: PotSlot): JudgedJoint {
  const which = slot === 'pot-volume' ? 'volume' : 'tone'
  const panel = panelOf(build)
  const refs = {
    hole: panel.hole,
    guard: panel.thickness,
    diameter: sizeRef(slot, 'bushing.diameter'),
    length: sizeRef(slot, 'bushing.length'),
  }
  const base = {
    id: slot,
    title: `${which === 'volume' ? 'Volume' : 'Tone'} pot in ${panel.name}`,
    slots: [slot, panel.slot] as (PotSlot | 'guard' | 'body')[],
    at: controlPlace(build, which),
  }
  const { have, missing } = sizesFor(build, refs)
  if (missing.length) return waitingJoint({ ...base, draw: () => potDrawing(build, slot, 0) }, missing)
  const nut = valueAt(build, sizeRef(slot, 'nut.thickness')) ?? NUT
  const washer = valueAt(build, sizeRef(slot, 'washer.thickness')) ?? WASHER
  const hole = linear([
    [1, ofSize(have.hole)],
    [-1, ofSize(have.diameter)],
  ])
  const thread = linear(
    [
      [1, ofSize(have.length)],
      [-1, ofSize(have.guard)],
    ],
    -(nut + washer),
  )
  const checks: Check[] = [
    check({
      id: 'thread',
      label: 'Thread left over the nut',
      clearance: thread,
      bands: THREAD_BANDS,
      reads: [refs.length, refs.guard],
      says: () => threadSays(likelyOf(thread), have, panel.name),
      cures: ({ verdict }) => threadCures(slot, likelyOf(thread), verdict === 'snug', nut, washer, panel, have.guard.value),
    }),
    check({
      id: 'hole',
      label: 'Hole minus bushing',
      clearance: hole,
      bands: HOLE_BANDS,
      reads: [refs.hole, refs.diameter],
      says: () => `The hole is ${printMm(have.hole.value)} mm and the bushing ${printMm(have.diameter.value)} mm.`,
      cures: ({ verdict }) => (verdict === 'snug' || likelyOf(hole) >= CLEAR ? [] : [reamCure(have.hole, have.diameter, panel)]),
      ...(panel.slot === 'body' ? { coats: filmOn(build, 2) } : {}),
    }),
  ]
  const depth = depthCheck(build, slot)
  if (depth) checks.push(depth)
  return jointOf(build, { ...base, draw: () => potDrawing(build, slot, likelyOf(thread)) }, checks)
}

function threadSays(surplus: number, have: { length: Size; guard: Size }, panel: string): string {
  const through = `A ${printMm(have.length.value, 1)} mm bushing through ${printMm(have.guard.value, 1)} mm of ${panel}`
  if (surplus < 0) return `${through} is ${printMm(-surplus, 1)} mm too short for its washer and nut.`
  if (surplus <= 2) return `${through} takes its washer and nut, ${printMm(surplus, 1)} mm of thread over.`
  return `${through} leaves ${printMm(surplus, 1)} mm of thread over the nut: the pot is too long and the knob would ride that high.`
}

function threadCures(
  slot: PotSlot,
  surplus: number,
  snug: boolean,
  nut: number,
  washer: number,
  panel: ReturnType<typeof panelOf>,
  thickness: number,
): Cure[] {
  if (snug) return []
  if (surplus < 0)
    return [
      {
        id: 'longer-bushing',
        job: `Take a pot with a bushing at least ${printMm(-surplus, 1)} mm longer.`,
        how: panel.slot === 'guard' ? 'A guard is not thinned for a pot.' : 'Long bushings are made for thick carved tops.',
        gives: 'the pot',
        tools: [],
      },
      ...(panel.slot === 'body'
        ? [
            {
              id: 'thin-top',
              job: `Or rout the top from inside to ${printMm(thickness + surplus - 1, 1)} mm round the hole.`,
              how: 'A wide flat bit, depth stop set on scrap; mind what the top has to carry. Before any finish.',
              gives: 'body',
              tools: ['router or wide flat bit', 'depth stop'],
              plan: { slot: 'body' as const, size: 'control.top', delta: surplus - 1, doubt: 0.3 },
            },
          ]
        : []),
    ]
  const pack = packing(surplus, nut, washer)
  const packed = pack.nuts * nut + pack.washers * washer
  const words = [
    pack.nuts ? `${pack.nuts} inner ${pack.nuts === 1 ? 'nut' : 'nuts'}` : '',
    pack.washers ? `${pack.washers} ${pack.washers === 1 ? 'washer' : 'washers'}` : '',
  ].filter(Boolean)
  return [
    {
      id: 'inner-nut',
      job: `Put ${words.join(' and ')} on the ${slot === 'pot-volume' ? 'volume' : 'tone'} pot under the guard: takes up ${printMm(packed, 1)} mm.`,
      how: 'Run the inner nut down the thread before the pot goes in; it sets the height. Nothing is cut.',
      gives: 'nothing',
      tools: ['inner nut', 'washers', 'socket of the nut’s size'],
      plan: { slot, size: 'bushing.length', delta: -packed, doubt: 0.2 },
    },
    {
      id: 'shorter-bushing',
      job: 'Or take a pot with a usual 9.5 mm or short 6.5 mm bushing.',
      how: 'Long bushings are made for thick carved tops.',
      gives: 'the pot',
      tools: [],
    },
  ]
}

function reamCure(hole: Size, bushing: Size, panel: ReturnType<typeof panelOf>): Cure {
  // The clearance wanted, and as much again for a hole reamed by hand.
  const to = bushing.value + 2 * CLEAR
  return {
    id: 'ream',
    job: `Ream the hole from ${printMm(hole.value, 1)} to ${printMm(to, 1)} mm.`,
    how: 'Turn the reamer by hand from both faces in turn; from one side only it leaves a cone. Tape under it saves the face.',
    gives: panel.slot,
    tools: ['tapered reamer, or a round file'],
    plan: { slot: panel.hole.slot, size: panel.hole.size, delta: to - hole.value, doubt: 0.1 },
  }
}

function depthCheck(build: Build, slot: PotSlot): Check | undefined {
  const refs = { route: sizeRef('body', 'control.depth'), body: sizeRef(slot, 'body.depth') }
  const { have, missing } = sizesFor(build, refs)
  if (missing.length) return undefined
  const room = linear([
    [1, ofSize(have.route)],
    [-1, ofSize(have.body)],
  ])
  return check({
    id: 'depth',
    label: 'Room under the lugs',
    clearance: room,
    bands: DEPTH_BANDS,
    reads: [refs.route, refs.body],
    says: () => `The pot hangs ${printMm(have.body.value, 1)} mm deep in a ${printMm(have.route.value, 1)} mm route.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'deepen',
              job: `Deepen the control route by ${printMm(2 - likelyOf(room), 1)} mm.`,
              how: 'A bearing bit follows the walls; passes of 3 mm. Before any finish. Eye and ear protection, both hands on the router.',
              gives: 'body',
              tools: ['router', 'bearing bit'],
              plan: { slot: 'body', size: 'control.depth', delta: 2 - likelyOf(room) + 0.5, doubt: 0.5 },
            },
          ],
  })
}
