import type { Build } from '../document/build'
import { lockedLayers } from './locked'
import { groundOf, isClosed, layersOf, SCUFF_GRIT, stackFaults, surfaceOf, systemOf } from './stack'
import { WHOLE } from './zones'

/** What the wood and the choice do not agree about, each a sentence with what to do. */
export function stackProblems(build: Build): string[] {
  const layers = layersOf(build)
  const surface = surfaceOf(build)
  if (!build.parts.body || (!layers.length && !systemOf(build))) return []
  const wanted = build.finish.layers ? undefined : build.finish.under?.dye
  const faults = stackFaults(groundOf(build), layers, lockedLayers(build, WHOLE))
  const lost = wanted && isClosed(build) && !layers.some((l) => l.name === 'dye')
  return [
    ...(surface === undefined
      ? [
          'Raw or sealed? Nobody has said. A drop of water on a hidden place soaks in and darkens the wood, or stands: then it is sealed. Say it under Parts before anything is put on.',
        ]
      : []),
    ...(lost
      ? [
          `The body came ${surface === 'sealed' ? 'sealed' : 'with a coat'}: dye does not go into the wood through it. Sand all of it off, or choose a colour coat over it.`,
        ]
      : []),
    ...faults.filter((f) => f.follow === 'never').map((f) => f.says),
    ...(isClosed(build) && !lost && !faults.some((f) => f.follow === 'never')
      ? [`What is on the body is scuffed with ${SCUFF_GRIT} first, and tried on a hidden place: unknown finish under a new one can lift.`]
      : []),
  ]
}
