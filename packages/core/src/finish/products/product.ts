/** Where a layer stands in the stack. */
export type LayerName = 'filler' | 'dye' | 'sealer' | 'primer' | 'colour' | 'sparkle' | 'decal' | 'top' | 'wax'

/** How a product dries: by what leaves it, or by curing. */
export type Family = 'solvent' | 'water' | 'curing oil'

/** What it is to whatever is put over or under it. */
export const MEDIA = [
  'dye',
  'wash',
  'filler',
  'shellac',
  'lacquer',
  'acrylic',
  'metallic',
  'waterborne',
  'poly',
  'oil',
  'hard-wax',
  'decal',
  'wax',
] as const
export type Medium = (typeof MEDIA)[number]

export interface Range {
  usual: number
  from: number
  to: number
}

/** One product as it is bought. Times in minutes from the end of a coat at 20 C. All figures [practice, from memory; the label wins]. */
export interface Product {
  label: string
  kind: LayerName
  medium: Medium
  family: Family
  applied: 'spray' | 'brush' | 'wipe' | 'lay'
  /** Coats one begins with. */
  coats: number
  /** Solids of the content by volume, %: what stays of it. */
  solids: Range
  /** Dry film of a coat on a flat, um; 0 for what goes into the wood. */
  film: Range
  /** Shortest wait before the next coat of the same. */
  recoat: number
  /** Not to be coated over between these: it wrinkles. */
  forbidden?: readonly [from: number, to: number]
  /** After this long the surface is keyed first; absent: no upper limit, each coat bites into the last. */
  keyAfter?: number
  /** Wait before it is sanded; absent where it is never sanded. */
  beforeSanding?: number
  /** Wait before it may be touched and turned over. */
  handle: number
  /** Full cure, days. */
  cure: { from: number; to: number }
  limits: { air: readonly [number, number]; humidity: readonly [number, number] }
  /** Minutes at the bench for one coat on a whole instrument. */
  hands: number
  /** How it is put on. */
  how: string
  sanding?: string
  /** Share of what leaves the can or cloth that stays on the work. */
  transfer: number
  container: number
  containerName: string
  cautions: readonly string[]
  opaque?: true
}
