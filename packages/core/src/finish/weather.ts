import { DEW_MARGIN, dewPoint } from '../physics/dewPoint'

export interface WeatherVerdict {
  ok: boolean
  dewPoint: number
  /** Surface above dew point, K. */
  margin: number
  says: string[]
}

/** May one coat now? Every reason against, each with its number. */
export function weatherCheck(
  weather: { air: number; surface: number; humidity: number },
  limits: { air: readonly [number, number]; humidity: number },
): WeatherVerdict {
  const dew = dewPoint(weather.air, weather.humidity)
  const margin = weather.surface - dew
  const says: string[] = []
  if (margin < DEW_MARGIN)
    says.push(
      `The surface is ${margin.toFixed(1)} °C above the dew point of ${dew.toFixed(1)} °C; it must be at least ${DEW_MARGIN} °C above, or water settles under the film.`,
    )
  if (weather.air < limits.air[0]) says.push(`${weather.air} °C is too cold; this product wants ${limits.air[0]} to ${limits.air[1]} °C.`)
  if (weather.air > limits.air[1]) says.push(`${weather.air} °C is too warm; this product wants ${limits.air[0]} to ${limits.air[1]} °C.`)
  if (weather.humidity > limits.humidity)
    says.push(`${weather.humidity} % humidity is above ${limits.humidity} %: lacquer blushes and dries slowly.`)
  return { ok: says.length === 0, dewPoint: dew, margin, says }
}
