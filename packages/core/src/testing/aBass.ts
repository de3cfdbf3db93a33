import type { Build } from '../document/build'
import type { OutlineRow, Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import { aPart, type Sizes } from './bench'
import { fullBuild } from './fullBuild'

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
    'route.neck.width': 93,
    'route.neck.depth': 24,
    'route.neck.radius': 3,
    'route.bridge.centre': 276,
    'route.bridge.length': 20,
    'route.bridge.width': 96,
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
    'control.top': 3,
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
    'frets.first': 48.5,
    'frets.last': 591.6,
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
    'head.drop': 12,
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
    'string.hole': 3.2,
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
    'screw.length': 13,
    'screw.thread': 2.5,
    'screw.root': 1.8,
    'grip.min': 10,
    'grip.max': 18,
    mass: 95,
  },
  nut: { spread: 31.5, slot: 0.6, length: 41.3 },
  'strap-buttons': { 'screw.length': 25 },
  strings: {
    'gauge.1': 1.143,
    'gauge.2': 1.651,
    'gauge.3': 2.159,
    'gauge.4': 2.667,
    'core.1': 0.46,
    'core.2': 0.66,
    'core.3': 0.86,
    'core.4': 1.07,
    length: 1190,
    winding: 960,
  },
  'pickup-neck': {
    length: 18.5,
    width: 92,
    depth: 20,
    radius: 2,
    'poles.spread': 53,
    above: 2,
    'ears.span': 92,
    'screw.length': 22,
    resistance: 7500,
  },
  'pickup-bridge': {
    length: 18.5,
    width: 95,
    depth: 20,
    radius: 2,
    'poles.spread': 55.5,
    above: 2,
    'ears.span': 95,
    'screw.length': 22,
    resistance: 7900,
  },
}
/** A four-string bass, bolt-on, screwed bridge, two single coils held by the wood, controls from the back; every size read. */
export function aBass(): Build {
  const guitar = fullBuild()
  const parts = Object.fromEntries(
    (Object.entries(guitar.parts) as [Slot, Part][]).flatMap(([slot, part]) => {
      if (['pickup-middle', 'guard', 'springs', 'switch', 'string-tree'].includes(slot)) return []
      const sizes = slot === 'strings' ? {} : part.sizes
      return [
        [slot, { ...part, sizes: { ...sizes, ...aPart(slot, SIZES[slot] ?? {}).sizes }, traits: { ...part.traits, ...TRAITS[slot] } }],
      ]
    }),
  )
  // A volume for each pickup and no selector, as the usual bass is wired.
  const second = parts['pot-volume']!
  return {
    ...guitar,
    name: 'Bass',
    strings: 4,
    scale: 863.6,
    parts: { ...parts, 'pot-volume-2': second, body: { ...parts['body']!, outline: OUTLINE } },
  }
}

const PICKUP = { coils: 'single', mount: 'body', leads: 'two' }
const TRAITS: Partial<Record<Slot, Record<string, string>>> = {
  body: { access: 'back' },
  bridge: { mount: 'screws', saddles: 'single' },
  'pickup-neck': PICKUP,
  'pickup-bridge': PICKUP,
}
const OUTLINE: OutlineRow[] = [
  { x: -110, bass: 60, treble: 50 },
  { x: 0, bass: 150, treble: 140 },
  { x: 160, bass: 125, treble: 120 },
  { x: 330, bass: 165, treble: 165 },
  { x: 440, bass: 125, treble: 120 },
  { x: 470, bass: 40, treble: 40 },
]
