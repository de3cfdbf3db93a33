/**
 * Woods with what the joints need: relative density (oven-dry mass, volume as tested), strength, and movement per
 * percent of moisture, radial and tangential. Movement, densities and strengths: [published: Wood Handbook (US Forest Products
 * Laboratory), from memory].
 */
export interface Wood {
  label: string
  hard: boolean
  /** Oven-dry relative density G. */
  density: number
  /** Greatest crushing strength along the grain at 12 % moisture, MPa. */
  crushing: number
  /** Dimensional change coefficients per % moisture content. */
  radial: number
  tangential: number
}

export const WOODS = {
  'hard-maple': { label: 'hard maple', hard: true, density: 0.63, crushing: 54.0, radial: 0.00165, tangential: 0.00353 },
  alder: { label: 'red alder', hard: false, density: 0.41, crushing: 40.1, radial: 0.00151, tangential: 0.00256 },
  poplar: { label: 'yellow-poplar', hard: false, density: 0.42, crushing: 38.2, radial: 0.00158, tangential: 0.00289 },
  ash: { label: 'white ash', hard: true, density: 0.6, crushing: 51.1, radial: 0.00169, tangential: 0.00274 },
  basswood: { label: 'basswood', hard: false, density: 0.37, crushing: 32.6, radial: 0.0023, tangential: 0.0033 },
  mahogany: { label: 'mahogany type', hard: true, density: 0.45, crushing: 46.7, radial: 0.00172, tangential: 0.00238 },
} as const satisfies Record<string, Wood>

export type WoodName = keyof typeof WOODS
export const woodNamed = (name: string | undefined): Wood | undefined =>
  name !== undefined && Object.hasOwn(WOODS, name) ? WOODS[name as WoodName] : undefined

export const WOOD_OPTIONS = (Object.entries(WOODS) as [WoodName, Wood][]).map(([k, w]) => [k, w.label] as const)
