import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, valueAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { boreSection, framed } from '../../drawing/sections'
import { filmOn } from '../../finish/film'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { jointOf, judged, waitingJoint, type JointBase } from '../../judge/assemble'
import { check, signed, type Check, type Cure, type JudgedJoint } from '../../judge/joint'
import { gapOf, sizeOr } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { blockDepth, blockSwing, inCentreBlock } from './blocks'
import { studPull } from './studPull'

/** Bushing minus bore, mm: +0.05 to +0.15 taps in square. [practice] */
export const PRESS_BANDS: readonly Band[] = [
  { upTo: -0.8, is: 'wont-go' },
  { upTo: 0.03, is: 'loose' },
  { upTo: 0.17, is: 'snug' },
  { upTo: 0.9, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]
/** How far stud places may differ from the bridge's own before it no longer drops on, mm. [practice] */
const PATTERN_PLAY = 0.5

const STUDS = new Set(['two-stud', 'double-locking', 'post'])

/** The bridge on the body: studs in their bores, pattern, old holes, block. */
export function bridgeOnBodyJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const mount = traitAt(build, 'bridge', 'mount')
  const studs = mount === undefined || STUDS.has(mount)
  const base: JointBase = {
    id: 'bridge-on-body',
    title: studs ? 'Bridge studs in the body' : 'Bridge on the body',
    slots: ['bridge', 'body'],
    at: pt(d.studs, -(valueAt(build, sizeRef('body', 'studSpacing')) ?? 74) / 2 - 8),
    draw: () => (studs ? studDrawing(build) : plateDrawing(build)),
  }
  const refs = studs
    ? [sizeRef('bridge', 'studDiameter'), sizeRef('body', 'studBore')]
    : [sizeRef('bridge', 'screw.spread'), sizeRef('body', 'studSpacing')]
  const checks = [
    ...(studs ? press(build) : []),
    ...pattern(build, studs),
    ...oldHoles(build),
    ...blockDepth(build),
    ...blockSwing(build),
    ...inCentreBlock(build, 'bridge'),
    ...studPull(build, 'bridge'),
  ]
  return checks.length
    ? jointOf(build, base, checks)
    : waitingJoint(
        base,
        refs.filter((r) => !sizeAt(build, r)),
      )
}

function press(build: Build): Check[] {
  const refs = { stud: sizeRef('bridge', 'studDiameter'), bore: sizeRef('body', 'studBore') }
  const stud = sizeAt(build, refs.stud)
  const bore = sizeAt(build, refs.bore)
  if (!stud || !bore) return []
  return [
    pressCheck(build, { id: 'press', label: 'Bushing minus bore', stud, bore, reads: Object.values(refs), slot: 'body', size: 'studBore' }),
  ]
}

/** A bushing tapped into the body: bridge studs and tailpiece studs alike. */
export function pressCheck(
  build: Build,
  {
    id,
    label,
    stud,
    bore,
    reads,
    slot,
    size,
  }: { id: string; label: string; stud: Size; bore: Size; reads: Check['reads']; slot: 'body'; size: string },
): Check {
  const i = gapOf([
    [1, stud],
    [-1, bore],
  ])
  return check({
    id,
    label,
    clearance: i,
    bands: PRESS_BANDS,
    // Film in the bore makes it smaller, so the bushing sits tighter.
    coats: -filmOn(build, 2),
    reads,
    says: () => {
      const v = likelyOf(i)
      if (v < 0.03)
        return `The bore is ${printMm(Math.max(0, -v))} mm larger than the bushing: the studs stand loose and lean under string pull.`
      if (v <= 0.17)
        return `The bushing taps in, ${printMm(v)} mm larger than its bore: square, protected, after trying the bridge on loose posts.`
      return `The bushing is ${printMm(v)} mm larger than its bore; driven in it splits the wood.`
    },
    cures: ({ verdict }) => (verdict === 'snug' ? [] : pressCures(stud, bore, { slot, size })),
  })
}

