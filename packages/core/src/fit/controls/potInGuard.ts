import { HOLE_OVER } from '../../instrument/holeOver'
import { capital, aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { filmToCome } from '../../finish/film'
import { CONTROL_WORDS, controlPlace, potSlot, type PotControl, type PotSlot } from '../../instrument/controlPlace'
import { inHollow, isCarried, panelName, panelOf, type Panel } from '../../instrument/panel'
import { judged } from '../../judge/assemble'
import type { Question, Cure, JudgedJoint } from '../../judge/joint'
import { gapOf, sizesIn } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { potDrawing } from './potInGuard.draw'
import { CLEAR, packing } from './potPanel'
import { wideWashers } from './wideWashers'

/** Hole minus bushing, mm: at least 0.1 to pass, over 0.8 it wanders. [practice] */
const HOLE_BANDS: readonly Band[] = [
  { upTo: 0.1, is: 'tight' },
  { upTo: 0.8, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
/** Thread standing above the nut, mm: over about 2 the knob rides high. [practice] */
const THREAD_WANTED = 2
const THREAD_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: THREAD_WANTED, is: 'snug' },
  { upTo: 12, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]
/** Room under the lugs, mm; wire wants 2. [practice] */
const DEPTH_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: 2, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

/** A pot through the plate, the guard or the top: its hole, its thread, and the room below. */
export function potInGuardJoint(build: Build, control: PotControl): JudgedJoint {
  const slot = potSlot(control)
  const panel = panelOf(build)
  const hollow = inHollow(build)
  return judged(build, {
    id: slot,
    title: `${capital(CONTROL_WORDS[control])} pot in ${panelName(build)}`,
    slots: [slot, panel.slot],
    at: () => controlPlace(build, control),
    draw: () => potDrawing(build, slot),
    asks: [(b) => threadQuestion(b, control, hollow), (b) => holeQuestion(b, slot), (b) => depthQuestion(b, slot, hollow)],
  })
}

/** Bushing over panel, washer and nut. */
const threadRefs = (build: Build, slot: PotSlot) => ({
  length: sizeRef(slot, 'bushing.length'),
  guard: panelOf(build).thickness,
  nut: sizeRef(slot, 'nut.thickness'),
  washer: sizeRef(slot, 'washer.thickness'),
})

function threadQuestion(build: Build, control: PotControl, hollow: boolean): Question {
  const slot = potSlot(control)
  const panel = panelOf(build)
  const have = sizesIn(build, threadRefs(build, slot))
  const [nut, washer] = [have.nut.value, have.washer.value]
  const thread = gapOf([
    [1, have.length],
    [-1, have.guard],
    [-1, have.nut],
    [-1, have.washer],
  ])
  return {
    id: 'thread',
    label: 'Thread left over the nut',
    clearance: thread,
    bands: THREAD_BANDS,
    says: () => threadSays(likelyOf(thread), have, panel.name),
    cures: ({ verdict }) => threadCures(control, likelyOf(thread), verdict === 'snug', nut, washer, panel, have, hollow),
  }
}

function holeQuestion(build: Build, slot: PotSlot): Question {
  const panel = panelOf(build)
  const have = sizesIn(build, { hole: sizeRef(panel.slot, 'pot.hole'), diameter: sizeRef(slot, 'bushing.diameter') })
  const hole = gapOf([
    [1, have.hole],
    [-1, have.diameter],
  ])
  return {
    id: 'hole',
    label: 'Hole minus bushing',
    clearance: hole,
    bands: HOLE_BANDS,
    says: () => `The hole is ${printMm(have.hole.value)} mm and the bushing ${printMm(have.diameter.value)} mm.`,
    cures: ({ verdict }) =>
      verdict === 'loose'
        ? [wideWashers('pot')]
        : verdict === 'snug' || likelyOf(hole) >= CLEAR
          ? []
          : [reamCure(have.hole, have.diameter, panel)],
    ...(panel.slot === 'body' ? { coats: filmToCome(build, sizeRef('body', 'pot.hole')) } : {}),
  }
}

function threadSays(surplus: number, have: { length: Size; guard: Size }, panel: string): string {
  const through = `${capital(aMm(have.length.value, 1))} bushing through ${printMm(have.guard.value, 1)} mm of ${panel}`
  if (surplus < 0) return `${through} is ${printMm(-surplus, 1)} mm too short for its washer and nut.`
  if (surplus <= THREAD_WANTED) return `${through} takes its washer and nut, ${printMm(surplus, 1)} mm of thread over.`
  return `${through} leaves ${printMm(surplus, 1)} mm of thread over the nut: the pot is too long and the knob would ride that high.`
}

function threadCures(
  control: PotControl,
  surplus: number,
  snug: boolean,
  nut: number,
  washer: number,
  panel: Panel,
  have: { length: Size; guard: Size },
  hollow: boolean,
): Cure[] {
  if (snug) return []
  if (surplus < 0) return longerThread(surplus, panel, have, hollow)
  const pack = packing(surplus, nut, washer)
  const packed = pack.nuts * nut + pack.washers * washer
  const words = [
    pack.nuts ? `${pack.nuts} inner ${pack.nuts === 1 ? 'nut' : 'nuts'}` : '',
    pack.washers ? `${pack.washers} ${pack.washers === 1 ? 'washer' : 'washers'}` : '',
  ].filter(Boolean)
  // Washers one has come before a pot one has not, unless it takes a tower of nuts; and only a bushing that then fits.
  const others = shorter(have, nut + washer)
  const tower = pack.nuts > NUTS_AT_MOST && others.length > 0
  const stack: Cure = {
    id: 'inner-nut',
    job: `${tower ? 'Or put' : 'Put'} ${words.join(' and ')} on the ${CONTROL_WORDS[control]} pot under the ${panel.name}: takes up ${printMm(packed, 1)} mm.`,
    how: 'Run the inner nut down the thread before the pot goes in; it sets the height. Nothing is cut.',
    gives: 'nothing',
    tools: ['inner nut', 'washers', 'socket of the nut’s size'],
    minutes: 5,
    plan: { slot: potSlot(control), size: 'bushing.length', delta: -packed, doubt: 0.2 },
  }
  const exchanged = others.map((length) => ({
    id: 'shorter-bushing',
    job: `${tower ? 'Take' : 'Or take'} a pot with ${aMm(length, 1)} bushing.`,
    how: 'Long bushings are made for thick carved tops.',
    gives: 'the pot',
    tools: [],
  }))
  return tower ? [...exchanged, stack] : [stack, ...exchanged]
}

/** A thread too short for its washer and nut: a longer one, as long as such are sold, or a thinner top where a router gets at it. */
function longerThread(surplus: number, panel: Panel, have: { length: Size; guard: Size }, hollow: boolean): Cure[] {
  const longer: Cure = {
    id: 'longer-bushing',
    job: `Take a pot with a bushing at least ${printMm(-surplus, 1)} mm longer.`,
    how: isCarried(panel) ? `A ${panel.name} is not thinned for a pot.` : 'Long bushings are made for thick carved tops.',
    gives: 'the pot',
    tools: [],
  }
  if (isCarried(panel)) return [longer]
  const sold = have.length.value - surplus <= LONGEST
  if (hollow) return sold ? [longer] : []
  const thinner: Cure = {
    id: 'thin-top',
    job: `${sold ? 'Or rout' : 'Rout'} the top from inside to ${printMm(have.guard.value + surplus - 1, 1)} mm round the hole.`,
    how: 'A wide flat bit, depth stop set on scrap; mind what the top has to carry. Before any coat goes on.',
    gives: 'body',
    tools: ['router or wide flat bit', 'depth stop'],
    plan: { slot: 'body', size: 'control.top', delta: surplus - 1, doubt: 0.3 },
  }
  return sold ? [longer, thinner] : [thinner]
}

/** More nuts than this under one another work loose. [practice, from memory] */
const NUTS_AT_MOST = 2
/** The longest bushing a pot is sold with, for a thick carved top, mm. [practice] */
const LONGEST = 19
/** Bushings pots are sold with, mm. [practice] */
const BUSHINGS = [6.5, 9.5]

/** The longest of them that is shorter than this one and goes through with no more thread over than is wanted. */
const shorter = (have: { length: Size; guard: Size }, under: number): number[] =>
  BUSHINGS.filter(
    (b) => b < have.length.value - 0.5 && b - have.guard.value - under >= 0 && b - have.guard.value - under <= THREAD_WANTED,
  ).slice(-1)

function reamCure(hole: Size, bushing: Size, panel: Panel): Cure {
  const to = bushing.value + HOLE_OVER.pot
  return {
    id: 'ream',
    job: `Ream the hole from ${printMm(hole.value)} to ${printMm(to)} mm.`,
    how: 'Turn the reamer by hand from both faces in turn; from one side only it leaves a cone. Tape under it saves the face.',
    gives: panel.slot === 'body' ? 'body' : panel.name,
    tools: ['tapered reamer, or a round file'],
    plan: { slot: panel.slot, size: 'pot.hole', delta: to - hole.value, doubt: 0.1 },
  }
}

function depthQuestion(build: Build, slot: PotSlot, hollow: boolean): Question {
  const have = sizesIn(build, { route: sizeRef('body', 'control.depth'), body: sizeRef(slot, 'body.depth') })
  const room = linear([
    [1, ofSize(have.route)],
    [-1, ofSize(have.body)],
  ])
  return {
    id: 'depth',
    label: 'Room under the lugs',
    clearance: room,
    bands: DEPTH_BANDS,
    says: () => `The pot hangs ${printMm(have.body.value, 1)} mm deep in ${printMm(have.route.value, 1)} mm of room.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : hollow
          ? lowPot(have.route.value)
          : [
              {
                id: 'deepen',
                job: `Deepen the control route by ${printMm(2.5 - likelyOf(room), 1)} mm, to ${printMm(have.route.value + 2.5 - likelyOf(room), 1)} mm.`,
                how: 'A bearing bit follows the walls; passes of 3 mm. Before any coat goes on. Eye and ear protection, both hands on the router.',
                gives: 'body',
                tools: ['router', 'bearing bit'],
                plan: { slot: 'body', size: 'control.depth', delta: 2.5 - likelyOf(room), doubt: 0.5 },
              },
            ],
  }
}

/** No pot is lower with its lugs, mm. [practice, from memory] */
const LOWEST = 9

/** A hollow is as deep as it is: only the pot can be another. @param room under the top, mm */
const lowPot = (room: number): Cure[] =>
  room - 2 < LOWEST
    ? []
    : [
        {
          id: 'low-pot',
          job: `Take a pot no deeper than ${printMm(Math.floor(room - 2), 0)} mm with its lugs.`,
          how: 'Small ones of 16 mm are lower than those of 24; measure from the shoulder to the end of the lugs.',
          gives: 'the pot',
          tools: [],
        },
      ]
