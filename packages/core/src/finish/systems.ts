import type { FinishSystem } from '../document/build'

/** One layer of a finish system. Times in minutes; the can's label always wins. [practice] */
export interface Layer {
  name: 'sealer' | 'top'
  label: string
  coats: number
  /** Dry film per coat on a flat, um. */
  film: number
  /** Shortest wait before the next coat of this layer, minutes at 20 C. */
  recoat: number
  /** After this many minutes the surface has to be keyed first; absent: no upper limit, each coat bites in. */
  keyAfter?: number
  /** Wait before sanding this layer, minutes. */
  beforeSanding: number
  /** Minutes at the bench for one coat on a whole instrument. */
  hands: number
  sanding?: string
}

export interface System {
  label: string
  layers: Layer[]
  /** Share of what leaves the can or cloth that stays on the work. [practice] */
  transfer: number
  /** Volume of one can or jar, ml. */
  container: number
  containerName: string
  /** Solids of the content to start from, %, with the range seen. [practice] */
  solids: { usual: number; from: number; to: number }
  /** Hours before rubbing out, and weeks to full cure. */
  rubOut: string
  fullCure: string
  limits: { air: readonly [number, number]; humidity: number }
  cautions: string[]
}

const H = 60
const D = 24 * H

/** The two systems this tool starts with. All figures are ranges' middles. [practice, from memory; the label wins] */
export const SYSTEMS: Record<FinishSystem, System> = {
  lacquer: {
    label: 'Nitrocellulose lacquer, spray can',
    layers: [
      { name: 'sealer', label: 'Sealer', coats: 2, film: 12, recoat: 45, beforeSanding: 1 * D, hands: 15, sanding: 'P400, lightly' },
      { name: 'top', label: 'Clear', coats: 5, film: 14, recoat: 60, beforeSanding: 7 * D, hands: 15 },
    ],
    transfer: 0.6,
    container: 400,
    containerName: 'can',
    solids: { usual: 10, from: 8, to: 12 },
    rubOut: '7 to 21 days before wet sanding',
    fullCure: '4 weeks and more',
    limits: { air: [15, 30], humidity: 70 },
    cautions: [
      'Spray outdoors or with extraction. No flame, pilot light or heater near.',
      'Organic-vapour respirator with particle pre-filter, not a dust mask; nitrile gloves; eyes covered.',
      'Lacquer dust and vapour burn. Read the product’s safety data sheet and local rules on spraying and waste.',
    ],
  },
  'wipe-on': {
    label: 'Wipe-on polyurethane',
    layers: [
      {
        name: 'top',
        label: 'Wipe-on coat',
        coats: 5,
        film: 8,
        recoat: 4 * H,
        keyAfter: 24 * H,
        beforeSanding: 2 * D,
        hands: 25,
        sanding: 'P400 between, dust off',
      },
    ],
    transfer: 0.8,
    container: 250,
    containerName: 'jar',
    solids: { usual: 32, from: 25, to: 40 },
    rubOut: '1 to 3 days before sanding',
    fullCure: '1 to 4 weeks',
    limits: { air: [12, 30], humidity: 75 },
    cautions: [
      'Oil-wet rags heat up by themselves and start fires: spread them flat outside or keep them in a lidded metal can with water.',
      'Ventilate; nitrile gloves. Read the product’s safety data sheet and follow local rules on waste.',
    ],
  },
}
