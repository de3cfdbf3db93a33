import { addDays, daysBetween } from '@snug/core'

/** Days of which each keeps its backup; then one a week for so many weeks, then one a month for so many months. [ours] */
const DAYS = 7
const WEEKS = 8
const MONTHS = 12

/** Which of the daily backups are kept: all of the last week, then ever fewer, the newest of each week and of each month. @param days ISO days there is one of */
export function keptDays(days: readonly string[], today: string): string[] {
  const newest = days.toSorted().toReversed()
  const seen = new Set<string>()
  return newest.filter((day) => {
    const age = daysBetween(day, today)
    if (age < DAYS) return true
    const week = Math.floor(daysBetween('2000-01-03', day) / 7)
    const [stretch, oldest] =
      age < 7 * WEEKS ? [`week ${week}`, addDays(today, -7 * WEEKS)] : [`month ${day.slice(0, 7)}`, monthsBefore(today, MONTHS)]
    if (day < oldest || seen.has(stretch)) return false
    seen.add(stretch)
    return true
  })
}

function monthsBefore(day: string, months: number): string {
  const [year, month] = [Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1 - months]
  return new Date(Date.UTC(year, month, 1)).toISOString().slice(0, 10)
}
