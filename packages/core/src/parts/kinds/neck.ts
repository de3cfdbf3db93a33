import { bored, defineKind, HANDED, mm, sized } from '../kind'
import { WOOD_OPTIONS } from '../woods'

/** The neck. Datum: the nut's board-side face; x grows towards the body. */
export const neck = defineKind({
  kind: 'neck',
  label: 'Neck',
  trade: 'wood',
  outline: true,
  sizes: {
    scale: mm('Scale length', 450, 950, { required: true, usual: 647.7, how: 'nut to fret 12, doubled' }),
    frets: sized('count', 'Frets', 12, 30, { required: true, usual: 22 }),
    'frets.first': mm('Nut to fret 1', 20, 70, {
      optional: true,
      how: 'an old or home-made board, or a nut in doubt: rule from the nut’s board side',
    }),
    'frets.last': mm('Nut to the last fret', 230, 800, {
      optional: true,
      how: 'rule from the nut’s board side to the middle of its crown',
    }),
    nutToHeelEnd: mm('Nut to heel end', 250, 800, {
      usual: 462,
      required: true,
      how: 'to the end of the heel wood that meets the pocket end',
    }),
    boardLength: mm('Nut to board end', 250, 850, { usual: 470, required: true }),
    'heel.widthMouth': mm('Heel width, at the pocket mouth', 40, 90, { required: true, usual: 56 }),
    'heel.widthEnd': mm('Heel width, end', 40, 90, { required: true, usual: 56 }),
    'heel.thickness': mm('Heel thickness, board included', 10, 50, { required: true, usual: 25.4 }),
    'board.thickness': mm('Board thickness', 3, 10, { usual: 6 }),
    'heel.radius': mm('Heel corner radius', 0, 15, { required: true, usual: 6 }),
    'nut.width': mm('Width at the nut', 30, 80, { required: true, usual: 42 }),
    'board.widthEnd': mm('Board width at the last fret', 40, 100, { required: true, usual: 56 }),
    'board.radius': mm('Board radius, at the nut', 100, 1000, { usual: 305 }),
    'board.radiusEnd': mm('Board radius, last fret', 100, 2000, {
      optional: true,
      how: 'where the radius changes along the board; otherwise leave it out',
    }),
    'nut.slotWidth': mm('Nut slot, along the strings', 2, 10, { usual: 3.3 }),
    'nut.screws': mm('Holes for a locking nut, centre to centre', 8, 40),
    'nut.slotDepth': mm('Nut slot bottom below the fret plane', -2, 12, { usual: 4 }),
    'truss.key': mm('Truss tool, across flats', 2, 12, { found: [2, 10], usual: 4 }),
    'fret1.thickness': mm('Thickness at fret 1', 14, 35, { usual: 21 }),
    'fret12.thickness': mm('Thickness at fret 12', 14, 35, { usual: 23 }),
    'crown.width': mm('Fret crown width', 1, 4),
    crown: mm('Fret crown height', 0.5, 2, { found: [0.5, 1.7], required: true, usual: 1.1 }),
    'head.thickness': mm('Headstock thickness', 8, 25, { required: true, usual: 14 }),
    'head.drop': mm('Headstock face below the board, at the nut', -6, 16, {
      usual: 4,
      how: 'straight-edge on the board; 0 for a tilted head',
    }),
    'head.angle': sized('deg', 'Headstock angle', 0, 20, { usual: 0, found: [0, 18] }),
    'tuner.bore': mm('Tuner bore', 5, 20, { usual: 10 }),
    'tuner.pitch': mm('Tuner bores, centre to centre', 15, 60, { usual: 25.4 }),
    'tuner.first': mm('Nut to first tuner post', 15, 120, { usual: 32 }),
    'tuner.offset': mm('First post from the centre line', -40, 40, { usual: 0, how: 'bass side positive' }),
    'tuner.slant': sized('deg', 'Slant of the tuner row', -30, 30, {
      usual: 0,
      found: [-15, 15],
      how: 'the row swings towards the treble side as it leaves the nut',
    }),
    'tuner.edge': mm('Tuner post to the headstock’s edge, nearest', -10, 40, {
      usual: 11,
      found: [6, 24],
      how: 'from the middle of the bore; its outline says it where one was entered',
    }),
    'head.blank': mm('Headstock blank, across', 40, 260, {
      optional: true,
      how: 'a neck whose headstock is not cut to its outline yet, square to its centre line; left out of a shaped one',
    }),
    'oldScrew.offset': mm('Old tuner screw from post centre, along the row', -25, 25, {
      optional: true,
      how: 'away from the nut positive',
    }),
    'oldScrew.side': mm('Old tuner screw from post centre, across the row', -25, 25, {
      usual: 0,
      found: [-3, 3],
      how: 'towards the headstock’s middle positive',
    }),
    'old.nutToStuds': mm('On the instrument it came from, nut to bridge studs', 200, 1000, {
      optional: true,
      how: 'ruler from the nut’s board side to the middle of the studs, before it is taken apart',
    }),
    'tilt.thread': mm('Tilt screw, thread diameter', 3, 10, { found: [4, 8], usual: 6 }),
    mass: sized('g', 'Mass', 100, 2000, { usual: 620, found: [400, 1200] }),
  },
  traits: {
    wood: { label: 'Wood', options: WOOD_OPTIONS, required: true },
    surface: {
      label: 'Surface',
      options: [
        ['raw', 'raw wood'],
        ['sealed', 'sealed'],
        ['coated', 'coated'],
      ],
    },
    grain: {
      label: 'Grain',
      options: [
        ['flat', 'flat-sawn'],
        ['quarter', 'quarter-sawn'],
      ],
    },
    head: {
      label: 'Headstock',
      options: [
        ['one-row', 'all tuners in one row'],
        ['two-rows', 'half on each side'],
      ],
    },
    row: {
      label: 'A single row of tuners stands',
      options: [
        ['bass', 'on the bass side'],
        ['treble', 'on the treble side, the head turned round'],
      ],
    },
    alloy: {
      label: 'Fret wire',
      options: [
        ['nickel-silver', 'nickel silver'],
        ['steel', 'stainless steel'],
      ],
    },
    joint: {
      label: 'Held to the body by',
      options: [
        ['bolt', 'screws'],
        ['set', 'glue'],
      ],
    },
    carve: {
      label: 'Back of the neck',
      options: [
        ['round', 'round'],
        ['vee', 'to a soft edge'],
        ['flat', 'flat'],
        ['uneven', 'fuller on one side'],
      ],
    },
    pilots: bored('Screw pilots in the heel'),
    'bored.tuners': bored('Tuner bores'),
    'bored.tunerScrews': bored('Tuner screw holes'),
    'bored.nut': bored('Locking nut’s screw holes'),
    'bored.tree': bored('String tree’s screw hole'),
    tiltScrew: {
      label: 'Tilt screw in the heel',
      options: [
        ['none', 'none'],
        ['screw', 'a screw and a plate'],
      ],
    },
    truss: {
      label: 'Truss rod adjusts at',
      options: [
        ['head', 'the headstock'],
        ['heel', 'the heel'],
        ['fixed', 'a fixed bar: nothing to turn'],
        ['no-rod', 'no rod in it'],
      ],
    },
    hand: HANDED,
  },
})
