import type { Build } from '../document/build'
import { asTold, traitAt } from '../document/read'

/** A guard goes round the pickups and lies under the strings, unless someone says that it lies beside them. Nobody is asked: most go round. */
export const goesRound = (build: Build): boolean => build.parts.guard !== undefined && traitAt(asTold(build), 'guard', 'lies') !== 'beside'
