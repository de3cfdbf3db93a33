import type { KindName, Part, StockItem } from '@snug/core'
import { heron } from './heron'
import { HERON_GUARD } from './heronOutlines'
import { part, type Short } from './part'
import type { Entry } from './sizes'

type NewItem = Omit<StockItem, 'id'>

/** Postage and days of the invented sellers; the last number is what the days have turned out to be. */
const SELLERS: Record<string, { shipping: number; promised: number; seen?: number }> = {
  'Saltmarsh Timber': { shipping: 14, promised: 7, seen: 9 },
  'Old Ropewalk Parts': { shipping: 8.5, promised: 5, seen: 5 },
  'Capstan Hardware': { shipping: 4.5, promised: 3, seen: 10 },
  'Low Tide Plastics': { shipping: 3.8, promised: 14, seen: 40 },
  'Quayside Electrics': { shipping: 3.5, promised: 3, seen: 3 },
  'Lantern Lane Coils': { shipping: 5, promised: 6 },
  'Tidewrack Salvage': { shipping: 6, promised: 4, seen: 6 },
}

function offer(kind: KindName, name: string, seller: string, price: number, more: Short): NewItem {
  const s = SELLERS[seller]!
  return {
    part: part(kind, name, { ...more, seller, price, state: 'planned' }),
    holding: 'offer',
    quantity: 1,
    reserved: {},
    shipping: s.shipping,
    lead: { promised: s.promised, ...(s.seen === undefined ? {} : { seen: s.seen }) },
  }
}
const drawer = (kind: KindName, name: string, quantity: number, place: string, more: Short, minimum?: number): NewItem => ({
  part: part(kind, name, more),
  holding: 'stash',
  quantity,
  place,
  reserved: {},
  ...(minimum === undefined ? {} : { minimum }),
})

/** A guard like Heron's with other openings: [centre, length] by place. */
function guard(name: string, seller: string, price: number, centres: [number, number, number], known: 'listed' | 'calipers'): NewItem {
  const at = (v: number): Entry => (known === 'listed' ? [v, 'listed', 0.4] : v)
  const own = heron('2026-11-24', '2027-02-15', '2026-12-05').parts.guard!
  const item = offer('guard', name, seller, price, { outline: HERON_GUARD, colour: '#3b3a38', traits: own.traits, sizes: {} })
  const sizes: Part['sizes'] = structuredClone(own.sizes)
  for (const [i, place] of (['neck', 'middle', 'bridge'] as const).entries()) {
    const entry = at(centres[i]!)
    const [value, how, doubt] =
      typeof entry === 'number' ? ([entry, 'calipers', 0.05] as const) : ([entry[0], entry[1], entry[2] ?? 0.8] as const)
    sizes[`opening.${place}.centre`] = { value, doubt, known: how }
  }
  return { ...item, part: { ...item.part, sizes } }
}

const pot = (bushing: number, length: number, ohm: number): Short => ({
  traits: { taper: 'audio' },
  sizes: {
    resistance: [ohm, 'listed', ohm * 0.2],
    'bushing.diameter': [bushing, 'listed', 0.1],
    'bushing.length': [length, 'listed', 0.3],
    'body.diameter': [24, 'listed', 0.4],
    'body.depth': [16, 'listed', 0.4],
    'shaft.diameter': [6, 'listed', 0.1],
    'nut.thickness': [2.1, 'listed', 0.2],
    'washer.thickness': [0.6, 'listed', 0.1],
  },
})

const vibrato = (spacing: number, diameter: number, spread: number, low: number): Short => ({
  metal: 'chrome',
  traits: { mount: 'two-stud', saddles: 'single', hand: 'either' },
  sizes: {
    spread: [spread, 'listed', 0.3],
    studSpacing: [spacing, 'listed', 0.3],
    studDiameter: [diameter, 'listed', 0.05],
    studLength: [25, 'listed', 0.4],
    'height.min': [low, 'listed', 0.3],
    'height.max': [low + 7, 'listed', 0.4],
    'height.pitch': [0.75, 'listed', 0],
    'length.pitch': [0.5, 'listed', 0],
    'travel.front': [-3.5, 'listed', 0.4],
    'travel.back': [18, 'listed', 0.4],
    'plate.front': [6, 'listed', 0.4],
    'plate.length': [38, 'listed', 0.4],
    'plate.width': [84, 'listed', 0.4],
    'block.depth': [36, 'listed', 0.4],
    'string.hole': [1.6, 'listed', 0.1],
    mass: [300, 'listed', 20],
  },
})

const tuners = (width: number, bushing: number, mass: number, hand: string, count = 6): Short => ({
  metal: 'chrome',
  traits: { hand },
  sizes: {
    count,
    bushing: [bushing, 'listed', 0.1],
    'housing.width': [width, 'listed', 0.2],
    'screw.length': [12, 'listed', 0.4],
    'screw.thread': [2.2, 'listed', 0.1],
    'screw.root': [1.6, 'listed', 0.1],
    'plate.thickness': [1.2, 'listed', 0.1],
    'post.height': [6, 'listed', 0.4],
    'string.hole': [1.8, 'listed', 0.1],
    mass: [mass, 'listed', 2],
  },
})

const nut = (spread: number, height: number, length: number, type: string): Short => ({
  traits: { type, hand: 'either' },
  sizes: { spread: [spread, 'listed', 0.3], slot: [0.5, 'assumed', 0.2], length, width: 3.26, height },
})