function pressCures(stud: Size, bore: Size, ref: { slot: 'body'; size: string }): Cure[] {
  const v = stud.value - bore.value
  const to = stud.value - 0.1
  if (v > 0.15)
    return [
      {
        id: 'ream-bore',
        job: `Drill the bores out to ${printMm(to)} mm.`,
        how: 'Try the bit in scrap of the same wood first; drill press or stand, tape flag for the depth.',
        gives: 'body',
        tools: ['bit of that size', 'drill stand'],
        plan: { ...ref, delta: to - bore.value, doubt: 0.04 },
      },
    ]
  const lack = Math.max(0.1, 0.1 - v)
  return [
    {
      id: 'wrap-stud',
      job: `Wrap the bushing: ${printMm(lack / 2)} mm of paper or foil all round.`,
      how: 'Reversible, tried first. Press with the stud in, protected, square to the top.',
      gives: 'nothing',
      tools: ['paper or foil strip', 'clamp or soft-faced hammer'],
      plan: { ...ref, delta: -lack, doubt: 0.04 },
    },
    {
      id: 'plug-stud',
      job: 'Or plug the bore with dowel of the same grain and drill it anew.',
      how: 'An evening to dry; lasts for good. Before any finish.',
      gives: 'nothing',
      tools: ['dowel', 'wood glue', 'drill stand'],
      plan: { ...ref, delta: to - bore.value, doubt: 0.05 },
    },
    {
      id: 'glue-stud',
      job: 'Or set the bushing in epoxy.',
      how: 'Quick, and hard to undo: the bushing comes out only with the wood round it. Gloves; no skin contact.',
      gives: 'nothing',
      tools: ['epoxy', 'gloves'],
    },
  ]
}

/** A tailpiece's studs, by the same rule. */
export function tailStudsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { stud: sizeRef('tailpiece', 'studDiameter'), bore: sizeRef('body', 'tail.bore') }
  return judged(build, {
    id: 'tail-studs',
    title: 'Tailpiece studs in the body',
    slots: ['tailpiece', 'body'],
    at: pt(d.studs + (valueAt(build, sizeRef('body', 'tail.toBridge')) ?? 45), 48),
    refs,
    checks: ({ stud, bore }) => [
      pressCheck(build, {
        id: 'press',
        label: 'Bushing minus bore',
        stud,
        bore,
        reads: Object.values(refs),
        slot: 'body',
        size: 'tail.bore',
      }),
      ...inCentreBlock(build, 'tailpiece'),
      ...studPull(build, 'tailpiece'),
    ],
    draw: ({ stud, bore }) =>
      boreSection({
        title: 'Tailpiece stud in its bore',
        into: 'body-wood',
        thickness: valueAt(build, sizeRef('body', 'block.thickness')) ?? 42,
        bore: bore.value,
        boreDepth: valueAt(build, sizeRef('body', 'studBoreDepth')) ?? 24,
        plug: {
          label: 'Bushing',
          diameter: stud.value,
          length: valueAt(build, sizeRef('tailpiece', 'studLength')) ?? 20,
          flange: stud.value + 2,
        },
      }),
  })
}

