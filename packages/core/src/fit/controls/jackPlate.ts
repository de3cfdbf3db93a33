import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Cure, JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, traitIn } from '../../judge/known'
import type { Class } from '../../judge/verdict'
import { likelyOf, linear, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { settled } from '../../judge/settled'
import { packing } from './potPanel'
import { THREAD_KEPT } from './potLimits'

/** A plate hides a bore only where it lies over its edge by this on every side, mm. [practice] */
const OVER_EDGE = 1
/** Wood wanted between a plate's screw and the bore, mm. [practice] */
export const SCREW_WOOD = 3
/** Half of a plate screw's thread, mm. [practice] */
const SCREW_HALF = 1.5
/** Room a jack wants where it goes into its bore, mm. [practice] */
const ENTRY = 0.3

/** A hole this much over the thread leaves the nut nothing to bear on, mm. [practice] */
const HELD = 1

const PLATE = 'jack-plate'
const BORE = sizeRef('body', 'jack.bore')

/** The plate or cup that holds the jack over a wide bore: its hole, what its thread spans, what it covers and where its screws bite. */
export const jackPlateJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'jack-plate',
    title: 'Jack plate over its bore',
    slots: ['jack-plate', 'jack', 'body'],
    at: () => pt(datums(build).mouth + drawnAt(build, sizeRef('body', 'jack.x')), drawnAt(build, sizeRef('body', 'jack.y')) + 16),
    draw: drawnOnceKnown(build, 'Jack plate over its bore', SHAPE, plateDrawing),
    asks: [hole, thread, covers, screwsOnWood, entry, cup, curve],
  })

const SHAPE = {
  bore: BORE,
  length: sizeRef(PLATE, 'length'),
  width: sizeRef(PLATE, 'width'),
  spread: sizeRef(PLATE, 'screw.spread'),
  hole: sizeRef(PLATE, 'hole'),
}

/** The plate from outside, its long side upright: what it hides dashed, its hole and its screws. */
function plateDrawing({ bore, length, width, spread, hole }: Record<keyof typeof SHAPE, Size>): Drawing {
  const [w, l, s] = [width.value / 2, length.value / 2, spread.value / 2]
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: rectangle(-w - 12, -l - 8, w + 12, l + 8) },
    { mark: 'area', role: 'metal', points: rectangle(-w, -l, w, l) },
    { mark: 'circle', role: 'cavity', at: pt(0, 0), r: bore.value / 2, dashed: true },
    { mark: 'circle', role: 'open', at: pt(0, 0), r: hole.value / 2 },
    ...[-s, s].map((y): Mark => ({ mark: 'circle', role: 'cavity', at: pt(0, y), r: SCREW_HALF })),
    { mark: 'dimension', from: pt(-bore.value / 2, l + 12), to: pt(bore.value / 2, l + 12), text: printMm(bore.value, 1), emphasis: true },
    { mark: 'dimension', from: pt(w + 16, -s), to: pt(w + 16, s), text: printMm(spread.value, 1) },
    { mark: 'dimension', from: pt(-w - 16, -l), to: pt(-w - 16, l), text: printMm(length.value, 1) },
  ]
  return framed('Jack plate over its bore, from outside', 'true proportion · dashed: the bore behind it', marks, [
    { label: 'Bore', value: `${printMm(bore.value, 1)} mm` },
    { label: 'Plate', value: `${printMm(length.value, 1)} x ${printMm(width.value, 1)} mm` },
    { label: 'Screws, centre to centre', value: `${printMm(spread.value, 1)} mm` },
    { label: 'Hole for the jack', value: `${printMm(hole.value, 1)} mm` },
  ])
}

/** A gap that must be at least nothing, with one cure. */
function atLeast(
  id: string,
  label: string,
  gap: Distribution,
  want: number,
  below: Class,
  says: (verdict: string) => string,
  cures: Cure[],
): Question {
  return {
    id,
    label,
    clearance: linear([[1, gap]], -want),
    shown: gap,
    bands: [
      { upTo: 0, is: below },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) => says(verdict),
    cures: ({ verdict }) => (verdict === 'snug' ? [] : cures),
  }
}

