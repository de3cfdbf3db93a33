import { aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { hasLockingNut, sizeAt, sizeRef } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import type { Cure, Question, JudgedJoint } from '../../judge/joint'
import type { Verdict } from '../../judge/verdict'
import { gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import { fretPlace } from '../../physics/frets'
import { certain, doubtOf, likelyOf, ofSize } from '../../quantity/distribution'
import { printMm, printSide } from '../../quantity/length'
import { LEAST_SLIVER, nutTargetOf } from '../../instrument/nutTargets'
import { nutDrawing } from './nutFit.draw'
import { heights } from './nutHeight'

/** The nut in its slot: width, length, and whether its strings come out high enough. */
export const nutInSlotJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'nut-in-slot',
    title: 'Nut in its slot',
    slots: ['nut', 'neck'],
    at: () => pt(-2, -34),
    draw: () => nutDrawing(build),
    asks: [heights, slotReadings, firstFret, (b) => widths(b, 'bass'), (b) => widths(b, 'treble'), lengths, slots, lockScrews],
  })

/** The slot over the fret plane as read, and as height less depth: two ways to one number. */
function slotReadings(build: Build): Question[] {
  if (traitIn(build, 'nut', 'type') === 'blank') return []
  const have = sizesIn(build, { slot: sizeRef('nut', 'slot'), height: sizeRef('nut', 'height'), depth: sizeRef('neck', 'nut.slotDepth') })
  const off = gapOf([
    [1, have.slot],
    [-1, have.height],
    [1, have.depth],
  ])
  const apart = likelyOf(off)
  const agree = Math.abs(apart) <= doubtOf(off) + READ_ALIKE
  return [
    {
      id: 'slot-readings',
      label: 'Slot over the fret plane, two readings of it',
      clearance: certain(READ_ALIKE),
      shown: off,
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      ...(agree
        ? {}
        : {
            lacks: `which is right: the slots stand ${printMm(have.slot.value)} mm over the fret plane as read, and ${printMm(have.slot.value - apart)} by the nut’s height and its slot’s depth; read all three again`,
          }),
      says: () => 'Both ways to the slot’s height agree.',
    },
  ]
}
/** Readings this near are taken as the same, mm. [ours] */
const READ_ALIKE = 0.1

/** Both faces bear: against the board's end in front, against the slot's wall behind; each end by itself where they differ. */
function widths(build: Build, end: 'bass' | 'treble'): Question[] {
  const treble = sizeAt(build, sizeRef('nut', 'width.treble'))
  if (end === 'treble' && !treble) return []
  const slot = sizeIn(build, sizeRef('neck', 'nut.slotWidth'))
  const size = end === 'treble' ? 'width.treble' : 'width'
  const nut = sizeIn(build, sizeRef('nut', size))
  const c = gapOf([
    [1, slot],
    [-1, nut],
  ])
  const at = treble ? ` at the ${end} end` : ''
  return [
    {
      id: size,
      label: `Slot minus nut, along the strings${at}`,
      clearance: c,
      bands: [
        { upTo: -2, is: 'wont-go' },
        { upTo: -0.02, is: 'tight' },
        { upTo: 0.15, is: 'snug' },
        { upTo: 1, is: 'loose' },
        { upTo: Infinity, is: 'wont-go' },
      ],
      says: () => `The slot is ${printMm(slot.value)} mm wide and the nut ${printMm(nut.value)} mm${at}.`,
      cures: ({ verdict }) =>
        verdict !== 'snug' && likelyOf(c) < 0 && !hasLockingNut(build)
          ? [
              {
                id: `thin-nut-${end}`,
                job: `Sand the nut’s back face by ${printMm(0.05 - likelyOf(c))} mm${at}.`,
                how: 'The face away from the board, flat on P180; the front face is where the scale starts.',
                gives: 'nut',
                tools: ['P180 on a flat plate'],
                plan: { slot: 'nut', size, delta: likelyOf(c) - 0.05, doubt: 0.03 },
              },
              {
                id: `widen-nut-slot-${end}`,
                job: `Or widen the slot by ${printMm(0.05 - likelyOf(c))} mm, all of it off the wall towards the headstock.`,
                how: 'A fine saw along a fence, then a file with one smooth edge; the board’s end stays as it is: the scale starts there.',
                gives: 'neck',
                tools: ['fine saw', 'flat file'],
                plan: { slot: 'neck' as const, size: 'nut.slotWidth', delta: 0.05 - likelyOf(c), doubt: 0.05 },
              },
            ]
          : verdict === 'wont-go' && likelyOf(c) > 0
            ? [
                {
                  id: `wider-nut-${end}`,
                  job: `Take a nut ${printMm(slot.value - 0.05)} mm wide along the strings${at}.`,
                  how: 'A shaving behind it fills a tenth or two; so much has to be the nut’s own.',
                  gives: 'the nut',
                  tools: [],
                },
              ]
            : verdict === 'loose'
              ? [
                  {
                    id: `shim-nut-face-${end}`,
                    job: `Glue a shaving of ${printMm(likelyOf(c) - 0.05)} mm to the nut’s back face${at}.`,
                    how: 'Behind, so that the front stays where the scale starts.',
                    gives: 'nothing',
                    tools: ['veneer shaving'],
                  },
                ]
              : [],
    },
  ]
}

