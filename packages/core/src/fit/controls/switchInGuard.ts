import type { Build } from '../../document/build'
import { sizeAt, sizeRef, valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { jointOf, waitingJoint } from '../../judge/assemble'
import { check, type Check, type JudgedJoint } from '../../judge/joint'
import { amount, gapOf } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { switchDrawing } from './switchInGuard.draw'

/** Screw holes may be off by this, mm; a toggle's nut takes this of its thread, mm. [practice] */
const SCREW_PLAY = 0.4
const TOGGLE_NUT = 2.5

/** The selector in guard and cavity: depth, slot and swing, or a toggle's hole. */
export function switchJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const base = {
    id: 'switch',
    title: 'Selector switch in its place',
    slots: ['switch', 'guard', 'body'] as JudgedJoint['slots'],
    at: pt(d.heelEnd + (valueAt(build, sizeRef('guard', 'switch.x')) ?? 148), (valueAt(build, sizeRef('guard', 'switch.y')) ?? -62) + 10),
    draw: () => switchDrawing(build),
  }
  const checks: Check[] = []
  const depthRefs = { route: sizeRef('body', 'control.depth'), own: sizeRef('switch', 'depth') }
  const route = sizeAt(build, depthRefs.route)
  const own = sizeAt(build, depthRefs.own)
  if (route && own) {
    const c = gapOf([
      [1, route],
      [-1, own],
    ])
    checks.push(
      check({
        id: 'depth',
        label: 'Room under the switch',
        clearance: linear([[1, c]], -3),
        shown: c,
        bands: [
          { upTo: -3, is: 'wont-go' },
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        reads: Object.values(depthRefs),
        says: () =>
          `The switch hangs ${printMm(own.value, 1)} mm deep in a ${printMm(route.value, 1)} mm route; lugs and wires want 3 mm below.`,
        cures: ({ verdict }) =>
          verdict === 'snug'
            ? []
            : [
                {
                  id: 'deepen-switch',
                  job: `Deepen the control route by ${printMm(3.5 - likelyOf(c), 1)} mm under the switch.`,
                  how: 'Waste drilled out first, then a bearing bit; mind the wood left below. Before any finish.',
                  gives: 'body',
                  tools: ['router', 'bearing bit'],
                  plan: { slot: 'body', size: 'control.depth', delta: 3.5 - likelyOf(c), doubt: 0.5 },
                },
              ],
      }),
    )
  }
  const slot = sizeAt(build, sizeRef('guard', 'switch.slot'))
  const swing = sizeAt(build, sizeRef('switch', 'swing'))
  if (slot && swing) {
    const c = gapOf([
      [1, slot],
      [-1, swing],
    ])
    checks.push(
      check({
        id: 'swing',
        label: 'Slot against the lever’s swing',
        clearance: c,
        bands: [
          { upTo: 0, is: 'tight' },
          { upTo: 6, is: 'snug' },
          { upTo: Infinity, is: 'loose' },
        ],
        reads: [sizeRef('guard', 'switch.slot'), sizeRef('switch', 'swing')],
        says: ({ verdict }) =>
          verdict === 'tight'
            ? `The lever needs ${printMm(swing.value, 1)} mm and the slot is ${printMm(slot.value, 1)}: it stops before the end positions.`
            : 'The lever swings freely.',
        cures: ({ verdict }) =>
          verdict === 'tight'
            ? [
                {
                  id: 'lengthen-slot',
                  job: `Lengthen the slot by ${amount(0.5 - likelyOf(c), 0.2, 1)} mm, half at each end.`,
                  how: 'Thin flat file drawn along; check all positions with the switch in place.',
                  gives: 'guard',
                  tools: ['thin flat file'],
                  plan: { slot: 'guard', size: 'switch.slot', delta: 1 - likelyOf(c), doubt: 0.2 },
                },
              ]
            : [],
      }),
    )
  }
  checks.push(...screwHoles(build), ...toggle(build))
  return checks.length
    ? jointOf(build, base, checks)
    : waitingJoint(
        base,
        Object.values(depthRefs).filter((r) => !sizeAt(build, r)),
      )
}

/** A lever switch's two screws in the guard's holes. */
function screwHoles(build: Build): Check[] {
  const refs = { holes: sizeRef('guard', 'switch.screws'), own: sizeRef('switch', 'screw.spacing') }
  const holes = sizeAt(build, refs.holes)
  const own = sizeAt(build, refs.own)
  if (!holes || !own) return []
  const off = gapOf([
    [1, own],
    [-1, holes],
  ])
  return [
    check({
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
      reads: Object.values(refs),
      says: ({ verdict }) =>
        verdict === 'snug'
          ? 'The switch’s screws meet the guard’s holes.'
          : `The switch’s screws are ${printMm(own.value, 1)} mm apart and the guard’s holes ${printMm(holes.value, 1)}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'slot-holes',
                job: `Draw the holes ${printMm(Math.abs(likelyOf(off)) / 2, 1)} mm ${likelyOf(off) > 0 ? 'outwards' : 'inwards'} with a round file.`,
                how: 'Both the same; the screw heads cover it.',
                gives: 'guard',
                tools: ['round file'],
                plan: { slot: 'guard', size: 'switch.screws', delta: likelyOf(off), doubt: 0.1 },
              },
            ],
    }),
  ]
}

/** A toggle's thread in its hole, and long enough for what it goes through. */
function toggle(build: Build): Check[] {
  const slot = build.parts.guard ? ('guard' as const) : ('body' as const)
  const refs = { hole: { slot, size: 'switch.hole' }, thread: sizeRef('switch', 'thread.diameter') } as const
  const hole = sizeAt(build, refs.hole)
  const thread = sizeAt(build, refs.thread)
  const length = sizeAt(build, sizeRef('switch', 'thread.length'))
  const panel = sizeAt(build, slot === 'guard' ? sizeRef('guard', 'thickness') : sizeRef('body', 'control.top'))
  const checks: Check[] = []
  if (hole && thread) {
    const c = gapOf([
      [1, hole],
      [-1, thread],
    ])
    checks.push(
      check({
        id: 'hole',
        label: 'Toggle hole minus thread',
        clearance: c,
        bands: [
          { upTo: 0.05, is: 'tight' },
          { upTo: 1.5, is: 'snug' },
          { upTo: Infinity, is: 'loose' },
        ],
        reads: Object.values(refs),
        says: () => `The toggle’s thread is ${printMm(thread.value, 1)} mm and its hole ${printMm(hole.value, 1)} mm.`,
        cures: ({ verdict }) =>
          verdict === 'tight'
            ? [
                {
                  id: 'ream-toggle',
                  job: `Ream the toggle hole to ${printMm(thread.value + 0.3, 1)} mm.`,
                  how: 'From both faces, by hand.',
                  gives: slot,
                  tools: ['tapered reamer'],
                  plan: { ...refs.hole, delta: 0.3 - likelyOf(c), doubt: 0.1 },
                },
              ]
            : [],
      }),
    )
  }
  if (length && panel) {
    const c = gapOf(
      [
        [1, length],
        [-1, panel],
      ],
      -TOGGLE_NUT,
    )
    checks.push(
      check({
        id: 'thread',
        label: 'Thread over what it goes through and its nut',
        clearance: c,
        bands: [
          { upTo: 0, is: 'wont-go' },
          { upTo: 6, is: 'snug' },
          { upTo: Infinity, is: 'loose' },
        ],
        reads: [sizeRef('switch', 'thread.length'), slot === 'guard' ? sizeRef('guard', 'thickness') : sizeRef('body', 'control.top')],
        says: () =>
          likelyOf(c) < 0
            ? `The toggle’s thread is ${printMm(-likelyOf(c), 1)} mm too short for ${printMm(panel.value, 1)} mm and its nut.`
            : `The toggle’s thread stands ${printMm(likelyOf(c), 1)} mm over its nut.`,
        cures: ({ verdict }) =>
          verdict === 'wont-go'
            ? [
                {
                  id: 'long-toggle',
                  job: `Take a toggle with ${printMm(panel.value + TOGGLE_NUT + 1, 0)} mm of thread, or rout the top thinner from inside.`,
                  how: 'Carved tops have long ones.',
                  gives: 'the switch',
                  tools: [],
                },
              ]
            : [],
      }),
    )
  }
  return checks
}
