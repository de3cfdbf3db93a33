import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { Box } from '../../geometry/box'
import { STAYS } from '../../judge/whatStays'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { guarded, untellable } from '../guard'
import { hollowsOf, type Hollow } from '../hollows'
import type { Guard } from '../holeCard'
import { between } from './routeWalls'

/** A control route to be cut. */
interface Cut {
  /** What it takes up on the body; of one that lies askew the box round it. */
  box: Box
  askew: boolean
  face: Hollow['face']
  deep: number
  /** How surely its controls' places are known, 95 %, mm. */
  doubt: number
}
/** Wood beyond this is no news, mm. */
const NEWS = 3

/** What the controls' route comes near of what is hollow already, from its own face or as deep as that reaches from the other. */
export const controlWalls = (build: Build, cut: Cut): Guard[] =>
  hollowsOf(build)
    .filter((h) => h.id !== 'control' && meets(h, cut, sizeAt(build, sizeRef('body', 'thickness'))))
    .flatMap((h) => wallTo(h, cut))

const meets = (h: Hollow, { face, deep }: Cut, thick: Size | undefined): boolean =>
  h.face === face || h.depth === undefined || !thick || deep + h.depth > thick.value - STAYS

function wallTo(h: Hollow, { box, askew, doubt }: Cut): Guard[] {
  const wood = between(h.box, box)
  if (wood > NEWS + doubt) return []
  const [id, label] = [`wall-${h.id}`, `Wood to ${h.name}`]
  if (askew) return [untellable(id, label, 'it lies askew beside it: lay its template on and look')]
  // Wires lead from the one into the other; where a screw or a spring pulls, the wall is needed.
  const pickup = h.id.startsWith('route-')
  return [
    guarded(
      id,
      label,
      { value: wood, doubt },
      [...(pickup ? [] : [{ upTo: 0, is: 'wont-go' } as const]), { upTo: STAYS, is: 'tight' }, { upTo: Infinity, is: 'snug' }],
      wood > 0
        ? `${printMm(wood, 1)} mm of wood to ${h.name}; ${STAYS} should stay.`
        : `It would open into ${h.name}${pickup ? ': under a guard that may be, under a ring or screws in the wood it may not' : ''}.`,
      'Move the controls, or take smaller ones.',
    ),
  ]
}
