import type { Build } from '../document/build'
import { aPart } from './bench'
import { changed, fullBuild, without } from './fullBuild'

/** The full build with its controls on a plate of their own beside the guard, one tone, strings through the body; everything fits. */
export function onAPlate(): Build {
  const full = changed(
    without(fullBuild(), 'springs'),
    {
      'body/plate.x': 190,
      'body/plate.y': -78,
      'body/plate.tail': -78,
      'body/control.x': 270,
      'body/control.y': -78,
      'body/control.length': 134,
      'body/control.width': 29,
    },
    { 'bridge/mount': 'string-through', 'pickup-bridge/mount': 'body' },
  )
  const guard = full.parts.guard!
  return {
    ...full,
    parts: {
      ...full.parts,
      // It ends short of the plate.
      guard: { ...guard, outline: guard.outline!.map((row) => ({ ...row, treble: Math.min(row.treble, 50) })) },
      'control-plate': aControlPlate(),
      ferrules: aPart('ferrules', { count: 6, diameter: 8, length: 9, 'string.hole': 3.6 }),
    },
  }
}

/** 160 x 34, two pots and a lever on its middle line, screws 150 apart. */
export const aControlPlate = () =>
  aPart(
    'control-plate',
    {
      thickness: 1.8,
      length: 160,
      width: 34,
      'pot.hole': 9.8,
      'switch.x': 46,
      'switch.y': 0,
      'volume.x': 84,
      'volume.y': 0,
      'tone.x': 120,
      'tone.y': 0,
      'switch.slot': 28,
      'switch.screws': 41.3,
      'screw.spread': 150,
    },
    { ends: 'round' },
  )
