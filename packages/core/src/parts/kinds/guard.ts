import { bored, defineKind, HANDED, mm, screwSizes, type SizeSpec } from '../kind'
import { controlPlaces, switchHoles } from './controlHoles'

const at = 'from the guard’s own neck cut-out edge, along the centre line'
const opening = <P extends string>(place: P, name: string) =>
  ({
    [`opening.${place}.centre`]: mm(`${name} opening, centre`, 0, 300, { how: at }),
    [`opening.${place}.length`]: mm(`${name} opening, along the strings`, 10, 130),
    [`opening.${place}.width`]: mm(`${name} opening, across`, 40, 140),
    [`opening.${place}.radius`]: mm(`${name} opening, corner radius`, 0, 15),
    [`opening.${place}.side`]: mm(`${name} opening, beside the centre line`, -20, 20, {
      usual: 0,
      found: [-1, 1],
      how: 'its middle, bass side positive; usually 0',
    }),
  }) as Record<`opening.${P}.${'centre' | 'length' | 'width' | 'radius' | 'side'}`, SizeSpec>

const place = (name: string) =>
  [
    mm(`${name}, along the centre line`, -50, 400, { how: at }),
    mm(`${name}, across`, -200, 200, { how: 'from the centre line, bass side positive' }),
  ] as const

/** The pickguard. Datum: the edge of its neck cut-out that meets the heel end. */
export const guard = defineKind({
  kind: 'guard',
  label: 'Pickguard',
  trade: 'wood',
  outline: true,
  sizes: {
    thickness: mm('Thickness', 0.5, 6, { required: true, usual: 2.5 }),
    ...opening('neck', 'Neck pickup'),
    ...opening('middle', 'Middle pickup'),
    ...opening('bridge', 'Bridge pickup'),
    'pot.hole': mm('Pot hole diameter', 4, 14, { required: true, usual: 9.5 }),
    ...controlPlaces(place, 'guard'),
    'neck.width': mm('Neck cut-out, across', 40, 90),
    'bridge.edge': mm('Edge in front of the bridge', 60, 300, { how: at }),
    ...switchHoles,
    ...screwSizes('Its screws,', 12, 3, 2),
    'screw.edge': mm('Nearest screw hole to a route edge', 0, 60, { how: 'lay the guard on the body, neck side tight' }),
  },
  traits: {
    lies: {
      label: 'It lies',
      unasked: true,
      options: [
        ['round', 'round the pickups, with an opening for each'],
        ['beside', 'beside them, with no openings'],
      ],
    },
    shield: {
      label: 'Back of the guard',
      options: [
        ['none', 'bare'],
        ['foil', 'foil'],
      ],
    },
    'bored.controls': bored('Pot holes in the guard'),
    'bored.jack': bored('Jack hole in the guard'),
    'bored.toggle': bored('Toggle hole in the guard'),
    'bored.slot': bored('Slot for the switch'),
    'bored.toggle-2': bored('Second switch’s hole in the guard'),
    'bored.slot-2': bored('Slot for the second switch'),
    hand: HANDED,
  },
})
