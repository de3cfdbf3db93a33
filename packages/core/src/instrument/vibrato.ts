import type { Build } from '../document/build'
import { traitAt } from '../document/read'

const VIBRATOS: ReadonlySet<string> = new Set(['two-stud', 'six-screw', 'double-locking'])

/** Does a bridge so mounted move against springs? */
export const isVibrato = (mount: string | undefined): boolean => mount !== undefined && VIBRATOS.has(mount)

const ON_STUDS: ReadonlySet<string> = new Set(['two-stud', 'double-locking', 'post', 'bar'])

/** Does a bridge so mounted stand or pivot on studs or posts with bores of their own? */
export const isOnStuds = (mount: string | undefined): boolean => mount !== undefined && ON_STUDS.has(mount)

/** Springs that pull on something: none do under a bridge that is known to be fixed. */
export const hasSprings = (build: Build): boolean => {
  const mount = traitAt(build, 'bridge', 'mount')
  return build.parts.springs !== undefined && (mount === undefined || isVibrato(mount))
}
