import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { screwStack } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, gapOf, landing, sizeIn, sizesIn } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { holdNumbers } from './holdNumbers'
import { TIP_CLEAR, BITE } from './screwLimits'
import { OTHER_SCREW, longestScrew } from '../../judge/otherScrew'

const refs = {
  screw: sizeRef('neck-screws', 'length'),
  body: sizeRef('body', 'thickness'),
  pocket: sizeRef('body', 'pocket.depth'),
  heel: sizeRef('neck', 'heel.thickness'),
}
const PLATE = sizeRef('neck-screws', 'plate.thickness')
const THREAD = sizeRef('neck-screws', 'thread')

/** Neck screws through body and plate into the heel: how far the tip stays from the board, how much thread bites. */
export function neckScrewsJoint(build: Build): JudgedJoint {
  return judged(build, {
    id: 'neck-screws',
    condition: true,
    title: 'Neck screws in the heel',
    slots: ['neck-screws', 'body', 'neck'],
    at: () => pt((datums(build).mouth + datums(build).heelEnd) / 2, 0),
    draw: drawnOnceKnown(build, 'Neck screw from the back', refs, (have) =>
      screwStack(
        'Neck screw from the back',
        [
          { label: 'plate', thickness: drawnAt(build, PLATE), role: 'metal' },
          { label: 'body under the pocket', thickness: have.body.value - have.pocket.value, role: 'body-wood' },
          { label: 'heel', thickness: have.heel.value - drawnAt(build, BOARD), role: 'neck-wood' },
          { label: 'board', thickness: drawnAt(build, BOARD), role: 'board' },
        ],
        { length: have.screw.value, thread: drawnAt(build, THREAD) },
        holdNumbers(build, 'neck', THREAD, have.screw.value - drawnAt(build, PLATE) - (have.body.value - have.pocket.value)),
      ),
    ),
    asks: [screwReach],
  })
}
const BOARD = sizeRef('neck', 'board.thickness')

function screwReach(build: Build): Question[] {
  const have = sizesIn(build, refs)
  const plate = sizeIn(build, PLATE)
  const bite = gapOf([
    [1, have.screw],
    [-1, plate],
    [-1, have.body],
    [1, have.pocket],
  ])
  const tip = gapOf([
    [1, have.heel],
    [-1, have.screw],
    [1, plate],
    [1, have.body],
    [-1, have.pocket],
  ])
  const shorter = longestScrew(have.screw.value, tip, TIP_CLEAR)
  const longer = Math.ceil(BITE - likelyOf(bite) + landing(bite, OTHER_SCREW))
  const fits = likelyOf(bite) - (have.screw.value - shorter)
  return [
    {
      id: 'tip',
      label: 'Tip to the board’s face',
      clearance: linear([[1, tip]], -TIP_CLEAR),
      shown: tip,
      bands: [
        { upTo: -TIP_CLEAR, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        likelyOf(tip) < 0
          ? `The screws are ${printMm(-likelyOf(tip), 1)} mm too long: they would come through the board.`
          : `The tips stop ${printMm(likelyOf(tip), 1)} mm under the board’s face.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'short-neck-screws',
                job: `Take neck screws of ${shorter} mm or less.`,
                how: `They still bite ${printMm(Math.max(0, fits), 1)} mm. Or a thicker plate; never grind a tip and hope.`,
                gives: 'the screws',
                tools: [],
                plan: {
                  slot: 'neck-screws',
                  size: 'length',
                  delta: shorter - have.screw.value,
                  doubt: OTHER_SCREW,
                },
              },
            ],
    },
    {
      id: 'bite',
      label: 'Thread in the heel',
      clearance: linear([[1, bite]], -BITE),
      shown: bite,
      bands: [
        { upTo: -6, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        likelyOf(bite) < 0
          ? `The screws end ${printMm(-likelyOf(bite), 1)} mm before the heel; ${BITE} mm in it are wanted.`
          : `The screws bite ${printMm(likelyOf(bite), 1)} mm of the heel; ${BITE} is wanted.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'long-neck-screws',
                job: `Take neck screws ${longer} mm longer.`,
                how: 'Clearance holes in the body, so that they pull the neck in.',
                gives: 'the screws',
                tools: [],
                plan: { slot: 'neck-screws', size: 'length', delta: longer, doubt: OTHER_SCREW },
              },
            ],
    },
  ]
}
