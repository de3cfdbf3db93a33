import { FINISH_ZONES, type Build } from '../document/build'
import { isThrough } from '../document/read'
import { capital, listed } from '../quantity/words'
import { filmLaid } from './laid'
import { groundOf, isClosed, partOfZone, SCUFF_GRIT, stackFaults, surfaceOf } from './stack'
import type { ZoneGroup } from './zones'

type Wooden = 'body' | 'neck'
/** What is done to a part before its first coat: bare wood is sanded, what it came with is taken off, only keyed, or left; or somebody looks. */
export type GroundWork = 'sand' | 'strip' | 'scuff' | 'leave' | 'look'

/** Raw wood is sanded up to the last of these. [practice] */
const BARE_GRITS = 'P180, P240, P320'

/** Board and binding are never sanded with the rest. */
const isFace = (zone: string) => zone !== 'board' && zone !== 'binding'

/** The parts that have faces of their own; of one piece the neck is the body's. */
const woodenParts = (build: Build): Wooden[] =>
  (['body', 'neck'] as const).filter((slot) => build.parts[slot] && !(slot === 'neck' && build.parts.body && isThrough(build)))

/**
 * What has to be done to each part before the first coat. A part that came with its finish on is left alone while nothing is to be laid over
 * it: sanded, it is spoilt.
 */
export function groundWork(build: Build, groups: readonly ZoneGroup[]): Partial<Record<Wooden, GroundWork>> {
  const parts = woodenParts(build)
  const cameFinished = parts.some((part) => isClosed(build, part))
  const works = parts.map((part): [Wooden, GroundWork] => {
    const came = surfaceOf(build, part)
    if (came === 'raw') return [part, 'sand']
    const over = groups.flatMap((g) =>
      g.zones.filter((z) => isFace(z) && partOfZone(z) === part).map((zone) => ({ zone, layers: g.layers })),
    )
    // Nobody asks how one part came where nothing is laid on it, and the other came finished.
    if (!over.length && (came || cameFinished)) return [part, 'leave']
    if (!came) return [part, 'look']
    // What goes into wood goes through nothing: it is on bare wood that the stack holds.
    const onWood = over.some(({ zone, layers }) => {
      const never = (ground: 'raw' | typeof came) => stackFaults(ground, layers).filter((f) => f.follow === 'never').length
      return groundOf(build, zone) === came && never(came) > never('raw')
    })
    return [part, onWood ? 'strip' : 'scuff']
  })
  return Object.fromEntries(works)
}

const TAPED = 'tape along what is worked, the film cut through with a knife before any bit or cutter.'

/** Wood that came with its finish on, or has coats of one's own on it by now. */
export const isFinished = (build: Build, part: Wooden): boolean => surfaceOf(build, part) === 'coated' || hasCoats(build, part)

const hasCoats = (build: Build, part: Wooden): boolean =>
  FINISH_ZONES.some((zone) => isFace(zone) && partOfZone(zone) === part && filmLaid(build, zone) > 0)

/** What is minded where wood under a finish is worked: of each of these parts that came with one, or has coats on it by now. [practice] */
export const throughFinish = (build: Build, worked: readonly string[]): string[] =>
  (['body', 'neck'] as const)
    .filter((part) => worked.includes(part))
    .flatMap((part) => [
      ...(isClosed(build, part) ? [`The ${part} came finished: ${TAPED}`] : []),
      ...(hasCoats(build, part) && !isClosed(build, part)
        ? [`Coats lie on the ${part} by now, so that it is too late to do it before them: ${TAPED}`]
        : []),
    ])

/** Did every wooden part come with its coat on? */
export const cameCoated = (build: Build): boolean => {
  const parts = woodenParts(build)
  return parts.length > 0 && parts.every((part) => surfaceOf(build, part) === 'coated')
}

/** The same in words, as a heading; nothing where nothing is done. */
export function groundSays(works: Partial<Record<Wooden, GroundWork>>): string | undefined {
  const all = Object.entries(works) as [Wooden, GroundWork][]
  const of = (...kinds: GroundWork[]) => listed(all.flatMap(([part, work]) => (kinds.includes(work) ? [`the ${part}`] : [])))
  const [strip, scuff, look, bare] = [of('strip'), of('scuff'), of('look'), of('sand', 'strip')]
  // All of it raw wood: no part need be named.
  const what = all.every(([, work]) => work === 'sand') ? '' : ` ${bare}`
  const says = [
    strip && `sand all that ${strip} came with off, to the wood`,
    bare && `sand${what} to ${BARE_GRITS}${look && `, ${look} too where it came raw`}`,
    !bare && look && `sand ${look} where it came raw, to ${BARE_GRITS}`,
    scuff && `scuff ${scuff} with ${SCUFF_GRIT}, no deeper`,
  ].filter(Boolean)
  return says.length ? capital(says.join('; ')) : undefined
}
