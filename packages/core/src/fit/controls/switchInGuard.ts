import { isScrewedDown, switchMake } from '../../instrument/switchMake'
import { HOLE_OVER } from '../../instrument/holeOver'
import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { pt, type Point } from '../../geometry/point'
import { controlPlace, type SwitchControl } from '../../instrument/controlPlace'
import { inHollow, isCarried, panelOf } from '../../instrument/panel'
import { judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { amount, gapOf, sizeIn, traitIn } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { switchDrawing } from './switchInGuard.draw'

/** Screw holes may be off by this, mm; a toggle's nut takes this of its thread, mm. [practice] */
const SCREW_PLAY = 0.4
/** Drawn further, a hole shows beside the screw’s head, mm. [practice, from memory] */
const DRAWN_AT_MOST = 1.5
const TOGGLE_NUT = 2.5

/** A lever or a slide hangs by two screws; a toggle or a rotary by its own thread. */
const madeAs = (build: Build, of: SwitchControl) => switchMake(traitIn(build, of, 'contacts'))
const byThread = (build: Build, of: SwitchControl): boolean => !isScrewedDown(traitIn(build, of, 'contacts'))

/** No switch is lower with its lugs, mm. [practice, from memory] */
const LOWEST = 14

/** The selector in guard and cavity: depth, slot and swing, or a toggle's hole. */
export const switchJoint = (build: Build, of: SwitchControl): JudgedJoint =>
  judged(build, {
    id: of,
    title: of === 'switch' ? 'Selector switch in its place' : 'Second switch in its place',
    slots: [of, ...(panelOf(build).slot === 'body' ? [] : [panelOf(build).slot]), 'body'],
    at: () => shifted(controlPlace(build, of)),
    draw: () => switchDrawing(build, of),
    asks: [(b) => depth(b, of, inHollow(build)), ...[swing, screwHoles, toggleHole, toggleThread].map((ask) => (b: Build) => ask(b, of))],
  })

/** A little beside the lever, so that the peg does not cover it. */
const shifted = ({ x, y }: Point): Point => pt(x, y + 10)

function depth(build: Build, of: SwitchControl, hollow: boolean): Question {
  const route = sizeIn(build, sizeRef('body', 'control.depth'))
  const own = sizeIn(build, sizeRef(of, 'depth'))
  const c = gapOf([
    [1, route],
    [-1, own],
  ])
  return {
    id: 'depth',
    label: 'Room under the switch',
    clearance: linear([[1, c]], -3),
    shown: c,
    bands: [
      { upTo: -3, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      `The switch hangs ${printMm(own.value, 1)} mm deep in ${printMm(route.value, 1)} mm of room; lugs and wires want 3 mm below.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : hollow
          ? route.value - 3 < LOWEST
            ? []
            : [
                {
                  id: 'low-switch',
                  job: `Take a switch no deeper than ${printMm(Math.floor(route.value - 3), 0)} mm with its lugs.`,
                  how: 'A toggle is deeper the more it switches; measure from its shoulder to the end of the lugs.',
                  gives: 'the switch',
                  tools: [],
                },
              ]
          : [
              {
                id: 'deepen-switch',
                job: `Deepen the control route under the switch by ${printMm(3.5 - likelyOf(c), 1)} mm, to ${printMm(route.value + 3.5 - likelyOf(c), 1)} mm.`,
                how: 'Waste drilled out first, then a bearing bit; mind the wood left below. Before any coat goes on.',
                gives: 'body',
                tools: ['router', 'bearing bit'],
                plan: { slot: 'body', size: 'control.depth', delta: 3.5 - likelyOf(c), doubt: 0.5 },
              },
            ],
  }
}

function swing(build: Build, of: SwitchControl): Question[] {
  const panel = panelOf(build)
  if (!isCarried(panel) || byThread(build, of)) return []
  const slot = sizeIn(build, sizeRef(panel.slot, `${of}.slot`))
  const swing = sizeIn(build, sizeRef(of, 'swing'))
  const c = gapOf([
    [1, slot],
    [-1, swing],
  ])
  return [
    {
      id: 'swing',
      label: 'Slot against the swing',
      clearance: c,
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: 6, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: ({ verdict }) =>
        verdict === 'tight'
          ? `The ${madeAs(build, of)} needs ${printMm(swing.value, 1)} mm and the slot is ${printMm(slot.value, 1)}: it stops before the end positions.`
          : `The ${madeAs(build, of)} ${madeAs(build, of) === 'lever' ? 'swings' : 'moves'} freely.`,
      cures: ({ verdict }) =>
        verdict === 'tight'
          ? [
              {
                id: 'lengthen-slot',
                job: `Lengthen the slot by ${amount(1 - likelyOf(c), 0.2, 1)} mm, half at each end.`,
                how: 'Thin flat file drawn along; check all positions with the switch in place.',
                gives: panel.name,
                tools: ['thin flat file'],
                plan: { slot: panel.slot, size: `${of}.slot`, delta: 1 - likelyOf(c), doubt: 0.2 },
              },
            ]
          : [],
    },
  ]
}

/** A lever switch's two screws in the holes of what carries it. */
function screwHoles(build: Build, of: SwitchControl): Question[] {
  const panel = panelOf(build)
  if (!isCarried(panel) || byThread(build, of)) return []
  const refs = { holes: sizeRef(panel.slot, `${of}.screws`), own: sizeRef(of, 'screw.spacing') }
  const holes = sizeIn(build, refs.holes)
  const own = sizeIn(build, refs.own)
  const off = gapOf([
    [1, own],
    [-1, holes],
  ])
  return [
    {
      id: 'screws',
      label: 'Screws in their holes',
      // Too wide is as bad as too narrow.
      clearance: off.map((n) => ({ ...n, mean: SCREW_PLAY - Math.abs(n.mean) })),
      shown: off,
      bands: [
        { upTo: -2, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The switch’s screws meet the ${panel.name}’s holes.`
          : `The switch’s screws are ${printMm(own.value, 1)} mm apart and the ${panel.name}’s holes ${printMm(holes.value, 1)}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              Math.abs(likelyOf(off)) / 2 > DRAWN_AT_MOST
                ? {
                    id: 'new-holes',
                    job: `Drill new holes ${printMm(own.value, 1)} mm apart, in line with the slot.`,
                    how: 'Mark through the switch from below. Where a new hole meets an old one, a plate under both screws carries it; the old ones stay in sight.',
                    gives: panel.name,
                    tools: ['bit of the screws’ size', 'backing scrap'],
                    plan: { slot: panel.slot, size: `${of}.screws`, delta: likelyOf(off), doubt: 0.3 },
                  }
                : {
                    id: 'slot-holes',
                    job: `Draw the holes ${printMm(Math.abs(likelyOf(off)) / 2, 1)} mm ${likelyOf(off) > 0 ? 'outwards' : 'inwards'} with a round file.`,
                    how: 'Both the same; the screw heads cover it.',
                    gives: panel.name,
                    tools: ['round file'],
                    plan: { slot: panel.slot, size: `${of}.screws`, delta: likelyOf(off), doubt: 0.1 },
                  },
            ],
    },
  ]
}

/** A toggle's thread in its hole. */
function toggleHole(build: Build, of: SwitchControl): Question[] {
  if (!byThread(build, of)) return []
  const panel = panelOf(build)
  const ref = sizeRef(panel.slot, `${of}.hole`)
  const hole = sizeIn(build, ref)
  const thread = sizeIn(build, sizeRef(of, 'thread.diameter'))
  const c = gapOf([
    [1, hole],
    [-1, thread],
  ])
  return [
    {
      id: 'hole',
      label: 'Hole minus thread',
      clearance: c,
      bands: [
        { upTo: 0.05, is: 'tight' },
        { upTo: 1.5, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: () => `The ${madeAs(build, of)}’s thread is ${printMm(thread.value, 1)} mm and its hole ${printMm(hole.value, 1)} mm.`,
      cures: ({ verdict }) =>
        verdict === 'tight'
          ? [
              {
                id: 'ream-toggle',
                job: `Ream the ${madeAs(build, of)}’s hole to ${printMm(thread.value + HOLE_OVER.toggle)} mm.`,
                how: 'From both faces, by hand.',
                gives: isCarried(panel) ? panel.name : 'body',
                tools: ['tapered reamer'],
                plan: { ...ref, delta: HOLE_OVER.toggle - likelyOf(c), doubt: 0.1 },
              },
            ]
          : [],
    },
  ]
}

/** And long enough for what it goes through. */
function toggleThread(build: Build, of: SwitchControl): Question[] {
  if (!byThread(build, of)) return []
  const length = sizeIn(build, sizeRef(of, 'thread.length'))
  const carrier = panelOf(build)
  const panel = sizeIn(build, carrier.thickness)
  const c = gapOf(
    [
      [1, length],
      [-1, panel],
    ],
    -TOGGLE_NUT,
  )
  return [
    {
      id: 'thread',
      label: 'Thread over what it goes through and its nut',
      clearance: c,
      bands: [
        { upTo: 0, is: 'wont-go' },
        { upTo: 6, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: () =>
        likelyOf(c) < 0
          ? `The ${madeAs(build, of)}’s thread is ${printMm(-likelyOf(c), 1)} mm too short for ${printMm(panel.value, 1)} mm and its nut.`
          : `The ${madeAs(build, of)}’s thread stands ${printMm(likelyOf(c), 1)} mm over its nut.`,
      cures: ({ verdict }) =>
        verdict === 'wont-go'
          ? [
              {
                id: 'long-toggle',
                job: `Take a ${madeAs(build, of)} with ${printMm(panel.value + TOGGLE_NUT + 1, 0)} mm of thread${isCarried(carrier) || inHollow(build) ? '' : ', or rout the top thinner from inside'}.`,
                how: 'Carved tops have long ones.',
                gives: 'the switch',
                tools: [],
              },
            ]
          : [],
    },
  ]
}
