import { newBuild, type Build, type NewBuild } from '../document/build'
import { applyChange } from '../document/change'
import { setTrait } from '../document/changes'
import { traitAt } from '../document/read'
import type { TraitRef } from '../judge/completed'
import { holeCards } from '../drill/holes'
import { isPartHere } from '../parts/part'
import { HOLES } from '../parts/holes'
import { isWhole } from '../parts/starting/jobs'
import { slotSpec } from '../parts/slots'

/**
 * A build as somebody begins it. Where the instrument is here already, a glued neck is in its body: the two are one piece, nothing of a heel
 * or a pocket can be read, and nothing is glued in. Whoever takes it out says so under Parts. It has every hole for what is in it.
 * `today` is an ISO date.
 */
export function beginBuild(wanted: NewBuild, today: string): Build {
  const build = newBuild(wanted, today)
  const together = isPartHere(build.parts.body) && isPartHere(build.parts.neck)
  const begun =
    together && traitAt(build, 'neck', 'joint') === 'set' ? applyChange(build, setTrait(build, 'body', 'neckIs', 'through')) : build
  return isWhole(wanted) ? withItsHoles(begun) : begun
}

/** With each hole said to be there that a part asks for. */
export function withItsHoles(build: Build): Build {
  const untold = holeCards({ ...build, parts: onBench(build.parts) }).flatMap((card) => card.untold)
  return untold
    .filter((ref) => isHole(ref) && traitAt(build, ref.slot, ref.trait) === undefined)
    .reduce((b, { slot, trait }) => applyChange(b, setTrait(b, slot, trait, 'drilled')), build)
}

/** One that can be measured against another part too: where screws went in says nothing of another part's screws. */
const isHole = ({ slot, trait }: TraitRef): boolean =>
  HOLES.some((hole) => hole.kind === slotSpec(slot).kind && hole.traits.includes(trait))

/** As they lie on a bench: what is in place asks for no hole. */
const onBench = (parts: Build['parts']): Build['parts'] =>
  Object.fromEntries(Object.entries(parts).map(([slot, part]) => [slot, { ...part, state: 'in hand' }]))
