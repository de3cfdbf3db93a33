import type { Build } from '../../document/build'
import { sizeRef, traitAt, valueAt } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import { check, type JudgedJoint } from '../../judge/joint'
import { gapOf } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A knob that slides on has this much over its shaft, mm. [practice] */
const EASY = 0.05

/** Knobs on their shafts: bore against shaft, and grip against kind of shaft. */
export function knobJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { bore: sizeRef('knobs', 'bore'), shaft: sizeRef('pot-volume', 'shaft.diameter') }
  return judged(build, {
    id: 'knobs',
    title: 'Knobs on their shafts',
    slots: ['knobs', 'pot-volume', 'pot-tone'],
    at: pt(
      d.heelEnd + (valueAt(build, sizeRef('guard', 'volume.x')) ?? 190) - 14,
      (valueAt(build, sizeRef('guard', 'volume.y')) ?? -66) + 14,
    ),
    refs,
    checks: (have) => {
      const c = gapOf([
        [1, have.bore],
        [-1, have.shaft],
      ])
      const screw = traitAt(build, 'knobs', 'grip') === 'screw'
      return [
        check({
          id: 'bore',
          label: 'Knob bore minus shaft',
          clearance: c,
          bands: [
            { upTo: -0.6, is: 'wont-go' },
            { upTo: -0.05, is: 'tight' },
            { upTo: screw ? 0.6 : 0.15, is: 'snug' },
            { upTo: Infinity, is: 'loose' },
          ],
          reads: Object.values(refs),
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
        }),
      ]
    },
    draw: (have) =>
      boreSection({
        title: 'Shaft in its knob',
        into: 'plastic',
        thickness: valueAt(build, sizeRef('knobs', 'depth')) ?? 12,
        bore: have.bore.value,
        boreDepth: (valueAt(build, sizeRef('knobs', 'depth')) ?? 12) - 2,
        plug: { label: 'Shaft', diameter: have.shaft.value, length: 9 },
      }),
  })
}
