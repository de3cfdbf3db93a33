import { OTHER_SCREW } from './screwLimits'
import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import { screwStack } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import { check, type JudgedJoint } from '../../judge/joint'
import { gapOf } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A strap button's screw in the rim. */
export function strapButtonsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { screw: sizeRef('strap-buttons', 'screw.length'), thickness: sizeRef('strap-buttons', 'thickness') }
  return judged(build, {
    id: 'strap-buttons',
    title: 'Strap button screws',
    slots: ['strap-buttons', 'body'],
    at: pt(d.mouth + (valueAt(build, sizeRef('body', 'button.lower.x')) ?? 340), 8),
    refs,
    checks: (have) => {
      const bite = gapOf([
        [1, have.screw],
        [-0.5, have.thickness],
      ])
      return [
        check({
          id: 'bite',
          label: 'Thread in the rim',
          clearance: linear([[1, bite]], -14),
          shown: bite,
          bands: [
            { upTo: -8, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: Object.values(refs),
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
        }),
      ]
    },
    draw: (have) =>
      screwStack(
        'Strap button in the rim',
        [
          { label: 'button', thickness: have.thickness.value / 2, role: 'metal' },
          { label: 'body rim', thickness: 34, role: 'body-wood' },
        ],
        { length: have.screw.value, thread: valueAt(build, sizeRef('strap-buttons', 'screw.thread')) ?? 4 },
      ),
  })
}
