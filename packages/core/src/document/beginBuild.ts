import { newBuild, type Build, type NewBuild } from './build'
import { applyChange } from './change'
import { setTrait } from './changes'
import { traitAt } from './read'

/**
 * A build as somebody begins it. Where the instrument is here already, a glued neck is in its body: the two are one piece, nothing of a heel
 * or a pocket can be read, and nothing is glued in. Whoever takes it out says so under Parts. `today` is an ISO date.
 */
export function beginBuild(wanted: NewBuild, today: string): Build {
  const build = newBuild(wanted, today)
  const isHere = build.parts.body?.state === 'in hand' && build.parts.neck?.state === 'in hand'
  return isHere && traitAt(build, 'neck', 'joint') === 'set' ? applyChange(build, setTrait(build, 'body', 'neckIs', 'through')) : build
}
