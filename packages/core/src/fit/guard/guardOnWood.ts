import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { PLACES } from '../../instrument/guardPlace'
import { goesRound } from '../../instrument/guardRound'
import type { Question } from '../../judge/joint'
import { gapOf, sizeIn, traitIn } from '../../judge/known'
import { liesOnFront } from '../../judge/onFront'
import { printMm } from '../../quantity/length'

/** A guard screw stands at least this far from a route, mm. [practice] */
const SCREW_WOOD = 3
/** As much as a block glued in gives it, mm. [ours] */
const BLOCKED = 6

/** A guard that carries pickups cannot be stood off on a bracket. */
export function guardLies(build: Build): Question[] {
  const carries = goesRound(build) && PLACES.some((p) => build.parts[`pickup-${p}`] && traitIn(build, `pickup-${p}`, 'mount') === 'guard')
  return [
    liesOnFront(build, 'guard', 'screwed down it bends, draws its screws and cracks.', {
      job: carries
        ? 'Hang the pickups from rings with curved feet, or take a body with a flat top.'
        : 'Carry the guard on a bracket at its edge and a foot near the neck, clear of the front.',
      how: carries
        ? 'A guard with pickups in it has to lie on its routes. Nothing holds it flat over an arch.'
        : 'Felt under whatever touches the finish; the foot’s screw goes where a string does not show it.',
      gives: 'nothing',
      toGet: true,
      tools: carries ? [] : ['bracket', 'screwdriver'],
    }),
  ]
}

/** Its screw that stands nearest to a route. */
export function guardScrews(build: Build): Question[] {
  const ref = sizeRef('guard', 'screw.edge')
  const edge = sizeIn(build, ref)
  return [
    {
      id: 'screws',
      label: 'Nearest screw to a route',
      clearance: gapOf([[1, edge]], -SCREW_WOOD),
      shown: gapOf([[1, edge]]),
      bands: [
        // Nothing but air or a sliver of wood under it.
        { upTo: 0.5 - SCREW_WOOD, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `Every screw stands on wood, ${printMm(edge.value, 1)} mm from a route or more.`
          : `A guard screw lands ${printMm(edge.value, 1)} mm from a route; the wood there splits out under ${SCREW_WOOD} mm.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'block-for-screw',
                job: `Glue a block into the route’s corner so that ${BLOCKED} mm of wood stand beside that screw, or leave the screw out.`,
                how: 'A block of the body’s wood, flush with the top; a short screw.',
                gives: 'nothing',
                tools: ['wood', 'wood glue'],
                plan: { slot: 'guard', size: 'screw.edge', delta: BLOCKED - edge.value, doubt: 0.5 },
              },
            ],
    },
  ]
}