function hole(build: Build): Question {
  const own = sizeIn(build, sizeRef(PLATE, 'hole'))
  const jack = sizeIn(build, sizeRef('jack', 'bore'))
  const c = gapOf([
    [1, own],
    [-1, jack],
  ])
  return {
    id: 'hole',
    label: 'Hole in the plate minus thread',
    clearance: c,
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: HELD, is: 'snug' },
      { upTo: Infinity, is: 'wont-go' },
    ],
    says: ({ verdict }) =>
      verdict === 'wont-go'
        ? `The plate’s hole is ${printMm(likelyOf(c), 1)} mm wider than the jack’s thread: its nut bears on nothing.`
        : `The plate’s hole is ${printMm(own.value, 1)} mm and the jack needs ${printMm(jack.value, 1)} mm.`,
    cures: ({ verdict }) =>
      verdict === 'wont-go'
        ? [
            {
              id: 'other-plate-hole',
              job: `Take a jack plate with a hole of ${printMm(jack.value + 0.2, 1)} mm, or put a flat washer wider than the hole on either side.`,
              how: 'A washer alone lets the jack wander in the hole until its thread is filled up with tape or tube.',
              gives: 'the plate',
              tools: [],
            },
          ]
        : verdict !== 'tight'
          ? []
          : [
              {
                id: 'ream-plate',
                job: `Ream the plate’s hole to ${printMm(jack.value + 0.2, 1)} mm.`,
                how: 'Clamped on scrap, not held in the hand: sheet metal catches and spins. Deburr both sides.',
                gives: 'jack plate',
                tools: ['tapered reamer or step bit', 'clamp', 'eye protection'],
                plan: { slot: PLATE, size: 'hole', delta: 0.2 - likelyOf(c), doubt: 0.1 },
              },
            ],
  }
}

/** The thread goes through plate, washer and nut; what stands out is packed behind the plate. */
function thread(build: Build): Question {
  const length = sizeIn(build, sizeRef('jack', 'thread.length'))
  const nut = sizeIn(build, sizeRef('jack', 'nut.thickness'))
  const washer = sizeIn(build, sizeRef('jack', 'washer.thickness'))
  const plate = sizeIn(build, sizeRef(PLATE, 'thickness'))
  const spare = gapOf([
    [1, length],
    [-1, plate],
    [-1, washer],
    [-1, nut],
  ])
  const pack = packing(likelyOf(spare), nut.value, washer.value)
  const inner = [
    pack.nuts && `${pack.nuts} nut${pack.nuts > 1 ? 's' : ''}`,
    pack.washers && `${pack.washers} washer${pack.washers > 1 ? 's' : ''}`,
  ]
    .filter(Boolean)
    .join(' and ')
  return atLeast(
    'thread',
    'Thread past the nut',
    spare,
    0,
    'tight',
    (verdict) =>
      verdict === 'snug'
        ? `The thread stands ${printMm(likelyOf(spare), 1)} mm out of its nut${inner ? `; ${inner} behind the plate bring that to ${printMm(pack.left, 1)}` : ''}.`
        : `The thread is ${printMm(-likelyOf(spare), 1)} mm too short for plate, washer and nut.`,
    [
      {
        id: 'no-washer',
        job: 'Leave the washer off.',
        how: `The nut then sits on the plate itself; ${printMm(washer.value, 1)} mm is won.`,
        gives: 'nothing',
        tools: ['spanner'],
        plan: { slot: 'jack', size: 'washer.thickness', delta: 0.2 - washer.value, doubt: 0 },
      },
      {
        id: 'long-jack',
        job: `Or a jack with at least ${printMm(length.value - likelyOf(spare) + THREAD_KEPT, 1)} mm of thread.`,
        how: 'Measure it from the shoulder.',
        gives: 'the jack',
        tools: [],
      },
    ],
  )
}

function covers(build: Build): Question {
  const bore = sizeIn(build, BORE)
  const [length, width] = [sizeIn(build, sizeRef(PLATE, 'length')), sizeIn(build, sizeRef(PLATE, 'width'))]
  const over = gapOf([
    [0.5, length.value < width.value ? length : width],
    [-0.5, bore],
  ])
  return atLeast(
    'covers',
    'Plate beyond the bore’s edge',
    over,
    OVER_EDGE,
    'wont-go',
    () =>
      likelyOf(over) < 0
        ? `The bore shows ${printMm(-likelyOf(over), 1)} mm beside the plate.`
        : `The plate lies ${printMm(likelyOf(over), 1)} mm over the bore’s edge on its narrow side.`,
    [
      {
        id: 'larger-plate',
        job: `Take a plate at least ${printMm(bore.value + 2 * OVER_EDGE + 1, 0)} mm wide.`,
        how: 'Hold it over the bore before the screws are marked.',
        gives: 'the plate',
        tools: [],
      },
    ],
  )
}

