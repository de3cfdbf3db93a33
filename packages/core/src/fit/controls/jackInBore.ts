import { HOLE_OVER } from '../../instrument/holeOver'
import type { Build } from '../../document/build'
import { asTold, sizeAt, sizeRef, traitAt } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { filmToCome } from '../../finish/film'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { isBesideControls, jackPanel } from '../../instrument/controlPlace'
import { takenPart } from '../../instrument/idleParts'
import { inHollow, isCarried, panelOf, type Panel } from '../../instrument/panel'
import type { Ask } from '../../judge/ask'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import { likelyOf, linear, normal } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { asksInPanel, jackInPanelJoint, THREAD } from './jackInPanel'

const WALL = sizeRef('body', 'jack.wall')
const RIM = sizeRef('body', 'rim.thickness')
const refs = { hole: sizeRef('body', 'jack.bore'), thread: sizeRef('jack', 'bore') }

/** The jack: its hole, and whether it can pass the wire's way once it is soldered on. */
export const jackJoint = (build: Build): JudgedJoint => {
  const panel = jackPanel(build)
  if (panel) return jackInPanelJoint(build, panel)
  const plated = takenPart(build, 'jack-plate') !== undefined
  return judged(build, {
    id: 'jack',
    title: 'Jack in its bore',
    slots: ['jack', 'body', ...mayHold(build).map((panel) => panel.slot)],
    at: () => pt(datums(build).mouth + drawnAt(build, sizeRef('body', 'jack.x')), drawnAt(build, sizeRef('body', 'jack.y'))),
    draw: drawnOnceKnown(build, 'Jack through its bore', plated ? { ...refs, thread: sizeRef('jack', 'width') } : refs, (have) =>
      boreSection({
        title: 'Jack through its bore',
        into: 'body-wood',
        thickness: 12,
        bore: have.hole.value,
        boreDepth: 12,
        plug: {
          label: plated ? 'Jack' : 'Thread',
          diameter: have.thread.value,
          length: drawnAt(build, sizeRef('jack', 'thread.length')),
          ...(plated ? {} : { flange: have.thread.value + 6 }),
        },
        // What its bore lacks under a plate the plate's own joint draws and says.
        ...(plated ? { pressed: Infinity } : {}),
      }),
    ),
    asks: isBesideControls(build) ? [nothingCarries] : asksOf(build),
  })
}

/** What carries the controls may hold the jack too, until somebody says where it sits. */
function mayHold(build: Build): (Panel & { slot: 'control-plate' | 'guard' })[] {
  const panel = panelOf(build)
  return isCarried(panel) && traitAt(asTold(build), 'jack', 'held') === undefined ? [panel] : []
}

/** In the wood it is held to one thing, beside the controls to another: to both while nobody has said where it sits. */
function asksOf(build: Build): Ask[] {
  const bored = [inBore, throughRim, ...(inHollow(build) ? [] : [throughPassage]), plugDepth]
  const beside = mayHold(build).flatMap(asksInPanel)
  if (!beside.length) return bored
  const isBeside = (b: Build) => traitIn(b, 'jack', 'held') === 'panel'
  return [
    ...bored.map((ask) => (b: Build) => (isBeside(b) ? undefined : ask(b))),
    ...beside.map((ask) => (b: Build) => (isBeside(b) ? ask(b) : undefined)),
  ]
}

/** It sits in a guard or a plate, and there is none. */
const nothingCarries = (): Question => ({
  id: 'carried',
  label: 'What it sits in',
  clearance: normal(0, 1),
  bands: [
    { upTo: 0, is: 'wont-go' },
    { upTo: Infinity, is: 'snug' },
  ],
  lacks: 'the guard or plate it sits in',
  says: () => '',
})

/** A bore this much over the thread leaves a jack's nut nothing to bear on, mm. [practice] */
const HELD = 1

/** A plate or cup lies over the bore: it may be as wide as it likes. @param held how the jack is held, as it is known or supposed */
export const heldByPlate = (build: Build, held: (build: Build) => string | undefined): boolean =>
  takenPart(build, 'jack-plate') !== undefined || held(build) === 'plate'

