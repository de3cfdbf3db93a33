const A_DAY = 24 * 60

/** A wait of so many minutes as a person says it: `waitSays(90)` is "90 min", `waitSays(2160)` "36 h", `waitSays(20160)` "14 days". */
export function waitSays(minutes: number): string {
  if (minutes < 120) return `${Math.round(minutes)} min`
  if (minutes < 2 * A_DAY) return `${+(minutes / 60).toFixed(1)} h`
  return `${+(minutes / A_DAY).toFixed(1)} days`
}

/**
 * The same exact enough to be counted down, and that what is too short is not said to be as long as the least: `exactWait(2159)` is
 * "35 h 59 min", `exactWait(3000)` "2 days 2 h".
 */
export function exactWait(minutes: number): string {
  if (minutes < 180) return `${Math.round(minutes)} min`
  if (minutes < 2 * A_DAY) return withRest(Math.round(minutes), 60, 'h', 'min')
  return withRest(Math.round(minutes / 60), 24, 'days', 'h')
}
const withRest = (n: number, of: number, unit: string, small: string): string =>
  `${Math.floor(n / of)} ${unit}${n % of ? ` ${n % of} ${small}` : ''}`
