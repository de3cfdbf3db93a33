import { DEW_MARGIN, dewPoint } from '../physics/dewPoint'
import type { Family, Product } from './products'

/** What damp air does, by how a product dries. [practice] */
const DAMP: Record<Family, string> = {
  solvent: 'water settles in it as its solvent goes, it blushes white, and dries slowly.',
  water: 'its water hardly leaves it: it stays soft and runs.',
  'curing oil': 'it cures slowly and catches dust.',
}
const DRY = 'it skins over before it has levelled.'

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
  { limits, family }: Pick<Product, 'limits' | 'family'>,
): WeatherVerdict {
  const dew = dewPoint(weather.air, weather.humidity)
  const margin = weather.surface - dew
  const says: string[] = []
  const [dry, damp] = limits.humidity
  if (margin < DEW_MARGIN)
    says.push(
      `The surface is ${margin.toFixed(1)} °C above the dew point of ${dew.toFixed(1)} °C; it must be at least ${DEW_MARGIN} °C above, or water settles under the film.`,
    )
  if (weather.air < limits.air[0]) says.push(`${weather.air} °C is too cold; this product wants ${limits.air[0]} to ${limits.air[1]} °C.`)
  if (weather.air > limits.air[1]) says.push(`${weather.air} °C is too warm; this product wants ${limits.air[0]} to ${limits.air[1]} °C.`)
  if (weather.humidity > damp) says.push(`${weather.humidity} % humidity is above ${damp} %: ${DAMP[family]}`)
  if (weather.humidity < dry) says.push(`${weather.humidity} % humidity is below ${dry} %: ${DRY}`)
  return { ok: says.length === 0, dewPoint: dew, margin, says }
}
