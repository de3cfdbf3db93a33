import type { FinishSystem, ZoneLayer } from '../document/build'
import { PRODUCTS, type Family, type LayerName, type Product, type ProductId } from './products'

/** A way to finish as people speak of it: products in their order, and what it asks of who does it. */
export interface System {
  label: string
  /** What one gets, in a line. */
  gives: string
  /** From the wood up, as it comes. */
  stack: readonly { product: ProductId; coats?: number }[]
  /** What may be wanted under the top. */
  under: Partial<Record<LayerName, ProductId>>
  rubOut: string
  fullCure: string
  /** What it asks for, side by side with the others. */
  asks: { lungs: string; room: string }
}

const SPRAY_ASKS = { lungs: 'vapour respirator, gloves, eyes', room: 'outdoors or extraction, no flame; it smells for weeks' }
const OIL_ASKS = { lungs: 'open window, gloves', room: 'any; rags out of the house' }
const IN_WOOD = { filler: 'grain-filler', dye: 'water-dye' } as const

/** The systems this tool starts with. [practice, from memory; the label wins] */
export const SYSTEMS: Record<Exclude<FinishSystem, 'none'>, System> = {
  lacquer: {
    label: 'Nitrocellulose lacquer, spray can',
    gives: 'Thin, repairs into itself, ages; gloss after weeks.',
    stack: [{ product: 'sanding-sealer' }, { product: 'lacquer-clear' }],
    under: { ...IN_WOOD, primer: 'filler-primer', colour: 'lacquer-colour' },
    rubOut: '7 to 21 days before wet sanding',
    fullCure: '4 weeks and more',
    asks: SPRAY_ASKS,
  },
  acrylic: {
    label: 'Acrylic paint and clear, spray can',
    gives: 'Any colour there is, hard in days.',
    stack: [{ product: 'filler-primer' }, { product: 'acrylic-colour' }, { product: 'acrylic-clear' }],
    under: { filler: 'grain-filler' },
    rubOut: '1 to 4 days before wet sanding',
    fullCure: '1 to 2 weeks',
    asks: SPRAY_ASKS,
  },
  metallic: {
    label: 'Metallic paint and clear, spray can',
    gives: 'Silver, gold, sparkle; the metallic itself is never sanded.',
    stack: [{ product: 'filler-primer' }, { product: 'metallic-base' }, { product: 'acrylic-clear', coats: 5 }],
    under: { filler: 'grain-filler', sparkle: 'sparkle' },
    rubOut: '1 to 4 days before wet sanding, the clear alone',
    fullCure: '1 to 2 weeks',
    asks: SPRAY_ASKS,
  },
  waterborne: {
    label: 'Waterborne clear, brushed or sprayed',
    gives: 'Clear and hard with little smell; cool rather than warm in tone.',
    stack: [{ product: 'waterborne-clear' }],
    under: { ...IN_WOOD, colour: 'waterborne-colour' },
    rubOut: '1 to 3 days before sanding',
    fullCure: '2 to 4 weeks',
    asks: { lungs: 'open window; mask when sprayed or sanded', room: 'warm and not damp, no frost on the tin' },
  },
  'wipe-on': {
    label: 'Wipe-on polyurethane',
    gives: 'A thin film with a cloth, no spraying; satin more easily than gloss.',
    stack: [{ product: 'wipe-on-poly' }],
    under: IN_WOOD,
    rubOut: '1 to 3 days before sanding',
    fullCure: '1 to 4 weeks',
    asks: { lungs: 'open window, gloves', room: 'no dust; rags out of the house' },
  },
  oil: {
    label: 'Oil, or oil and varnish',
    gives: 'The wood itself under a cloth; mended any evening, little against knocks.',
    stack: [{ product: 'oil-varnish' }],
    under: { dye: 'water-dye' },
    rubOut: 'a day before buffing',
    fullCure: '1 to 3 weeks',
    asks: OIL_ASKS,
  },
  'hard-wax': {
    label: 'Hard-wax oil',
    gives: 'Two or three coats and done; dull, warm, dry to the hand.',
    stack: [{ product: 'hard-wax' }],
    under: { dye: 'water-dye' },
    rubOut: 'a day to dry; nothing is rubbed out',
    fullCure: '1 to 2 weeks',
    asks: OIL_ASKS,
  },
  shellac: {
    label: 'Shellac, by pad or brush',
    gives: 'Quick and thin, seals anything; marks by alcohol and heat.',
    stack: [{ product: 'shellac' }],
    under: IN_WOOD,
    rubOut: 'a day or two before rubbing',
    fullCure: '1 to 2 weeks',
    asks: { lungs: 'open window: spirit', room: 'no flame; dry air, it blushes in damp' },
  },
}

export const isChosen = (s: FinishSystem): s is Exclude<FinishSystem, 'none'> => s !== 'none'

const productOf = (id: ProductId): Product => PRODUCTS[id]

/** The product on top, whose limits, waits and cans speak for the whole. */
export const topOf = (system: System): Product => productOf(system.stack.at(-1)!.product)

/** What it dries by. */
export const familyOf = (system: System): Family => topOf(system).family

/** Cautions of everything in it, each once. */
export const cautionsOf = (products: readonly Pick<Product, 'cautions'>[]): string[] => [...new Set(products.flatMap((p) => p.cautions))]

/** Cautions of a system as it comes. */
export const systemCautions = (system: System): string[] => cautionsOf(system.stack.map((l) => productOf(l.product)))

/**
 * A system as layers: what is wanted under it put in its order; an opaque colour brings its primer and takes the sealer's place.
 * @param coats of the top product
 */
export function stackOfSystem(system: System, wanted: readonly LayerName[], coats: number): ZoneLayer[] {
  const layer = (product: ProductId, n?: number) => ({ product, coats: n ?? productOf(product).coats })
  const under = wanted.flatMap((name) => (system.under[name] ? [layer(system.under[name])] : []))
  const own = system.stack.map((l) => layer(l.product, l.coats))
  const kindOf = (l: { product: ProductId }) => productOf(l.product).kind
  const opaque = [...under, ...own].some((l) => kindOf(l) === 'colour')
  const kept = own.filter((l) => !(opaque && kindOf(l) === 'sealer'))
  const primer =
    opaque && system.under.primer && ![...under, ...kept].some((l) => kindOf(l) === 'primer') ? [layer(system.under.primer)] : []
  const all = [...under, ...primer, ...kept].filter((l, i, list) => list.findIndex((x) => x.product === l.product) === i)
  return all.map((l) => (kindOf(l) === 'top' ? { ...l, coats } : l)).toSorted((a, b) => ORDER.indexOf(kindOf(a)) - ORDER.indexOf(kindOf(b)))
}

/** From the wood up. */
export const ORDER: readonly LayerName[] = ['dye', 'filler', 'sealer', 'primer', 'colour', 'sparkle', 'decal', 'top', 'wax']
