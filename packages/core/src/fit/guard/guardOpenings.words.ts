import { stopOf } from '../../instrument/neckWords'
import type { Build, JobEffect, PlannedJob } from '../../document/build'
import { asTold, sizeRef, traitAt, valueAt, isThrough } from '../../document/read'
import type { Edge, EdgeFiling, GuardFit, PickupPlace } from '../../instrument/guardPlace'
import type { Cure } from '../../judge/joint'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'

/** The guard may stand off the heel by this before the gap is seen, mm, and be turned by this before it looks crooked, degrees. [ours] */
export const GAP_AT_NECK = 1
/** Wood that must stay between a widened route and the pocket, mm. [practice] */
const WALL = 3

/** "0.4 mm off the heel, 0.2 mm to the bass side, turned 0.3°". */
export function poseWords({ pose: { along, across, turn } }: GuardFit, stop = 'the heel'): string {
  const side = Math.abs(across) < 0.05 ? [] : [`${printMm(Math.abs(across), 1)} mm to the ${across > 0 ? 'bass' : 'treble'} side`]
  const turned = turn === 0 ? [] : [`turned ${Math.abs(turn).toFixed(2)}° with its tail to the ${turn > 0 ? 'bass' : 'treble'} side`]
  return [along < 0.05 ? `against ${stop}` : `${printMm(along, 1)} mm off ${stop}`, ...side, ...turned].join(', ')
}

export const openingsSays = (fit: GuardFit, stop?: string): string =>
  fit.worst <= 0
    ? `All pickups pass with the guard ${poseWords(fit, stop)}.`
    : `No shift cures it: with the guard in its best place the ${fit.worstAt} opening still lacks ${printMm(fit.worst, 1)} mm.`

export const isAlong = (edge: Edge) => edge === 'neck side' || edge === 'bridge side'
/** What goes from an edge so that it clears and a little over, to a tenth. */
export const filed = (f: EdgeFiling): number => Math.ceil(10 * (f.amount + OVER)) / 10
const OVER = 0.2
const filingWords = (f: EdgeFiling) => `${f.place} opening, ${f.edge}: ${printMm(filed(f), 1)} mm`

/** An edge taken back makes its opening that much longer, and moves its middle by half of it to that side. */
function widened(
  slot: 'guard' | 'body',
  name: (key: 'centre' | 'length' | 'width' | 'side') => string,
  edge: Edge,
  by: number,
): JobEffect[] {
  const [size, middle] = isAlong(edge) ? (['length', 'centre'] as const) : (['width', 'side'] as const)
  const sign = edge === 'bridge side' || edge === 'bass side' ? 1 : -1
  return [
    { slot, size: name(size), delta: by, doubt: 0.2 },
    { slot, size: name(middle), delta: (sign * by) / 2, doubt: 0.1 },
  ]
}
/** Effects on one size are one. */
function together(effects: readonly JobEffect[]): Omit<PlannedJob, 'text'> {
  const by = new Map<string, JobEffect>()
  for (const e of effects) {
    const was = by.get(e.size)
    by.set(e.size, was ? { ...e, delta: was.delta + e.delta, doubt: Math.hypot(was.doubt, e.doubt) } : e)
  }
  const [first, ...also] = [...by.values()].filter((e) => e.delta !== 0)
  return { ...first!, ...(also.length ? { also } : {}) }
}

/** Held by screws in the wood under it, be there a guard round it or not. */
const isInWood = (build: Build, place: PickupPlace): boolean => traitAt(asTold(build), `pickup-${place}`, 'mount') === 'body'

export function openingCures(build: Build, fit: GuardFit): Cure[] {
  if (fit.worst <= 0) return []
  const [first] = fit.file
  const gap = first ? gapAfter(build, first) : 0
  const wood = fit.file.filter((f) => isAlong(f.edge)).map((f) => ({ f, left: woodLeft(build, f) }))
  // A pickup whose screws have their holes in the wood does not go where the guard would have it.
  const free = wood.filter(({ f }) => !(isInWood(build, f.place) && traitAt(asTold(build), 'body', 'bored.pickups') === 'drilled'))
  const breaks = wood.find((w) => w.left !== undefined && w.left < 0)
  return [
    {
      id: 'file-openings',
      job: `File the guard: ${fit.file.map(filingWords).join('; ')}.`,
      how: `Guard ${poseWords(fit, stopOf(build))}. Flat file drawn, not pushed; wrap the pickups, filings stick to magnets. A gap of ${printMm(gap, 1)} mm will show beside the ${first?.place ?? ''} cover.`,
      gives: 'guard',
      tools: ['flat file', 'tape'],
      plan: together(fit.file.flatMap((f) => widened('guard', (key) => `opening.${f.place}.${key}`, f.edge, filed(f)))),
    },
    ...(breaks
      ? []
      : free.map(({ f, left }) => ({
          id: `open-route-${f.place}`,
          job: `Or leave the guard whole and open the body’s ${f.place} route by ${printMm(filed(f), 1)} mm on its ${otherEdge(f.edge)}, before any coat goes on.`,
          how: `${left === undefined ? '' : `${printMm(left, 1)} mm of wood stays to the pocket. `}${
            isInWood(build, f.place)
              ? 'The pickup’s own screws then go where it stands in the guard’s opening.'
              : 'The pickup then sits where the guard holds it.'
          }`,
          gives: 'body',
          tools: ['router', 'bearing bit'],
          plan: together(widened('body', (key) => `route.${f.place}.${key}`, otherEdge(f.edge), filed(f))),
        }))),
    {
      id: 'other-guard',
      job: 'Or another guard, cut to this body’s own spacing.',
      how: breaks
        ? `Opening the wood instead would break into the pocket: the ${breaks.f.place} route needs ${printMm(breaks.f.amount, 1)} mm there. Ask for opening-centre to opening-centre along the strings, not for a pattern’s name.`
        : 'Ask for opening-centre to opening-centre along the strings, not for a pattern’s name.',
      gives: 'the guard',
      tools: [],
    },
  ]
}

/** EdgeFiling a guard's edge lets the cover back to its route; opening the wood instead gives way on the other side. */
const otherEdge = (edge: Edge): Edge =>
  ({ 'neck side': 'bridge side', 'bridge side': 'neck side', 'bass side': 'treble side', 'treble side': 'bass side' })[edge] as Edge

/** Wood left between route and pocket over what must stay, if the route were opened on the neck side instead, mm; nothing when it opens the other way. */
function woodLeft(build: Build, f: EdgeFiling): number | undefined {
  // Under the board of one piece there is wood as far as anybody may want it.
  if (otherEdge(f.edge) !== 'neck side' || isThrough(build)) return undefined
  const v = (size: `route.${PickupPlace}.${'centre' | 'length'}` | 'pocket.length') => valueAt(build, sizeRef('body', size))!
  return v(`route.${f.place}.centre`) - v(`route.${f.place}.length`) / 2 - v('pocket.length') - filed(f) - WALL
}

/** Gap that shows beside the cover once that edge is filed, mm: the opening's own spare and what was taken. */
export function gapAfter(build: Build, f: EdgeFiling): number {
  const [open, cover] = isAlong(f.edge) ? (['length', 'length'] as const) : (['width', 'width'] as const)
  const spare = drawnAt(build, sizeRef('guard', `opening.${f.place}.${open}`)) - drawnAt(build, sizeRef(`pickup-${f.place}`, cover))
  return Math.max(0, spare) + filed(f)
}
