import { missed } from './missed'
import type { Build } from '../document/build'
import { isBass } from '../instrument/tunings'
import { clearances, lowestSaddle, worstOf, type Pluck } from '../physics/clearance'
import { actionAt } from '../physics/nutAction'
import { chokes, chokeSays } from './choke'
import { setupModel, type SetupModel } from './model'

/** Usual depth of a pluck, mm, its place before the saddle, and the share of its motion towards the frets. [ours] */
const USUAL_ATTACK = { guitar: 0.8, bass: 1.2 }
export const usualAttack = (build: Build): number => (isBass(build) ? USUAL_ATTACK.bass : USUAL_ATTACK.guitar)
const PLUCK_AT = 0.185
const SHARE = 0.6

export const pluckOf = (build: Build, model: Pick<SetupModel, 'scale'>): Pluck => ({
  depth: build.setup.attack ?? usualAttack(build),
  fromSaddle: PLUCK_AT * model.scale,
  share: SHARE,
})

/** One cell of the map: a string held at a fret, what is left over the fret that comes nearest, and which that is. */
export interface BuzzCell {
  string: number
  /** 0 is the open string. */
  stop: number
  margin: number
  hits: number
}

export interface BuzzMap {
  cells: BuzzCell[]
  worst?: BuzzCell
  /** Cells under nothing. */
  buzzes: number
  says: string
}

/** Every string at every fret: the least clearance over all frets beyond, whichever way it is pulled. */
export function buzzMap(build: Build, model = setupModel(build)): BuzzMap {
  const pluck = pluckOf(build, model)
  const cells: BuzzCell[] = []
  for (const s of model.strings)
    for (let stop = 0; stop < model.frets; stop++) {
      const worst = worstOf(clearances(s.neck, s.saddle, stop, pluck))
      if (worst) cells.push({ string: s.number, stop, margin: worst.margin, hits: worst.fret })
    }
  const worst = cells.reduce<BuzzCell | undefined>((w, c) => (!w || c.margin < w.margin ? c : w), undefined)
  const buzzes = cells.filter((c) => c.margin < 0).length
  return { cells, ...(worst ? { worst } : {}), buzzes, says: buzzSays(worst, buzzes) }
}

const held = (stop: number) => (stop === 0 ? 'open' : `held at fret ${stop}`)

function buzzSays(worst: BuzzCell | undefined, buzzes: number): string {
  if (!worst) return 'Nothing can be said without frets.'
  const where = `string ${worst.string} ${held(worst.stop)}`
  if (!buzzes)
    return `Nothing is hit at this attack; ${where} comes nearest, over fret ${worst.hits}: ${worst.margin.toFixed(2)} mm to spare.`
  return `${buzzes} ${buzzes === 1 ? 'place hits' : 'places hit'} a fret at this attack; ${where} hits fret ${worst.hits} hardest, by ${missed(worst.margin)}.`
}

/** The lowest action over fret 12 of each string at which nothing is hit. */
export function lowestActions(build: Build, model = setupModel(build)): { string: number; action: number }[] {
  const pluck = pluckOf(build, model)
  const stops = Array.from({ length: model.frets }, (_, i) => i)
  return model.strings.map((s) => {
    const y = lowestSaddle(s.neck, s.saddle.x, stops, pluck)
    return { string: s.number, action: actionAt(s.neck, { x: s.saddle.x, y }, 12) }
  })
}

const MOST_RELIEF = 0.5
const STEP = 0.01

/** The relief at which the strings may lie lowest, mm, and how low: tried from straight to half a millimetre. */
export function bestRelief(build: Build): { relief: number; bass: number; treble: number } {
  let best = { relief: 0, bass: Infinity, treble: Infinity }
  for (let n = 0; n <= MOST_RELIEF / STEP; n++) {
    const relief = n * STEP
    const low = lowestActions(build, setupModel(build, { relief }))
    const [treble, bass] = [low[0]!.action, low.at(-1)!.action]
    if (treble + bass < best.treble + best.bass - 1e-9) best = { relief, bass, treble }
  }
  return best
}

/** Frets that are in the way, with how much each would have to come down for the rest to decide, mm. */
export function fretsInTheWay(build: Build, model = setupModel(build)): { fret: number; by: number; times: number }[] {
  const map = buzzMap(build, model)
  const by = new Map<number, { by: number; times: number }>()
  for (const c of map.cells) {
    if (c.margin >= 0) continue
    const at = by.get(c.hits) ?? { by: 0, times: 0 }
    by.set(c.hits, { by: Math.max(at.by, -c.margin), times: at.times + 1 })
  }
  return [...by].map(([fret, v]) => ({ fret, ...v })).toSorted((a, b) => b.times - a.times || b.by - a.by)
}

/** What is found on one instrument at one attack, all of it from the same model. */
export interface BuzzWork {
  map: BuzzMap
  low: { string: number; action: number }[]
  way: { fret: number; by: number; times: number }[]
  /** Bends of a whole step, in words. */
  bends: string
}

/** The map, how low it could go, the frets in the way, and bends. */
export function buzzWork(build: Build): BuzzWork {
  const model = setupModel(build)
  return {
    map: buzzMap(build, model),
    low: lowestActions(build, model),
    way: fretsInTheWay(build, model),
    bends: chokeSays(chokes(build, 2, model)),
  }
}
