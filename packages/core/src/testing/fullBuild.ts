import type { Build } from '../document/build'
import type { OutlineRow } from '../parts/part'
import type { Slot } from '../parts/slots'
import { aBuild, aPart, type Sizes } from './bench'

const BODY_OUTLINE: OutlineRow[] = [
  { x: -60, bass: 60, treble: 50 },
  { x: 0, bass: 150, treble: 140 },
  { x: 120, bass: 140, treble: 130 },
  { x: 250, bass: 165, treble: 160 },
  { x: 340, bass: 120, treble: 110 },
  { x: 370, bass: 40, treble: 40 },
]
const GUARD_OUTLINE: OutlineRow[] = [
  { x: 0, bass: 52, treble: 70 },
  { x: 80, bass: 60, treble: 110 },
  { x: 165, bass: 58, treble: 120 },
  { x: 240, bass: 10, treble: 112 },
]
const HEAD_OUTLINE: OutlineRow[] = [
  { x: -205, bass: 6, treble: 58 },
  { x: -120, bass: 40, treble: 46 },
  { x: -30, bass: 36, treble: 26 },
  { x: 0, bass: 21, treble: 21 },
]

/** Thousandths of an inch as sizes in mm, counted from `first`. */
const thou = (key: string, first: number, gauges: readonly number[]): Sizes =>
  Object.fromEntries(gauges.map((t, i) => [`${key}.${i + first}`, [t * 0.0254, 'listed', 0.008] as const]))

const route = (place: string, centre: number, length: number, width: number): Sizes => ({
  [`route.${place}.centre`]: centre,
  [`route.${place}.length`]: length,
  [`route.${place}.width`]: width,
  [`route.${place}.depth`]: 22,
  [`route.${place}.radius`]: 1,
  [`route.${place}.side`]: 0,
})
const opening = (place: string, centre: number, length: number): Sizes => ({
  [`opening.${place}.centre`]: centre,
  [`opening.${place}.length`]: length,
  [`opening.${place}.width`]: 70,
  [`opening.${place}.radius`]: 1.5,
  [`opening.${place}.side`]: 0,
})
const pickup = (place: 'neck' | 'middle' | 'bridge', length: number, poles: number, coils: string) =>
  aPart(
    `pickup-${place}`,
    {
      length,
      width: 69.4,
      depth: 17,
      radius: 1.5,
      above: 3,
      'poles.spread': poles,
      slant: 0,
      'lead.length': [320, 'rule', 5],
      'ears.span': 72,
      resistance: [8000, 'meter', 80],
      inductance: [4.2, 'meter', 0.1],
    },
    { coils, sense: 'plain', leads: 'four', poles: 'poles', mount: 'guard', circuit: 'passive', bassSide: 'same' },
  )
const pot = (slot: 'pot-volume' | 'pot-tone') =>
  aPart(
    slot,
    {
      resistance: [500e3, 'meter', 5e3],
      'bushing.diameter': 9.4,
      'bushing.length': 6.4,
      'body.diameter': 24,
      'body.depth': 16,
      'shaft.diameter': 6,
      'nut.thickness': 2.1,
      'washer.thickness': 0.6,
    },
    { taper: 'audio' },
  )

/**
 * A bolt-on six-string with two-stud vibrato, guard and three pickups, every size read with calipers and every joint snug: tests
 * change one thing and see what it moves.
 */
