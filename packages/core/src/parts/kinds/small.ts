import { defineKind, mm, screwSizes, sized } from '../kind'

/** Kinds a build needs few sizes of, but a stash holds many of. */

export const ring = defineKind({
  kind: 'ring',
  label: 'Pickup ring',
  trade: 'hardware',
  sizes: {
    length: mm('Opening, along the strings', 10, 60, { required: true, usual: 37 }),
    width: mm('Opening, across', 40, 120, { required: true, usual: 70 }),
    radius: mm('Opening corner radius', 0, 12),
    'height.neckSide': mm('Height, neck side', 1, 20),
    'height.bridgeSide': mm('Height, bridge side', 1, 20),
    ...screwSizes('Screw', 14, 2.2, 1.6),
  },
  traits: {
    foot: {
      label: 'Foot',
      options: [
        ['flat', 'flat'],
        ['curved', 'curved for an arched top'],
      ],
    },
  },
})

export const knobs = defineKind({
  kind: 'knobs',
  label: 'Knobs',
  trade: 'hardware',
  sizes: {
    count: sized('count', 'How many', 1, 8),
    bore: mm('Bore diameter', 3, 9, { required: true, usual: 6 }),
    depth: mm('Bore depth', 4, 25, { usual: 12 }),
    diameter: mm('Knob diameter', 8, 40, { optional: true, how: 'across its widest' }),
  },
  traits: {
    grip: {
      label: 'Holds by',
      options: [
        ['split', 'push on a split shaft'],
        ['screw', 'set screw on a solid shaft'],
      ],
    },
  },
})

export const shielding = defineKind({
  kind: 'shielding',
  label: 'Shielding',
  trade: 'hardware',
  sizes: { thickness: mm('Thickness on a wall', 0.02, 1, { required: true, usual: 0.1 }) },
  traits: {
    type: {
      label: 'Type',
      options: [
        ['foil', 'copper foil'],
        ['paint', 'conductive paint'],
      ],
    },
    tab: {
      label: 'Joined to the guard by',
      options: [
        ['none', 'nothing yet'],
        ['tab', 'a tab or a wire'],
      ],
    },
  },
})

export const battery = defineKind({
  kind: 'battery',
  label: 'Battery or box',
  trade: 'hardware',
  sizes: { length: mm('Length', 20, 100, { required: true, usual: 54 }), depth: mm('Depth', 10, 60, { usual: 28 }) },
  traits: {},
})

export const wire = defineKind({
  kind: 'wire',
  label: 'Wire',
  trade: 'hardware',
  sizes: {
    diameter: mm('Outside diameter', 0.5, 6, { required: true, usual: 1.4 }),
    length: mm('Length on hand', 0, 1e5),
    'lead.jack': mm('Lead from controls to jack, as cut', 10, 2000),
    'lead.ground': mm('Lead from controls to string ground, as cut', 10, 2000),
  },
  traits: {
    type: {
      label: 'Type',
      options: [
        ['stranded', 'stranded'],
        ['solid', 'solid'],
        ['cloth', 'cloth covered'],
        ['screened', 'screened'],
      ],
    },
  },
})

export const resistor = defineKind({
  kind: 'resistor',
  label: 'Resistor',
  trade: 'hardware',
  sizes: { resistance: sized('ohm', 'Resistance', 1, 2e7, { required: true }) },
  traits: {},
})

export const harness = defineKind({
  kind: 'harness',
  label: 'Pre-wired harness',
  trade: 'hardware',
  sizes: {
    'pot.pitch': mm('Pots, centre to centre', 10, 150, { required: true }),
    'lead.length': mm('Shortest pickup lead', 20, 1000),
    'bushing.diameter': mm('Bushing diameter', 4, 12),
    pickups: sized('count', 'Pickups it has leads for', 1, 3, { usual: 2 }),
  },
  traits: {
    ground: {
      label: 'Wire for the string ground',
      options: [
        ['yes', 'has one'],
        ['no', 'has none'],
      ],
    },
    joined: {
      label: 'Pickups join it',
      options: [
        ['solder', 'by solder'],
        ['plugs', 'by plugs'],
      ],
    },
    frame: {
      label: 'Pots are',
      options: [
        ['free', 'on free wires'],
        ['rigid', 'held by a plate'],
      ],
    },
  },
})

export const screws = defineKind({
  kind: 'screws',
  label: 'Bag of screws',
  trade: 'hardware',
  sizes: {
    count: sized('count', 'How many', 1, 500),
    length: mm('Length', 3, 90, { required: true }),
    thread: mm('Thread diameter', 1, 8, { required: true }),
    root: mm('Root diameter', 0.6, 7),
    head: mm('Head diameter', 1.5, 16),
  },
  traits: {},
})

export const shim = defineKind({
  kind: 'shim',
  label: 'Shim',
  trade: 'hardware',
  sizes: {
    thick: mm('Thickness, thick end', 0.02, 5, { required: true }),
    thin: mm('Thickness, thin end', 0, 5),
    length: mm('Length', 5, 120),
  },
  traits: {},
})

export const binding = defineKind({
  kind: 'binding',
  label: 'Binding',
  trade: 'hardware',
  sizes: {
    width: mm('Width', 1, 12, { required: true }),
    thickness: mm('Thickness', 0.5, 4, { required: true }),
    length: mm('Length on hand', 100, 20000),
  },
  traits: {},
})
