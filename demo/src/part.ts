import type { KindName, Part } from '@snug/core'
import { sizes, type Entry } from './sizes'

export interface Short extends Partial<Omit<Part, 'kind' | 'name' | 'sizes' | 'promised'>> {
  sizes: Record<string, Entry>
  promised?: Record<string, Entry>
}

/** A part written short: in hand unless said otherwise, its sizes as in sizes.ts. */
export const part = (kind: KindName, name: string, { sizes: entries, promised, ...more }: Short): Part => ({
  kind,
  name,
  state: 'in hand',
  traits: {},
  ...more,
  sizes: sizes(kind, entries),
  ...(promised ? { promised: sizes(kind, promised) } : {}),
})

/** A pickup's route, from the pocket mouth; depth and radius by rule. */
export const route = (place: string, centre: number, length: number, width: number, depth: number, radius = 3): Record<string, Entry> => ({
  [`route.${place}.centre`]: centre,
  [`route.${place}.length`]: length,
  [`route.${place}.width`]: width,
  [`route.${place}.depth`]: [depth, 'rule'],
  [`route.${place}.radius`]: [radius, 'rule'],
  [`route.${place}.side`]: [0, 'rule'],
})

/** A set of strings in thousandths of an inch, 1 first; `core` for the wound ones. */
export function gauges(thou: readonly number[], cores: Record<number, number> = {}): Record<string, Entry> {
  const out: Record<string, Entry> = { wound: Object.keys(cores).length }
  thou.forEach((t, i) => (out[`gauge.${i + 1}`] = [t * 0.0254, 'listed', 0.008]))
  for (const [n, t] of Object.entries(cores)) out[`core.${n}`] = [t * 0.0254, 'listed', 0.05]
  return out
}

/** Which holes are there already, as whoever looked at the part said. */
export const holes = (there: 'none' | 'drilled', ...which: readonly string[]): Record<string, string> =>
  Object.fromEntries(which.map((w) => [`bored.${w}`, there]))
