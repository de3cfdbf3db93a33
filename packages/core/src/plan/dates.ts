/** Calendar days as ISO dates (YYYY-MM-DD), free of clocks and time zones. */
const DAY = 86_400_000

export const addDays = (iso: string, days: number): string =>
  new Date(Date.parse(`${iso}T00:00:00Z`) + days * DAY).toISOString().slice(0, 10)

/** Whole days from one date to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY)

/** 0 is Monday. */
export const weekday = (iso: string): number => (new Date(`${iso}T00:00:00Z`).getUTCDay() + 6) % 7
