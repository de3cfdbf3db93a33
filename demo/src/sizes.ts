import { KINDS, startingDoubt, type KindName, type Known, type Size } from '@snug/core'

/** [value, how it is known, doubt where the tool's own is not meant]. */
export type Entry = number | readonly [number, Known] | readonly [number, Known, number]

/** The angles of these builds were read with a gauge for angles, degrees. */
const GAUGED = 0.05

/** Sizes of a part written short; a bare number was read with calipers. */
export function sizes(kind: KindName, entries: Record<string, Entry>): Record<string, Size> {
  return Object.fromEntries(
    Object.entries(entries).map(([key, entry]) => {
      const [value, known, doubt] =
        typeof entry === 'number' ? ([entry, 'calipers', undefined] as const) : ([...entry, undefined] as [number, Known, number?])
      const spec = KINDS[kind].sizes[key]
      if (!spec) throw new Error(`${kind} has no size ${key}`)
      const usual = spec.unit === 'deg' ? GAUGED : startingDoubt(spec, KINDS[kind].trade, known, value)
      return [key, { value, doubt: doubt ?? usual, known }]
    }),
  )
}
