import { defineKind, mm, screwSizes, sized } from '../kind'

export const pickup = defineKind({
  kind: 'pickup',
  label: 'Pickup',
  trade: 'hardware',
  sizes: {
    length: mm('Cover, along the strings', 10, 60, { required: true, usual: 36 }),
    width: mm('Cover, across', 40, 120, { required: true, usual: 69 }),
    depth: mm('Depth below the top', 5, 40, {
      usual: 12,
      how: 'hung with its height screws right down: from the face of guard or ring that lies on the body, or from the body’s front, to its lowest point',
    }),
    radius: mm('Cover corner radius', 0, 12),
    'poles.spread': mm('Poles, first to last centre', 20, 110, { usual: 50 }),
    slant: sized('deg', 'Slant in its opening', -30, 30, {
      usual: 0,
      found: [-15, 15],
      how: 'bass end towards the neck positive; 0 for square',
    }),
    'lead.length': mm('Lead, free length', 20, 1500, { how: 'from the cover to its end' }),
    above: mm('Cover top above its mount, screws run down', 0, 25, {
      how: 'height of the cover over guard, ring or body with the height screws right down',
    }),
    'ears.span': mm('Ears, end to end', 40, 130, { found: [60, 120] }),
    'screw.length': mm('Height screw length', 8, 60, { usual: 30 }),
    'screw.diameter': mm('Height screw diameter', 1.5, 5, { found: [2, 3.5], usual: 3 }),
    'screw.root': mm('Height screw root diameter', 1, 4, { found: [1.4, 2.8], usual: 2, how: 'a pickup held by the wood under it' }),
    travel: mm('Height screw travel in use', 0, 20, { found: [2, 12], usual: 6 }),
    'ear.gap': mm('Ear to the underside of what it hangs from, run right down', 0, 40, {
      found: [4, 25],
      how: 'a pickup in guard or ring: the room its spring has at its lowest',
    }),
    'spring.free': mm('Height spring, free length', 2, 60, { optional: true }),
    'spring.shut': mm('Height spring squeezed solid, length', 0.5, 40, { optional: true, how: 'in a vice, or wire times turns' }),
    'spring.turns': sized('count', 'Height spring, turns', 2, 60, { optional: true }),
    'cover.wall': mm('Cover wall', 0.3, 4, { optional: true, how: 'a plastic cover, at its open side' }),
    resistance: sized('ohm', 'DC resistance, all coils in series', 1, 60000, { required: true }),
    load: sized('ohm', 'Pot its maker recommends', 1e4, 2e6),
    inductance: sized('henry', 'Inductance, all coils in series', 0.01, 30),
    capacitance: sized('farad', 'Winding capacitance', 1e-12, 2e-9),
  },
  traits: {
    coils: {
      label: 'Coils',
      required: true,
      options: [
        ['single', 'single coil'],
        ['two', 'two-coil humbucker'],
      ],
    },
    sense: {
      label: 'Magnet and winding',
      options: [
        ['plain', 'as its neighbours'],
        ['reverse', 'reverse-wound, reverse polarity'],
      ],
    },
    magnet: {
      label: 'Magnet',
      options: [
        ['alnico', 'alnico'],
        ['ceramic', 'ceramic'],
      ],
    },
    pole: {
      label: 'Magnet, held to a compass',
      options: [
        ['listed', 'as it was sold'],
        ['turned', 'turned over, north for south'],
      ],
    },
    poles: {
      label: 'Poles',
      options: [
        ['poles', 'one a string'],
        ['blade', 'blade'],
      ],
    },
    mount: {
      label: 'Hangs from',
      options: [
        ['guard', 'the guard'],
        ['ring', 'a ring'],
        ['body', 'screws in the body'],
      ],
    },
    circuit: {
      label: 'Circuit',
      options: [
        ['passive', 'passive'],
        ['active', 'active, with a battery'],
      ],
    },
    bassSide: {
      label: 'Poles tell bass from treble',
      options: [
        ['same', 'either way round'],
        ['marked', 'the bass end is marked'],
        ['turned', 'marked, and it sits turned round'],
      ],
    },
    leads: {
      label: 'Leads',
      options: [
        ['two', 'two: hot and ground'],
        ['three', 'three: hot, where its coils join, and ground'],
        ['four', 'four and a shield'],
      ],
    },
  },
})

