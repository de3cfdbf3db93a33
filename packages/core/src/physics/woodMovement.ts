/**
 * Equilibrium moisture content of wood, % of dry mass.
 * @param celsius air temperature, °C
 * @param humidity relative humidity, 0 to 1
 * [published: Wood Handbook (US Forest Products Laboratory) equation, from memory]
 */
export function equilibriumMoisture(celsius: number, humidity: number): number {
  const T = celsius
  const h = humidity
  const W = 349 + 1.29 * T + 0.0135 * T * T
  const K = 0.805 + 0.000736 * T - 0.00000273 * T * T
  const K1 = 6.27 - 0.00938 * T - 0.000303 * T * T
  const K2 = 1.91 + 0.0407 * T - 0.000293 * T * T
  const first = (K * h) / (1 - K * h)
  const second = (K1 * K * h + 2 * K1 * K2 * K * K * h * h) / (1 + K1 * K * h + K1 * K2 * K * K * h * h)
  return (1800 / W) * (first + second)
}

/** Room temperature the handbook's table and ours are at, °C. */
export const ROOM_CELSIUS = 21.1

export type Grain = 'flat' | 'quarter'

/** Movement per % of moisture across the face: flat-sawn moves tangentially, quarter-sawn radially. */
export function movementPerPercent(wood: { radial: number; tangential: number }, grain: Grain): number {
  return grain === 'quarter' ? wood.radial : wood.tangential
}

/**
 * How much a gap between a heel and its pocket changes when the room goes from one humidity to another, mm.
 * Negative closes: the heel swells more than the pocket opens.
 * change = width x C x (M2 - M1) for each wood. [published: Wood Handbook, from memory]
 */
export function gapChange(width: number, heel: { perPercent: number }, pocket: { perPercent: number }, from: number, to: number): number {
  const moisture = equilibriumMoisture(ROOM_CELSIUS, to / 100) - equilibriumMoisture(ROOM_CELSIUS, from / 100)
  return width * (pocket.perPercent - heel.perPercent) * moisture
}
