import type { FinishSystem } from '../document/build'

/** Where a layer stands in the stack. */
export type LayerName = 'filler' | 'dye' | 'sealer' | 'primer' | 'colour' | 'sparkle' | 'top'

/** One layer of a finish system. Times in minutes from the end of a coat; the label always wins. [practice] */
export interface Layer {
  name: LayerName
  label: string
  coats: number
  /** Dry film per coat on a flat, um. */
  film: number
  /** Shortest wait before the next coat, minutes at 20 C. */
  recoat: number
  /** After this many minutes the surface has to be keyed first; absent: no upper limit, each coat bites in. */
  keyAfter?: number
  /** Not to be coated over between these minutes: it wrinkles. */
  forbidden?: readonly [from: number, to: number]
  /** Wait before sanding this layer, minutes; nothing where it is never sanded. */
  beforeSanding?: number
  /** Minutes at the bench for one coat on a whole instrument. */
  hands: number
  sanding?: string
}

/** How a product dries: by what leaves it, or by curing. */
export type Family = 'solvent' | 'water' | 'curing oil'

export interface System {
  label: string
  family: Family
  /** What one gets, in a line. */
  gives: string
  layers: Layer[]
  /** Layers that may go under the top ones, if wanted. */
  under: readonly LayerName[]
  /** Share of what leaves the can or cloth that stays on the work. [practice] */
  transfer: number
  /** Volume of one can or jar, ml. */
  container: number
  containerName: string
  /** Solids of the content to start from, %, with the range seen. [practice] */
  solids: { usual: number; from: number; to: number }
  rubOut: string
  fullCure: string
  /** What it asks for, side by side with the others. */
  asks: { lungs: string; room: string }
  limits: { air: readonly [number, number]; humidity: number }
  cautions: string[]
}

const H = 60
const D = 24 * H

const SPRAY = [
  'Spray outdoors or with extraction. No flame, pilot light or heater near.',
  'Organic-vapour respirator with particle pre-filter, not a dust mask; nitrile gloves; eyes covered.',
]
const SHEET = 'Read the product’s safety data sheet and local rules on waste.'
const RAGS = 'Oil-wet rags heat up by themselves and start fires: spread them flat outside or keep them in a lidded metal can with water.'
const SPRAY_ASKS = { lungs: 'vapour respirator, gloves, eyes', room: 'outdoors or extraction, no flame; it smells for weeks' }
const SOLVENT = { air: [10, 30], humidity: 75 } as const
const WATER = { air: [15, 28], humidity: 70 } as const

const top = (
  label: string,
  coats: number,
  film: number,
  recoat: number,
  beforeSanding: number,
  hands: number,
  more: Partial<Layer> = {},
): Layer => ({
  name: 'top',
  label,
  coats,
  film,
  recoat,
  beforeSanding,
  hands,
  ...more,
})

/** What goes under any system that takes it. Films are what is left after its own sanding. [practice] */
export const UNDER: Record<'filler' | 'dye' | 'sealer' | 'primer' | 'colour' | 'sparkle', Layer> = {
  filler: {
    name: 'filler',
    label: 'Grain filler',
    coats: 2,
    film: 0,
    recoat: 12 * H,
    beforeSanding: 12 * H,
    hands: 40,
    sanding: 'P320 between',
  },
  dye: {
    name: 'dye',
    label: 'Dye in the wood',
    coats: 2,
    film: 0,
    recoat: 1 * H,
    beforeSanding: 12 * H,
    hands: 30,
    sanding: 'only what stands up',
  },
  sealer: { name: 'sealer', label: 'Sealer', coats: 2, film: 12, recoat: 45, beforeSanding: 1 * D, hands: 15, sanding: 'P400, lightly' },
  primer: { name: 'primer', label: 'Filler primer', coats: 2, film: 20, recoat: 20, beforeSanding: 2 * H, hands: 15, sanding: 'P600' },
  colour: { name: 'colour', label: 'Colour', coats: 3, film: 10, recoat: 10, beforeSanding: 1 * D, hands: 15 },
  sparkle: { name: 'sparkle', label: 'Sparkle', coats: 3, film: 6, recoat: 10, hands: 15 },
}

