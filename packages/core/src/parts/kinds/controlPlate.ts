import { bored, defineKind, mm, screwSizes } from '../kind'
import { controlPlaces, switchHoles } from './controlHoles'

const along = 'from the plate’s front end, the one nearer the neck, along its middle line'
const across = 'from its middle line, bass side positive'
const place = (name: string) =>
  [mm(`${name}, along the plate`, 0, 300, { how: along }), mm(`${name}, across the plate`, -60, 60, { usual: 0, how: across })] as const

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
    ...controlPlaces(place, 'plate'),
    ...switchHoles,
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