/** Under a plate the whole jack goes through its bore: the plate's own joint says whether it does. */
function inBore(build: Build): Question | undefined {
  if (takenPart(build, 'jack-plate')) return undefined
  const have = sizesIn(build, refs)
  const plated = heldByPlate(build, (of) => traitIn(of, 'jack', 'held'))
  const c = gapOf([
    [1, have.hole],
    [-1, have.thread],
  ])
  const over = likelyOf(c)
  return {
    id: 'bore',
    label: 'Bore minus thread',
    clearance: linear([[1, c]], -0.1),
    shown: c,
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: plated ? Infinity : HELD - 0.1, is: 'snug' },
      ...(plated ? [] : [{ upTo: Infinity, is: 'wont-go' as const }]),
    ],
    coats: filmToCome(build, refs.hole),
    says: ({ verdict }) =>
      verdict === 'wont-go'
        ? `The bore is ${printMm(over, 1)} mm wider than the jack’s thread: its nut bears on nothing and it falls through.`
        : `The bore is ${printMm(have.hole.value, 1)} mm and the jack needs ${printMm(have.thread.value, 1)} mm.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : verdict === 'wont-go'
          ? [
              {
                id: 'jack-plate',
                job: build.parts['jack-plate']
                  ? 'Say of the jack under Parts that a plate or cup holds it, where it does.'
                  : 'Take a jack plate or cup that covers the bore, enter it under Parts, and say of the jack that it is held by one.',
                how: 'Curved where the rim is; its screws want wood beside the bore.',
                gives: 'nothing',
                toGet: build.parts['jack-plate'] === undefined,
                tools: ['small bit', 'screwdriver'],
              },
            ]
          : [
              {
                id: 'ream-jack',
                job: `Ream the jack bore to ${printMm(have.thread.value + HOLE_OVER.jack)} mm.`,
                how: 'From outside through tape, by hand; film chips when a bit bites.',
                gives: 'body',
                tools: ['tapered reamer'],
                plan: { slot: 'body', size: 'jack.bore', delta: HOLE_OVER.jack - over, doubt: 0.1 },
              },
            ],
  }
}

/** So much wood carries a jack's nut; no jack's thread is longer, and no counterbore for one deeper, mm. [practice, from memory] */
const CARRIES = 3
const LONGEST = 20
const DEEPEST = 15

/** Its thread holds through so much wood and no more: what is over its washer and its nut. */
export const heldThrough = (length: number, washer: number, nut: number): number => length - washer - nut

/** Held by its own thread it goes through the rim, which is often thicker than the thread is long. */
function throughRim(build: Build): Question | undefined {
  if (heldByPlate(build, (of) => traitIn(of, 'jack', 'held'))) return undefined
  const own = sizeAt(build, WALL)
  const rim = own ? WALL : inHollow(build) && sizeAt(build, RIM) ? RIM : undefined
  if (!rim) return undefined
  const have = sizesIn(build, { ...THREAD, wall: rim })
  const spare = gapOf([
    [1, have.length],
    [-1, have.wall],
    [-1, have.washer],
    [-1, have.nut],
  ])
  const holds = heldThrough(have.length.value, have.washer.value, have.nut.value)
  const leave = Math.min(holds - 0.5, 2 * CARRIES)
  const needed = have.length.value - likelyOf(spare) + 1
  return {
    id: 'wall',
    label: 'Thread past the nut',
    clearance: spare,
    bands: [
      { upTo: 0, is: 'wont-go' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `Through ${printMm(have.wall.value, 1)} mm of rim the thread stands ${printMm(likelyOf(spare), 1)} mm out of its nut.`
        : `The rim is ${printMm(have.wall.value, 1)} mm thick there and the thread of ${printMm(have.length.value, 1)} mm holds through ${printMm(Math.max(0, holds), 1)} mm: its nut finds nothing to turn on.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            ...(leave < CARRIES || have.wall.value - leave > DEEPEST
              ? []
              : [
                  {
                    id: 'counterbore-jack',
                    job: `Counterbore the rim from outside, ${printMm(have.wall.value - leave, 1)} mm deep: ${printMm(leave, 1)} mm stay for the nut to bear on.`,
                    how: 'A flat bit as wide as the socket of its nut and the plug’s sleeve, before the jack’s own hole; the rim taped, depth stop set. Before any coat goes on.',
                    gives: 'body',
                    tools: ['flat bit', 'depth stop'],
                    ...(own ? { plan: { ...WALL, delta: leave - have.wall.value, doubt: 0.3 } } : {}),
                  },
                ]),
            ...(needed <= LONGEST
              ? [
                  {
                    id: 'long-jack',
                    job: `Or take a jack with at least ${printMm(needed, 1)} mm of thread.`,
                    how: 'Measure it from the shoulder.',
                    gives: 'the jack',
                    tools: [],
                  },
                ]
              : []),
            {
              id: 'plate-instead',
              job: 'Or hold it in a jack plate or cup over a wide bore, and enter that under Parts.',
              how: 'Curved where the rim is; its screws want wood beside the bore.',
              gives: 'nothing',
              toGet: true,
              tools: ['small bit', 'screwdriver'],
            },
          ],
  }
}

/** On its way to the controls; into a hollow body it goes by the sound hole, with them. */
function throughPassage(build: Build): Question {
  const p = gapOf([
    [1, sizeIn(build, sizeRef('body', 'passage.diameter'))],
    [-1, sizeIn(build, sizeRef('jack', 'width'))],
  ])
  return {
    id: 'passage',
    label: 'Passage minus jack',
    clearance: p,
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? 'A soldered jack passes the wire’s way.'
        : `The jack is ${printMm(-likelyOf(p), 1)} mm wider than the passage: soldered on, it will not go through.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'solder-after',
              job: 'Thread the wires first, solder the jack after.',
              how: 'Leave 80 mm of wire standing out of the bore; towel over the finish while soldering.',
              gives: 'nothing',
              tools: ['soldering iron', 'towel'],
            },
          ],
  }
}

/** The plug, pushed in, against the far wall of its bore. */
function plugDepth(build: Build): Question[] {
  const refs = { bore: sizeRef('body', 'jack.depth'), own: sizeRef('jack', 'depth') }
  const bore = sizeIn(build, refs.bore)
  const own = sizeIn(build, refs.own)
  const room = gapOf([
    [1, bore],
    [-1, own],
  ])
  const short = 2.5 - likelyOf(room)
  return [
    {
      id: 'plug',
      label: 'Bore behind the plug’s tip',
      clearance: linear([[1, room]], -1),
      shown: room,
      bands: [
        { upTo: -4, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The plug ends ${printMm(likelyOf(room), 1)} mm before the far wall.`
          : `The plug reaches ${printMm(own.value, 1)} mm and the bore ends at ${printMm(bore.value, 1)} mm: it would not click home.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'deepen-jack',
                job: `Deepen the jack bore by ${printMm(short, 1)} mm.`,
                how: 'Same bit, by hand, tape flag; then room for the wires towards the controls.',
                gives: 'body',
                tools: ['drill'],
                plan: { slot: 'body', size: 'jack.depth', delta: short, doubt: 0.5 },
              },
            ],
    },
  ]
}
