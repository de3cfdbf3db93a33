import { mm, type SizeSpec } from '../kind'

type Place = (name: string) => readonly [x: SizeSpec, y: SizeSpec]

/** Where controls and jack sit in what carries them. @param place how a place is taken there, along and across */
export function controlPlaces(place: Place, carrier: string) {
  const [volumeX, volumeY] = place('Volume hole')
  const [toneX, toneY] = place('Tone hole')
  const [volume2X, volume2Y] = place('Second volume hole')
  const [tone2X, tone2Y] = place('Second tone hole')
  const [switchX, switchY] = place('Switch slot')
  const [switch2X, switch2Y] = place('Second switch’s hole or slot')
  const [jackX, jackY] = place('Jack hole')
  return {
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
    'jack.hole': mm('Jack hole diameter', 6, 16, { how: `where the jack sits in the ${carrier} itself` }),
  }
}

/** Slots and holes of both switches there. */
export const switchHoles = {
  'switch.slot': mm('Switch slot, length', 5, 60, { usual: 27 }),
  'switch.screws': mm('Switch screw holes, centre to centre', 15, 70, { usual: 41 }),
  'switch.hole': mm('Toggle hole', 4, 20, { usual: 12 }),
  'switch-2.slot': mm('Second switch’s slot, length', 5, 60),
  'switch-2.screws': mm('Second switch’s screw holes, centre to centre', 15, 70),
  'switch-2.hole': mm('Second switch’s hole', 4, 20),
}
