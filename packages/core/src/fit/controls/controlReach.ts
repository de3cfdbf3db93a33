import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { pt, type Point } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, sizeIn, sizesIn } from '../../judge/known'
import { likelyOf, linear, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** Knob to knob and knob to string, mm: closer than this hands get in each other's way. [practice] */
const KNOB_TO_KNOB = 30
const KNOB_TO_STRING = 15

const refs = {
  vx: sizeRef('guard', 'volume.x'),
  vy: sizeRef('guard', 'volume.y'),
  tx: sizeRef('guard', 'tone.x'),
  ty: sizeRef('guard', 'tone.y'),
  spread: sizeRef('bridge', 'spread'),
}

/** Can the player reach the controls? Distances between knobs and from the outer string. */
export const controlReachJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'control-reach',
    condition: true,
    title: 'Controls within reach',
    slots: ['guard', 'pot-volume', 'pot-tone', 'bridge'],
    at: pt(datums(build).heelEnd + drawnAt(build, refs.tx) + 16, drawnAt(build, refs.ty)),
    draw: drawnOnceKnown(build, 'Controls and the outer string, from above', refs, (have) => {
      const v: Point = pt(have.vx.value, have.vy.value)
      const t: Point = pt(have.tx.value, have.ty.value)
      const y = -have.spread.value / 2
      const marks: Mark[] = [
        { mark: 'line', role: 'string', points: [pt(v.x - 50, y), pt(t.x + 30, y)] },
        { mark: 'circle', role: 'metal', at: v, r: 10 },
        { mark: 'circle', role: 'metal', at: t, r: 10 },
        { mark: 'dimension', from: v, to: t, text: printMm(Math.hypot(v.x - t.x, v.y - t.y), 0), emphasis: true },
        { mark: 'dimension', from: pt(v.x - 18, v.y), to: pt(v.x - 18, y), text: printMm(Math.abs(v.y - y), 0) },
      ]
      return framed('Controls and the outer string, from above', 'true proportion', marks, [
        { label: 'Knob to knob', value: `${printMm(Math.hypot(v.x - t.x, v.y - t.y), 1)} mm` },
        { label: 'Volume to outer string', value: `${printMm(Math.abs(v.y - y), 1)} mm` },
      ])
    }),
    asks: [distances],
  })

function distances(build: Build): Question[] {
  const have = sizesIn(build, refs)
  const apart = propagate(
    ([a, b, c, e]) => Math.hypot(a! - c!, b! - e!),
    [ofSize(have.vx), ofSize(have.vy), ofSize(have.tx), ofSize(have.ty)],
  )
  const string = propagate(([y, s]) => Math.abs(y!) - s! / 2, [ofSize(have.vy), ofSize(have.spread)])
  const near = (id: string, label: string, what: typeof apart, least: number, says: string): Question => ({
    id,
    label,
    clearance: linear([[1, what]], -least),
    shown: what,
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) => `${says} ${printMm(likelyOf(what), 0)} mm apart${verdict === 'snug' ? '.' : `; fingers want ${least}.`}`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: `move-${id}`,
              job: 'Move the hole in a new guard, or take smaller knobs.',
              how: 'Hold the guitar and mark where the hand falls before drilling.',
              gives: 'guard',
              tools: ['pencil'],
            },
          ],
  })
  const bodies = (['pot-volume', 'pot-tone'] as const).map((slot) => sizeIn(build, sizeRef(slot, 'body.diameter')))
  const between = linear([[1, apart], ...bodies.map((b) => [-0.5, ofSize(b)] as const)], -1)
  return [
    {
      id: 'bodies',
      label: 'Between the pots’ bodies',
      clearance: between,
      bands: [
        { upTo: -1, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () => {
        const left = likelyOf(between) + 1
        return left < 0
          ? `The pots’ bodies lie ${printMm(-left, 1)} mm over each other.`
          : `The pots’ bodies pass each other with ${printMm(left, 1)} mm between them.`
      },
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'small-pots',
                job: 'Take pots with a smaller body, 16 or 17 mm.',
                how: 'Turned so that their lugs point apart; insulate where cases come near.',
                gives: 'the pot',
                tools: [],
              },
            ],
    },
    near('knob', 'Knob to knob', apart, KNOB_TO_KNOB, 'Knobs stand'),
    near('string', 'Volume to the outer string', string, KNOB_TO_STRING, 'Volume and outer string are'),
  ]
}
