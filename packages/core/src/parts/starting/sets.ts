import type { Slot } from '../slots'

/** A part of a starting set: what it is, and where its sizes differ from what is usual of its kind. */
export interface StartPart {
  name: string
  traits?: Readonly<Record<string, string>>
  sizes?: Readonly<Record<string, number>>
}

/** A kind of instrument to begin with: our own patterns, in the trade's generic words; every size a guess until it is read. [practice] */
export interface StartingSet {
  label: string
  strings: number
  scale: number
  parts: Readonly<Partial<Record<Slot, StartPart>>>
}

const HUMBUCKER = { coils: 'two', leads: 'four', poles: 'poles', circuit: 'passive' }
const SINGLE = { coils: 'single', leads: 'two', poles: 'poles', circuit: 'passive' }
const pickup = (name: string, kind: typeof HUMBUCKER, mount: string): StartPart => ({
  name,
  traits: { ...kind, mount },
  sizes:
    kind === HUMBUCKER
      ? { length: 36, width: 69, resistance: 8000, 'poles.spread': 50 }
      : { length: 18, width: 69, depth: 16, resistance: 6000, 'poles.spread': 50 },
})
const bassPickup = (name: string, width: number): StartPart => ({
  name,
  traits: { ...SINGLE, mount: 'body' },
  sizes: { length: 18.5, width, depth: 20, resistance: 7500, 'poles.spread': 54 },
})
/** What every one of them has. */
const common: Partial<Record<Slot, StartPart>> = {
  'pot-volume': { name: 'Volume pot', traits: { taper: 'audio', pull: 'plain' }, sizes: { resistance: 500e3 } },
  'pot-tone': { name: 'Tone pot', traits: { taper: 'audio', pull: 'plain' }, sizes: { resistance: 500e3 } },
  capacitor: { name: 'Tone capacitor' },
  jack: { name: 'Jack', traits: { contacts: 'mono' } },
  knobs: { name: 'Knobs', sizes: { count: 2 } },
  'strap-buttons': { name: 'Strap buttons' },
  wire: { name: 'Wire', traits: { type: 'stranded' } },
  'neck-screws': { name: 'Neck screws and plate' },
}
/** The same with a neck that is glued in. */
const { 'neck-screws': _, ...glued } = common
/** Two humbuckers, each in a ring. */
const ringed: Partial<Record<Slot, StartPart>> = {
  'pickup-neck': pickup('Neck humbucker', HUMBUCKER, 'ring'),
  'pickup-bridge': pickup('Bridge humbucker', HUMBUCKER, 'ring'),
  'ring-neck': { name: 'Neck ring' },
  'ring-bridge': { name: 'Bridge ring' },
}
const POSTS: StartPart = {
  name: 'Bridge on posts',
  traits: { mount: 'post', saddles: 'arched' },
  sizes: { studSpacing: 74, studDiameter: 7 },
}
const STOP: StartPart = { name: 'Stop tailpiece', traits: { type: 'stop' }, sizes: { studSpacing: 82, studDiameter: 11.5 } }
/** Under an arched front the neck leans back, and the board lies on the front. [practice, from memory] */
const ARCHED = { 'arch.bridge': 5, 'arch.tail': 3, 'pocket.tilt': 2, 'pocket.depth': 19 }
const NUT: StartPart = { name: 'Nut', traits: { type: 'slotted' } }
const STRINGS: StartPart = {
  name: 'String set',
  sizes: { 'gauge.1': 0.254, 'gauge.2': 0.33, 'gauge.3': 0.432, 'gauge.4': 0.66, 'gauge.5': 0.914, 'gauge.6': 1.168, wound: 3 },
}
const LEVER: StartPart = { name: 'Lever switch', traits: { contacts: 'lever-5' } }
const TOGGLE: StartPart = { name: 'Toggle', traits: { contacts: 'toggle-3' } }
const neck = (more: StartPart['sizes'] = {}, traits: Record<string, string> = {}): StartPart => ({
  name: 'Neck',
  traits: { joint: 'bolt', ...(traits.head === 'two-rows' ? {} : { row: 'bass' }), head: 'one-row', ...traits },
  // Two rows stand either side of the middle, further apart along it.
  sizes: { ...(traits.head === 'two-rows' ? { 'tuner.offset': 24, 'tuner.pitch': 38, 'tuner.first': 38 } : {}), ...more },
})
const TUNERS: StartPart = { name: 'Tuners', sizes: { count: 6 } }
/** Places of two humbuckers, and of a single between them, along the centre line from the pocket's mouth, mm. */
const twoRoutes = (bridge: number): Record<string, number> => ({
  'route.neck.centre': 107,
  'route.neck.length': 40,
  'route.neck.width': 74,
  'route.bridge.centre': bridge,
  'route.bridge.length': 40,
  'route.bridge.width': 74,
})

