import { dice } from '../quantity/dice'
import { PLACES_OF_FILM, takenAt, type Budget, type FilmPlace } from './filmBudget'

/** Places of a kind on one instrument: stretches of edge and of corner that may each be cut through. */
export type Spots = Record<FilmPlace, number>

export interface Sampled {
  runs: number
  /** Of what was asked for, 0 to 1. */
  done: number
  /** Share of instruments on which a place of the kind goes through somewhere. */
  somewhere: Record<FilmPlace, number>
  /** Share of single places that go through: what the closed form says. */
  each: Record<FilmPlace, number>
  /** Share of instruments cut through anywhere. */
  anywhere: number
  /** Thinnest film left on an instrument, um: the worst tenth, the middle, the best tenth. */
  thinnest: { low: number; middle: number; high: number }
}

const PLACES = Object.keys(PLACES_OF_FILM) as FilmPlace[]

/** Coats of a hand are alike: half of a coat's doubt is common to all of them, half its own. [ours] */
const ALIKE = 0.5
/** Runs between one report and the next. */
const STRIDE = 500

/**
 * Lays and sands the same instrument many times: each with a hand of its own, coats of their own, and every stretch of edge and corner by itself.
 * @param spots how many stretches of each kind there are
 * @yields what is known so far, every few hundred runs; whoever has seen enough stops asking
 */
export function* sampleStrike(b: Budget, spots: Spots, runs: number, seed = 1): Generator<Sampled, void> {
  const roll = dice(seed)
  const normal = () => Math.sqrt(-2 * Math.log(1 - roll())) * Math.cos(2 * Math.PI * roll())
  const taken = Object.fromEntries(PLACES.map((p) => [p, takenAt(b, p)])) as Record<FilmPlace, number>
  const somewhere = { flat: 0, edge: 0, corner: 0 }
  const through = { flat: 0, edge: 0, corner: 0 }
  const thinnest: number[] = []
  let anywhere = 0
  for (let run = 1; run <= runs; run++) {
    const coats = b.coats.from + Math.floor(roll() * (b.coats.to - b.coats.from + 1))
    const sigma = (b.doubt / 2) * ALIKE
    // Of one coat and of the whole hand, in shares of a coat.
    let laid = coats * (1 + sigma * normal())
    for (let c = 0; c < coats; c++) laid += sigma * normal()
    let least = Infinity
    let hit = false
    for (const place of PLACES) {
      const { share, doubt } = PLACES_OF_FILM[place]
      let cut = false
      for (let s = 0; s < spots[place]; s++) {
        const left = b.film * (laid * share + coats * (doubt / 2) * normal()) - taken[place]
        if (left < least) least = left
        if (left < 0) {
          through[place]++
          cut = true
        }
      }
      if (cut) somewhere[place]++
      hit ||= cut
    }
    if (hit) anywhere++
    thinnest.push(least)
    if (run % STRIDE === 0 || run === runs) {
      const share = (x: Record<FilmPlace, number>, of: (p: FilmPlace) => number) =>
        Object.fromEntries(PLACES.map((p) => [p, of(p) ? x[p] / of(p) : 0])) as Record<FilmPlace, number>
      const sorted = thinnest.toSorted((x, y) => x - y)
      const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!
      yield {
        runs: run,
        done: run / runs,
        somewhere: share(somewhere, () => run),
        each: share(through, (p) => run * spots[p]),
        anywhere: anywhere / run,
        thinnest: { low: at(0.1), middle: at(0.5), high: at(0.9) },
      }
    }
  }
}
