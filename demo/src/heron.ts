import { addDays, newBuild, type Build, type KindName, type Part } from '@snug/core'
import { HERON_BODY, HERON_GUARD, HERON_HEAD } from './heronOutlines'
import { sizes, type Entry } from './sizes'

interface Short extends Partial<Omit<Part, 'kind' | 'name' | 'sizes'>> {
  sizes: Record<string, Entry>
}
const part = (kind: KindName, name: string, { sizes: entries, ...more }: Short): Part => ({
  kind,
  name,
  state: 'in hand',
  traits: {},
  ...more,
  sizes: sizes(kind, entries),
})

const route = (place: string, centre: number, length: number, width: number, depth: number): Record<string, Entry> => ({
  [`route.${place}.centre`]: centre,
  [`route.${place}.length`]: length,
  [`route.${place}.width`]: width,
  [`route.${place}.depth`]: [depth, 'rule'],
  [`route.${place}.radius`]: [3, 'rule'],
})
const opening = (place: string, centre: number, length: number, width: number): Record<string, Entry> => ({
  [`opening.${place}.centre`]: centre,
  [`opening.${place}.length`]: length,
  [`opening.${place}.width`]: width,
})

const audioPot = (name: string, price: number): Part =>
  part('pot', name, {
    seller: 'Quayside Electrics',
    price,
    sizes: {
      resistance: [500e3, 'listed', 100e3],
      'bushing.diameter': 9.4,
      'bushing.length': 9.5,
      'body.diameter': 24,
      'body.depth': [16, 'rule'],
      'shaft.diameter': 6,
      'nut.thickness': 2.1,
      'washer.thickness': 0.6,
    },
    traits: { taper: 'audio' },
  })

/**
 * Heron: first of three loan guitars a harbour town's lending library of instruments readies for the spring term.
 * Parts from several sellers, a pocket slightly tight, a guard whose openings are off, pots too long, a late parcel.
 * @param today ISO date the story starts on
 * @param due ISO date it is promised for
 */