export const STARTING_SETS = {
  'bolt-guard-vibrato': {
    label: 'Guard and vibrato on two studs',
    strings: 6,
    scale: 647.7,
    parts: {
      body: {
        name: 'Body',
        traits: { build: 'solid', top: 'flat', access: 'front' },
        sizes: {
          mouthToBridge: 255,
          ...twoRoutes(219),
          'route.middle.centre': 164,
          'route.middle.length': 22,
          'route.middle.width': 74,
          'vibrato.length': 30,
          'spring.depth': 18,
          'claw.x': 118,
          studBore: 10,
        },
      },
      neck: neck(),
      bridge: { name: 'Vibrato bridge', traits: { mount: 'two-stud', saddles: 'single' }, sizes: { studSpacing: 74, studDiameter: 10 } },
      springs: { name: 'Springs and claw' },
      guard: {
        name: 'Pickguard',
        sizes: {
          'opening.neck.centre': 31,
          'opening.neck.length': 37,
          'opening.neck.width': 70,
          'opening.middle.centre': 88,
          'opening.middle.length': 19,
          'opening.middle.width': 70,
          'opening.bridge.centre': 143,
          'opening.bridge.length': 37,
          'opening.bridge.width': 70,
        },
      },
      'pickup-neck': pickup('Neck humbucker', HUMBUCKER, 'guard'),
      'pickup-middle': pickup('Middle single coil', SINGLE, 'guard'),
      'pickup-bridge': pickup('Bridge humbucker', HUMBUCKER, 'guard'),
      tuners: TUNERS,
      nut: NUT,
      strings: STRINGS,
      switch: LEVER,
      shielding: { name: 'Shielding', traits: { type: 'foil' } },
      ...common,
    },
  },
  'bolt-plate': {
    label: 'Controls on a plate, strings through the body',
    strings: 6,
    scale: 647.7,
    parts: {
      body: {
        name: 'Body',
        traits: { build: 'solid', top: 'flat', access: 'front' },
        sizes: {
          mouthToBridge: 252,
          ...twoRoutes(216),
          'route.neck.length': 22,
          'route.bridge.length': 22,
          'plate.x': 180,
          'plate.y': -78,
          'plate.tail': -78,
          'control.x': 260,
          'control.y': -78,
          'control.length': 134,
          'control.width': 29,
          'ferrule.bore': 8,
        },
      },
      neck: neck(),
      bridge: { name: 'Fixed bridge', traits: { mount: 'string-through', saddles: 'single' }, sizes: { screws: 4 } },
      ferrules: { name: 'String ferrules', sizes: { count: 6 } },
      'control-plate': {
        name: 'Control plate',
        sizes: { 'switch.x': 46, 'volume.x': 84, 'tone.x': 120 },
      },
      'pickup-neck': pickup('Neck single coil', SINGLE, 'body'),
      'pickup-bridge': pickup('Bridge single coil', SINGLE, 'body'),
      tuners: TUNERS,
      nut: NUT,
      strings: STRINGS,
      switch: { name: 'Lever switch', traits: { contacts: 'lever-3' } },
      ...common,
    },
  },
  'bolt-through': {
    label: 'Strings through the body',
    strings: 6,
    scale: 647.7,
    parts: {
      body: {
        name: 'Body',
        traits: { build: 'solid', top: 'flat', access: 'back' },
        sizes: { mouthToBridge: 252, ...twoRoutes(216), 'ferrule.bore': 8 },
      },
      neck: neck(),
      bridge: { name: 'Fixed bridge', traits: { mount: 'string-through', saddles: 'single' }, sizes: { screws: 4 } },
      ferrules: { name: 'String ferrules', sizes: { count: 6 } },
      ...ringed,
      tuners: TUNERS,
      nut: NUT,
      strings: STRINGS,
      switch: TOGGLE,
      ...common,
    },
  },
  'post-stop': {
    label: 'Set neck, posts and stop tailpiece',
    strings: 6,
    scale: 628.65,
    parts: {
      body: {
        name: 'Body',
        traits: { build: 'solid', top: 'arched', access: 'back' },
        sizes: { mouthToBridge: 252, ...twoRoutes(216), studBore: 7, 'tail.spacing': 82, 'tail.bore': 11.5, ...ARCHED },
      },
      neck: neck({ scale: 628.65, nutToHeelEnd: 446, boardLength: 454, 'head.angle': 14 }, { head: 'two-rows', joint: 'set' }),
      bridge: POSTS,
      tailpiece: STOP,
      ...ringed,
      tuners: TUNERS,
      nut: NUT,
      strings: STRINGS,
      switch: TOGGLE,
      ...glued,
    },
  },
  'through-neck': {
    label: 'Neck through the body, fixed bridge',
    strings: 6,
    scale: 647.7,
    parts: {
      body: {
        name: 'Body, in one piece with its neck',
        traits: { build: 'solid', top: 'flat', access: 'back', neckIs: 'through' },
        // Counted from the end of a board of 24 frets, not from a pocket.
        sizes: {
          mouthToBridge: 148,
          ...twoRoutes(112),
          'route.neck.centre': 24,
          'volume.x': 162,
          'tone.x': 197,
          'switch.x': 122,
          'jack.x': 226,
          'button.lower.x': 236,
        },
      },
      neck: neck({ frets: 24, boardLength: 490, 'board.widthEnd': 57 }, { joint: 'set' }),
      bridge: { name: 'Fixed bridge', traits: { mount: 'screws', saddles: 'single' }, sizes: { screws: 5 } },
      ...ringed,
      tuners: TUNERS,
      nut: NUT,
      strings: STRINGS,
      switch: TOGGLE,
      ...glued,
    },
  },
  'semi-hollow': {
    label: 'Semi-hollow, no back panel',
    strings: 6,
    scale: 628.65,
    parts: {
      body: {
        name: 'Semi-hollow body',
        traits: { build: 'semi-hollow', top: 'arched', access: 'sound-hole' },
        sizes: {
          mouthToBridge: 252,
          ...twoRoutes(216),
          studBore: 7,
          'tail.spacing': 82,
          'tail.bore': 11.5,
          'block.width': 110,
          'rim.thickness': 12,
          ...ARCHED,
        },
      },
      neck: neck({ scale: 628.65, nutToHeelEnd: 446, boardLength: 454, 'head.angle': 14 }, { head: 'two-rows', joint: 'set' }),
      bridge: POSTS,
      tailpiece: STOP,
      ...ringed,
      tuners: TUNERS,
      nut: NUT,
      strings: STRINGS,
      switch: TOGGLE,
      ...glued,
    },
  },
  'twelve-string': {
    label: 'Twelve strings, on posts',
    strings: 12,
    scale: 628.65,
    parts: {
      body: {
        name: 'Body',
        traits: { build: 'solid', top: 'flat', access: 'back' },
        sizes: { mouthToBridge: 252, ...twoRoutes(216), studBore: 7, 'tail.spacing': 82, 'tail.bore': 11.5 },
      },
      neck: neck({ scale: 628.65, nutToHeelEnd: 446, boardLength: 454, 'nut.width': 48, 'tuner.pitch': 24 }, { head: 'two-rows' }),
      bridge: {
        name: 'Twelve-saddle bridge',
        traits: { mount: 'post', saddles: 'arched' },
        sizes: { studSpacing: 74, studDiameter: 7, spread: 54 },
      },
      tailpiece: STOP,
      ...ringed,
      tuners: { name: 'Tuners', sizes: { count: 12, mass: 28 } },
      nut: { name: 'Nut', traits: { type: 'slotted' }, sizes: { spread: 41 } },
      strings: {
        name: 'Twelve-string set',
        sizes: {
          'gauge.1': 0.254,
          'gauge.2': 0.254,
          'gauge.3': 0.33,
          'gauge.4': 0.33,
          'gauge.5': 0.229,
          'gauge.6': 0.508,
          'gauge.7': 0.305,
          'gauge.8': 0.66,
          'gauge.9': 0.457,
          'gauge.10': 0.914,
          'gauge.11': 0.66,
          'gauge.12': 1.168,
        },
      },
      switch: TOGGLE,
      ...common,
    },
  },
  'long-scale': {
    label: 'Long scale, strings through',
    strings: 6,
    scale: 762,
    parts: {
      body: {
        name: 'Body',
        traits: { build: 'solid', top: 'flat', access: 'back' },
        sizes: { mouthToBridge: 300, ...twoRoutes(262), 'ferrule.bore': 8 },
      },
      neck: neck({ scale: 762, nutToHeelEnd: 540, boardLength: 548, frets: 24 }),
      bridge: { name: 'Fixed bridge', traits: { mount: 'string-through', saddles: 'single' }, sizes: { screws: 4 } },
      ferrules: { name: 'String ferrules', sizes: { count: 6 } },
      ...ringed,
      tuners: TUNERS,
      nut: NUT,
      strings: {
        name: 'Heavy string set',
        sizes: { 'gauge.1': 0.33, 'gauge.2': 0.432, 'gauge.3': 0.66, 'gauge.4': 0.914, 'gauge.5': 1.168, 'gauge.6': 1.575, wound: 4 },
      },
      switch: TOGGLE,
      ...common,
    },
  },
  bass: {
    label: 'Bass of four strings',
    strings: 4,
    scale: 863.6,
    parts: {
      body: {
        name: 'Body',
        traits: { build: 'solid', top: 'flat', access: 'back' },
        sizes: {
          'pocket.widthMouth': 63,
          'pocket.widthEnd': 63,
          'pocket.length': 92,
          mouthToBridge: 373,
          studSpacing: 70,
          'route.neck.centre': 186,
          'route.neck.length': 20,
          'route.neck.width': 93,
          'route.bridge.centre': 276,
          'route.bridge.length': 20,
          'route.bridge.width': 96,
          'volume.x': 330,
          'volume-2.x': 362,
          'volume-2.y': -75,
          'tone.x': 394,
          'jack.x': 425,
          'button.lower.x': 455,
        },
      },
      neck: neck({
        scale: 863.6,
        frets: 20,
        nutToHeelEnd: 610,
        boardLength: 612,
        'heel.widthMouth': 63,
        'heel.widthEnd': 63,
        'nut.width': 41,
        'board.widthEnd': 62,
        'tuner.bore': 17.5,
        'tuner.pitch': 44,
        'tuner.first': 42,
        'tuner.offset': 16,
        'tuner.slant': 13,
        'tuner.edge': 18,
        mass: 950,
      }),
      bridge: {
        name: 'Bass bridge, screwed down',
        traits: { mount: 'screws', saddles: 'single' },
        sizes: { spread: 57, screws: 5, 'screw.length': 32, 'screw.spread': 70, 'plate.front': 48, 'plate.length': 56 },
      },
      'pickup-neck': bassPickup('Neck single coil', 92),
      'pickup-bridge': bassPickup('Bridge single coil', 95),
      tuners: { name: 'Bass tuners', sizes: { count: 4, bushing: 17.4, mass: 95 } },
      nut: { name: 'Nut', traits: { type: 'slotted' }, sizes: { spread: 31.5 } },
      strings: {
        name: 'Bass string set',
        sizes: { 'gauge.1': 1.143, 'gauge.2': 1.651, 'gauge.3': 2.159, 'gauge.4': 2.667, wound: 4 },
      },
      ...common,
      // A volume for each pickup mixes them: no selector.
      'pot-volume-2': { name: 'Second volume pot', traits: { taper: 'audio', pull: 'plain' }, sizes: { resistance: 500e3 } },
      knobs: { name: 'Knobs', sizes: { count: 3 } },
    },
  },
} as const satisfies Record<string, StartingSet>

export type StartId = keyof typeof STARTING_SETS
export const START_IDS = Object.keys(STARTING_SETS) as StartId[]
