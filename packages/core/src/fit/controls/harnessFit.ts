import { HOLE_OVER } from '../../instrument/holeOver'
import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { controlPlace } from '../../instrument/controlPlace'
import { PLACES as GUARD_PLACES } from '../../instrument/guardPlace'
import { isCarried, panelOf } from '../../instrument/panel'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import { likelyOf, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { settled } from '../../judge/settled'
import { counted } from '../../quantity/words'

/** Pots on a plate may be off their holes by this, on free wires the wire between them needs this much slack, mm. [practice] */
const PLATE_PLAY = 0.5
const WIRE_SLACK = 5

const refs = { pitch: sizeRef('harness', 'pot.pitch') }
const PLACES = ['volume.x', 'volume.y', 'tone.x', 'tone.y'] as const

/** Between the two pots' holes, mm. */
function apart(build: Build): number {
  const [volume, tone] = [controlPlace(build, 'volume'), controlPlace(build, 'tone')]
  return Math.hypot(volume.x - tone.x, volume.y - tone.y)
}

/** A harness wired for another guitar: do its pots fall into these holes? */
export function harnessJoint(build: Build): JudgedJoint {
  return judged(build, {
    id: 'harness',
    title: 'Pre-wired harness in the control holes',
    slots: ['harness', ...(panelOf(build).slot === 'body' ? [] : [panelOf(build).slot]), 'body'],
    at: () => {
      const [volume, tone] = [controlPlace(build, 'volume'), controlPlace(build, 'tone')]
      return pt((volume.x + tone.x) / 2, (volume.y + tone.y) / 2 + 14)
    },
    draw: drawnOnceKnown(build, 'Harness over the control holes', refs, (have) => {
      const holes = apart(build)
      const far = have.pitch.value
      const marks: Mark[] = [
        { mark: 'circle', role: 'cavity', at: pt(0, 0), r: 4.8 },
        { mark: 'circle', role: 'cavity', at: pt(holes, 0), r: 4.8 },
        { mark: 'circle', role: 'metal', at: pt(0, 0), r: 12, dashed: true },
        { mark: 'circle', role: 'metal', at: pt(far, 0), r: 12, dashed: true },
        { mark: 'dimension', from: pt(0, 20), to: pt(holes, 20), text: printMm(holes, 0) },
        { mark: 'dimension', from: pt(0, -20), to: pt(far, -20), text: printMm(far, 0), emphasis: true },
      ]
      return framed('Harness over the control holes', 'true proportion · dashed: its pots', marks, [
        { label: 'Between its pots', value: `${printMm(far, 1)} mm` },
        { label: 'Between the holes', value: `${printMm(holes, 1)} mm` },
      ])
    }),
    asks: [pitch, bushings, pickupLeads, groundWire],
  })
}

function pitch(build: Build): Question {
  const have = sizesIn(build, refs)
  const { slot } = panelOf(build)
  const rigid = traitIn(build, 'harness', 'frame') === 'rigid'
  const places = PLACES.map((size) => ofSize(sizeIn(build, { slot, size })))
  const holes = apart(build)
  const off = propagate(([p, vx, vy, tx, ty]) => p! - Math.hypot(vx! - tx!, vy! - ty!), [ofSize(have.pitch), ...places])
  return {
    id: 'pitch',
    label: rigid ? 'Pots on their plate, beside the holes’ distance' : 'Wire between the pots, over the holes’ distance',
    // On a plate too wide is as bad as too narrow; free wires may only be too short.
    clearance: rigid
      ? off.map((n) => ({ ...n, mean: PLATE_PLAY - Math.abs(n.mean) }))
      : off.map((n) => ({ ...n, mean: n.mean - WIRE_SLACK })),
    shown: off,
    bands: [...(rigid ? [{ upTo: -0.5, is: 'wont-go' as const }] : []), { upTo: 0, is: 'tight' }, { upTo: Infinity, is: 'snug' }],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `The harness fits the holes: ${printMm(have.pitch.value, 0)} mm between its pots, ${printMm(holes, 0)} between the holes.`
        : rigid
          ? `The harness was made for other holes: ${printMm(have.pitch.value, 1)} mm between its pots, ${printMm(holes, 1)} between the holes here.`
          : `Its wires reach ${printMm(have.pitch.value, 0)} mm from pot to pot; over holes ${printMm(holes, 0)} mm apart they want ${printMm(holes + WIRE_SLACK, 0)}.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'rewire-between',
              job: rigid
                ? 'Take the pots off their plate and join them by free wires.'
                : `Put a wire ${printMm(holes + 30, 0)} mm long between the pots.`,
              how: 'Note every joint before it is undone; then it is checked at the jack as any other.',
              gives: 'nothing',
              tools: ['soldering iron', 'wire'],
              plan: {
                slot: 'harness',
                size: 'pot.pitch',
                delta: holes + (rigid ? 0 : WIRE_SLACK + 10) - have.pitch.value,
                doubt: 0.2,
              },
            },
          ],
  }
}

/** Its bushings against the holes they go through. */
function bushings(build: Build): Question[] {
  const panel = panelOf(build)
  const refs = { bush: sizeRef('harness', 'bushing.diameter'), hole: sizeRef(panel.slot, 'pot.hole') }
  const bush = sizeIn(build, refs.bush)
  const hole = sizeIn(build, refs.hole)
  const c = gapOf([
    [1, hole],
    [-1, bush],
  ])
  return [
    {
      id: 'bushing',
      label: 'Hole minus bushing',
      clearance: c,
      bands: [
        { upTo: 0.08, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () => `Holes of ${printMm(hole.value, 1)} mm and bushings of ${printMm(bush.value, 1)} mm.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'ream-for-harness',
                job: `Ream the holes to ${printMm(bush.value + HOLE_OVER.pot)} mm.`,
                how: 'From both faces; a tapered reamer from one side leaves a cone.',
                gives: isCarried(panel) ? panel.name : 'body',
                tools: ['tapered reamer'],
                plan: { ...refs.hole, delta: HOLE_OVER.pot - likelyOf(c), doubt: 0.05 },
              },
            ],
    },
  ]
}

