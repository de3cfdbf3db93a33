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

const H = 60
const D = 24 * H

export const SPRAY = [
  'Spray outdoors or with extraction. No flame, pilot light or heater near.',
  'Organic-vapour respirator with particle pre-filter, not a dust mask; nitrile gloves; eyes covered.',
] as const
export const SHEET = 'Read the product’s safety data sheet and local rules on waste.'
export const RAGS =
  'Oil-wet rags heat up by themselves and start fires: spread them flat outside or keep them in a lidded metal can with water.'

/** Where the label says nothing. [practice] */
const SOLVENT = { air: [10, 30], humidity: [0, 75] } as const
const WATER = { air: [15, 28], humidity: [40, 70] } as const
const OIL = { air: [12, 30], humidity: [0, 75] } as const

const CAN = 'Shake 2 to 3 minutes after the ball is free. 20 to 25 cm off, begin and end off the work, each pass half over the last.'
const range = (usual: number, from: number, to: number): Range => ({ usual, from, to })

const spray = {
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
const wiped = {
  family: 'curing oil',
  applied: 'wipe',
  limits: OIL,
  transfer: 0.8,
  container: 250,
  containerName: 'jar',
  cautions: [RAGS, `Ventilate; nitrile gloves. ${SHEET}`],
} as const satisfies Partial<Product>
const inWood = {
  film: range(0, 0, 0),
  family: 'water',
  limits: WATER,
  cautions: [`Gloves: it colours skin too. ${SHEET}`],
} as const satisfies Partial<Product>

/** What this tool starts with; a person adds to it and writes the label's figures over it. */
export const PRODUCTS = {
  'water-dye': {
    ...inWood,
    label: 'Water dye in the wood',
    kind: 'dye',
    medium: 'dye',
    applied: 'wipe',
    coats: 2,
    solids: range(4, 1, 8),
    recoat: H,
    beforeSanding: 12 * H,
    handle: 2 * H,
    cure: { from: 1, to: 1 },
    hands: 30,
    how: 'Raise the grain with water first and cut it back with P320. Wet and even, wipe off before it dries, tried on scrap of the same wood.',
    sanding: 'only what stands up',
    transfer: 0.8,
    container: 100,
    containerName: 'bottle',
  },
  'acrylic-wash': {
    ...inWood,
    label: 'Acrylic wash',
    kind: 'dye',
    medium: 'wash',
    applied: 'wipe',
    coats: 2,
    solids: range(4, 3, 5),
    recoat: 30,
    beforeSanding: 12 * H,
    handle: H,
    cure: { from: 1, to: 2 },
    hands: 30,
    how: '1 part colour to 9 parts water, brushed or sprayed thin, wiped while wet. It is dry to the touch long before it is dry.',
    sanding: 'only what stands up',
    transfer: 0.8,
    container: 60,
    containerName: 'bottle',
  },
  'grain-filler': {
    label: 'Grain filler',
    kind: 'filler',
    medium: 'filler',
    family: 'water',
    applied: 'brush',
    coats: 2,
    solids: range(60, 50, 70),
    film: range(0, 0, 0),
    recoat: 12 * H,
    beforeSanding: 12 * H,
    handle: 2 * H,
    cure: { from: 1, to: 2 },
    limits: WATER,
    hands: 40,
    how: 'Thin, across the grain with a card, scraped off while soft. Two or three thin goes: one thick one shrinks back. Overnight, then P320.',
    sanding: 'P320 between',
    transfer: 0.7,
    container: 250,
    containerName: 'tub',
    cautions: [`Dust mask when it is sanded. ${SHEET}`],
  },
  'sanding-sealer': {
    ...spray,
    label: 'Lacquer sanding sealer',
    kind: 'sealer',
    medium: 'lacquer',
    coats: 2,
    solids: range(12, 8, 16),
    film: range(12, 8, 16),
    recoat: 45,
    beforeSanding: D,
    handle: H,
    cure: { from: 7, to: 28 },
    sanding: 'P400, lightly',
  },
  'shellac-sealer': {
    label: 'Shellac, as a sealer',
    kind: 'sealer',
    medium: 'shellac',
    family: 'solvent',
    applied: 'brush',
    coats: 2,
    solids: range(12, 10, 15),
    film: range(6, 5, 8),
    recoat: 45,
    beforeSanding: 2 * H,
    handle: 30,
    cure: { from: 1, to: 2 },
    limits: SOLVENT,
    hands: 20,
    how: 'Free of wax if anything but shellac goes over it. Long thin strokes, never back into a wet one.',
    sanding: 'P400, lightly',
    transfer: 0.85,
    container: 500,
    containerName: 'bottle',
    cautions: ['Spirit burns: no flame, open window; gloves.', SHEET],
  },
  'filler-primer': {
    ...spray,
    label: 'Filler primer',
    kind: 'primer',
    medium: 'acrylic',
    coats: 2,
    solids: range(16, 12, 20),
    film: range(20, 15, 25),
    recoat: 20,
    beforeSanding: 2 * H,
    handle: H,
    cure: { from: 1, to: 2 },
    sanding: 'P600',
    opaque: true,
  },
  'acrylic-colour': {
    ...spray,
    label: 'Acrylic colour',
    kind: 'colour',
    medium: 'acrylic',
    coats: 3,
    solids: range(10, 8, 12),
    film: range(10, 8, 15),
    recoat: 10,
    beforeSanding: D,
    handle: H,
    cure: { from: 7, to: 14 },
    opaque: true,
  },
  'lacquer-colour': {
    ...spray,
    label: 'Nitrocellulose colour',
    kind: 'colour',
    medium: 'lacquer',
    coats: 3,
    solids: range(10, 8, 12),
    film: range(10, 8, 15),
    recoat: 30,
    beforeSanding: D,
    handle: H,
    cure: { from: 28, to: 42 },
    opaque: true,
    cautions: [...SPRAY, `Lacquer dust and vapour burn. ${SHEET}`],
  },
  'lacquer-toner': {
    ...spray,
    label: 'Toner: lacquer with dye in it',
    kind: 'colour',
    medium: 'lacquer',
    coats: 3,
    solids: range(8, 6, 12),
    film: range(6, 4, 8),
    recoat: 30,
    handle: H,
    cure: { from: 28, to: 42 },
    how: `${CAN} For a burst from the edge inwards, the can pointed off the body.`,
  },
  'metallic-base': {
    ...spray,
    label: 'Metallic colour',
    kind: 'colour',
    medium: 'metallic',
    coats: 3,
    solids: range(7, 5, 8),
    film: range(6, 4, 8),
    recoat: 10,
    handle: H,
    cure: { from: 1, to: 2 },
    how: 'Shake 2 to 3 minutes. Nearer and wetter than other colours, 15 cm: from far away it lands dry, rough, and is grey under the clear. Never sanded.',
    transfer: 0.55,
    opaque: true,
  },
  sparkle: {
    ...spray,
    label: 'Sparkle in clear',
    kind: 'sparkle',
    medium: 'metallic',
    coats: 3,
    solids: range(7, 5, 9),
    film: range(6, 4, 8),
    recoat: 10,
    handle: H,
    cure: { from: 1, to: 2 },
    transfer: 0.55,
  },
  decal: {
    label: 'Transfer or decal',
    kind: 'decal',
    medium: 'decal',
    family: 'water',
    applied: 'lay',
    coats: 1,
    solids: range(100, 100, 100),
    film: range(8, 5, 40),
    recoat: 24 * H,
    handle: 12 * H,
    cure: { from: 1, to: 1 },
    limits: { air: [10, 30], humidity: [0, 80] },
    hands: 30,
    how: 'On film that is dry and levelled. Slide it from its wet paper, press the water out from the middle, overnight; its edge goes under three or four coats of clear.',
    transfer: 1,
    container: 1,
    containerName: 'sheet',
    cautions: ['Sharp knife: cut away from the fingers.'],
  },
  'lacquer-clear': {
    ...spray,
    label: 'Nitrocellulose clear',
    kind: 'top',
    medium: 'lacquer',
    coats: 5,
    solids: range(10, 8, 12),
    film: range(14, 8, 20),
    recoat: H,
    beforeSanding: 7 * D,
    handle: H,
    cure: { from: 28, to: 42 },
    cautions: [...SPRAY, `Lacquer dust and vapour burn. ${SHEET}`],
  },
  'lacquer-mist': {
    ...spray,
    label: 'Nitrocellulose clear in mist coats',
    kind: 'top',
    medium: 'lacquer',
    coats: 14,
    solids: range(10, 8, 12),
    film: range(5, 3, 7),
    recoat: 2 * D,
    beforeSanding: 14 * D,
    handle: H,
    cure: { from: 28, to: 42 },
    hands: 10,
    how: `${CAN} A mist that just dulls the shine below, then two days: weeks, but nothing runs and little is levelled.`,
    cautions: [...SPRAY, `Lacquer dust and vapour burn. ${SHEET}`],
  },
  'acrylic-clear': {
    ...spray,
    label: 'Acrylic clear',
    kind: 'top',
    medium: 'acrylic',
    coats: 4,
    solids: range(10, 8, 12),
    film: range(11, 8, 15),
    recoat: 20,
    forbidden: [H, D],
    beforeSanding: 3 * D,
    handle: H,
    cure: { from: 7, to: 14 },
  },
  'waterborne-clear': {
    label: 'Waterborne clear',
    kind: 'top',
    medium: 'waterborne',
    family: 'water',
    applied: 'brush',
    coats: 4,
    solids: range(28, 25, 32),
    film: range(25, 20, 30),
    recoat: 2 * H,
    keyAfter: D,
    beforeSanding: 3 * D,
    handle: 2 * H,
    cure: { from: 14, to: 28 },
    limits: WATER,
    hands: 30,
    how: 'Stirred, never shaken. A full wet coat with a soft brush or foam, tipped off once and left alone.',
    sanding: 'P400 between after a day',
    transfer: 0.85,
    container: 500,
    containerName: 'tin',
    cautions: [
      `Ventilate; gloves. Sprayed: particle mask and extraction all the same. ${SHEET}`,
      'Water raises the grain: expect one sanding more.',
    ],
  },
  'waterborne-colour': {
    label: 'Waterborne paint',
    kind: 'colour',
    medium: 'waterborne',
    family: 'water',
    applied: 'brush',
    coats: 2,
    solids: range(32, 28, 40),
    film: range(25, 20, 35),
    recoat: 2 * H,
    keyAfter: D,
    beforeSanding: 12 * H,
    handle: 2 * H,
    cure: { from: 14, to: 28 },
    limits: WATER,
    hands: 30,
    how: 'Foam roller or soft brush, thin, never back over what begins to dry.',
    sanding: 'P400, lightly',
    transfer: 0.85,
    container: 250,
    containerName: 'tin',
    cautions: [`Ventilate; gloves. ${SHEET}`],
    opaque: true,
  },
  'wipe-on-poly': {
    ...wiped,
    label: 'Wipe-on polyurethane',
    kind: 'top',
    medium: 'poly',
    coats: 5,
    solids: range(32, 25, 40),
    film: range(8, 6, 10),
    recoat: 4 * H,
    keyAfter: D,
    beforeSanding: 2 * D,
    handle: 6 * H,
    cure: { from: 7, to: 28 },
    hands: 25,
    how: 'A lint-free cloth, damp not dripping, with the grain, in one pass; never back into it.',
    sanding: 'P400 between, dust off',
  },
  'oil-varnish': {
    ...wiped,
    label: 'Oil, or oil and varnish',
    kind: 'top',
    medium: 'oil',
    coats: 6,
    solids: range(45, 30, 60),
    film: range(5, 3, 8),
    recoat: 12 * H,
    beforeSanding: D,
    handle: 6 * H,
    cure: { from: 7, to: 21 },
    hands: 30,
    how: 'Wipe on, wait 15 to 20 minutes, wipe all of it off: what stands stays sticky.',
    sanding: 'P400 or a pad between',
    transfer: 0.6,
  },
  'oil-thin': {
    ...wiped,
    label: 'Oil rubbed even in thin coats',
    kind: 'top',
    medium: 'oil',
    coats: 12,
    solids: range(45, 30, 60),
    film: range(3, 2, 4),
    recoat: 2 * H,
    beforeSanding: D,
    handle: 2 * H,
    cure: { from: 7, to: 21 },
    hands: 20,
    how: 'A few drops rubbed even with the cloth until nothing is wet, then two hours; about twelve times, also over a dry acrylic wash.',
    sanding: 'a pad after every fourth',
    transfer: 0.8,
  },
  'hard-wax': {
    ...wiped,
    label: 'Hard-wax oil',
    kind: 'top',
    medium: 'hard-wax',
    coats: 3,
    solids: range(70, 50, 90),
    film: range(10, 5, 15),
    recoat: 8 * H,
    beforeSanding: D,
    handle: 8 * H,
    cure: { from: 7, to: 14 },
    hands: 25,
    how: 'Very thin, worked in with a pad, what stands wiped off after ten minutes.',
    sanding: 'a pad between',
    container: 125,
    containerName: 'tin',
  },
  shellac: {
    label: 'Shellac, by pad or brush',
    kind: 'top',
    medium: 'shellac',
    family: 'solvent',
    applied: 'wipe',
    coats: 8,
    solids: range(12, 10, 15),
    film: range(6, 5, 8),
    recoat: 45,
    beforeSanding: 2 * D,
    handle: 30,
    cure: { from: 7, to: 14 },
    limits: SOLVENT,
    hands: 20,
    how: 'A pad just damp, gliding on and off, never stopped on the work.',
    transfer: 0.8,
    container: 500,
    containerName: 'bottle',
    cautions: ['Spirit burns: no flame, open window; gloves.', SHEET],
  },
  wax: {
    label: 'Paste wax',
    kind: 'wax',
    medium: 'wax',
    family: 'solvent',
    applied: 'wipe',
    coats: 1,
    solids: range(30, 20, 40),
    film: range(1, 0.5, 2),
    recoat: H,
    handle: 15,
    cure: { from: 1, to: 1 },
    limits: OIL,
    hands: 20,
    how: 'A thin film with a soft cloth, ten minutes, buffed. The last thing ever: nothing sticks on wax.',
    transfer: 0.9,
    container: 150,
    containerName: 'tin',
    cautions: [`Solvent: ventilate. ${SHEET}`],
  },
} as const satisfies Record<string, Product>
export type ProductId = keyof typeof PRODUCTS
export const PRODUCT_IDS = Object.keys(PRODUCTS) as ProductId[]

/** Shown so that nobody finds it elsewhere and thinks it was forgotten; not to be chosen. */
export const NOT_AT_HOME = {
  label: 'Two-component clear',
  why: 'Its hardener holds isocyanates: supplied-air protection and training are needed, and no filter mask is enough. Not for a home bench; a spray shop does it.',
} as const
