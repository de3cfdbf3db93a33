import { defineKind, HANDED, mm, screwSizes, sized, type SizeSpec } from '../kind'

export const bridge = defineKind({
  kind: 'bridge',
  label: 'Bridge',
  trade: 'hardware',
  sizes: {
    spread: mm('String spacing, first to last', 20, 120, { required: true, usual: 52.5 }),
    studSpacing: mm('Studs or outer screws, centre to centre', 20, 120),
    studDiameter: mm('Stud bushing diameter', 4, 16),
    studLength: mm('Stud bushing length', 8, 50),
    screws: sized('count', 'Mounting screws', 0, 12),
    'screw.length': mm('Mounting screw length', 8, 60, { usual: 25 }),
    'screw.root': mm('Mounting screw root diameter', 1, 5, { usual: 2.4 }),
    'screw.thread': mm('Mounting screw thread diameter', 1.5, 6, { usual: 3.5 }),
    'holes.behind': mm('String holes behind its screws', -40, 60, {
      found: [-10, 40],
      usual: 14,
      how: 'strings through the body: centre to centre, towards the tail positive',
    }),
    'plate.thickness': mm('Plate thickness', 0.8, 12, { found: [1, 10], usual: 2 }),
    'height.min': mm('Saddle top above body, lowest', 0, 40, { usual: 9, required: true, how: 'bridge wound down to its stop' }),
    'height.max': mm('Saddle top above body, highest', 1, 60, { usual: 15, required: true }),
    'height.pitch': mm('Height screw pitch', 0.3, 1.5, { usual: 0.5, how: 'thread advance per turn' }),
    'length.pitch': mm('Length screw pitch', 0.3, 1.5, { usual: 0.5 }),
    'travel.front': mm('Saddle reach in front of studs or screws', -40, 90, { how: 'foremost saddle place, towards the nut positive' }),
    'travel.back': mm('Saddle reach behind studs or screws', -80, 60, { how: 'rearmost saddle place, towards the tail positive' }),
    'screw.spread': mm('Screw pattern, first to last', 10, 130),
    'plate.front': mm('Plate in front of the studs or screws', -10, 90, { found: [-5, 75], usual: 6 }),
    'saddle.radius': mm('Radius over the saddles', 100, 1000),
    'string.hole': mm('String hole diameter', 0.8, 6),
    'back.height': mm('Highest metal behind the saddle', 0, 40, { how: 'above the body, where the string passes over it' }),
    'back.distance': mm('Saddle to that metal', 0, 80),
    'exit.height': mm('String above the body where the bridge lets it go', -45, 30, {
      how: 'no tailpiece: the hole in the plate, or the edge of the body’s hole; below the top is negative',
    }),
    'exit.distance': mm('Saddle to that hole', 2, 80),
    'plate.length': mm('Plate, along the strings', 10, 150, { usual: 36 }),
    'plate.width': mm('Plate, across', 30, 130, { usual: 80 }),
    'block.depth': mm('Block depth below the plate', 0, 60),
    'block.length': mm('Block, along the strings', 5, 40, { found: [6, 30], usual: 12 }),
    key: mm('Key of its height screws, across flats', 0.7, 6),
    mass: sized('g', 'Mass', 20, 1000, { usual: 220, found: [60, 700] }),
  },
  traits: {
    mount: {
      label: 'Mount',
      required: true,
      options: [
        ['two-stud', 'vibrato on two studs'],
        ['six-screw', 'vibrato on six screws'],
        ['double-locking', 'double-locking vibrato on two studs'],
        ['post', 'on two posts, strings to a tailpiece'],
        ['screws', 'fixed, screwed down, strings from the back edge'],
        ['string-through', 'fixed, strings through the body'],
        ['bar', 'fixed, a bar on two studs that the strings go round'],
      ],
    },
    notched: {
      label: 'Saddles are',
      options: [
        ['yes', 'notched, or their strings have only one place'],
        ['no', 'not notched yet'],
      ],
    },
    saddles: {
      label: 'Saddles',
      options: [
        ['single', 'each with its own height'],
        ['arched', 'fixed to an arch'],
      ],
    },
    lengths: {
      label: 'Intonation is set by',
      unasked: true,
      options: [
        ['each', 'a saddle for each string, or for two'],
        ['ends', 'screws at the bridge’s ends, all strings together'],
      ],
    },
    carries: {
      label: 'Each saddle carries',
      unasked: true,
      options: [
        ['one', 'one string'],
        ['two', 'two neighbours: three saddles for six, six for twelve'],
      ],
    },
    hand: HANDED,
  },
})

