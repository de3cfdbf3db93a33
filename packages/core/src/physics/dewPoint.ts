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
