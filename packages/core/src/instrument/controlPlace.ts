import type { Build } from '../document/build'
import { isSaid, sizeAt } from '../document/read'
import { pt, type Point } from '../geometry/point'
import { datums } from './datums'

/** Every pot there can be, by its place. */
export const POTS = ['volume', 'tone', 'volume-2', 'tone-2'] as const
export type PotControl = (typeof POTS)[number]
export type PotSlot = `pot-${PotControl}`
export const SWITCHES_OF = ['switch', 'switch-2'] as const
export type SwitchControl = (typeof SWITCHES_OF)[number]
export type Control = PotControl | SwitchControl

export const potSlot = (control: PotControl): PotSlot => `pot-${control}`
export const potsIn = (build: Build): PotControl[] => POTS.filter((c) => build.parts[potSlot(c)])

/** As it is called among the others. */
export const CONTROL_WORDS: Record<Control, string> = {
  volume: 'volume',
  tone: 'tone',
  'volume-2': 'second volume',
  'tone-2': 'second tone',
  switch: 'switch',
  'switch-2': 'second switch',
}

/** Usual places, mm from the heel's end and across, until a guard or body says otherwise. */
const USUAL: Record<Control, readonly [x: number, y: number]> = {
  volume: [190, -66],
  tone: [225, -82],
  'volume-2': [176, -101],
  'tone-2': [211, -117],
  switch: [150, -72],
  'switch-2': [120, -72],
}

/** Where a control sits on the instrument: by the guard's hole, or by the body's where there is no guard. */
export function controlPlace(build: Build, control: Control): Point {
  const d = datums(build)
  const from = build.parts.guard ? ({ slot: 'guard', datum: d.heelEnd } as const) : ({ slot: 'body', datum: d.mouth } as const)
  const at = (axis: 'x' | 'y') => sizeAt(build, { slot: from.slot, size: `${control}.${axis}` })?.value
  const [x, y] = USUAL[control]
  const along = at('x')
  return pt(along === undefined ? d.heelEnd + x : from.datum + along, at('y') ?? y)
}

/** Has anybody said where it sits? Otherwise its place is the usual one, good for a drawing and for nothing that is cut. */
export function controlSaid(build: Build, control: Control): boolean {
  const slot = build.parts.guard ? 'guard' : 'body'
  return isSaid(build, { slot, size: `${control}.x` }, { slot, size: `${control}.y` })
}
