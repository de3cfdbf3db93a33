import { capital, aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeRef, traitAt } from '../../document/read'
import { screwStack } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, gapOf, landing, sizesIn } from '../../judge/known'
import { FACE_GUARD } from '../../physics/pilot'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { woodUnderBridge } from '../../instrument/woodUnderBridge'
import { BITE } from './screwLimits'
import { holdNumbers } from './holdNumbers'
import { OTHER_SCREW, longestScrew } from '../../judge/otherScrew'

/** What the screws go into; drawn as a solid body while nobody has said how it is made. */
const woodOf = (build: Build) => woodUnderBridge(build)?.size ?? sizeRef('body', 'thickness')
const SCREW = sizeRef('bridge', 'screw.length')
const PLATE = sizeRef('bridge', 'plate.thickness')
const THREAD = sizeRef('bridge', 'screw.thread')

/** Bridge screws into the body, or into a hollow body's block. */
export function bridgeScrewsJoint(build: Build): JudgedJoint {
  return judged(build, {
    id: 'bridge-screws',
    condition: true,
    title: 'Bridge screws in the wood',
    slots: ['bridge', 'body'],
    at: () => pt(datums(build).studs - 10, 34),
    draw: drawnOnceKnown(build, 'Bridge screw', { screw: SCREW, wood: woodOf(build) }, (have) =>
      screwStack(
        'Bridge screw',
        [
          { label: 'plate', thickness: drawnAt(build, PLATE), role: 'metal' },
          { label: woodUnderBridge(build)?.label ?? 'body', thickness: have.wood.value, role: 'body-wood' },
        ],
        { length: have.screw.value, thread: drawnAt(build, THREAD) },
        ofItsWood(build) ? holdNumbers(build, 'body', THREAD, have.screw.value - drawnAt(build, PLATE)) : [],
      ),
    ),
    asks: [tips],
  })
}

/** What a hollow body's block is of, its own wood does not say. */
const ofItsWood = (build: Build) => ['solid', 'chambered'].includes(traitAt(build, 'body', 'build') ?? '')

function tips(build: Build): Question[] {
  const have = sizesIn(build, { screw: SCREW, plate: PLATE, wood: woodOf(build) })
  const { plate } = have
  const left = gapOf([
    [1, have.wood],
    [1, plate],
    [-1, have.screw],
  ])
  const bite = gapOf([
    [1, have.screw],
    [-1, plate],
  ])
  const longest = longestScrew(have.screw.value, left, FACE_GUARD)
  const longer = Math.ceil(BITE - likelyOf(bite) + landing(bite, OTHER_SCREW))
  return [
    {
      id: 'through',
      label: 'Wood under the tips',
      clearance: linear([[1, left]], -FACE_GUARD),
      shown: left,
      bands: [
        { upTo: -FACE_GUARD, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        likelyOf(left) < 0
          ? `${capital(aMm(have.screw.value, 1))} screw comes ${printMm(-likelyOf(left), 1)} mm out of the wood on the far side.`
          : `${capital(aMm(have.screw.value, 1))} screw leaves ${printMm(likelyOf(left), 1)} mm of wood.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'short-bridge-screws',
                job: `Take bridge screws of ${longest} mm or less.`,
                how: 'Same thread; wax them.',
                gives: 'the screws',
                tools: [],
                plan: { slot: 'bridge', size: 'screw.length', delta: longest - have.screw.value, doubt: OTHER_SCREW },
              },
            ],
    },
    {
      id: 'bite',
      label: 'Thread in the wood',
      clearance: linear([[1, bite]], -BITE),
      shown: bite,
      bands: [
        { upTo: -6, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        likelyOf(bite) < 0
          ? `The screws end ${printMm(-likelyOf(bite), 1)} mm before the wood.`
          : `${printMm(likelyOf(bite), 1)} mm of thread in the wood.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'long-bridge-screws',
                job: `Take bridge screws ${longer} mm longer.`,
                how: `At least ${BITE} mm in the wood.`,
                gives: 'the screws',
                tools: [],
                plan: { slot: 'bridge', size: 'screw.length', delta: longer, doubt: OTHER_SCREW },
              },
            ],
    },
  ]
}