export function fullBuild(): Build {
  return aBuild({
    body: aPart(
      'body',
      {
        thickness: 44.2,
        'pocket.widthMouth': 56.55,
        'pocket.widthEnd': 56.55,
        'pocket.length': [76, 'calipers', 0.1],
        'pocket.depth': 15.9,
        'pocket.radius': 5,
        'pocket.dip': 0.02,
        'pocket.tilt': [0, 'calipers', 0.02],
        axisAtBridge: [0, 'calipers', 0.1],
        mouthToBridge: [255, 'calipers', 0.1],
        studSpacing: 74,
        studBore: [9.9, 'calipers', 0.02],
        studBoreDepth: 26,
        ...route('neck', 107, 40, 74),
        ...route('middle', 164, 40, 74),
        ...route('bridge', 219, 40, 74),
        'control.depth': 38,
        'control.x': 292,
        'control.y': -76,
        'control.length': 112,
        'control.width': 56,
        'jack.x': 338,
        'jack.y': -100,
        'jack.bore': 9.8,
        'jack.depth': 60,
        'vibrato.length': 30,
        'passage.diameter': 24,
        'claw.x': 118,
        'spring.depth': 18,
        'button.upper.x': [-40, 'calipers', 1],
        'button.lower.x': [365, 'calipers', 1],
        mass: [1900, 'scale', 10],
      },
      {
        wood: 'hard-maple',
        grain: 'quarter',
        build: 'solid',
        surface: 'coated',
        top: 'flat',
        shield: 'paint',
        access: 'front',
        notch: 'no',
        hand: 'right',
      },
      { outline: BODY_OUTLINE, seller: 'a' },
    ),
    neck: aPart(
      'neck',
      {
        scale: 647.7,
        frets: 22,
        nutToHeelEnd: 462,
        boardLength: 470,
        'heel.widthMouth': 56.35,
        'heel.widthEnd': 56.35,
        'heel.thickness': 25.4,
        'heel.radius': 6,
        'nut.width': 42,
        'board.widthEnd': 56.4,
        'board.radius': [305, 'calipers', 5],
        'board.thickness': 6,
        'nut.slotWidth': 3.4,
        'nut.slotDepth': [3.4, 'calipers', 0.03],
        'head.drop': 9,
        'head.angle': 0,
        'truss.key': 4,
        crown: 1.1,
        'head.thickness': 14,
        'tuner.bore': 10,
        'tuner.pitch': 25.4,
        'tuner.first': 33,
        'tuner.offset': 18,
        'tuner.slant': [13, 'calipers', 0.2],
        mass: [640, 'scale', 5],
      },
      { wood: 'hard-maple', grain: 'quarter', head: 'one-row', row: 'bass', truss: 'head', hand: 'right', tiltScrew: 'none' },
      { outline: HEAD_OUTLINE },
    ),
    bridge: aPart(
      'bridge',
      {
        spread: 52.5,
        studSpacing: 74,
        studDiameter: [10, 'calipers', 0.02],
        studLength: 25,
        'height.min': 8.5,
        'height.max': 17,
        'height.pitch': [0.5, 'calipers', 0],
        'length.pitch': [0.5, 'calipers', 0],
        'travel.front': -3,
        'travel.back': 18,
        'plate.front': 6,
        'plate.length': 38,
        'plate.width': 84,
        'block.depth': 36,
        'block.length': 12,
        'string.hole': 1.8,
        'exit.height': 2.5,
        'exit.distance': 14,
        'back.height': 5,
        'back.distance': 4,
        mass: [290, 'scale', 5],
      },
      { mount: 'two-stud', saddles: 'single', hand: 'either' },
      { metal: 'nickel' },
    ),
    guard: aPart(
      'guard',
      {
        thickness: 2.5,
        'neck.width': 57.3,
        'bridge.edge': [171, 'calipers', 0.1],
        'switch.slot': 30,
        'switch.screws': 41.2,
        'screw.edge': 6,
        ...opening('neck', 31, 36.8),
        ...opening('middle', 88, 18.8),
        ...opening('bridge', 143, 36.8),
        'pot.hole': 9.6,
        'volume.x': 192,
        'volume.y': -70,
        'tone.x': 236,
        'tone.y': -84,
        'switch.x': 148,
        'switch.y': -62,
      },
      { shield: 'foil', hand: 'right' },
      { outline: GUARD_OUTLINE, seller: 'a' },
    ),
    'pickup-neck': pickup('neck', 36, 49.2, 'two'),
    'pickup-middle': pickup('middle', 18, 50.4, 'single'),
    'pickup-bridge': pickup('bridge', 36, 51, 'two'),
    tuners: aPart(
      'tuners',
      {
        count: 6,
        bushing: 9.9,
        'housing.width': 24.8,
        'housing.length': 15,
        'screw.length': 10,
        'screw.thread': 2.2,
        'screw.root': 1.6,
        'screw.offset': 9,
        'plate.thickness': 1.2,
        'grip.min': 11,
        'grip.max': 16,
        'post.height': 5,
        'string.hole': 1.8,
        mass: [29, 'scale', 1],
      },
      { hand: 'right', screws: 'own', locking: 'wraps' },
      { metal: 'nickel' },
    ),
    nut: aPart(
      'nut',
      { spread: 35.2, slot: 0.5, length: 42, width: 3.33, height: [3.95, 'calipers', 0.03], 'slot.extra': [0.08, 'calipers', 0.02] },
      { type: 'slotted', hand: 'either' },
    ),
    strings: aPart(
      'strings',
      {
        ...thou('gauge', 1, [10, 13, 17, 26, 36, 46]),
        ...thou('core', 4, [14, 16, 18]),
        length: 965,
      },
      { wrap: 'nickel-plated' },
    ),
    'string-tree': aPart('string-tree', { height: 4, holds: 4 }),
    'pot-volume': pot('pot-volume'),
    'pot-tone': pot('pot-tone'),
    switch: aPart('switch', { depth: 24, 'screw.spacing': 41.2, swing: 26 }, { contacts: 'lever-5x4' }),
    jack: aPart('jack', { bore: 9.5, 'thread.length': 8, width: 21, depth: 52 }, { contacts: 'mono', held: 'thread' }),
    capacitor: aPart('capacitor', { capacitance: [22e-9, 'meter', 1e-9] }),
    'neck-screws': aPart('neck-screws', {
      count: 4,
      length: 45,
      thread: 4.2,
      root: 3,
      'plate.thickness': 1.5,
      'spread.along': 51,
      'spread.across': 38,
    }),
    springs: aPart('springs', { count: 3, pull: [41, 'scale', 2], arm: 36, 'string.arm': 9 }),
    knobs: aPart('knobs', { count: 2, bore: 6.08, depth: 12, diameter: 19 }, { grip: 'split' }),
    'strap-buttons': aPart('strap-buttons', { 'screw.length': 25, 'screw.thread': 3.5, thickness: 12 }, {}, { metal: 'nickel' }),
    shielding: aPart('shielding', { thickness: 0.1 }, { type: 'foil', tab: 'tab' }),
    wire: aPart('wire', { diameter: 1.4, 'lead.jack': [230, 'rule', 5], 'lead.ground': [330, 'rule', 5] }, { type: 'stranded' }),
  })
}