/** Leads for the pickups there are; one too many does no harm once its end is sleeved. */
function pickupLeads(build: Build): Question {
  const own = sizeIn(build, sizeRef('harness', 'pickups'))
  const here = PICKUP_SLOTS.filter((slot) => build.parts[slot]).length
  const over = own.value - here
  return {
    id: 'pickup-leads',
    label: 'Pickup leads, over the pickups here',
    clearance: ofSize(own).map((n) => ({ ...n, mean: n.mean - here })),
    unit: 'count',
    bands: [
      { upTo: -0.5, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      over < 0
        ? `The harness has leads for ${counted(own.value, 'pickup')} and ${here} are here: ${-over} must be added.`
        : over > 0
          ? `This body does not need ${over === 1 ? 'one of its pickup leads' : `${over} of its pickup leads`}: sleeve the end, fold it back and tape it down; do not let it touch foil.`
          : 'It has a lead for each pickup here.',
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'add-lead',
              job: `Solder ${-over} more pickup lead${over < -1 ? 's' : ''} to the selector.`,
              how: 'At the free lug; the wiring checks say whether the selector has one.',
              gives: 'nothing',
              tools: ['soldering iron', 'wire'],
            },
          ],
  }
}
const PICKUP_SLOTS = GUARD_PLACES.map((place) => `pickup-${place}` as const)

/** Strings are grounded in every body but one whose pickups are active and say otherwise; a wire left over is sleeved. */
function groundWire(build: Build): Question {
  const has = traitIn(build, 'harness', 'ground') === 'yes'
  return settled(
    'ground-wire',
    'Wire for the string ground',
    has,
    'tight',
    has ? 'It brings a wire for the string ground.' : 'It has no wire for the string ground.',
    [
      {
        id: 'add-ground',
        job: 'Solder a wire from a pot’s case and lead it to the bridge or the claw.',
        how: 'Bare end under the bridge, proud of the wood by 0.1 to 0.2 mm; checked with the meter before the strings go on.',
        gives: 'nothing',
        tools: ['soldering iron', 'wire'],
      },
    ],
  )
}
