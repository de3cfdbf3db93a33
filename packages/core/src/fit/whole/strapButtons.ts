import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { screwStack } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import { type JudgedJoint, type Question } from '../../judge/joint'
import { drawnAt, gapOf, sizesIn } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { OTHER_SCREW } from './screwLimits'

const refs = { screw: sizeRef('strap-buttons', 'screw.length'), thickness: sizeRef('strap-buttons', 'thickness') }

/** A strap button's screw in the rim. */
export const strapButtonsJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'strap-buttons',
    condition: true,
    title: 'Strap button screws',
    slots: ['strap-buttons', 'body'],
    at: pt(datums(build).mouth + drawnAt(build, sizeRef('body', 'button.lower.x')), 8),
    draw: drawnOnceKnown(build, 'Strap button in the rim', refs, (have) =>
      screwStack(
        'Strap button in the rim',
        [
          { label: 'button', thickness: have.thickness.value / 2, role: 'metal' },
          { label: 'body rim', thickness: 34, role: 'body-wood' },
        ],
        { length: have.screw.value, thread: drawnAt(build, sizeRef('strap-buttons', 'screw.thread')) },
      ),
    ),
    asks: [inRim],
  })

function inRim(build: Build): Question {
  const have = sizesIn(build, refs)
  const bite = gapOf([
    [1, have.screw],
    [-0.5, have.thickness],
  ])
  return {
    id: 'bite',
    label: 'Thread in the rim',
    clearance: linear([[1, bite]], -14),
    shown: bite,
    bands: [
      { upTo: -8, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () => `The button’s screw bites ${printMm(likelyOf(bite), 1)} mm; 14 is wanted, square to the rim.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'long-button-screw',
              job: `Take a button screw ${printMm(14 - likelyOf(bite), 0)} mm longer.`,
              how: 'Pilot first, wax, felt under the button.',
              gives: 'the screws',
              tools: ['pilot bit', 'wax'],
              plan: { slot: 'strap-buttons', size: 'screw.length', delta: Math.ceil(14.5 - likelyOf(bite)), doubt: OTHER_SCREW },
            },
          ],
  }
}
