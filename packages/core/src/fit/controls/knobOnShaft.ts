import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, gapOf, sizesIn, traitIn } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A knob that slides on has this much over its shaft, mm. [practice] */
const EASY = 0.05

const refs = { bore: sizeRef('knobs', 'bore'), shaft: sizeRef('pot-volume', 'shaft.diameter') }

/** Knobs on their shafts: bore against shaft, and grip against kind of shaft. */
export const knobJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'knobs',
    title: 'Knobs on their shafts',
    slots: ['knobs', 'pot-volume', 'pot-tone'],
    at: pt(datums(build).heelEnd + drawnAt(build, sizeRef('guard', 'volume.x')) - 14, drawnAt(build, sizeRef('guard', 'volume.y')) + 14),
    draw: drawnOnceKnown(build, 'Shaft in its knob', refs, (have) =>
      boreSection({
        title: 'Shaft in its knob',
        into: 'plastic',
        thickness: drawnAt(build, sizeRef('knobs', 'depth')),
        bore: have.bore.value,
        boreDepth: drawnAt(build, sizeRef('knobs', 'depth')) - 2,
        plug: { label: 'Shaft', diameter: have.shaft.value, length: 9 },
      }),
    ),
    asks: [onShaft],
  })

function onShaft(build: Build): Question {
  const have = sizesIn(build, refs)
  const c = gapOf([
    [1, have.bore],
    [-1, have.shaft],
  ])
  const screw = traitIn(build, 'knobs', 'grip') === 'screw'
  return {
    id: 'bore',
    label: 'Knob bore minus shaft',
    clearance: c,
    bands: [
      { upTo: -0.6, is: 'wont-go' },
      { upTo: -0.05, is: 'tight' },
      { upTo: screw ? 0.6 : 0.15, is: 'snug' },
      { upTo: Infinity, is: 'loose' },
    ],
    says: () => `Knob bore ${printMm(have.bore.value)} mm, shaft ${printMm(have.shaft.value)} mm.`,
    cures: ({ verdict }) =>
      verdict === 'tight' || verdict === 'wont-go'
        ? [
            {
              id: 'drill-knob',
              job: `Open the knob’s bore to ${printMm(have.shaft.value + EASY)} mm.`,
              how: 'Metric and inch shafts differ by 0.35 mm. Bit held in the hand, knob in a padded vice; a split shaft may be pinched a little instead.',
              gives: 'knobs',
              tools: ['bit of the shaft’s size'],
              plan: { slot: 'knobs', size: 'bore', delta: EASY - likelyOf(c), doubt: 0.05 },
            },
          ]
        : verdict === 'loose'
          ? [
              {
                id: 'spread-shaft',
                job: 'Spread the split shaft with a blade, or wrap it once with tape.',
                how: 'A little; cast shafts snap.',
                gives: 'nothing',
                tools: ['blade'],
              },
            ]
          : [],
  }
}
