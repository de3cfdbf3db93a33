import type { ForecastHour } from '../document/build'
import { dice } from '../quantity/dice'
import { addDays } from '../quantity/days'
import { weatherCheck, type WeatherVerdict } from './weather'
import type { Layer } from './stack'

/** The hour a minute of a day falls in, as a forecast names it; minutes past midnight belong to the next day. */
export const hourOf = (date: string, minute: number): string => {
  const day = addDays(date, Math.floor(minute / 1440))
  return `${day}T${String(Math.floor((minute % 1440) / 60)).padStart(2, '0')}`
}

/** What one hour allows. A surface that is not told is taken as the air; a body from another room is not. */
export const hourVerdict = (hour: ForecastHour, product: Pick<Layer, 'limits' | 'family'>): WeatherVerdict =>
  weatherCheck({ air: hour.air, humidity: hour.humidity, surface: hour.surface ?? hour.air }, product)

/** May it be coated in that hour? Nothing where the forecast does not reach. */
export function mayCoatAt(
  forecast: readonly ForecastHour[] | undefined,
  at: string,
  product: Pick<Layer, 'limits' | 'family'>,
): boolean | undefined {
  const hour = forecast?.find((h) => h.at === at)
  return hour && hourVerdict(hour, product).ok
}

/** One day of a forecast: its hours in order, each with what it allows. */
export interface ForecastDay {
  date: string
  hours: { hour: number; at: ForecastHour; verdict: WeatherVerdict }[]
  /** The longest run of hours that allow a coat: from one hour to before another. */
  best?: { from: number; to: number }
}

export function forecastDays(forecast: readonly ForecastHour[], product: Pick<Layer, 'limits' | 'family'>): ForecastDay[] {
  const days = [...new Set(forecast.map((h) => h.at.slice(0, 10)))].toSorted()
  return days.map((date) => {
    const hours = forecast
      .filter((h) => h.at.startsWith(date))
      .toSorted((a, b) => (a.at < b.at ? -1 : 1))
      .map((at) => ({ hour: Number(at.at.slice(11)), at, verdict: hourVerdict(at, product) }))
    const best = longestRun(hours.filter((h) => h.verdict.ok).map((h) => h.hour))
    return { date, hours, ...(best ? { best } : {}) }
  })
}

function longestRun(hours: readonly number[]): { from: number; to: number } | undefined {
  let best: { from: number; to: number } | undefined
  let run: { from: number; to: number } | undefined
  for (const h of hours) {
    run = run && run.to === h ? { from: run.from, to: h + 1 } : { from: h, to: h + 1 }
    if (!best || run.to - run.from > best.to - best.from) best = run
  }
  return best
}

/**
 * A simulated weather station: days that warm up until the afternoon, air that is dampest before sunrise, and a front now and then.
 * It stands in for a real one and is the same for the same seed. [ours]
 */
export function simulatedWeather(seed: number, from: string, days = 7): ForecastHour[] {
  const roll = dice(seed)
  const month = Number(from.slice(5, 7))
  // A mild inland year: about 2 C in January, 20 in July.
  let mean = 11 - 9 * Math.cos(((month - 1) / 12) * 2 * Math.PI) + (roll() - 0.5) * 6
  let damp = 65 + (roll() - 0.5) * 20
  const hours: ForecastHour[] = []
  for (let d = 0; d < days; d++) {
    const swing = 2.5 + roll() * 4
    for (let h = 0; h < 24; h++) {
      const sun = Math.cos(((h - 15) / 24) * 2 * Math.PI)
      const air = mean + swing * sun
      const humidity = Math.min(99, Math.max(25, damp - 3.2 * swing * sun))
      hours.push({ at: `${addDays(from, d)}T${String(h).padStart(2, '0')}`, air: round(air), humidity: Math.round(humidity) })
    }
    mean += (roll() - 0.5) * 4
    damp = Math.min(92, Math.max(40, damp + (roll() - 0.5) * 22))
  }
  return hours
}

const round = (x: number) => Math.round(x * 10) / 10