function pattern(build: Build, studs: boolean): Check[] {
  const refs = { body: sizeRef('body', 'studSpacing'), bridge: sizeRef('bridge', studs ? 'studSpacing' : 'screw.spread') }
  const own = sizeAt(build, refs.bridge)
  const wood = sizeAt(build, refs.body)
  if (!own || !wood) return []
  const diff = gapOf([
    [1, own],
    [-1, wood],
  ])
  const off = Math.abs(likelyOf(diff))
  return [
    check({
      id: 'pattern',
      label: 'Mounting pattern',
      clearance: diff.map((n) => ({ ...n, mean: PATTERN_PLAY - Math.abs(n.mean) })),
      shown: diff,
      bands: [
        { upTo: -0.8, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      reads: Object.values(refs),
      says: () =>
        off <= PATTERN_PLAY
          ? `Bridge ${printMm(own.value, 1)} mm and body ${printMm(wood.value, 1)} mm from first to last agree.`
          : `The bridge’s pattern is ${printMm(own.value, 1)} mm and the body’s ${printMm(wood.value, 1)} mm: ${printMm(off, 1)} mm apart.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'plug-pattern',
                job: `Plug the old holes and drill at ${printMm(own.value, 1)} mm.`,
                how: 'Dowel of the same grain, an evening to dry; place by two threads for the outer strings.',
                gives: 'nothing',
                tools: ['dowel', 'wood glue', 'drill stand'],
                plan: { slot: 'body', size: 'studSpacing', delta: own.value - wood.value, doubt: 0.2 },
              },
              {
                id: 'other-bridge',
                job: `Or a bridge of ${printMm(wood.value, 1)} mm.`,
                how: 'Ask for the pattern in millimetres, not by name.',
                gives: 'the bridge',
                tools: [],
              },
            ],
    }),
  ]
}

/** Does the plate hide the holes of the bridge that was there before? */
function oldHoles(build: Build): Check[] {
  const length = sizeAt(build, sizeRef('bridge', 'plate.length'))
  if (!length) return []
  const front = sizeOr(build, sizeRef('bridge', 'plate.front'), 6, 1)
  const one = (id: string, ref: ReturnType<typeof sizeRef>, room: Parameters<typeof gapOf>[0]): Check[] => {
    const hole = sizeAt(build, ref)
    if (!hole) return []
    const c = gapOf([...room, [-1, hole]])
    return [
      check({
        id,
        label: `Plate over old holes, ${id === 'old-front' ? 'front' : 'back'}`,
        clearance: c,
        bands: [
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        reads: [ref, sizeRef('bridge', 'plate.length')],
        says: ({ verdict }) =>
          verdict === 'snug'
            ? 'The plate hides the old holes.'
            : `Old holes show ${printMm(-likelyOf(c), 1)} mm ${id === 'old-front' ? 'in front of' : 'behind'} the plate.`,
        cures: ({ verdict }) =>
          verdict === 'snug'
            ? []
            : [
                {
                  id: `${id}-plug`,
                  job: 'Plug the old holes flush; they will show through a clear finish.',
                  how: 'Grain along the body’s; or a larger plate under the bridge, which must conduct for the string ground.',
                  gives: 'nothing',
                  tools: ['dowel', 'wood glue', 'flush saw'],
                },
              ],
      }),
    ]
  }
  return [
    ...one('old-front', sizeRef('body', 'oldHoles.front'), [[1, front]]),
    ...one('old-back', sizeRef('body', 'oldHoles.back'), [
      [1, length],
      [-1, front],
    ]),
  ]
}

function studDrawing(build: Build) {
  const v = (slot: 'body' | 'bridge', size: string, otherwise: number) => valueAt(build, { slot, size }) ?? otherwise
  return boreSection({
    title: 'Stud bushing in its bore',
    into: 'body-wood',
    thickness: v('body', 'block.thickness', v('body', 'thickness', 44)),
    bore: v('body', 'studBore', 10),
    boreDepth: v('body', 'studBoreDepth', 26),
    plug: {
      label: 'Bushing',
      diameter: v('bridge', 'studDiameter', 10),
      length: v('bridge', 'studLength', 24),
      flange: v('bridge', 'studDiameter', 10) + 2,
    },
  })
}

function plateDrawing(build: Build) {
  const v = (slot: 'body' | 'bridge', size: string, otherwise: number) => valueAt(build, { slot, size }) ?? otherwise
  const front = v('bridge', 'plate.front', 6)
  const length = v('bridge', 'plate.length', 40)
  const w = v('bridge', 'plate.width', 80) / 2
  const wood = v('body', 'studSpacing', 56)
  const own = v('bridge', 'screw.spread', 56)
  const marks: Mark[] = [{ mark: 'area', role: 'metal', points: rectangle(-front, -w, length - front, w) }]
  for (const s of [-1, 1]) {
    marks.push({ mark: 'circle', role: 'cavity', at: pt(0, (s * wood) / 2), r: 2 })
    marks.push({ mark: 'circle', role: 'open', at: pt(0, (s * own) / 2), r: 2.6 })
  }
  for (const [key, s] of [
    ['oldHoles.front', -1],
    ['oldHoles.back', 1],
  ] as const) {
    const at = valueAt(build, sizeRef('body', key))
    if (at !== undefined) for (const y of [-20, 0, 20]) marks.push({ mark: 'circle', role: 'remove', at: pt(s * at, y), r: 2 })
  }
  marks.push(
    { mark: 'dimension', from: pt(-front - 10, -wood / 2), to: pt(-front - 10, wood / 2), text: printMm(wood, 1) },
    {
      mark: 'dimension',
      from: pt(length - front + 10, -own / 2),
      to: pt(length - front + 10, own / 2),
      text: printMm(own, 1),
      emphasis: true,
    },
  )
  return framed(
    'Bridge plate over its holes, from above',
    'dark: holes in the wood · outlined: the bridge’s own · hatched: old holes',
    marks,
    [
      { label: 'Body pattern', value: `${printMm(wood)} mm` },
      { label: 'Bridge pattern', value: `${printMm(own)} mm` },
      { label: 'Apart', value: `${signed(own - wood)} mm` },
    ],
  )
}
