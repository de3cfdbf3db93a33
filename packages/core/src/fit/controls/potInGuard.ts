import type { Build } from '../../document/build'
import { sizeRef, sizesFor, valueAt } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { filmOn } from '../../finish/film'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { controlPlace } from '../../instrument/controlPlace'
import { jointOf, waitingJoint } from '../../judge/assemble'
import { check, type Check, type Cure, type JudgedJoint } from '../../judge/joint'
import type { Band } from '../../judge/verdict'
import { likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'

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
const WASHER = 0.6
const NUT = 2
const CLEAR = 0.1
/** Thread that must stay above the nut for it to hold, mm. [practice] */
const THREAD_KEPT = 0.3

export type PotSlot = 'pot-volume' | 'pot-tone'

/**
 * Packing that takes up a surplus of thread: inner nuts first, washers for the rest, a little thread kept over the nut, mm.
 * @returns how many of each, and how much thread is left over
 */
export function packing(surplus: number, nut: number, washer: number): { nuts: number; washers: number; left: number } {
  const count = (room: number, thick: number) => Math.max(0, Math.floor((room - THREAD_KEPT) / thick + 1e-9))
  const nuts = count(surplus, nut)
  const washers = count(surplus - nuts * nut, washer)
  return { nuts, washers, left: surplus - nuts * nut - washers * washer }
}

/** What a control is mounted through: the guard, or the body's own top where there is none. */
export const panelOf = (build: Build) =>
  build.parts.guard
    ? ({ slot: 'guard', name: 'guard', hole: sizeRef('guard', 'pot.hole'), thickness: sizeRef('guard', 'thickness') } as const)
    : ({ slot: 'body', name: 'top', hole: sizeRef('body', 'pot.hole'), thickness: sizeRef('body', 'control.top') } as const)

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

/** Pot through the guard, cut down its middle, true proportion: guard, washer, nut, thread left over, what packs it. */
function potDrawing(build: Build, slot: PotSlot, surplus: number): Drawing {
  const value = (s: PotSlot, size: string, otherwise: number) => valueAt(build, { slot: s, size }) ?? otherwise
  const panel = panelOf(build)
  const bushing = value(slot, 'bushing.diameter', 9.5)
  const length = value(slot, 'bushing.length', 9.5)
  const entered = build.parts[slot]?.sizes['bushing.length']?.value ?? length
  const guard = valueAt(build, panel.thickness) ?? 2.5
  const hole = valueAt(build, panel.hole) ?? 9.5
  const body = value(slot, 'body.diameter', 24)
  const depth = value(slot, 'body.depth', 16)
  const shaft = value(slot, 'shaft.diameter', 6)
  const nut = value(slot, 'nut.thickness', NUT)
  const washer = value(slot, 'washer.thickness', WASHER)
  const packed = entered - length
  const top = -guard
  const b = bushing / 2
  const marks: Mark[] = [
    { mark: 'area', role: panel.slot === 'guard' ? 'plastic' : 'body-wood', points: rectangle(-26, top, -hole / 2, 0) },
    { mark: 'area', role: panel.slot === 'guard' ? 'plastic' : 'body-wood', points: rectangle(hole / 2, top, 26, 0) },
    { mark: 'area', role: 'metal', points: rectangle(-body / 2, packed, body / 2, packed + depth) },
    { mark: 'area', role: 'metal', points: rectangle(-b, packed - entered, b, packed) },
    { mark: 'area', role: 'metal', points: rectangle(-b - 3.4, top - washer, b + 3.4, top) },
    { mark: 'area', role: 'metal', points: rectangle(-b - 2.4, top - washer - nut, b + 2.4, top - washer) },
    { mark: 'area', role: 'metal', points: rectangle(-shaft / 2, packed - entered - 9, shaft / 2, packed - entered) },
    { mark: 'line', role: 'centre', points: [pt(0, packed - entered - 12), pt(0, packed + depth + 3)] },
  ]
  if (packed > 0) marks.push({ mark: 'area', role: 'good', points: rectangle(-b - 3, 0, b + 3, packed) })
  if (hole < bushing + CLEAR) {
    marks.push({ mark: 'area', role: 'remove', points: rectangle(-b - CLEAR / 2, top, -hole / 2, 0) })
    marks.push({ mark: 'area', role: 'remove', points: rectangle(hole / 2, top, b + CLEAR / 2, 0) })
  }
  const nutTop = top - washer - nut
  if (Math.abs(surplus) > 0.05)
    marks.push({ mark: 'dimension', from: pt(b + 7, nutTop), to: pt(b + 7, packed - entered), text: printMm(surplus, 1), emphasis: true })
  marks.push({ mark: 'dimension', from: pt(-b - 9, packed - entered), to: pt(-b - 9, packed), text: printMm(entered, 1) })
  marks.push({ mark: 'label', at: pt(26, top + guard / 2 + 0.8), text: `${panel.name} ${printMm(guard, 1)}`, anchor: 'end' })
  return {
    title: `Pot through the ${panel.name}, cut down the middle`,
    note: packed > 0 ? 'true proportion · green: packing planned' : 'true proportion · hatched: to ream',
    marks,
    bounds: { x: -30, y: packed - entered - 13, width: 60, height: entered + depth + 18 },
    numbers: [
      { label: 'Hole and bushing', value: `${printMm(hole, 1)} mm, ${printMm(bushing, 1)} mm` },
      { label: 'Bushing length', value: `${printMm(entered, 1)} mm` },
      { label: 'Guard, washer, nut', value: `${printMm(guard, 1)} + ${printMm(washer, 1)} + ${printMm(nut, 1)} mm` },
      { label: 'Thread over the nut', value: `${printMm(surplus, 1)} mm` },
    ],
  }
}
