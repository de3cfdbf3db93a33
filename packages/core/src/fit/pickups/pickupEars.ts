import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { filmToCome } from '../../finish/film'
import type { PickupPlace } from '../../instrument/guardPlace'
import type { Question } from '../../judge/joint'
import { gapOf, sizeIn } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { HIDDEN_BANDS } from './pickupLimits'

/** Ears hang into the route with the pickup, so it has to be as wide as they are. */
export function ears(build: Build, place: PickupPlace): Question[] {
  const refs = { span: sizeRef(`pickup-${place}`, 'ears.span'), width: sizeRef('body', `route.${place}.width`) }
  const span = sizeIn(build, refs.span)
  const width = sizeIn(build, refs.width)
  const c = gapOf([
    [1, width],
    [-1, span],
  ])
  const take = 0.8 - likelyOf(c)
  return [
    {
      id: 'ears',
      label: 'Route minus ears',
      clearance: c,
      bands: HIDDEN_BANDS,
      coats: filmToCome(build, refs.width),
      says: ({ verdict }) =>
        verdict === 'snug'
          ? 'The ears hang free in the route.'
          : `The ears are ${printMm(Math.abs(likelyOf(c)), 1)} mm wider than the route: the pickup sits on the wood and cannot be lowered.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: `ease-ears-${place}`,
                job: `Cut the route ${printMm(take / 2, 1)} mm wider at each end for the ears.`,
                how: 'Only where the ears are; a drill of that depth and a chisel do it. Or file the ears round, wrapped.',
                gives: 'body',
                tools: ['chisel', 'drill'],
                plan: { slot: 'body', size: `route.${place}.width`, delta: take, doubt: 0.3 },
              },
            ],
    },
  ]
}
