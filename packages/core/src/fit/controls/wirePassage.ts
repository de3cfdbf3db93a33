import { CONTROL_WORDS, isBesideControls, potSlot, potsIn } from '../../instrument/controlPlace'
import type { Build } from '../../document/build'
import { isUnmade } from '../../document/unmade'
import { asTold, sizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { PLACES } from '../../instrument/guardPlace'
import { inHollow, isCarried, panelOf } from '../../instrument/panel'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { sizeIn, sizesIn } from '../../judge/known'
import { likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { leadTable } from './leads'

/** Bundle of round wires laid together, mm: about 1.2 times the root of their number in diameters. [ours] */
export const bundle = (wires: number, diameter: number): number => (wires === 1 ? 1 : 1.2 * Math.sqrt(wires)) * diameter

const refs = { passage: sizeRef('body', 'passage.diameter'), wire: sizeRef('wire', 'diameter') }
/** Two to the jack and one of each pickup; in a hollow body the jack hangs where the controls do. */
const wiresThrough = (build: Build): number => (inHollow(build) ? 0 : 2) + PLACES.filter((p) => build.parts[`pickup-${p}`]).length

/** Wires through the body's narrowest passage. */
export const wirePassageJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'wire-passage',
    title: 'Wires through the passage',
    slots: ['wire', 'body'],
    at: () => pt(datums(build).studs - 60, 26),
    tables: () => [leadTable(build)],
    draw: drawnOnceKnown(build, 'Wires in the passage', refs, (have) => {
      const wires = wiresThrough(build)
      const r = have.passage.value / 2
      const w = have.wire.value / 2
      const marks: Mark[] = [
        { mark: 'area', role: 'body-wood', points: rectangle(-r - 5, -r - 5, r + 5, r + 5) },
        { mark: 'circle', role: 'cavity', at: pt(0, 0), r },
        ...Array.from({ length: wires }, (_, i): Mark => {
          const ring = wires === 1 ? 0 : bundle(wires, have.wire.value) / 2 - w
          const a = (2 * Math.PI * i) / Math.max(1, wires - 1)
          return {
            mark: 'circle',
            role: i % 2 ? 'hot' : 'ground',
            at: i === 0 ? pt(0, 0) : pt(ring * Math.cos(a), ring * Math.sin(a)),
            r: w,
          }
        }),
        { mark: 'dimension', from: pt(-r, r + 8), to: pt(r, r + 8), text: printMm(have.passage.value, 1) },
      ]
      return framed('Wires in the passage, cut across', 'true proportion', marks, [
        { label: 'Bundle', value: `${printMm(bundle(wires, have.wire.value), 1)} mm` },
        { label: 'Passage', value: `${printMm(have.passage.value, 1)} mm` },
      ])
    }),
    // Beside a jack that sits with the controls there is no passage whose width somebody is asked for.
    asks: [...(isBesideControls(build) ? [] : [bundleInPassage]), underPots],
  })

function bundleInPassage(build: Build): Question | undefined {
  const wires = wiresThrough(build)
  // In a hollow body no card makes a passage: where there is none yet nothing is said of its width.
  if (!wires || (inHollow(build) && isUnmade(asTold(build), refs.passage))) return undefined
  const have = sizesIn(build, refs)
  const c = linear([
    [1, ofSize(have.passage)],
    [-bundle(wires, 1), ofSize(have.wire)],
  ])
  return {
    // Another question where only the pickups’ leads pass it: what is said of the one never stands for the other.
    id: inHollow(build) ? 'pickup-leads' : 'bundle',
    label: 'Passage minus bundle',
    clearance: linear([[1, c]], -0.5),
    shown: c,
    bands: [
      { upTo: -1.5, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      `${wires} wires of ${printMm(have.wire.value, 1)} mm make a bundle of ${printMm(bundle(wires, have.wire.value), 1)} mm in a passage of ${printMm(have.passage.value, 1)} mm.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'widen-passage',
              job: `Drill the passage out to ${printMm(bundle(wires, have.wire.value) + 1, 1)} mm.`,
              how: inHollow(build)
                ? 'A long bit from a pickup’s route into the hollow; tape flag; before any coat goes on.'
                : 'A long bit from the jack’s or a pickup’s side; tape flag; before any coat goes on. Or thinner wire.',
              gives: 'body',
              tools: ['long bit'],
              plan: {
                slot: 'body',
                size: 'passage.diameter',
                delta: bundle(wires, have.wire.value) + 1 - have.passage.value,
                doubt: 0.2,
              },
            },
          ],
  }
}

/** Room wanted over a bundle under the pots, mm. [practice] */
const LIES_FLAT = 0.5

/** Under a guard or a plate the leads lie on the floor of the control route, below the pots that hang from it. */
function underPots(build: Build): Question[] {
  const panel = panelOf(build)
  if (!isCarried(panel)) return []
  return potsIn(build).map((control): Question => {
    const slot = potSlot(control)
    const wires = wiresThrough(build)
    const wire = sizeIn(build, refs.wire)
    const thick = bundle(wires, wire.value)
    const room = linear([
      [1, ofSize(sizeIn(build, sizeRef('body', 'control.depth')))],
      [-1, ofSize(sizeIn(build, sizeRef(slot, 'body.depth')))],
    ])
    const free = linear(
      [
        [1, room],
        [-bundle(wires, 1), ofSize(wire)],
      ],
      -LIES_FLAT,
    )
    const which = CONTROL_WORDS[control]
    return {
      id: `under-${control}`,
      label: `Room for the leads under the ${which} pot`,
      clearance: free,
      shown: room,
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The leads, ${printMm(thick, 1)} mm laid together, pass under the ${which} pot.`
          : `Under the ${which} pot are ${printMm(Math.max(0, likelyOf(room)), 1)} mm and the leads laid together are ${printMm(thick, 1)}: the ${panel.name} would not lie flat.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: `beside-${which}`,
                job: 'Lead the wires along the route’s wall, beside the pots, and hold them there with tape.',
                how: `Spread flat, not bundled; press the ${panel.name} down by hand before any screw: it must lie by itself.`,
                gives: 'nothing',
                tools: ['tape'],
              },
            ],
    }
  })
}
