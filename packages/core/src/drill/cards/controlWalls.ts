import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import { betweenBoxes, type Box } from '../../geometry/box'
import { STAYS } from '../../judge/whatStays'
import type { Size } from '../../quantity/size'
import { untellable } from '../guard'
import { hollowsOf, type Hollow } from '../hollows'
import type { Guard } from '../holeCard'
import { MAY_OPEN, wallGuard } from '../wallGuard'

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

/** What the controls' route comes near of what is hollow already, from its own face or as deep as that reaches from the other. */
export const controlWalls = (build: Build, cut: Cut): Guard[] =>
  hollowsOf(build)
    .filter((h) => h.id !== 'control' && meets(h, cut, sizeAt(build, sizeRef('body', 'thickness'))))
    .flatMap((h) => wallTo(h, cut))

const meets = (h: Hollow, { face, deep }: Cut, thick: Size | undefined): boolean =>
  h.face === face || h.depth === undefined || !thick || deep + h.depth > thick.value - STAYS

function wallTo(h: Hollow, { box, askew, doubt }: Cut): Guard[] {
  const pickup = h.id.startsWith('route-')
  const walls = wallGuard({
    id: `wall-${h.id}`,
    what: h.name,
    wood: { value: betweenBoxes(h.box, box), doubt },
    opens: `It would open into ${h.name}${pickup ? MAY_OPEN : ''}`,
    ...(pickup ? {} : { instead: 'Move the controls, or take smaller ones.' }),
  })
  return askew ? walls.map(({ id, label }) => untellable(id, label, 'it lies askew beside it: lay its template on and look')) : walls
}