/** Wood between a bore and a plate's screw, mm, from the screws' distance and the bore's width. [physics] */
export const besideBore = (spread: number, bore: number): number => (spread - bore) / 2 - SCREW_HALF

/** Its screws bite wood, not the bore's edge. */
function screwsOnWood(build: Build): Question {
  const bore = sizeIn(build, BORE)
  const wood = gapOf(
    [
      [0.5, sizeIn(build, sizeRef(PLATE, 'screw.spread'))],
      [-0.5, bore],
    ],
    -SCREW_HALF,
  )
  const apart = bore.value + 2 * (SCREW_HALF + SCREW_WOOD)
  return atLeast(
    'screws',
    'Wood between the bore and a plate screw',
    wood,
    SCREW_WOOD,
    'tight',
    () => `${printMm(Math.max(0, likelyOf(wood)), 1)} mm of wood stands between the bore and each screw; ${SCREW_WOOD} is wanted.`,
    [
      {
        id: 'longer-plate',
        job: `Take a plate whose screws stand at least ${printMm(Math.ceil(apart * 10) / 10, 1)} mm apart, or glue a plug of the body’s wood beside the bore first.`,
        how: 'A screw at the edge splits out when the plug is pulled sideways.',
        gives: 'nothing',
        tools: ['wood', 'wood glue'],
      },
    ],
  )
}

/** The jack goes into the bore from outside, turned the narrow way where it has one. */
function entry(build: Build): Question {
  const bore = sizeIn(build, BORE)
  const wide = sizeIn(build, sizeRef('jack', 'width'))
  const narrow = sizeAt(build, sizeRef('jack', 'narrow')) ?? wide
  const room = gapOf([
    [1, bore],
    [-1, narrow],
  ])
  const turned = wide.value + ENTRY > bore.value
  return atLeast(
    'entry',
    'Bore minus the jack as it goes in',
    room,
    ENTRY,
    'tight',
    (verdict) =>
      verdict !== 'snug'
        ? `The jack is ${printMm(narrow.value, 1)} mm wide and does not go into the ${printMm(bore.value, 1)} mm bore.`
        : turned
          ? 'The jack goes in turned the narrow way, its spring towards the control route.'
          : 'The jack goes straight into its bore.',
    [
      {
        id: 'widen-jack-bore',
        job: `Widen the bore to ${printMm(narrow.value + ENTRY + 0.3, 1)} mm, or bend the jack’s spring in a little.`,
        how: 'By hand with paper on a dowel; a large bit tears the rim.',
        gives: 'body',
        tools: ['P80 on a dowel'],
        plan: { slot: 'body', size: 'jack.bore', delta: ENTRY + 0.3 - likelyOf(room), doubt: 0.2 },
      },
    ],
  )
}

function cup(build: Build): Question[] {
  const own = sizeAt(build, sizeRef(PLATE, 'cup.diameter'))
  if (!own) return []
  const bore = sizeIn(build, BORE)
  const c = gapOf([
    [1, bore],
    [-1, own],
  ])
  return [
    atLeast(
      'cup',
      'Bore minus cup',
      c,
      0,
      'tight',
      () => `The cup is ${printMm(own.value, 1)} mm and its bore ${printMm(bore.value, 1)} mm.`,
      [
        {
          id: 'widen-for-cup',
          job: `Widen the bore to ${printMm(own.value + 0.2, 1)} mm.`,
          how: 'By hand with paper on a dowel, tried often: a cup is held by the wall.',
          gives: 'body',
          tools: ['P80 on a dowel'],
          plan: { slot: 'body', size: 'jack.bore', delta: 0.2 - likelyOf(c), doubt: 0.1 },
        },
      ],
    ),
  ]
}

function curve(build: Build): Question {
  const bent = traitIn(build, PLATE, 'curve') === 'curved'
  const rim = traitIn(build, 'body', 'rim') === 'curved'
  return settled(
    'curve',
    'Plate to the rim',
    bent === rim,
    'tight',
    bent === rim
      ? 'The plate is bent as the rim is.'
      : rim
        ? 'A flat plate on a curved rim: it rocks on its middle, and its screws pull it out of true.'
        : 'A curved plate on a straight rim: it stands off at its ends.',
    [
      {
        id: 'bend-plate',
        job: rim
          ? 'Take a curved plate, or bend this one over a rod a little at a time.'
          : 'Take a flat plate, or flatten this one between boards.',
        how: 'A thin steel plate bends by hand over a round bar; a cast one breaks.',
        gives: 'the plate',
        tools: ['vise', 'round bar'],
      },
    ],
  )
}
