import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { jointOf, waitingJoint, type JointBase } from '../../judge/assemble'
import { check, type Check, type JudgedJoint } from '../../judge/joint'
import { gapOf, sizeOr } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { blockDepth, blockSwing, inCentreBlock } from './blocks'
import { studPull } from './studPull'
import { studDrawing, plateDrawing } from './bridgeOnBody.draw'
import { pressCheck } from './press'

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
