/**
 * Moments are ISO times with their zone; two clocks may write the same one differently, so they are compared as instants. A moment nobody
 * noted lies before all others.
 */
const instant = (at: string | undefined): number => (at ? Date.parse(at) : -Infinity)

/** Oldest first, for sorting. */
export function byMoment(a: string | undefined, b: string | undefined): number {
  const [x, y] = [instant(a), instant(b)]
  return x === y ? 0 : x < y ? -1 : 1
}

/** Does the first lie after the second? */
export const isAfter = (a: string | undefined, b: string | undefined): boolean => byMoment(a, b) > 0

const two = (n: number) => String(n).padStart(2, '0')

/** A moment as it is written everywhere: the day and time where the person is, to the millisecond, with its zone. @param zone minutes east */
export function writtenAt(instantMs: number, zone: number): string {
  const local = new Date(instantMs + zone * 60_000).toISOString().slice(0, -1)
  const off = Math.abs(zone)
  return `${local}${zone < 0 ? '-' : '+'}${two(Math.floor(off / 60))}:${two(off % 60)}`
}
