import { betweenAreas } from '../geometry/area'
import { STAYS } from '../judge/whatStays'
import type { Build } from '../document/build'
import { untellable } from './guard'
import { unplacedHollows, type Hollow } from './hollows'
import type { Guard } from './holeCard'
import { wallGuard } from './wallGuard'

/** Wires lead from one route into another; where a screw or a spring pulls, the wall is needed. */
const MAY_OPEN = ': under a guard that may be, under a ring or screws in the wood it may not'
/** What may open into each other. */
const FOR_WIRES = /^route-|^control$/

/** What a hollow that is still to be cut comes near of the others, from its own face or as deep as they reach from the other. */
export const besideHollows = (build: Build, cut: Hollow, hollows: readonly Hollow[], thick: number | undefined): Guard[] => [
  ...hollows.filter((h) => h.id !== cut.id && !looksAt(cut, h) && meets(cut, h, thick)).flatMap((h) => wallTo(cut, h)),
  ...unplacedHollows(build)
    .filter(({ id }) => !looksAt(cut, { id, face: 'front' }) && !hollows.some((h) => h.id === id))
    .map(({ id, name }) => untellable(`wall-${id}`, `Wood to ${name}`, `where ${name} lies is not known`)),
]

/** A pickup's route looks itself at the pocket it ends before and at the floor it leaves over what is hollow from the back. */
const looksAt = (cut: Hollow, h: Pick<Hollow, 'id' | 'face' | 'planned'>): boolean =>
  cut.id.startsWith('route-') && (h.id === 'pocket' || h.id === 'springs' || (h.face !== cut.face && !h.planned))

const meets = (a: Hollow, b: Hollow, thick: number | undefined): boolean =>
  a.face === b.face || a.depth === undefined || b.depth === undefined || thick === undefined || a.depth + b.depth > thick - STAYS

function wallTo(cut: Hollow, h: Hollow): Guard[] {
  const may = FOR_WIRES.test(cut.id) && FOR_WIRES.test(h.id) && cut.face === h.face
  return wallGuard({
    id: `wall-${h.id}`,
    what: h.name,
    wood: { value: betweenAreas(cut, h), doubt: Math.hypot(cut.doubt ?? 0, h.doubt ?? 0) },
    opens: `It would open into ${h.name}${may ? MAY_OPEN : cut.face === h.face ? '' : ', cut from the other face'}`,
    ...(may
      ? {}
      : { instead: cut.id === 'control' ? 'Move the controls, or take smaller ones.' : 'Move one of them, or take what wants less room.' }),
  })
}
