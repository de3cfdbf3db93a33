import type { Build } from '../document/build'
import { traitAt } from '../document/read'

const VIBRATOS: ReadonlySet<string> = new Set(['two-stud', 'six-screw', 'double-locking'])

/** Does a bridge so mounted move against springs? */
export const isVibrato = (mount: string | undefined): boolean => mount !== undefined && VIBRATOS.has(mount)

/** Springs that pull on something: none do under a bridge that is known to be fixed. */
export const hasSprings = (build: Build): boolean => {
  const mount = traitAt(build, 'bridge', 'mount')
  return build.parts.springs !== undefined && (mount === undefined || isVibrato(mount))
}