export function heron(today: string, due: string, late: string): Build {
  const build = newBuild({ name: 'Heron', handedness: 'right', strings: 6, scale: 647.7 }, today)
  return {
    ...build,
    due,
    budget: 420,
    parts: {
      body: part('body', 'Alder body, two-piece, unfinished', {
        seller: 'Saltmarsh Timber',
        price: 84,
        colour: '#d9b98a',
        outline: HERON_BODY,
        traits: { wood: 'alder', grain: 'flat', build: 'solid', surface: 'raw' },
        sizes: {
          thickness: 44.2,
          'pocket.widthMouth': 56.1,
          'pocket.widthEnd': 56.55,
          'pocket.length': [76, 'calipers', 0.1],
          'pocket.depth': 15.9,
          'pocket.radius': [6, 'rule'],
          'pocket.tilt': [0, 'rule', 0.05],
          axisAtBridge: [-0.6, 'rule', 0.3],
          mouthToBridge: [255, 'rule', 0.3],
          studSpacing: [74, 'rule'],
          ...route('neck', 107, 40, 74, 20),
          ...route('middle', 164, 40, 74, 20),
          ...route('bridge', 219, 40, 74, 20),
          'control.depth': [38, 'rule'],
          'spring.depth': [16, 'rule'],
          'jack.x': [338, 'rule'],
          'jack.y': [-112, 'rule'],
          'claw.x': [118, 'rule'],
        },
      }),
      neck: part('neck', 'Maple neck, 22 frets', {
        seller: 'Old Ropewalk Parts',
        price: 72,
        colour: '#caa068',
        outline: HERON_HEAD,
        traits: { wood: 'hard-maple', grain: 'flat', head: 'one-row', truss: 'head', hand: 'right' },
        sizes: {
          scale: [647.7, 'rule', 0.3],
          frets: 22,
          nutToHeelEnd: [462, 'rule', 0.3],
          boardLength: [470.5, 'rule', 0.3],
          'heel.widthMouth': 56.45,
          'heel.widthEnd': [56.2, 'rule'],
          'heel.thickness': 25.4,
          'heel.radius': [8, 'rule'],
          'nut.width': 42,
          'board.widthEnd': 56.4,
          'board.radius': [305, 'listed', 10],
          crown: 1.1,
          'head.thickness': 14,
          'tuner.bore': 10,
          'tuner.pitch': 25.4,
          'tuner.first': [33, 'rule'],
          'tuner.offset': [19, 'rule'],
          'tuner.slant': [15.5, 'rule', 0.5],
        },
      }),
      bridge: part('bridge', 'Two-stud vibrato, nickel', {
        seller: 'Capstan Hardware',
        price: 58,
        state: 'ordered',
        arrives: late,
        traits: { mount: 'two-stud', hand: 'either' },
        sizes: {
          spread: [52.5, 'listed', 0.4],
          studSpacing: [74, 'listed', 0.4],
          studDiameter: [10, 'listed', 0.1],
          studLength: [25, 'listed', 0.4],
          'height.min': [8.5, 'listed', 0.4],
          'height.max': [16, 'listed', 0.4],
          'height.pitch': [0.75, 'listed', 0],
          'length.pitch': [0.5, 'listed', 0],
          'travel.front': [-3.5, 'listed', 0.4],
          'travel.back': [18, 'listed', 0.4],
          'plate.length': [38, 'listed', 0.4],
          'plate.width': [84, 'listed', 0.4],
          'block.depth': [36, 'listed', 0.4],
          mass: [290, 'listed', 20],
        },
      }),
      guard: part('guard', 'Three-ply guard, two large openings and a small one', {
        seller: 'Low Tide Plastics',
        price: 16,
        colour: '#f1eee4',
        outline: HERON_GUARD,
        traits: {},
        sizes: {
          thickness: 2.5,
          ...opening('neck', 36.8, 36.7, 69.6),
          ...opening('middle', 88, 18.6, 69.8),
          ...opening('bridge', 143, 36.7, 69.6),
          'pot.hole': 9.6,
          'volume.x': [192, 'rule'],
          'volume.y': [-66, 'rule'],
          'tone.x': [230, 'rule'],
          'tone.y': [-88, 'rule'],
          'switch.x': [148, 'rule'],
          'switch.y': [-62, 'rule'],
        },
      }),
      'pickup-neck': part('pickup', 'Two-coil humbucker, neck, open coils', {
        seller: 'Quayside Electrics',
        price: 29,
        traits: { coils: 'two', sense: 'plain', leads: 'four' },
        sizes: {
          length: 36,
          width: 69,
          depth: [18, 'rule'],
          radius: [1.5, 'rule'],
          resistance: [7900, 'meter'],
          inductance: [4.3, 'listed'],
        },
      }),
      'pickup-middle': part('pickup', 'Single coil, middle', {
        seller: 'Quayside Electrics',
        price: 17,
        traits: { coils: 'single', sense: 'plain', leads: 'two' },
        sizes: {
          length: 18,
          width: 69,
          depth: [16, 'rule'],
          radius: [4, 'rule'],
          resistance: [5900, 'meter'],
          inductance: [2.4, 'listed'],
        },
      }),
      'pickup-bridge': part('pickup', 'Two-coil humbucker, bridge, open coils', {
        seller: 'Quayside Electrics',
        price: 29,
        traits: { coils: 'two', sense: 'plain', leads: 'four' },
        sizes: {
          length: 36,
          width: 69,
          depth: [18, 'rule'],
          radius: [1.5, 'rule'],
          resistance: [8400, 'meter'],
          inductance: [4.9, 'listed'],
        },
      }),
      tuners: part('tuners', 'Six in a row, sealed', {
        seller: 'Capstan Hardware',
        price: 34,
        traits: { hand: 'right' },
        sizes: {
          count: 6,
          bushing: 9.9,
          'housing.width': 24.4,
          'screw.length': 12,
          'screw.thread': 2.2,
          'screw.root': 1.6,
          'screw.offset': 11,
          'plate.thickness': 1.2,
          mass: [29, 'scale', 1],
        },
      }),
      nut: part('nut', 'Slotted bone nut, 42 mm', {
        seller: 'Old Ropewalk Parts',
        price: 6,
        sizes: { spread: 35.2, slot: [0.55, 'calipers', 0.05], length: 42 },
      }),
      strings: part('strings', 'Nickel-plated set, 0.010 to 0.046', {
        seller: 'Quayside Electrics',
        price: 7,
        traits: { wrap: 'nickel-plated' },
        sizes: {
          wound: 3,
          'gauge.1': [0.254, 'listed', 0.005],
          'gauge.2': [0.3302, 'listed', 0.005],
          'gauge.3': [0.4318, 'listed', 0.005],
          'gauge.4': [0.6604, 'listed', 0.01],
          'gauge.5': [0.9144, 'listed', 0.01],
          'gauge.6': [1.1684, 'listed', 0.01],
          'core.4': [0.3556, 'assumed', 0.05],
          'core.5': [0.4064, 'assumed', 0.05],
          'core.6': [0.4572, 'assumed', 0.05],
        },
      }),
      'pot-volume': audioPot('500 k audio, solid shaft', 6),
      'pot-tone': audioPot('500 k audio, solid shaft', 6),
      switch: part('switch', '5-way lever, four poles', {
        seller: 'Quayside Electrics',
        price: 14,
        traits: { contacts: 'lever-5x4' },
        sizes: { depth: [24, 'rule'], 'screw.spacing': 41.2 },
      }),
      jack: part('jack', 'Mono jack, open', {
        seller: 'Quayside Electrics',
        price: 3,
        traits: { contacts: 'mono' },
        sizes: { bore: 9.5, 'thread.length': [8, 'rule'] },
      }),
      capacitor: part('capacitor', '22 n film', { seller: 'Quayside Electrics', price: 1, sizes: { capacitance: [22e-9, 'listed'] } }),
      'neck-screws': part('neck-screws', 'Four screws with plate', {
        seller: 'Capstan Hardware',
        price: 8,
        sizes: {
          count: 4,
          length: 45,
          thread: 4.2,
          root: 3,
          'plate.thickness': 1.5,
          'spread.along': [51, 'rule'],
          'spread.across': [38, 'rule'],
        },
      }),
    },
    finish: { ...build.finish, start: addDays(today, 15), weather: { air: 17, surface: 16, humidity: 62 } },
  }
}
