import { defineKind, mm, sized, type SizeSpec } from '../kind'
import { WOOD_OPTIONS } from '../woods'

const at = 'from the pocket mouth, along the centre line'
const route = <P extends string>(place: P, name: string) =>
  ({
    [`route.${place}.centre`]: mm(`${name} route, centre`, 0, 400, { how: at }),
    [`route.${place}.length`]: mm(`${name} route, along the strings`, 10, 130),
    [`route.${place}.width`]: mm(`${name} route, across`, 40, 140),
    [`route.${place}.depth`]: mm(`${name} route, depth`, 5, 50),
    [`route.${place}.radius`]: mm(`${name} route, corner radius`, 0, 20),
  }) as Record<`route.${P}.${'centre' | 'length' | 'width' | 'depth' | 'radius'}`, SizeSpec>

/** The body. Datum: the pocket mouth on the centre line; x grows towards the tail. */
export const body = defineKind({
  kind: 'body',
  label: 'Body',
  trade: 'wood',
  outline: true,
  sizes: {
    thickness: mm('Thickness', 20, 80, { required: true, usual: 44 }),
    'pocket.widthMouth': mm('Pocket width, mouth', 40, 90, {
      required: true,
      usual: 56,
      how: 'inside jaws, at the edge where the neck enters, halfway down the wall',
    }),
    'pocket.widthEnd': mm('Pocket width, end', 40, 90, { required: true, usual: 56, how: 'at the wall the heel stops against' }),
    'pocket.length': mm('Pocket length', 30, 160, { required: true, usual: 76 }),
    'pocket.depth': mm('Pocket depth', 5, 40, { required: true, usual: 16 }),
    'pocket.radius': mm('Pocket corner radius', 0, 15, { required: true, usual: 6 }),
    'pocket.tilt': sized('deg', 'Pocket floor tilt', -5, 5, { how: 'headstock back is positive' }),
    axisAtBridge: mm('Neck axis at the bridge', -20, 20, {
      how: 'how far the neck’s own axis passes beside the bridge’s middle, bass side positive',
    }),
    mouthToBridge: mm('Pocket mouth to bridge studs', 100, 500, { required: true, how: at }),
    studSpacing: mm('Stud bores, centre to centre', 30, 110),
    studBore: mm('Stud bore diameter', 4, 16),
    studBoreDepth: mm('Stud bore depth', 5, 60),
    ...route('neck', 'Neck pickup'),
    ...route('middle', 'Middle pickup'),
    ...route('bridge', 'Bridge pickup'),
    'control.depth': mm('Control route, depth', 10, 60),
    'control.top': mm('Wood left over the control route', 0, 40),
    'jack.x': mm('Jack, along the centre line', 0, 500, { how: at }),
    'jack.y': mm('Jack, across', -250, 250, { how: 'bass side positive' }),
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
