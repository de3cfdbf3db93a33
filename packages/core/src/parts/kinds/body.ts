import { defineKind, HANDED, mm, sized, type SizeSpec } from '../kind'
import { WOOD_OPTIONS } from '../woods'

const at = 'from the pocket mouth, along the centre line'
const route = <P extends string>(place: P, name: string) =>
  ({
    [`route.${place}.centre`]: mm(`${name} route, centre`, 0, 400, { how: at }),
    [`route.${place}.length`]: mm(`${name} route, along the strings`, 10, 130),
    [`route.${place}.width`]: mm(`${name} route, across`, 40, 140),
    [`route.${place}.depth`]: mm(`${name} route, depth`, 5, 50, { usual: 18 }),
    [`route.${place}.radius`]: mm(`${name} route, corner radius`, 0, 20, { usual: 5 }),
    [`route.${place}.side`]: mm(`${name} route, beside the centre line`, -20, 20, {
      usual: 0,
      found: [-1, 1],
      how: 'its middle, bass side positive; usually 0',
    }),
  }) as Record<`route.${P}.${'centre' | 'length' | 'width' | 'depth' | 'radius' | 'side'}`, SizeSpec>

/** The body. Datum: the pocket mouth on the centre line; x grows towards the tail. */
export const body = defineKind({
  kind: 'body',
  label: 'Body',
  trade: 'wood',
  outline: true,
  sizes: {
    thickness: mm('Thickness', 20, 80, { found: [28, 60], required: true, usual: 44 }),
    'pocket.widthMouth': mm('Pocket width, mouth', 40, 90, {
      required: true,
      usual: 56,
      how: 'inside jaws, at the edge where the neck enters, halfway down the wall',
    }),
    'pocket.widthEnd': mm('Pocket width, end', 40, 90, { required: true, usual: 56, how: 'at the wall the heel stops against' }),
    'pocket.length': mm('Pocket length', 30, 160, { required: true, usual: 76 }),
    'pocket.depth': mm('Pocket depth', 5, 40, { required: true, usual: 16 }),
    'pocket.radius': mm('Pocket corner radius', 0, 15, { required: true, usual: 6 }),
    'pocket.dip': mm('Pocket floor dip', 0, 3, {
      found: [0, 1],
      how: 'straight-edge over the floor, deepest gap; chips and paint lumps count',
    }),
    'pocket.tilt': sized('deg', 'Pocket floor tilt', -5, 5, { usual: 0, found: [-1, 1.5], how: 'headstock back is positive' }),
    axisAtBridge: mm('Neck axis at the bridge', -20, 20, {
      usual: 0,
      found: [-5, 5],
      how: 'how far the neck’s own axis passes beside the bridge’s middle, bass side positive',
    }),
    mouthToBridge: mm('Pocket mouth to bridge studs', 100, 500, { required: true, how: at }),
    studSpacing: mm('Bridge studs or outer screws, centre to centre', 10, 130, { usual: 74 }),
    studBore: mm('Stud bore diameter', 4, 16),
    studBoreDepth: mm('Stud bore depth', 5, 60, { usual: 24 }),
    ...route('neck', 'Neck pickup'),
    ...route('middle', 'Middle pickup'),
    ...route('bridge', 'Bridge pickup'),
    'oldHoles.front': mm('Old bridge holes, foremost', -60, 60, {
      optional: true,
      how: 'in front of the bridge reference, towards the nut positive',
    }),
    'oldHoles.back': mm('Old bridge holes, rearmost', -60, 80, {
      optional: true,
      how: 'behind the bridge reference, towards the tail positive',
    }),
    'vibrato.length': mm('Vibrato route, along the strings', 10, 120),
    'string.hole': mm('String-through hole diameter', 1.5, 8, { usual: 4 }),
    'ferrule.bore': mm('Ferrule bore diameter', 4, 14),
    'tail.toBridge': mm('Bridge studs to tailpiece studs', 20, 160, { usual: 45 }),
    'tail.bore': mm('Tailpiece bore diameter', 4, 16),
    'pot.hole': mm('Pot hole in the top', 4, 14, { how: 'where pots sit in the wood itself, without a guard' }),
    'volume.x': mm('Volume hole, along the centre line', 0, 500, { usual: 266, how: at }),
    'volume.y': mm('Volume hole, across', -250, 250, { usual: -66, how: 'bass side positive' }),
    'tone.x': mm('Tone hole, along the centre line', 0, 500, { usual: 301, how: at }),
    'tone.y': mm('Tone hole, across', -250, 250, { usual: -82, how: 'bass side positive' }),
    'switch.x': mm('Switch hole, along the centre line', -100, 500, { usual: 226, how: at }),
    'switch.y': mm('Switch hole, across', -250, 250, { usual: -72, how: 'bass side positive' }),
    'control.length': mm('Control route, along the strings', 20, 250),
    'control.width': mm('Control route, across', 15, 150),
    'control.x': mm('Control route, middle along the centre line', 0, 500, { how: at }),
    'control.y': mm('Control route, middle across', -250, 250, { how: 'bass side positive' }),
    'control.depth': mm('Control route, depth', 10, 60, { usual: 38 }),
    'switch.hole': mm('Toggle hole in the top', 4, 20, { how: 'where a toggle sits in the wood itself' }),
    'control.top': mm('Wood left over the control route', 0, 40, { usual: 3 }),
    'jack.x': mm('Jack, along the centre line', 0, 500, { usual: 330, how: at }),
    'jack.y': mm('Jack, across', -250, 250, { usual: -100, how: 'bass side positive' }),
    'jack.bore': mm('Jack bore', 5, 40),
    'jack.depth': mm('Jack bore, depth to the far wall', 10, 120),
    'passage.diameter': mm('Narrowest wire passage', 2, 25),
    'battery.room': mm('Battery room, length', 0, 120),
    'button.upper.x': mm('Upper strap button', -120, 120, { how: at }),
    'button.lower.x': mm('Lower strap button', 150, 500, { usual: 340, how: at }),
    'block.width': mm('Centre block, across', 10, 200, { how: 'hollow bodies: the solid wood under the bridge' }),
    'block.thickness': mm('Wood under the bridge', 5, 80, { usual: 42 }),
    'soundHole.diameter': mm('Sound hole diameter', 20, 140, { optional: true }),
    'soundHole.x': mm('Sound hole, along the centre line', -100, 400, { optional: true, how: at }),
    'soundHole.y': mm('Sound hole, across', -150, 150, { optional: true, how: 'bass side positive' }),
    'outline.length': mm('Whole length', 250, 600, { optional: true, how: 'horns included; with the widths enough for weight and area' }),
    'outline.upper': mm('Widest above the waist', 150, 450, { optional: true }),
    'outline.waist': mm('Waist', 120, 400, { optional: true }),
    'outline.lower': mm('Widest below the waist', 200, 480, { optional: true }),
    'chamber.count': sized('count', 'Chambers', 0, 12, { optional: true }),
    'chamber.length': mm('A chamber, along the strings', 10, 350, { optional: true, how: 'the middle one where they differ' }),
    'chamber.width': mm('A chamber, across', 10, 200, { optional: true }),
    'chamber.depth': mm('A chamber, depth', 5, 60, { optional: true }),
    'rim.thickness': mm('Solid wood from the rim inwards', 4, 120, {
      found: [6, 60],
      how: 'hollow and chambered bodies: at the strap buttons',
    }),
    mass: sized('g', 'Mass', 300, 6000, { found: [1100, 3600] }),
    'claw.x': mm('Spring claw, along the centre line', 0, 400, { how: at }),
    'spring.depth': mm('Spring cavity, depth', 5, 40),
  },
  traits: {
    wood: { label: 'Wood', options: WOOD_OPTIONS, required: true },
    grain: {
      label: 'Grain',
      options: [
        ['flat', 'flat-sawn'],
        ['quarter', 'quarter-sawn'],
      ],
    },
    build: {
      label: 'Build',
      options: [
        ['solid', 'solid'],
        ['chambered', 'chambered'],
        ['semi-hollow', 'semi-hollow'],
      ],
    },
    top: {
      label: 'Top',
      options: [
        ['flat', 'flat top'],
        ['arched', 'arched top'],
      ],
    },
    notch: {
      label: 'Notch for a heel-end truss tool',
      options: [
        ['no', 'none'],
        ['yes', 'cut'],
      ],
    },
    shield: {
      label: 'Control cavity lined with',
      options: [
        ['none', 'nothing'],
        ['foil', 'foil'],
        ['paint', 'conductive paint'],
      ],
    },
    access: {
      label: 'Controls go in through',
      options: [
        ['front', 'the front, under a guard or plate'],
        ['back', 'a back panel'],
        ['sound-hole', 'a sound hole'],
      ],
    },
    hand: HANDED,
    rim: {
      label: 'Rim at the jack',
      options: [
        ['straight', 'straight'],
        ['curved', 'curved'],
      ],
    },
    surface: {
      label: 'Surface',
      options: [
        ['raw', 'raw wood'],
        ['sealed', 'sealed'],
        ['coated', 'coated'],
      ],
    },
  },
})
