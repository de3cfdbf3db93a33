/** Calendar days as ISO dates (YYYY-MM-DD), free of clocks and time zones. */
const DAY = 86_400_000

export const addDays = (iso: string, days: number): string =>
  new Date(Date.parse(`${iso}T00:00:00Z`) + days * DAY).toISOString().slice(0, 10)

/** Whole days from one date to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY)

/** 0 is Monday. */
export const weekday = (iso: string): number => (new Date(`${iso}T00:00:00Z`).getUTCDay() + 6) % 7

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** "17 Feb", as days are said. */
export const sayDay = (iso: string): string => `${Number(iso.slice(8, 10))} ${MONTHS[Number(iso.slice(5, 7)) - 1]}`
/** "5 Dec to 7 Dec", or the one day. */
export const sayDays = (from: string, to: string): string => (from === to ? sayDay(from) : `${sayDay(from)} to ${sayDay(to)}`)

/** Earliest day that may stand anywhere, and how far ahead of today one may lie. [ours] */
export const FIRST_DAY = '2000-01-01'
export const HORIZON_DAYS = 3653

/** Is it a day that exists, written YYYY-MM-DD? `isDay('2027-02-31')` is false. */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false
  const at = Date.parse(`${text}T00:00:00Z`)
  // The clock rolls 31 February over into March; only a day that exists comes back as it went in.
  return !Number.isNaN(at) && new Date(at).toISOString().startsWith(text)
}

/**
 * The one rule for every day of a build: it exists, and lies between 2000 and ten years ahead.
 * @param today ISO date
 * @returns the sentence that says why not, or nothing
 */
export function whyNotDay(text: unknown, today: string): string | undefined {
  if (typeof text !== 'string' || !/^\d{4}-\d{2}-\d{2}$/.test(text)) return 'A day is written like 2027-02-14.'
  if (!isDay(text)) return `${text} is not a day of the calendar; a day is written like 2027-02-14.`
  const last = addDays(today, HORIZON_DAYS)
  return text < FIRST_DAY || text > last ? `${text} is too far off; days go from ${FIRST_DAY} to ${last}.` : undefined
}

/** The same for a moment: a day of the calendar, a time of the day and its zone, as in 2026-11-23T19:30:00Z. */
export function whyNotTime(text: unknown, today: string): string | undefined {
  const read =
    typeof text === 'string' &&
    /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,6})?)?(Z|[+-](0\d|1[0-4]):[0-5]\d)$/.exec(text)
  return read ? whyNotDay(read[1], today) : 'A time is written like 2026-11-23T19:30:00Z.'
}
