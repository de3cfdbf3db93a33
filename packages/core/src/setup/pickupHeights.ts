import type { Build } from '../document/build'
import { bassString, setupReading } from '../document/setupReadings'
import { PLACES } from '../instrument/guardPlace'
import { poleDistanceOf } from '../instrument/pickupTargets'
import { staleSays } from './staleness'
import { slotSpec, type Slot } from '../parts/slots'

/** Nearer than this strong poles pull strings out of tune. [practice] */
export const TOO_NEAR = 1.2
const CLOSE = 0.2

export interface PickupHeight {
  slot: Slot
  label: string
  sides: { side: 'bass' | 'treble'; string: number; wanted: number; read?: number; stale?: true; says: string; done: boolean }[]
}

/** Every pickup that is there, both its ends: read and wanted. */
export function pickupHeights(build: Build): PickupHeight[] {
  return PLACES.map((place) => `pickup-${place}` as const)
    .filter((slot) => build.parts[slot])
    .map((slot): PickupHeight => {
      const target = poleDistanceOf(build, slot)
      const side = (name: 'bass' | 'treble') => {
        const string = name === 'bass' ? bassString(build) : 1
        const asked = { what: 'pickup', string, slot } as const
        const read = setupReading(build, asked)
        const old = staleSays(build, asked)
        const wanted = target[name]
        const off = read === undefined ? 0 : read - wanted
        const done = read !== undefined && !old && Math.abs(off) <= CLOSE
        return {
          side: name,
          string,
          wanted,
          ...(read === undefined ? {} : { read }),
          ...(old ? { stale: true as const } : {}),
          done,
          says:
            read === undefined
              ? 'Hold the string at the last fret and measure down to the pole.'
              : old
                ? old
                : done
                  ? 'A good start; the ears decide.'
                  : `${Math.abs(off).toFixed(1)} mm ${off > 0 ? 'too far: raise' : 'too near: lower'} this end.${read < TOO_NEAR ? ' This near the poles pull the string out of tune and it warbles.' : ''}`,
        }
      }
      return { slot, label: slotSpec(slot).label, sides: [side('bass'), side('treble')] }
    })
}
