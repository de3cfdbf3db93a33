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
import { patternCheck } from './pattern'
import { pressCheck } from './press'

/** The bridge on the body: studs in their bores, pattern, old holes, block. */
export function bridgeOnBodyJoint(build: Build): JudgedJoint {
  const studs = isOnStuds(traitAt(build, 'bridge', 'mount') ?? 'post')
  return judged(build, {
    id: 'bridge-on-body',
    title: studs ? 'Bridge studs in the body' : 'Bridge on the body',
    slots: ['bridge', 'body'],
    at: () => pt(datums(build).studs, -drawnAt(build, sizeRef('body', 'studSpacing')) / 2 - 8),
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
      how: 'Router on rails, or chisel and a flat block with paper, before any coat goes on. The arch is then measured again from the seat: the bridge stands lower by as much.',
      gives: 'body',
      tools: ['router', 'straight-edge'],
    }),
  ]
}

const pattern = (build: Build): Question[] => [
  patternCheck(build, {
    what: 'bridge',
    own: sizeRef('bridge', isOnStuds(traitIn(build, 'bridge', 'mount')) ? 'studSpacing' : 'screw.spread'),
    body: sizeRef('body', 'studSpacing'),
  }),
]

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
