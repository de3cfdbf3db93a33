import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { screwStack } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import { likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { OTHER_SCREW } from '../../judge/otherScrew'

/** Thread wanted in the wood, mm. [practice] */
const BITE = 14

const refs = { screw: sizeRef('strap-buttons', 'screw.length'), thickness: sizeRef('strap-buttons', 'thickness') }

/** A strap button's screw in the rim. */
export const strapButtonsJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'strap-buttons',
    condition: true,
    title: 'Strap button screws',
    slots: ['strap-buttons', 'body'],
    at: () => pt(datums(build).mouth + drawnAt(build, sizeRef('body', 'button.lower.x')), 8),
    draw: drawnOnceKnown(build, 'Strap button in the rim', refs, (have) =>
      screwStack(
        'Strap button in the rim',
        [
          { label: 'button', thickness: have.thickness.value / 2, role: 'metal' },
          { label: 'body rim', thickness: Math.max(34, have.screw.value + 6), role: 'body-wood', goesOn: true },
        ],
        { length: have.screw.value, thread: drawnAt(build, sizeRef('strap-buttons', 'screw.thread')) },
      ),
    ),
    asks: [inRim, rimWood],
  })

function inRim(build: Build): Question {
  const have = sizesIn(build, refs)
  const bite = gapOf([
    [1, have.screw],
    [-0.5, have.thickness],
  ])
  const longer = Math.ceil(BITE + 0.5 - likelyOf(bite))
  return {
    id: 'bite',
    label: 'Thread in the rim',
    clearance: linear([[1, bite]], -BITE),
    shown: bite,
    bands: [
      { upTo: -8, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () => `The button’s screw bites ${printMm(Math.max(0, likelyOf(bite)), 1)} mm; ${BITE} is wanted, square to the rim.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'long-button-screw',
              job: `Take a button screw ${longer} mm longer.`,
              how: 'Pilot first, wax, felt under the button.',
              gives: 'the screws',
              tools: ['pilot bit', 'wax'],
              plan: { slot: 'strap-buttons', size: 'screw.length', delta: longer, doubt: OTHER_SCREW },
            },
          ],
  }
}

/** In a body with hollows only the solid wood behind the rim holds a screw. */
function rimWood(build: Build): Question[] {
  if (traitIn(build, 'body', 'build') === 'solid') return []
  const rim = sizeIn(build, sizeRef('body', 'rim.thickness'))
  return [
    {
      id: 'rim',
      label: 'Solid wood behind the button',
      clearance: linear([[1, ofSize(rim)]], -BITE),
      shown: ofSize(rim),
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The rim is solid for ${printMm(rim.value, 0)} mm behind the button.`
          : `The rim is solid for only ${printMm(rim.value, 0)} mm behind the button: past it the thread is in air.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'button-to-block',
                job: 'Put the button where a block stands behind the rim, or glue one in from inside.',
                how: 'Knock along the rim and listen; the tail end usually has the centre block behind it.',
                gives: 'nothing',
                tools: ['wood', 'wood glue'],
              },
            ],
    },
  ]
}
