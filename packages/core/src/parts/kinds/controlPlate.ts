import { bored, defineKind, mm, screwSizes } from '../kind'

const along = 'from the plate’s front end, the one nearer the neck, along its middle line'
const across = 'from its middle line, bass side positive'
const place = (name: string) =>
  [mm(`${name}, along the plate`, 0, 300, { how: along }), mm(`${name}, across the plate`, -60, 60, { usual: 0, how: across })] as const
const [volumeX, volumeY] = place('Volume hole')
const [toneX, toneY] = place('Tone hole')
const [volume2X, volume2Y] = place('Second volume hole')
const [tone2X, tone2Y] = place('Second tone hole')
const [jackX, jackY] = place('Jack hole')
const [switchX, switchY] = place('Switch slot')
const [switch2X, switch2Y] = place('Second switch’s hole or slot')

/** A plate of its own that carries the controls over their route. Datum: the middle of its front end, the one nearer the neck. */
export const controlPlate = defineKind({
  kind: 'control-plate',
  label: 'Control plate',
  trade: 'hardware',
  sizes: {
    thickness: mm('Thickness', 0.5, 6, { required: true, usual: 1.5 }),
    length: mm('Length', 40, 300, { required: true, usual: 160 }),
    width: mm('Width', 15, 120, { required: true, usual: 32 }),
    'pot.hole': mm('Pot hole diameter', 4, 14, { required: true, usual: 9.8 }),
    'volume.x': volumeX,
    'volume.y': volumeY,
    'tone.x': toneX,
    'tone.y': toneY,
    'volume-2.x': volume2X,
    'volume-2.y': volume2Y,
    'tone-2.x': tone2X,
    'tone-2.y': tone2Y,
    'switch.x': switchX,
    'switch.y': switchY,
    'switch-2.x': switch2X,
    'switch-2.y': switch2Y,
    'jack.x': jackX,
    'jack.y': jackY,
    'jack.hole': mm('Jack hole diameter', 6, 16, { how: 'where the jack sits in the plate itself' }),
    'switch.slot': mm('Switch slot, length', 5, 60, { usual: 27 }),
    'switch.screws': mm('Switch screw holes, centre to centre', 15, 70, { usual: 41 }),
    'switch.hole': mm('Toggle hole', 4, 20, { usual: 12 }),
    'switch-2.slot': mm('Second switch’s slot, length', 5, 60),
    'switch-2.screws': mm('Second switch’s screw holes, centre to centre', 15, 70),
    'switch-2.hole': mm('Second switch’s hole', 4, 20),
    'screw.spread': mm('Its outer screws, centre to centre', 20, 290, { usual: 150, how: 'on its middle line, as far from either end' }),
    ...screwSizes('Its screws,', 15, 3, 2),
  },
  traits: {
    ends: {
      label: 'Its ends',
      options: [
        ['round', 'rounded, half a circle'],
        ['square', 'square'],
      ],
    },
    'bored.controls': bored('Pot holes in the control plate'),
    'bored.jack': bored('Jack hole in the control plate'),
    'bored.toggle': bored('Toggle hole in the control plate'),
    'bored.slot': bored('Slot for the switch in the control plate'),
    'bored.toggle-2': bored('Second switch’s hole in the control plate'),
    'bored.slot-2': bored('Slot for the second switch in the control plate'),
  },
})