export const tailpiece = defineKind({
  kind: 'tailpiece',
  label: 'Tailpiece',
  trade: 'hardware',
  sizes: {
    studSpacing: mm('Studs, centre to centre', 20, 120),
    studDiameter: mm('Stud bushing diameter', 4, 16),
    studLength: mm('Stud bushing length', 8, 50, { usual: 20 }),
    height: mm('String above the body where it leaves', 2, 40, { required: true, usual: 12, how: 'tailpiece as it will sit' }),
    'string.hole': mm('String hole diameter', 0.8, 6),
    mass: sized('g', 'Mass', 20, 800, { usual: 90, found: [40, 400] }),
  },
  traits: {
    type: {
      label: 'Type',
      required: true,
      options: [
        ['stop', 'stop tailpiece'],
        ['vibrato', 'vibrato tailpiece'],
      ],
    },
    hand: HANDED,
  },
})

export const ferrules = defineKind({
  kind: 'ferrules',
  label: 'String ferrules',
  trade: 'hardware',
  sizes: {
    count: sized('count', 'How many', 4, 12),
    diameter: mm('Body diameter', 4, 14, { required: true, usual: 8 }),
    length: mm('Body length', 2, 20, { usual: 9 }),
    'string.hole': mm('String hole diameter', 0.8, 6),
  },
  traits: {},
})

export const stringTree = defineKind({
  kind: 'string-tree',
  label: 'String tree',
  trade: 'hardware',
  sizes: {
    height: mm('String above the headstock face', 1, 14, { required: true, usual: 6 }),
    holds: sized('count', 'Strings it holds', 1, 6, { usual: 2 }),
    ...screwSizes('Screw', 10, 2.2, 1.6),
  },
  traits: {},
})

export const strapButtons = defineKind({
  kind: 'strap-buttons',
  label: 'Strap buttons',
  trade: 'hardware',
  sizes: {
    'screw.length': mm('Screw length', 10, 60, { required: true, usual: 25 }),
    'screw.thread': mm('Screw thread diameter', 2, 6, { usual: 4 }),
    'screw.root': mm('Screw root diameter', 1, 5, { usual: 2.7 }),
    thickness: mm('Button thickness', 4, 25, { usual: 12 }),
  },
  traits: {},
})

export const springs = defineKind({
  kind: 'springs',
  label: 'Vibrato springs and claw',
  trade: 'hardware',
  sizes: {
    count: sized('count', 'Springs fitted', 1, 5, { required: true, usual: 3 }),
    pull: sized('newton', 'Pull of one spring, stretched in place', 20, 300, {
      usual: 45,
      found: [20, 120],
      how: 'hang a known mass on it: 10 N is about 1 kg',
    }),
    arm: mm('Knife edge to spring hole', 5, 60, { usual: 36, found: [25, 50] }),
    'string.arm': mm('Knife edge to string', 2, 25, { usual: 9, found: [5, 16] }),
    diameter: mm('Spring, outside diameter', 4, 16, { usual: 8 }),
    free: mm('Spring, free length', 30, 120),
    ...screwSizes('Claw screw', 50, 4.2, 3),
  },
  traits: {},
})

/** Posts of several heights belong to given strings. */
const postHeights = Object.fromEntries(
  Array.from({ length: 12 }, (_, i) => [
    `post.height.${i + 1}`,
    mm(`String ${i + 1}, hole above its seat`, 2, 40, {
      optional: true,
      found: [5, 40],
      how: 'posts of several heights: of the one that string goes to',
    }),
  ]),
) as Record<`post.height.${number}`, SizeSpec>