export const pot = defineKind({
  kind: 'pot',
  label: 'Pot',
  trade: 'hardware',
  sizes: {
    resistance: sized('ohm', 'Resistance', 1e3, 2e6, { required: true, usual: 250e3 }),
    'bushing.diameter': mm('Bushing diameter', 4, 12, { required: true, usual: 9.5 }),
    'bushing.length': mm('Bushing length', 3, 25, { required: true, usual: 9.5 }),
    'body.diameter': mm('Body diameter', 8, 30, { found: [15, 26], usual: 24 }),
    'body.depth': mm('Body depth with lugs', 5, 40, { usual: 16 }),
    'shaft.diameter': mm('Shaft diameter', 3, 8, { usual: 6 }),
    'nut.thickness': mm('Nut thickness', 1, 4, { found: [1.5, 3], usual: 2 }),
    'washer.thickness': mm('Washer thickness', 0.2, 2, { found: [0.4, 1], usual: 0.6 }),
  },
  traits: {
    taper: {
      label: 'Taper',
      required: true,
      options: [
        ['audio', 'audio'],
        ['linear', 'linear'],
        ['reverse-audio', 'reverse audio'],
      ],
    },
    pull: {
      label: 'Shaft',
      options: [
        ['plain', 'turns'],
        ['push-pull', 'turns and pulls a switch'],
      ],
    },
  },
})

export const pickupSwitch = defineKind({
  kind: 'switch',
  label: 'Selector switch',
  trade: 'hardware',
  sizes: {
    depth: mm('Depth below guard, plate or top', 5, 50, { usual: 22 }),
    'screw.spacing': mm('Screw spacing', 20, 60, { usual: 41 }),
    swing: mm('Lever swing it needs', 5, 60, { usual: 25 }),
    'thread.diameter': mm('Thread diameter of a toggle', 5, 16, { usual: 12 }),
    'thread.length': mm('Thread length of a toggle', 3, 25),
  },
  traits: {
    contacts: {
      label: 'Contacts',
      required: true,
      options: [
        ['lever-5', '5-way lever, two poles'],
        ['lever-5x4', '5-way lever, four poles, all contacts apart'],
        ['toggle-3', '3-way toggle'],
        ['lever-3', '3-way lever'],
        ['lever-4', '4-way lever'],
        ['on-on-on', 'mini toggle, on-on-on'],
        ['on-on', 'mini toggle, on-on'],
        ['on-off-on', 'mini toggle, on-off-on'],
        ['rotary-5', 'rotary, five positions'],
        ['rotary-6', 'rotary, six positions'],
        ['slide', 'slide'],
      ],
    },
  },
})

export const jack = defineKind({
  kind: 'jack',
  label: 'Jack',
  trade: 'hardware',
  sizes: {
    bore: mm('Bore it needs', 6, 14, { usual: 9.5 }),
    'thread.length': mm('Thread length', 3, 20, { usual: 9 }),
    width: mm('Widest part, to pass through a passage', 6, 40),
    narrow: mm('Widest part, turned the narrow way', 6, 40, { optional: true, how: 'left out where it is as wide every way' }),
    'nut.thickness': mm('Nut thickness', 1, 5, { found: [1.5, 3], usual: 2.2 }),
    'washer.thickness': mm('Washer thickness', 0.2, 2, { found: [0.4, 1], usual: 0.6 }),
    depth: mm('Depth behind the panel, plug in', 10, 90),
  },
  traits: {
    held: {
      label: 'Held by',
      options: [
        ['thread', 'its own thread and nut'],
        ['plate', 'a plate or cup over a wide bore'],
        ['panel', 'its own thread, beside the controls in the guard or their plate'],
      ],
    },
    contacts: {
      label: 'Contacts',
      options: [
        ['mono', 'mono'],
        ['stereo', 'stereo'],
      ],
    },
  },
})

/** What covers a bore too wide for the jack's own thread. */
export const jackPlate = defineKind({
  kind: 'jack-plate',
  label: 'Jack plate or cup',
  trade: 'hardware',
  sizes: {
    hole: mm('Hole for the jack', 6, 14, { required: true, usual: 9.5 }),
    thickness: mm('Thickness at the hole', 0.5, 5, { found: [0.7, 2.5], usual: 1.5 }),
    length: mm('Length', 20, 90, { usual: 40 }),
    width: mm('Width', 15, 60, { usual: 30 }),
    'screw.spread': mm('Screws, centre to centre', 15, 80, { usual: 32 }),
    ...screwSizes('Screw', 12, 3, 2),
    'cup.diameter': mm('Cup, outside diameter', 10, 40, { optional: true, how: 'what of it goes into the bore; left out of a plate' }),
  },
  traits: {
    curve: {
      label: 'Bent',
      options: [
        ['flat', 'flat'],
        ['curved', 'to the curve of the rim'],
      ],
    },
  },
})

export const capacitor = defineKind({
  kind: 'capacitor',
  label: 'Tone capacitor',
  trade: 'hardware',
  sizes: { capacitance: sized('farad', 'Capacitance', 1e-10, 1e-6, { required: true, usual: 22e-9 }) },
  traits: {},
})
