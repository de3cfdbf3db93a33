import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import { isChosen, SYSTEMS, UNDER, type Layer, type LayerName, type System } from './systems'

/** From the wood up: what must lie under what. */
const ORDER: readonly LayerName[] = ['dye', 'filler', 'sealer', 'primer', 'colour', 'sparkle', 'top']

/** The system chosen; nothing while nobody has chosen. */
export const systemOf = (build: Build): System | undefined => (isChosen(build.finish.system) ? SYSTEMS[build.finish.system] : undefined)

/** A layer that may be wanted under the top, and why it cannot be had on this wood; nothing where it can. */
export interface UnderOffer {
  name: keyof typeof UNDER
  label: string
  wanted: boolean
  lacks?: string
}

/** Stain does not take through what seals the wood. [practice] */
const IN_THE_WOOD: readonly LayerName[] = ['dye', 'filler']

export function underOffers(build: Build, system: System): UnderOffer[] {
  const closed = isClosed(build)
  return system.under.map((name) => {
    const key = name as keyof typeof UNDER
    const lacks =
      closed && IN_THE_WOOD.includes(name)
        ? 'The body came sealed: stain and filler do not take. Sand all of it off to the wood, or choose a colour coat.'
        : undefined
    return { name: key, label: UNDER[key].label, wanted: build.finish.under?.[key] === true && !lacks, ...(lacks ? { lacks } : {}) }
  })
}

const isClosed = (build: Build) => ['sealed', 'coated'].includes(traitAt(build, 'body', 'surface') ?? '')

/** Every layer of the finish as chosen, from the wood up. An opaque colour needs its primer and takes the sealer's place. */
export function layersOf(build: Build): Layer[] {
  const system = systemOf(build)
  if (!system) return []
  const wanted = underOffers(build, system).flatMap((o) => (o.wanted ? [UNDER[o.name]] : []))
  const opaque = [...wanted, ...system.layers].some((l) => l.name === 'colour')
  const own = system.layers.filter((l) => !(opaque && l.name === 'sealer'))
  const primer = opaque && system.under.includes('primer') && ![...wanted, ...own].some((l) => l.name === 'primer') ? [UNDER.primer] : []
  const all = [...wanted, ...primer, ...own].filter((l, i, list) => list.findIndex((x) => x.name === l.name) === i)
  return all
    .map((l) => (l.name === 'top' ? { ...l, coats: build.finish.coats } : l))
    .toSorted((a, b) => ORDER.indexOf(a.name) - ORDER.indexOf(b.name))
}

/** What the wood and the choice do not agree about, each a sentence with what to do. */
export function stackProblems(build: Build): string[] {
  const system = systemOf(build)
  const surface = traitAt(build, 'body', 'surface')
  if (!build.parts.body || !system) return []
  const penetrating = build.finish.system === 'oil' || build.finish.system === 'hard-wax'
  const dye = build.finish.under?.dye === true
  return [
    ...(surface === undefined
      ? [
          'Raw or sealed? Nobody has said. A drop of water on a hidden place soaks in and darkens the wood, or stands: then it is sealed. Say it under Parts before anything is put on.',
        ]
      : []),
    ...(isClosed(build) && (dye || penetrating)
      ? [
          `The body came ${surface === 'sealed' ? 'sealed' : 'with a coat'}: ${dye ? 'dye' : 'oil'} does not go into the wood through it. Sand all of it off, or choose a colour coat over it.`,
        ]
      : []),
    ...(isClosed(build) && !dye && !penetrating
      ? ['What is on the body is scuffed with P400 first, and tried on a hidden place: unknown finish under a new one can lift.']
      : []),
  ]
}
