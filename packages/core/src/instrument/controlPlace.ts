import type { Build } from '../document/build'
import { isSaid, sizeAt, type SizeRef } from '../document/read'
import { pt, type Point } from '../geometry/point'
import { datums } from './datums'
import { isCarried, panelOf, type Panel } from './panel'
import { onBody, PLATE_PLACE, platePose } from './platePlace'

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
const USUAL: Record<Control | 'jack', readonly [x: number, y: number]> = {
  volume: [190, -66],
  tone: [225, -82],
  'volume-2': [176, -101],
  'tone-2': [211, -117],
  switch: [150, -72],
  'switch-2': [120, -72],
  jack: [254, -100],
}

/** Usual places along a plate of their own, mm from its front end: two pots behind a switch. [practice] */
const ON_PLATE: Record<Control | 'jack', number> = {
  switch: 45,
  volume: 82,
  tone: 117,
  'switch-2': 20,
  'volume-2': 100,
  'tone-2': 135,
  jack: 142,
}

/** Where its hole is, in the marks of what carries it. */
export const controlRefs = (build: Build, control: Control | 'jack'): { x: SizeRef; y: SizeRef } => {
  const { slot } = panelOf(build)
  return { x: { slot, size: `${control}.x` }, y: { slot, size: `${control}.y` } }
}

/** Where a control sits on the instrument: by its hole in the plate, the guard, or the body where there is neither. */
export function controlPlace(build: Build, control: Control | 'jack'): Point {
  const d = datums(build)
  const refs = controlRefs(build, control)
  const [x, y] = [sizeAt(build, refs.x)?.value, sizeAt(build, refs.y)?.value]
  const [usualX, usualY] = USUAL[control]
  const { slot } = panelOf(build)
  if (slot === 'control-plate') {
    const on = onBody(platePose(build), pt(x ?? ON_PLATE[control], y ?? 0))
    return pt(d.mouth + on.x, on.y)
  }
  const datum = slot === 'guard' ? d.heelEnd : d.mouth
  return pt(x === undefined ? d.heelEnd + usualX : datum + x, y ?? usualY)
}

/** Has anybody said where it sits? Otherwise its place is the usual one, good for a drawing and for nothing that is cut. */
export function controlSaid(build: Build, control: Control | 'jack'): boolean {
  const { x, y } = controlRefs(build, control)
  return isSaid(build, x, y) && (panelOf(build).slot !== 'control-plate' || isSaid(build, ...PLATE_PLACE))
}

/** Is the jack told to sit beside the controls? It then has no bore in the wood. */
export const isBesideControls = ({ parts }: Pick<Build, 'parts'>): boolean => parts.jack?.traits.held === 'panel'

/** What carries the jack beside the controls, where it is told to sit there and there is such a part. */
export function jackPanel(build: Build): (Panel & { slot: 'control-plate' | 'guard' }) | undefined {
  const panel = panelOf(build)
  return isBesideControls(build) && isCarried(panel) ? panel : undefined
}
