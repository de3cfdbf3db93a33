import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { pt, type Point } from '../../geometry/point'
import { CONTROL_WORDS, controlPlace, POTS, potSlot, potsIn, type PotControl } from '../../instrument/controlPlace'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A knob that slides on has this much over its shaft, mm. [practice] */
const EASY = 0.05

const refs = { bore: sizeRef('knobs', 'bore'), shaft: sizeRef('pot-volume', 'shaft.diameter') }

/** A little beside the shaft, so that the peg does not cover its pot's. */
const beside = ({ x, y }: Point): Point => pt(x - 14, y + 14)

/** Knobs on their shafts: bore against shaft, and grip against kind of shaft. */
export const knobJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'knobs',
    title: 'Knobs on their shafts',
    slots: ['knobs', ...potsIn(build).map(potSlot)],
    at: () => beside(controlPlace(build, 'volume')),
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
    asks: [onShaft, ...POTS.filter((c) => c !== 'volume').map((control) => (b: Build) => onOther(b, control))],
  })

/** A pot with another shaft than the volume's wants a knob of its own. */
function onOther(build: Build, control: PotControl): Question[] {
  if (!build.parts[potSlot(control)]) return []
  const shaft = sizeIn(build, sizeRef(potSlot(control), 'shaft.diameter'))
  const volume = sizeIn(build, refs.shaft)
  if (Math.abs(shaft.value - volume.value) <= ALIKE) return []
  const bore = sizeIn(build, refs.bore)
  const which = CONTROL_WORDS[control]
  const c = gapOf([
    [1, bore],
    [-1, shaft],
  ])
  return [
    {
      id: `bore-${control}`,
      label: `Knob bore minus the ${which}’s shaft`,
      clearance: c,
      bands: bandsOf(build),
      says: () => `Knob bore ${printMm(bore.value)} mm, the ${which}’s shaft ${printMm(shaft.value)} mm.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: `own-knob-${control}`,
                job: `Take a knob with a bore of ${printMm(shaft.value + EASY)} mm for the ${which}, or a pot with the volume’s shaft.`,
                how: 'Metric and inch shafts differ by 0.35 mm: a set of knobs fits one kind.',
                gives: 'the knob',
                tools: [],
              },
            ],
    },
  ]
}
/** Shafts of one kind differ by no more than this, mm. [ours] */
const ALIKE = 0.1

/** A knob with a set screw takes up more play than one that is pushed on. */
const bandsOf = (build: Build): readonly Band[] => [
  { upTo: -0.6, is: 'wont-go' },
  { upTo: -0.05, is: 'tight' },
  { upTo: traitIn(build, 'knobs', 'grip') === 'screw' ? 0.6 : 0.15, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]

function onShaft(build: Build): Question {
  const have = sizesIn(build, refs)
  const c = gapOf([
    [1, have.bore],
    [-1, have.shaft],
  ])
  return {
    id: 'bore',
    label: 'Knob bore minus shaft',
    clearance: c,
    bands: bandsOf(build),
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