/** The systems this tool starts with. All figures are the middles of ranges. [practice, from memory; the label wins] */
export const SYSTEMS: Record<Exclude<FinishSystem, 'none'>, System> = {
  lacquer: {
    label: 'Nitrocellulose lacquer, spray can',
    family: 'solvent',
    gives: 'Thin, repairs into itself, ages; gloss after weeks.',
    layers: [UNDER.sealer, top('Clear', 5, 14, 1 * H, 7 * D, 15)],
    under: ['filler', 'dye', 'primer', 'colour'],
    transfer: 0.6,
    container: 400,
    containerName: 'can',
    solids: { usual: 10, from: 8, to: 12 },
    rubOut: '7 to 21 days before wet sanding',
    fullCure: '4 weeks and more',
    asks: SPRAY_ASKS,
    limits: SOLVENT,
    cautions: [...SPRAY, `Lacquer dust and vapour burn. ${SHEET}`],
  },
  acrylic: {
    label: 'Acrylic paint and clear, spray can',
    family: 'solvent',
    gives: 'Any colour there is, hard in days.',
    layers: [UNDER.primer, UNDER.colour, top('Clear', 4, 11, 20, 3 * D, 15, { forbidden: [1 * H, 24 * H] })],
    under: ['filler'],
    transfer: 0.6,
    container: 400,
    containerName: 'can',
    solids: { usual: 10, from: 8, to: 12 },
    rubOut: '1 to 4 days before wet sanding',
    fullCure: '1 to 2 weeks',
    asks: SPRAY_ASKS,
    limits: SOLVENT,
    cautions: [...SPRAY, SHEET],
  },
  metallic: {
    label: 'Metallic paint and clear, spray can',
    family: 'solvent',
    gives: 'Silver, gold, sparkle; the metallic itself is never sanded.',
    layers: [
      UNDER.primer,
      { name: 'colour', label: 'Metallic', coats: 3, film: 6, recoat: 10, hands: 15 },
      top('Clear', 5, 12, 30, 4 * D, 15),
    ],
    under: ['filler', 'sparkle'],
    transfer: 0.55,
    container: 400,
    containerName: 'can',
    solids: { usual: 9, from: 5, to: 12 },
    rubOut: '1 to 4 days before wet sanding, the clear alone',
    fullCure: '1 to 2 weeks',
    asks: SPRAY_ASKS,
    limits: SOLVENT,
    cautions: [...SPRAY, SHEET],
  },
  waterborne: {
    label: 'Waterborne clear, brushed or sprayed',
    family: 'water',
    gives: 'Clear and hard with little smell; cool rather than warm in tone.',
    layers: [top('Waterborne coat', 4, 25, 2 * H, 3 * D, 30, { keyAfter: 24 * H, sanding: 'P400 between after a day' })],
    under: ['filler', 'dye', 'colour'],
    transfer: 0.85,
    container: 500,
    containerName: 'tin',
    solids: { usual: 28, from: 25, to: 32 },
    rubOut: '1 to 3 days before sanding',
    fullCure: '2 to 4 weeks',
    asks: { lungs: 'open window; mask when sprayed or sanded', room: 'warm and not damp, no frost on the tin' },
    limits: WATER,
    cautions: [
      `Ventilate; gloves. Sprayed: particle mask and extraction all the same. ${SHEET}`,
      'Water raises the grain: expect one sanding more.',
    ],
  },
  'wipe-on': {
    label: 'Wipe-on polyurethane',
    family: 'curing oil',
    gives: 'A thin film with a cloth, no spraying; satin more easily than gloss.',
    layers: [top('Wipe-on coat', 5, 8, 4 * H, 2 * D, 25, { keyAfter: 24 * H, sanding: 'P400 between, dust off' })],
    under: ['filler', 'dye'],
    transfer: 0.8,
    container: 250,
    containerName: 'jar',
    solids: { usual: 32, from: 25, to: 40 },
    rubOut: '1 to 3 days before sanding',
    fullCure: '1 to 4 weeks',
    asks: { lungs: 'open window, gloves', room: 'no dust; rags out of the house' },
    limits: { air: [12, 30], humidity: 75 },
    cautions: [RAGS, `Ventilate; nitrile gloves. ${SHEET}`],
  },
  oil: {
    label: 'Oil, or oil and varnish',
    family: 'curing oil',
    gives: 'The wood itself under a cloth; mended any evening, little against knocks.',
    layers: [top('Oil', 6, 5, 12 * H, 1 * D, 30, { sanding: 'P400 or a pad between' })],
    under: ['dye'],
    transfer: 0.6,
    container: 250,
    containerName: 'jar',
    solids: { usual: 45, from: 30, to: 60 },
    rubOut: 'a day before buffing',
    fullCure: '1 to 3 weeks',
    asks: { lungs: 'open window, gloves', room: 'any; rags out of the house' },
    limits: { air: [12, 30], humidity: 75 },
    cautions: [RAGS, `Ventilate; gloves. ${SHEET}`],
  },
  'hard-wax': {
    label: 'Hard-wax oil',
    family: 'curing oil',
    gives: 'Two or three coats and done; dull, warm, dry to the hand.',
    layers: [top('Hard-wax oil', 3, 10, 8 * H, 1 * D, 25, { sanding: 'a pad between' })],
    under: ['dye'],
    transfer: 0.8,
    container: 125,
    containerName: 'tin',
    solids: { usual: 70, from: 50, to: 90 },
    rubOut: 'nothing is rubbed out',
    fullCure: '1 to 2 weeks',
    asks: { lungs: 'open window, gloves', room: 'any; rags out of the house' },
    limits: { air: [12, 30], humidity: 75 },
    cautions: [RAGS, `Ventilate; gloves. ${SHEET}`],
  },
  shellac: {
    label: 'Shellac, by pad or brush',
    family: 'solvent',
    gives: 'Quick and thin, seals anything; marks by alcohol and heat.',
    layers: [top('Shellac', 8, 6, 45, 2 * D, 20)],
    under: ['filler', 'dye'],
    transfer: 0.8,
    container: 500,
    containerName: 'bottle',
    solids: { usual: 12, from: 10, to: 15 },
    rubOut: 'a day or two before rubbing',
    fullCure: '1 to 2 weeks',
    asks: { lungs: 'open window: spirit', room: 'no flame; dry air, it blushes in damp' },
    limits: SOLVENT,
    cautions: ['Spirit burns: no flame, open window; gloves.', SHEET],
  },
}

export const isChosen = (s: FinishSystem): s is Exclude<FinishSystem, 'none'> => s !== 'none'