/** Held at fret 3 a string stands over what is aimed at by this at most, mm. [ours: a reading's doubt] */
const OVER = 0.05

/**
 * The gap over fret 1 with the string held at fret 3, one end of the nut at a time. The string runs straight from the slot to that crown, so
 * that the slot moves by x3/(x3 - x1) of what the gap wants. [physics]
 */
function firstFret(build: Build): Question[] {
  const { scale } = datums(build)
  const [x1, x3] = [fretPlace(scale, 1), fretPlace(scale, 3)]
  const lever = x3 / (x3 - x1)
  return (['bass', 'treble'] as const).flatMap((end): Question[] => {
    const gap = sizeAt(build, sizeRef('nut', `fret1.${end}`))
    if (!gap) return []
    const aim = nutTargetOf(build)[end]
    const move = lever * (aim - gap.value)
    return [
      {
        id: `fret1-${end}`,
        label: `Over fret 1 on the ${end} side, held at fret 3`,
        clearance: ofSize(gap),
        bands: [
          { upTo: LEAST_SLIVER, is: 'tight' },
          { upTo: aim + OVER, is: 'snug' },
          { upTo: Infinity, is: 'loose' },
        ],
        says: () =>
          `On the ${end} side the string stands ${printMm(gap.value)} mm over fret 1 held at fret 3; about ${printMm(aim)} is wanted, never under ${LEAST_SLIVER}.`,
        cures: ({ verdict }) =>
          hasLockingNut(build)
            ? byShims(end, move, lever, verdict)
            : verdict === 'tight'
              ? [
                  {
                    id: `shim-nut-${end}`,
                    job: `Shim the nut by ${printMm(move)} mm at its ${end} end, tapering to nothing at the other.`,
                    how: 'Veneer or paper rubbed thin towards one end, the nut’s full width; then read both ends again.',
                    gives: 'nothing',
                    tools: ['veneer strip', 'P180 on a flat plate'],
                    plan: { slot: 'nut', size: `fret1.${end}`, delta: move / lever, doubt: 0.04 },
                  },
                ]
              : verdict === 'loose'
                ? [
                    {
                      id: `file-slots-${end}`,
                      job: `File the slots on the ${end} side ${printMm(-move)} mm deeper.`,
                      how: 'After the frets are done, a stroke at a time, the file leaning down to the tuners; a slot too deep is a new nut.',
                      gives: 'nut',
                      tools: ['nut files or round jet-cleaning files'],
                      plan: { slot: 'nut', size: `fret1.${end}`, delta: move / lever, doubt: 0.04 },
                    },
                  ]
                : [],
      },
    ]
  })
}

/** A locking nut goes up and down as a whole, one end more than the other where that is wanted. */
const byShims = (end: 'bass' | 'treble', move: number, lever: number, verdict: Verdict): Cure[] =>
  verdict === 'snug'
    ? []
    : [
        {
          id: `shim-nut-${end}`,
          job: `${move > 0 ? 'Raise' : 'Lower'} the nut ${printMm(Math.abs(move))} mm at its ${end} end: ${move > 0 ? 'more' : 'thinner'} shims there.`,
          how: 'Its slots are hard metal: nothing is filed in them. Where no shim lies under it to be taken out, its shelf goes deeper. Then read both ends again.',
          gives: 'nothing',
          tools: ['metal shims', 'screwdriver'],
          plan: { slot: 'nut', size: `fret1.${end}`, delta: move / lever, doubt: 0.04 },
        },
      ]

