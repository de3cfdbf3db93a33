/**
 * Woods with what the joints need: relative density (oven-dry mass, volume as tested) and movement per percent of
 * moisture, radial and tangential. Movement and densities: [published: Wood Handbook (US Forest Products
 * Laboratory), from memory].
 */
export interface Wood {
  label: string
  hard: boolean
  /** Oven-dry relative density G. */
  density: number
  /** Dimensional change coefficients per % moisture content. */
  radial: number
  tangential: number
}

export const WOODS = {
  'hard-maple': { label: 'hard maple', hard: true, density: 0.63, radial: 0.00165, tangential: 0.00353 },
  alder: { label: 'red alder', hard: false, density: 0.41, radial: 0.00151, tangential: 0.00256 },
  poplar: { label: 'yellow-poplar', hard: false, density: 0.42, radial: 0.00158, tangential: 0.00289 },
  ash: { label: 'white ash', hard: true, density: 0.6, radial: 0.00169, tangential: 0.00274 },
  basswood: { label: 'basswood', hard: false, density: 0.37, radial: 0.0023, tangential: 0.0033 },
  mahogany: { label: 'mahogany type', hard: true, density: 0.45, radial: 0.00172, tangential: 0.00238 },
} as const satisfies Record<string, Wood>

export type WoodName = keyof typeof WOODS
export const woodNamed = (name: string | undefined): Wood | undefined =>
  name !== undefined && Object.hasOwn(WOODS, name) ? WOODS[name as WoodName] : undefined

export const WOOD_OPTIONS = (Object.entries(WOODS) as [WoodName, Wood][]).map(([k, w]) => [k, w.label] as const)