/** The same build with some sizes (in mm, read with calipers) and traits changed; `undefined` takes a size out. */
export function changed(
  build: Build,
  sizes: Partial<Record<`${Slot}/${string}`, number | undefined>> = {},
  traits: Partial<Record<`${Slot}/${string}`, string>> = {},
): Build {
  // Each part by itself: copying all of them for one size takes longer than most of what is then asked.
  const parts = Object.fromEntries(
    Object.entries(build.parts).map(([slot, part]) => [slot, { ...part, sizes: { ...part.sizes }, traits: { ...part.traits } }]),
  ) as Build['parts']
  for (const [ref, value] of Object.entries(sizes)) {
    const [slot, size] = ref.split('/') as [Slot, string]
    const part = parts[slot]
    if (!part) throw new Error(`no ${slot} in this build`)
    if (value === undefined) delete part.sizes[size]
    else part.sizes[size] = { doubt: 0.05, known: 'calipers', ...part.sizes[size], value }
  }
  for (const [ref, value] of Object.entries(traits) as [string, string][]) {
    const [slot, trait] = ref.split('/') as [Slot, string]
    parts[slot]!.traits[trait] = value
  }
  return { ...build, parts }
}

/** The build without some of its parts. */
export function without(build: Build, ...slots: Slot[]): Build {
  return { ...build, parts: Object.fromEntries(Object.entries(build.parts).filter(([slot]) => !slots.includes(slot as Slot))) }
}