function lengths(build: Build): Question[] {
  const refs = { nut: sizeRef('nut', 'length'), board: sizeRef('neck', 'nut.width') }
  const have = sizesIn(build, refs)
  const over = gapOf([
    [1, have.nut],
    [-1, have.board],
  ])
  return [
    {
      id: 'length',
      label: 'Nut beyond the board',
      clearance: over,
      bands: [
        { upTo: -2.5, is: 'wont-go' },
        { upTo: -0.6, is: 'loose' },
        { upTo: 0.35, is: 'snug' },
        { upTo: Infinity, is: 'tight' },
      ],
      says: () => `The nut is ${printMm(have.nut.value, 1)} mm long on ${aMm(have.board.value, 1)} board.`,
      cures: ({ verdict }) =>
        verdict === 'tight' && !hasLockingNut(build)
          ? [
              {
                id: 'shorten-nut',
                job: `File the nut’s ends flush: ${printMm(likelyOf(over) / 2)} mm off each where it sits in the middle, ${printMm(likelyOf(over), 1)} in all.`,
                how: 'After it is in, with tape on the neck.',
                gives: 'nut',
                tools: ['file', 'tape'],
                plan: { slot: 'nut', size: 'length', delta: -likelyOf(over), doubt: 0.1 },
              },
            ]
          : verdict === 'wont-go'
            ? [
                {
                  id: 'longer-nut',
                  job: `Take a nut at least ${printMm(have.board.value, 1)} mm long.`,
                  how: 'Longer than the board is filed flush when it is in; shorter leaves the outer strings no room.',
                  gives: 'the nut',
                  tools: [],
                },
              ]
            : [],
    },
  ]
}

function slots(build: Build): Question[] {
  // A blank has none yet, and a clamp holds its string whatever its groove is.
  if (traitIn(build, 'nut', 'type') !== 'slotted') return []
  const extra = sizeIn(build, sizeRef('nut', 'slot.extra'))
  return [
    {
      id: 'slots',
      label: 'Slots wider than their strings',
      clearance: ofSize(extra),
      bands: [
        { upTo: 0.02, is: 'tight' },
        { upTo: 0.16, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: () => `String slots are ${printSide(extra.value, 2, ['wider', 'narrower'])} than their strings; 0.05 to 0.10 is wanted.`,
      cures: ({ verdict }) =>
        verdict === 'tight'
          ? [
              {
                id: 'widen-slots',
                job: `Widen the slots by ${printMm(0.07 - extra.value)} mm.`,
                how: 'A round-bottomed file of the string’s own shape; a tight slot pings when tuned.',
                gives: 'nut',
                tools: ['nut files or round jet-cleaning files'],
                plan: { slot: 'nut', size: 'slot.extra', delta: 0.07 - extra.value, doubt: 0.02 },
              },
            ]
          : [],
    },
  ]
}

/** A locking nut's screws in the neck's holes. */
function lockScrews(build: Build): Question[] {
  const refs = { own: sizeRef('nut', 'screw.spread'), wood: sizeRef('neck', 'nut.screws') }
  if (traitIn(build, 'nut', 'type') !== 'locking') return []
  const have = sizesIn(build, refs)
  const off = gapOf([
    [1, have.own],
    [-1, have.wood],
  ])
  return [
    {
      id: 'lock-screws',
      label: 'Locking nut’s screws',
      clearance: off.map((n) => ({ ...n, mean: 0.3 - Math.abs(n.mean) })),
      shown: off,
      bands: [
        { upTo: -1, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () => `Its screws are ${printMm(have.own.value, 1)} mm apart and the neck’s holes ${printMm(have.wood.value, 1)} mm.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'plug-lock-holes',
                job: `Plug the neck’s holes and drill them ${printMm(have.own.value, 1)} mm apart.`,
                how: 'Hard dowel along the grain; the shelf must bear the nut on its whole face.',
                gives: 'nothing',
                tools: ['dowel', 'wood glue', 'drill stand'],
                plan: { slot: 'neck', size: 'nut.screws', delta: likelyOf(off), doubt: 0.1 },
              },
            ],
    },
  ]
}
