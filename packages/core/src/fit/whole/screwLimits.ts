import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, valueAt } from '../../document/read'
import { screwStack } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import { check, type JudgedJoint } from '../../judge/joint'
import { gapOf, landing, sizeOr } from '../../judge/known'
import { woodNamed } from '../../parts/woods'
import { withdrawal } from '../../physics/pilot'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** A neck screw's tip stays this far from the board's face or a fret, mm. [practice] */
const TIP_CLEAR = 3
/** Thread wanted in the heel, mm. [practice] */
const BITE = 12
/** A working load is a fifth of the breaking load. [practice] */
const WORKING = 5

/** Neck screws through body and plate into the heel: how far the tip stays from the board, how much thread bites. */
export function neckScrewsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = {
    screw: sizeRef('neck-screws', 'length'),
    body: sizeRef('body', 'thickness'),
    pocket: sizeRef('body', 'pocket.depth'),
    heel: sizeRef('neck', 'heel.thickness'),
  }
  const plateRef = sizeRef('neck-screws', 'plate.thickness')
  const plate = sizeOr(build, plateRef, 1.5, 0.5)
  return judged(build, {
    id: 'neck-screws',
    title: 'Neck screws in the heel',
    slots: ['neck-screws', 'body', 'neck'],
    at: pt((d.mouth + d.heelEnd) / 2, 0),
    refs,
    checks: (have) => {
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
      const reads = [...Object.values(refs), plateRef]
      const wood = woodNamed(traitAt(build, 'neck', 'wood'))
      const thread = valueAt(build, sizeRef('neck-screws', 'thread')) ?? 4.2
      const holds = wood ? withdrawal(wood.density, thread, Math.max(0, likelyOf(bite))) / WORKING : undefined
      const shorter = Math.floor(have.screw.value - (TIP_CLEAR - likelyOf(tip)) - landing(tip, 0.3))
      const longer = Math.ceil(BITE - likelyOf(bite) + landing(bite, 0.3))
      const fits = likelyOf(bite) - (have.screw.value - shorter)
      return [
        check({
          id: 'tip',
          label: 'Tip to the board’s face',
          clearance: linear([[1, tip]], -TIP_CLEAR),
          shown: tip,
          bands: [
            { upTo: -TIP_CLEAR, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads,
          says: () =>
            likelyOf(tip) < 0
              ? `The screws are ${printMm(-likelyOf(tip), 1)} mm too long: they would come through the board.`
              : `The tips stop ${printMm(likelyOf(tip), 1)} mm under the board’s face${holds ? `; each holds about ${Math.round(holds)} N` : ''}.`,
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
                      doubt: 0.3,
                    },
                  },
                ],
        }),
        check({
          id: 'bite',
          label: 'Thread in the heel',
          clearance: linear([[1, bite]], -BITE),
          shown: bite,
          bands: [
            { upTo: -6, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads,
          says: () => `The screws bite ${printMm(likelyOf(bite), 1)} mm of the heel; ${BITE} is wanted.`,
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
                    plan: { slot: 'neck-screws', size: 'length', delta: longer, doubt: 0.3 },
                  },
                ],
        }),
      ]
    },
    draw: (have) =>
      screwStack(
        'Neck screw from the back',
        [
          { label: 'plate', thickness: plate.value, role: 'metal' },
          { label: 'body under the pocket', thickness: have.body.value - have.pocket.value, role: 'body-wood' },
          { label: 'heel', thickness: have.heel.value - 6, role: 'neck-wood' },
          { label: 'board', thickness: 6, role: 'board' },
        ],
        { length: have.screw.value, thread: valueAt(build, sizeRef('neck-screws', 'thread')) ?? 4.2 },
      ),
  })
}

/** Bridge screws into the body, or into a hollow body's block. */
export function bridgeScrewsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const hollow = traitAt(build, 'body', 'build') !== 'solid' && sizeAt(build, sizeRef('body', 'block.thickness'))
  const wood = hollow ? sizeRef('body', 'block.thickness') : sizeRef('body', 'thickness')
  const refs = { screw: sizeRef('bridge', 'screw.length'), wood }
  const plate = sizeOr(build, sizeRef('bridge', 'plate.thickness'), 2, 0.4)
  return judged(build, {
    id: 'bridge-screws',
    title: 'Bridge screws in the wood',
    slots: ['bridge', 'body'],
    at: pt(d.studs - 10, 34),
    refs,
    checks: (have) => {
      const left = gapOf([
        [1, have.wood],
        [1, plate],
        [-1, have.screw],
      ])
      const bite = gapOf([
        [1, have.screw],
        [-1, plate],
      ])
      const named = woodNamed(traitAt(build, 'body', 'wood'))
      const holds = named ? withdrawal(named.density, 3.5, Math.max(0, likelyOf(bite))) / WORKING : 0
      return [
        check({
          id: 'through',
          label: 'Wood under the tips',
          clearance: linear([[1, left]], -2.5),
          shown: left,
          bands: [
            { upTo: -2.5, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: Object.values(refs),
          says: () =>
            `A ${printMm(have.screw.value, 1)} mm screw leaves ${printMm(likelyOf(left), 1)} mm of wood${holds ? ` and holds about ${Math.round(holds)} N` : ''}.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'short-bridge-screws',
                    job: `Take bridge screws of ${Math.floor(have.wood.value + plate.value - 2.5)} mm or less.`,
                    how: 'Same thread; wax them.',
                    gives: 'the screws',
                    tools: [],
                    plan: { slot: 'bridge', size: 'screw.length', delta: likelyOf(left) - 3, doubt: 0.3 },
                  },
                ],
        }),
        check({
          id: 'bite',
          label: 'Thread in the wood',
          clearance: linear([[1, bite]], -12),
          shown: bite,
          bands: [
            { upTo: -6, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: [refs.screw],
          says: () => `${printMm(likelyOf(bite), 1)} mm of thread in the wood.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'long-bridge-screws',
                    job: 'Take longer bridge screws.',
                    how: 'At least 12 mm in the wood.',
                    gives: 'the screws',
                    tools: [],
                    plan: { slot: 'bridge', size: 'screw.length', delta: 12.5 - likelyOf(bite), doubt: 0.3 },
                  },
                ],
        }),
      ]
    },
    draw: (have) =>
      screwStack(
        'Bridge screw',
        [
          { label: 'plate', thickness: plate.value, role: 'metal' },
          { label: hollow ? 'centre block' : 'body', thickness: have.wood.value, role: 'body-wood' },
        ],
        { length: have.screw.value, thread: 3.5 },
      ),
  })
}

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
                    plan: { slot: 'strap-buttons', size: 'screw.length', delta: Math.ceil(14.5 - likelyOf(bite)), doubt: 0.3 },
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