export const tuners = defineKind({
  kind: 'tuners',
  label: 'Tuners',
  trade: 'hardware',
  sizes: {
    count: sized('count', 'How many', 3, 14, { required: true }),
    'count.right': sized('count', 'Of them, made for the right side', 0, 14, {
      optional: true,
      how: 'seen from the front, head up; left out of tuners that go on either side',
    }),
    bushing: mm('Bushing diameter', 5, 20, { usual: 10 }),
    'housing.width': mm('Housing width, along the row', 8, 40),
    'screw.length': mm('Screw length', 4, 25, { required: true, usual: 12 }),
    'screw.thread': mm('Screw thread diameter', 1, 4, { required: true, usual: 2.2 }),
    'screw.root': mm('Screw root diameter', 0.8, 3, { required: true, usual: 1.6 }),
    'post.height': mm('String hole above its seat', 2, 40, {
      found: [5, 40],
      how: 'lowest wrap above the headstock’s face, tuner in its bore',
    }),
    'post.diameter': mm('Post diameter', 3, 22, { optional: true, how: 'where the string is wound' }),
    ...postHeights,
    'housing.length': mm('Housing, across the row', 8, 60),
    'string.hole': mm('String hole diameter', 0.8, 6),
    'screw.offset': mm('Screw from post centre, along the row', -20, 20, { usual: 10, how: 'away from the nut positive' }),
    'screw.side': mm('Screw from post centre, across the row', -20, 20, {
      usual: 0,
      found: [-3, 3],
      how: 'towards the headstock’s middle positive; usually 0',
    }),
    'plate.thickness': mm('Housing flange thickness', 0.5, 4, { usual: 1.2, found: [0.5, 2.5] }),
    'grip.min': mm('Thinnest headstock it takes', 5, 25, { found: [8, 15] }),
    'grip.max': mm('Thickest headstock it takes', 8, 30, { found: [12, 20] }),
    ratio: sized('count', 'Gear ratio, turns of the button to one', 8, 45),
    mass: sized('g', 'Mass of one', 5, 150, { usual: 30, found: [12, 115] }),
  },
  traits: {
    hand: HANDED,
    locking: {
      label: 'Holds the string by',
      options: [
        ['wraps', 'wraps'],
        ['clamp', 'a clamp in the post'],
      ],
    },
    screws: {
      label: 'Kept from turning by',
      options: [
        ['own', 'a screw of its own'],
        ['shared', 'screws between two housings, shared'],
      ],
    },
  },
})

export const nut = defineKind({
  kind: 'nut',
  label: 'Nut',
  trade: 'hardware',
  sizes: {
    spread: mm('String spacing, first to last', 20, 70, { required: true, usual: 35.5 }),
    slot: mm('Slot bottom above the fret plane', -0.5, 3, {
      required: true,
      usual: 0.5,
      how: 'string at the nut over the line of the crowns',
    }),
    length: mm('Length', 30, 70),
    width: mm('Width, along the strings', 2, 10, { usual: 3.3 }),
    'width.treble': mm('Width at the treble end', 2, 10, {
      optional: true,
      how: 'where the two ends differ; the other then is the bass end',
    }),
    'fret1.bass': mm('Lowest string over fret 1, held at fret 3', 0, 1.5, {
      optional: true,
      how: 'feeler gauge or a strip of known paper',
    }),
    'fret1.treble': mm('Highest string over fret 1, held at fret 3', 0, 1.5, {
      optional: true,
      how: 'feeler gauge or a strip of known paper',
    }),
    height: mm('Height, bottom to highest slot bottom', 2, 15, {
      how: 'from the bottom of the nut to the bottom of a string slot; a blank: to its top',
    }),
    'slot.extra': mm('Slots wider than their strings by', -0.3, 0.6, { usual: 0.08 }),
    radius: mm('Radius over its slots', 100, 1000),
    'screw.spread': mm('Locking nut: screws, centre to centre', 8, 40),
    ...screwSizes('Locking nut: screw', 20, 4, 2.8),
  },
  traits: {
    type: {
      label: 'Type',
      options: [
        ['slotted', 'slotted'],
        ['blank', 'blank'],
        ['locking', 'locking'],
      ],
    },
    hand: HANDED,
  },
})

export const neckScrews = defineKind({
  kind: 'neck-screws',
  label: 'Neck screws',
  trade: 'hardware',
  sizes: {
    count: sized('count', 'How many', 2, 8, { required: true, usual: 4 }),
    length: mm('Length', 15, 80, { required: true, usual: 45 }),
    thread: mm('Thread diameter', 2.5, 6, { required: true, usual: 4.2 }),
    root: mm('Root diameter', 1.8, 5, { required: true, usual: 3 }),
    'plate.thickness': mm('Plate or bushing thickness under the heads', 0, 10, { usual: 1.5, found: [0.5, 4] }),
    'spread.along': mm('Screw pattern, along the neck', 15, 100, { usual: 51 }),
    'spread.across': mm('Screw pattern, across', 15, 80, { usual: 38 }),
  },
  traits: {},
})
