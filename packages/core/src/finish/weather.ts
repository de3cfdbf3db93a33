/**
 * Dew point, °C, by the Magnus formula with 17.62 and 243.12 °C. [published: Magnus formula]
 * @param celsius air temperature
 * @param humidity relative humidity, %
 */
export function dewPoint(celsius: number, humidity: number): number {
  const g = Math.log(humidity / 100) + (17.62 * celsius) / (243.12 + celsius)
  return (243.12 * g) / (17.62 - g)
}

/** How far above the dew point a surface must be, K. [published: ISO 8502-4, from memory] */
export const DEW_MARGIN = 3

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

/** Drying takes about twice as long for every 10 °C colder than 20. [practice] */
export const dryingFactor = (celsius: number): number => 2 ** ((20 - celsius) / 10)
