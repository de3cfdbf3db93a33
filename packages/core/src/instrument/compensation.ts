import type { Build } from '../document/build'
import { sizeAt, sizeRef } from '../document/read'
import { fretPlaces } from '../physics/frets'
import { saddleBack, type Crowns } from '../physics/heldString'
import { bending, stretching } from '../physics/stiffString'
import { USUAL_SLOT } from './nutTargets'
import { stringPulls } from './stringPulls'
import { wantedOf } from './targets'

/** Steel's modulus, GPa. [practice] */
const STEEL = 200
/** A finger presses the string so far under the line of the crowns, lightly and hard, 0.3 of the fret's space behind its fret, mm. [practice] */
const PRESSED = { light: 0.1, hard: 0.3 }
const BEHIND = 0.3

/** Where one string's saddle has to stand, mm behind the scale line, pressed lightly and hard. */
export interface Compensation {
  number: number
  note: string
  from: number
  to: number
  /** The core was not given and is taken as two fifths of the gauge. */
  coreEstimated: boolean
}

/**
 * Saddle places of the set that is chosen, on a straight neck at the action wanted: strings that run on over nut and saddle, pressed 0.1 to
 * 0.3 mm. Strings of unknown gauge are left out. [physics; ends and finger ours]
 * @param only these strings, by number
 */
export function compensations(build: Build, only?: readonly number[]): Compensation[] {
  const scale = sizeAt(build, sizeRef('neck', 'scale'))?.value ?? build.scale
  const frets = sizeAt(build, sizeRef('neck', 'frets'))?.value ?? 22
  const slot = sizeAt(build, sizeRef('nut', 'slot'))?.value ?? USUAL_SLOT
  const neck: Crowns = { nut: { x: 0, y: slot }, crowns: fretPlaces(scale, frets).map((x) => ({ x, y: 0 })) }
  const { actionBass, actionTreble } = wantedOf(build)
  return stringPulls(build)
    .filter((s) => !only || only.includes(s.number))
    .map((s) => {
      const action = actionTreble + ((actionBass - actionTreble) * (s.number - 1)) / Math.max(1, build.strings - 1)
      const string = {
        stretching: stretching(s.core, STEEL),
        bending: bending(s.core, STEEL),
        mass: s.mass,
        hertz: s.hertz,
        ends: 'continuous' as const,
      }
      const back = (depth: number) => saddleBack(neck, string, scale, 2 * action - slot, { behind: BEHIND, depth })
      return { number: s.number, note: s.note, from: back(PRESSED.light), to: back(PRESSED.hard), coreEstimated: s.coreEstimated }
    })
}
