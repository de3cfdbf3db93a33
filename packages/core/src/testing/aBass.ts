import type { Build } from '../document/build'
import { startParts } from '../parts/starting/fill'
import type { Slot } from '../parts/slots'
import { aBuild, aPart, type Sizes } from './bench'

/** Where a bass of 864 mm differs from a long-scale guitar, mm. [practice, from memory] */
const SIZES: Partial<Record<Slot, Sizes>> = {
  body: {
    thickness: 45,
    'pocket.widthMouth': 62.7,
    'pocket.widthEnd': 62.7,
    'pocket.length': 92,
    'pocket.depth': 16.5,
    'pocket.dip': 0.02,
    mouthToBridge: 373.6,
    studSpacing: 70,
    'route.neck.centre': 186,
    'route.neck.length': 20,
    'route.neck.width': 94,
    'route.neck.depth': 24,
    'route.neck.radius': 3,
    'route.bridge.centre': 276,
    'route.bridge.length': 20,
    'route.bridge.width': 98,
    'route.bridge.depth': 24,
    'route.bridge.radius': 3,
    'pot.hole': 9.7,
    'volume.x': 330,
    'volume.y': -70,
    'tone.x': 372,
    'tone.y': -85,
    'switch.x': 300,
    'switch.y': -62,
    'control.x': 350,
    'control.y': -80,
    'control.length': 130,
    'control.width': 60,
    'jack.x': 410,
    'jack.y': -110,
    'button.upper.x': -80,
    'button.lower.x': 455,
    'outline.length': 520,
    'outline.upper': 300,
    'outline.waist': 240,
    'outline.lower': 330,
  },
  neck: {
    scale: 863.6,
    frets: 20,
    nutToHeelEnd: 610,
    boardLength: 612,
    'heel.widthMouth': 62.5,
    'heel.widthEnd': 62.5,
    'heel.thickness': 25.5,
    'nut.width': 41.3,
    'board.widthEnd': 62,
    'board.radius': 254,
    'fret1.thickness': 21,
    'fret12.thickness': 23,
    'head.thickness': 15.5,
    'head.drop': 10,
    'tuner.bore': 17.5,
    'tuner.pitch': 44,
    'tuner.first': 42,
    'tuner.edge': 18,
    mass: 950,
  },
  bridge: {
    spread: 57,
    studSpacing: 70,
    screws: 5,
    'screw.length': 32,
    'screw.root': 2.9,
    'screw.thread': 4,
    'plate.thickness': 2,
    'height.min': 9,
    'height.max': 16,
    'height.pitch': 0.5,
    'length.pitch': 0.7,
    'travel.front': 40,
    'travel.back': -16,
    'screw.spread': 70,
    'plate.front': 48,
    'saddle.radius': 254,
    'plate.length': 56,
    'plate.width': 81,
    mass: 260,
  },
  tuners: {
    count: 4,
    bushing: 17.4,
    'post.height': 9,
    'string.hole': 3.2,
    'housing.width': 28,
    'housing.length': 34,
    'screw.length': 16,
    'screw.thread': 2.5,
    'screw.root': 1.8,
    'grip.min': 10,
    'grip.max': 18,
    mass: 95,
  },
  nut: { spread: 31.5, slot: 0.6 },
  strings: { 'gauge.1': 1.143, 'gauge.2': 1.651, 'gauge.3': 2.159, 'gauge.4': 2.667, wound: 4 },
  'pickup-neck': { length: 18.5, width: 92, depth: 20, radius: 2, 'poles.spread': 57, resistance: 7500 },
  'pickup-bridge': { length: 18.5, width: 95, depth: 20, radius: 2, 'poles.spread': 59, resistance: 7900 },
}
const TRAITS: Partial<Record<Slot, Record<string, string>>> = {
  bridge: { mount: 'screws', saddles: 'single' },
  'pickup-neck': { coils: 'single', mount: 'body', leads: 'two' },
  'pickup-bridge': { coils: 'single', mount: 'body', leads: 'two' },
}

/** A four-string bass, bolt-on, two single coils, every size read: what is said of guitars must not be said of it. */
export function aBass(): Build {
  const parts = Object.fromEntries(
    Object.entries(startParts('long-scale')).flatMap(([slot, part]) => {
      if (['ring-neck', 'ring-bridge', 'ferrules', 'switch'].includes(slot)) return []
      const usual = slot === 'strings' ? {} : Object.fromEntries(Object.entries(part.sizes).map(([k, s]) => [k, s.value]))
      const made = aPart(slot as Slot, { ...usual, ...SIZES[slot as Slot] }, { ...part.traits, ...TRAITS[slot as Slot] })
      return [[slot, made]]
    }),
  )
  return aBuild(parts, { name: 'Bass', strings: 4, scale: 863.6 })
}