/** What lies in the library's drawers and what the town's sellers offer. */
export const demoStock = (): NewItem[] => [
  guard('Guard cut to a 57 and 112 mm spacing', 'Low Tide Plastics', 24, [31, 88, 143], 'listed'),
  guard('Guard, openings measured at the counter', 'Old Ropewalk Parts', 29, [31, 88, 143], 'calipers'),
  guard('Guard, wide spacing, clearance', 'Low Tide Plastics', 11, [26, 86, 146], 'calipers'),
  offer('bridge', 'Two-stud vibrato, chrome, 74 mm', 'Capstan Hardware', 62, vibrato(74, 10, 52.5, 8.5)),
  offer('bridge', 'Two-stud vibrato, chrome, 56 mm', 'Tidewrack Salvage', 38, vibrato(56, 10, 52.5, 8.5)),
  offer('bridge', 'Two-stud vibrato, chrome, low', 'Lantern Lane Coils', 95, vibrato(74.1, 10, 52.8, 7)),
  offer('tuners', 'Six in a row, chrome, narrow', 'Capstan Hardware', 39, tuners(22.8, 9.9, 27, 'right')),
  offer('tuners', 'Six in a row, chrome, wide cases', 'Tidewrack Salvage', 18, tuners(25.9, 9.9, 36, 'right')),
  offer('tuners', 'Six in a row, open gears, left', 'Capstan Hardware', 33, tuners(22.5, 8.6, 22, 'left')),
  offer('tuners', 'Twelve, six a side, light', 'Capstan Hardware', 84, tuners(13.5, 9.9, 19, 'either', 12)),
  offer('pot', '500 k audio, short bushing', 'Quayside Electrics', 7, pot(9.4, 6.5, 500e3)),
  offer('pot', '500 k audio, long bushing', 'Quayside Electrics', 9, pot(9.4, 19, 500e3)),
  offer('pot', '250 k audio, metric', 'Quayside Electrics', 4, pot(7, 8, 250e3)),
  offer('nut', 'Bone nut, slotted, 5.2 mm high', 'Old Ropewalk Parts', 9, nut(35.8, 5.2, 43, 'slotted')),
  offer('neck', 'Maple neck, 22 frets, heel 55.9', 'Old Ropewalk Parts', 96, {
    outline: heron('2026-11-24', '2027-02-15', '2026-12-05').parts.neck!.outline!,
    colour: '#d6b27c',
    traits: { wood: 'hard-maple', grain: 'quarter', head: 'one-row', row: 'bass', truss: 'head', hand: 'right' },
    sizes: {
      scale: [647.7, 'listed', 0.4],
      frets: 22,
      nutToHeelEnd: [462, 'listed', 0.5],
      boardLength: [470, 'listed', 0.5],
      'heel.widthMouth': [55.9, 'listed', 0.2],
      'heel.widthEnd': [55.9, 'listed', 0.2],
      'heel.thickness': [25.4, 'listed', 0.3],
      'heel.radius': [6, 'listed', 0.5],
      'nut.width': [42, 'listed', 0.2],
      'board.widthEnd': [56.2, 'listed', 0.2],
      crown: [1.1, 'listed', 0.1],
      'head.thickness': [14, 'listed', 0.3],
      'tuner.bore': [10, 'listed', 0.1],
      'tuner.pitch': [25.4, 'listed', 0.1],
    },
  }),
  offer('neck-screws', 'Four screws, 42 mm', 'Capstan Hardware', 5, {
    sizes: { count: 4, length: 42, thread: 4.2, root: 3, 'plate.thickness': 1.5 },
  }),
  drawer('nut', 'Nut blank, bone, 6 mm high', 5, 'drawer 2', nut(35.5, 6, 44, 'blank'), 2),
  drawer(
    'knobs',
    'Knob, solid shaft, set screw',
    7,
    'drawer 4',
    { traits: { grip: 'screw' }, sizes: { bore: 6.4, depth: [11, 'rule'], diameter: 18 } },
    2,
  ),
  drawer(
    'ferrules',
    'String ferrule',
    11,
    'drawer 2',
    { metal: 'nickel', sizes: { diameter: 8, length: [9, 'rule'], 'string.hole': 2.2 } },
    6,
  ),
  drawer(
    'screws',
    'Guard screws, oval head',
    60,
    'jar 1',
    { metal: 'nickel', sizes: { count: 60, length: [12, 'rule'], thread: 2.9 } },
    24,
  ),
  drawer('screws', 'Tuner screws, from the donor’s head', 12, 'bag: donor, head', {
    sizes: { count: 12, length: [10, 'rule'], thread: 2.2 },
  }),
  drawer('string-tree', 'String tree, tall', 3, 'drawer 2', { sizes: { height: [6, 'rule'], holds: 2 } }),
  drawer('string-tree', 'String tree, low', 2, 'drawer 2', { sizes: { height: [4, 'rule'], holds: 2 } }, 2),
  drawer('capacitor', '22 n film', 9, 'drawer 5', { sizes: { capacitance: [22e-9, 'listed'] } }, 3),
  drawer('capacitor', '47 n film', 4, 'drawer 5', { sizes: { capacitance: [47e-9, 'listed'] } }),
  drawer('pot', '500 k audio, short bushing', 1, 'drawer 5', pot(9.4, 6.5, 480e3), 2),
  drawer('shim', 'Tapered shim, 0.25°', 4, 'drawer 1', { sizes: { thick: [0.33, 'listed', 0.05], thin: [0, 'listed', 0], length: 76 } }),
  drawer('wire', 'Stranded wire, green', 1, 'drawer 5', {
    traits: { type: 'stranded' },
    sizes: { diameter: [1.4, 'rule', 0.1], length: [4200, 'tape', 100] },
  }),
]
