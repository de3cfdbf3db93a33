import type { Product, Range } from './product'

export const HOUR = 60
export const DAY = 24 * HOUR

export const SPRAY = [
  'Spray outdoors or with extraction. No flame, pilot light or heater near.',
  'Organic-vapour respirator with particle pre-filter, not a dust mask; nitrile gloves; eyes covered.',
] as const
export const SHEET = 'Read the product’s safety data sheet and local rules on waste.'
export const RAGS =
  'Oil-wet rags heat up by themselves and start fires: spread them flat outside or keep them in a lidded metal can with water.'

/** Where the label says nothing. [practice] */
export const SOLVENT = { air: [10, 30], humidity: [0, 75] } as const
export const WATER = { air: [15, 28], humidity: [40, 70] } as const
export const OIL = { air: [12, 30], humidity: [0, 75] } as const

export const CAN = 'Shake 2 to 3 minutes after the ball is free. 20 to 25 cm off, begin and end off the work, each pass half over the last.'
export const range = (usual: number, from: number, to: number): Range => ({ usual, from, to })

export const spray = {
  family: 'solvent',
  applied: 'spray',
  limits: SOLVENT,
  how: CAN,
  transfer: 0.6,
  container: 400,
  containerName: 'can',
  hands: 15,
  cautions: [...SPRAY, SHEET],
} as const satisfies Partial<Product>
export const wiped = {
  family: 'curing oil',
  applied: 'wipe',
  limits: OIL,
  transfer: 0.8,
  container: 250,
  containerName: 'jar',
  cautions: [RAGS, `Ventilate; nitrile gloves. ${SHEET}`],
} as const satisfies Partial<Product>
export const inWood = {
  film: range(0, 0, 0),
  family: 'water',
  limits: WATER,
  cautions: [`Gloves: it colours skin too. ${SHEET}`],
} as const satisfies Partial<Product>
