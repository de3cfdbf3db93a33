import type { FilmPlaceName, FilmTexture } from '../document/build'
import { normal, probabilityBetween } from '../quantity/distribution'
import { GRAIN, scratchChain } from './grits'

/** What the surface looks like before it is levelled, peak to valley, um. [ours] */
export const TEXTURES = {
  glass: { label: 'like glass', high: 3, under: false },
  'light peel': { label: 'light orange peel', high: 10, under: false },
  'heavy peel': { label: 'heavy orange peel', high: 25, under: false },
  relief: { label: 'raised grain, a decal’s edge or inlay under it', high: 40, under: true },
} as const satisfies Record<FilmTexture, { label: string; high: number; under: boolean }>
export type Texture = FilmTexture

/** Film at a place against the flat beside it, with its doubt, and how much harder a block bites there. [ours] */
export const PLACES_OF_FILM = {
  flat: { label: 'flats', share: 1, doubt: 0, bite: 1 },
  edge: { label: 'edges', share: 0.65, doubt: 0.05, bite: 1.5 },
  corner: { label: 'corners', share: 0.5, doubt: 0.05, bite: 1.5 },
} as const satisfies Record<FilmPlaceName, { label: string; share: number; doubt: number; bite: number }>
export type FilmPlace = FilmPlaceName

/** One go at the film: what it looks like before, the grits in their order, and whether a block or fingers hold them. */
export interface Sanding {
  texture: Texture
  grits: readonly number[]
  /** A stiff block, or fingers alone. */
  block: boolean
}

export interface Budget {
  /** Coats that may be cut, how many at least and at most where nobody counted. */
  coats: { from: number; to: number }
  /** Dry film of one on a flat, um, and its doubt, share, 95 %. */
  film: number
  doubt: number
  texture: Texture
  grits: readonly number[]
  block: boolean
  /** What was sanded before: its film is gone already. */
  done?: readonly Sanding[]
}

/** What one go takes at a place, um: levelling, and a third of each grain. */
export function takenBy(s: Sanding, place: FilmPlace): number {
  const { high, under } = TEXTURES[s.texture]
  return (under ? high : high / 2) + scratchChain(s.grits) * (s.block ? PLACES_OF_FILM[place].bite : 1)
}

/** Everything taken at a place, with what was sanded before. */
export const takenAt = (b: Budget, place: FilmPlace): number => [...(b.done ?? []), b].reduce((sum, s) => sum + takenBy(s, place), 0)

/** Doubt of the film of n coats at a place, um: half of a coat's doubt is common to all, half its own; the place has its own besides. */
export function doubtAt(b: Pick<Budget, 'film' | 'doubt'>, n: number, place: FilmPlace): number {
  const { share, doubt } = PLACES_OF_FILM[place]
  const half = (b.doubt / 2) * b.film * share * 0.5
  return Math.hypot(n * half, Math.sqrt(n) * half, n * b.film * (doubt / 2))
}

export interface PlaceRisk {
  place: FilmPlace
  label: string
  /** Film left over what is under it in the middle, um; less than nothing: through. */
  left: number
  /** Chance of going through somewhere at such a place, 0 to 1. */
  chance: number
}

/**
 * Chance of sanding through, by place, the likeliest first. Levelling takes the texture down (half of a peel, for its valleys are the film's
 * own; all of a relief, which lies under the film and stands up into it), each grit a third of its grain; a block half as much again at edges.
 * Coats of one hand are alike: half of a coat's doubt is common to all, half its own. [ours]
 */
export function strikeThrough(b: Budget): PlaceRisk[] {
  return (Object.keys(PLACES_OF_FILM) as FilmPlace[])
    .map((place) => {
      const { label, share } = PLACES_OF_FILM[place]
      const taken = takenAt(b, place)
      const counts = Array.from({ length: b.coats.to - b.coats.from + 1 }, (_, i) => b.coats.from + i)
      const chances = counts.map((n) => probabilityBetween(normal(n * b.film * share - taken, doubtAt(b, n, place)), -Infinity, 0))
      const middle = ((b.coats.from + b.coats.to) / 2) * b.film * share
      return { place, label, left: middle - taken, chance: chances.reduce((s, c) => s + c, 0) / chances.length }
    })
    .toSorted((a, c) => c.chance - a.chance)
}

/** What is left grit by grit: after levelling with the first, then after each finer one. */
export function gritByGrit(b: Budget): { grit: number; depth: number; risks: PlaceRisk[] }[] {
  return b.grits.map((grit, i) => ({
    grit,
    // The scratch it leaves is what the next has to take out.
    depth: (GRAIN[grit] ?? 0) / 3,
    risks: strikeThrough({ ...b, grits: b.grits.slice(0, i + 1) }),
  }))
}

/** Highest chance that is let pass. [ours] */
const LET_PASS = 0.05
const MOST = 40

/** How many coats more bring every place under 5 %; nothing where forty do not. */
export function coatsMore(b: Budget): number | undefined {
  for (let more = 0; more <= MOST; more++) {
    const then = { ...b, coats: { from: b.coats.from + more, to: b.coats.to + more } }
    if (strikeThrough(then).every((r) => r.chance < LET_PASS)) return more
  }
  return undefined
}

/** In a sentence: where first, how likely, and what helps. */
export function budgetSays(b: Budget): string {
  const [first] = strikeThrough(b)
  if (!first || first.chance < LET_PASS) return 'Under 5 % everywhere: it can be cut.'
  const more = coatsMore(b)
  const percent = first.chance > 0.99 ? 'over 99' : String(Math.round(100 * first.chance))
  const help =
    more === undefined
      ? 'no number of coats helps: level less, or begin finer'
      : `${more} more ${more === 1 ? 'coat brings' : 'coats bring'} it under 5 %`
  return `${first.label[0]!.toUpperCase()}${first.label.slice(1)} go first: ${percent} in 100 to cut through. ${help[0]!.toUpperCase()}${help.slice(1)}; begin a grit finer, fingers instead of the block at edges.`
}
