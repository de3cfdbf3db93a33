import type { Build } from '../document/build'
import type { TraitSpec } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import { aPart, type Sizes } from './bench'

/** What a person tells before anything is drilled: screws as they came, and of every hole that nobody measured that it is not there. */
const SCREWS: Partial<Record<Slot, Sizes>> = {
  'strap-buttons': { 'screw.root': 2.5 },
  'string-tree': { 'screw.length': 9, 'screw.thread': 2.2, 'screw.root': 1.6 },
  springs: { 'screw.length': 45, 'screw.thread': 4.2, 'screw.root': 3 },
  guard: { 'screw.length': 12, 'screw.thread': 3, 'screw.root': 2 },
  'control-plate': { 'screw.length': 15, 'screw.thread': 3, 'screw.root': 2 },
  'jack-plate': { 'screw.length': 12, 'screw.thread': 3, 'screw.root': 2 },
  'ring-neck': { 'screw.length': 14, 'screw.thread': 2.2, 'screw.root': 1.6 },
  tuners: { 'screw.side': 0 },
  body: { 'vibrato.width': 58 },
  bridge: {
    screws: 6,
    'screw.spread': 58,
    'screw.length': 25,
    'screw.thread': 3.5,
    'screw.root': 2.4,
    'plate.thickness': 2,
    'holes.behind': 14,
  },
  'pickup-bridge': { 'screw.length': 18, 'screw.diameter': 3, 'screw.root': 2 },
  switch: { 'thread.diameter': 12 },
  nut: { 'screw.length': 18, 'screw.thread': 4, 'screw.root': 2.8, 'screw.spread': 26 },
  neck: { 'fret1.thickness': 21, 'tilt.thread': 6 },
}

export function drillable(build: Build): Build {
  const parts = Object.entries(build.parts).map(([slot, part]): [string, Part] => {
    const holes: [string, TraitSpec][] = Object.entries(KINDS[part.kind].traits)
    const bored = holes.filter(([, t]) => t.hole).map(([name]) => name)
    return [
      slot,
      {
        ...part,
        sizes: { ...aPart(slot as Slot, SCREWS[slot as Slot] ?? {}).sizes, ...part.sizes },
        traits: { ...(slot === 'tuners' ? { screws: 'own' } : {}), ...Object.fromEntries(bored.map((t) => [t, 'none'])), ...part.traits },
      },
    ]
  })
  return { ...build, parts: Object.fromEntries(parts) }
}
