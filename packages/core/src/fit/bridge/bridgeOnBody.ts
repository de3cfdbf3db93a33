import { isOnStuds } from '../../instrument/vibrato'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { blockDepth, blockSwing, inCentreBlock } from './blocks'
import { studPull } from './studPull'
import { studDrawing, plateDrawing } from './bridgeOnBody.draw'
import { liesOnFront } from '../../judge/onFront'
import { pressCheck } from './press'

/** How far stud places may differ from the bridge's own before it no longer drops on, mm. [practice] */
const PATTERN_PLAY = 0.5

/** The bridge on the body: studs in their bores, pattern, old holes, block. */
export function bridgeOnBodyJoint(build: Build): JudgedJoint {
  const studs = isOnStuds(traitAt(build, 'bridge', 'mount') ?? 'post')
  return judged(build, {
    id: 'bridge-on-body',
    title: studs ? 'Bridge studs in the body' : 'Bridge on the body',
    slots: ['bridge', 'body'],
    at: pt(datums(build).studs, -drawnAt(build, sizeRef('body', 'studSpacing')) / 2 - 8),
    draw: () => (studs ? studDrawing(build) : plateDrawing(build)),
    asks: [
      press,
      pattern,
      lies,
      (b) => oldHole(b, 'front'),
      (b) => oldHole(b, 'back'),
      blockDepth,
      blockSwing,
      (b) => (isOnStuds(traitIn(b, 'bridge', 'mount')) ? inCentreBlock(b, 'bridge') : []),
      (b) => studPull(b, 'bridge'),
    ],
  })
}

function press(build: Build): Question[] {
  if (!isOnStuds(traitIn(build, 'bridge', 'mount'))) return []
  const have = sizesIn(build, { stud: sizeRef('bridge', 'studDiameter'), bore: sizeRef('body', 'studBore') })
  return [pressCheck(build, { id: 'press', label: 'Bushing minus bore', ...have, slot: 'body', size: 'studBore' })]
}

/** A plate that is screwed down; one on studs or posts touches nothing. */
function lies(build: Build): Question[] {
  if (isOnStuds(traitIn(build, 'bridge', 'mount'))) return []
  return [
    liesOnFront(build, 'bridge’s plate', 'it rocks, and its screws pull it crooked.', {
      job: 'Let a flat seat into the arch under the whole plate, level with the rim.',
      how: 'Router on rails, or chisel and a flat block with paper, before any finish. The arch is then measured again from the seat: the bridge stands lower by as much.',
      gives: 'body',
      tools: ['router', 'straight-edge'],
    }),
  ]
}

function pattern(build: Build): Question[] {
  const studs = isOnStuds(traitIn(build, 'bridge', 'mount'))
  const refs = { body: sizeRef('body', 'studSpacing'), bridge: sizeRef('bridge', studs ? 'studSpacing' : 'screw.spread') }
  const own = sizeIn(build, refs.bridge)
  const wood = sizeIn(build, refs.body)
  const diff = gapOf([
    [1, own],
    [-1, wood],
  ])
  const off = Math.abs(likelyOf(diff))
  return [
    {
      id: 'pattern',
      label: 'Mounting pattern',
      clearance: diff.map((n) => ({ ...n, mean: PATTERN_PLAY - Math.abs(n.mean) })),
      shown: diff,
      bands: [
        { upTo: -0.8, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
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
                job: `Or a bridge whose pattern is ${printMm(wood.value, 1)} mm from first to last.`,
                how: 'Ask for the pattern in millimetres, not by name.',
                gives: 'the bridge',
                tools: [],
              },
            ],
    },
  ]
}

/** Does the plate hide the holes of the bridge that was there before? */
function oldHole(build: Build, end: 'front' | 'back'): Question[] {
  const hole = sizeAt(build, sizeRef('body', `oldHoles.${end}`))
  if (!hole) return []
  const front = sizeIn(build, sizeRef('bridge', 'plate.front'))
  const c =
    end === 'front'
      ? gapOf([
          [1, front],
          [-1, hole],
        ])
      : gapOf([
          [1, sizeIn(build, sizeRef('bridge', 'plate.length'))],
          [-1, front],
          [-1, hole],
        ])
  return [
    {
      id: `old-${end}`,
      label: `Plate over old holes, ${end}`,
      clearance: c,
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? 'The plate hides the old holes.'
          : `Old holes show ${printMm(-likelyOf(c), 1)} mm ${end === 'front' ? 'in front of' : 'behind'} the plate.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: `old-${end}-plug`,
                job: 'Plug the old holes flush; they will show through a clear finish.',
                how: 'Grain along the body’s; or a larger plate under the bridge, which must conduct for the string ground.',
                gives: 'nothing',
                tools: ['dowel', 'wood glue', 'flush saw'],
              },
            ],
    },
  ]
}
