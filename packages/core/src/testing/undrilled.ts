import type { Build } from '../document/build'
import { HOLES } from '../parts/holes'
import { changed } from './fullBuild'

/** The build with holes that are said not to be there: all of the table, or those a number's bits stand for. */
export function undrilled(build: Build, which = -1): Build {
  const gone = HOLES.filter((hole, i) => build.parts[hole.kind] && (which === -1 || (which >> i) & 1))
  return changed(
    build,
    Object.fromEntries(gone.flatMap((hole) => hole.sizes.map((size) => [`${hole.kind}/${size}`, undefined]))),
    Object.fromEntries(gone.flatMap((hole) => hole.traits.map((trait) => [`${hole.kind}/${trait}`, 'none']))),
  )
}
