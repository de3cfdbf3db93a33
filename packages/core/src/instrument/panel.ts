import type { Build } from '../document/build'
import { sizeRef, traitAt, type SizeRef } from '../document/read'
import type { Role } from '../drawing/drawing'

/** What controls are mounted through: a plate of their own, the guard, or the body's own top where there is neither. */
export interface Panel {
  slot: 'control-plate' | 'guard' | 'body'
  name: 'control plate' | 'guard' | 'top'
  thickness: SizeRef
  /** What it is drawn as. */
  role: Role
}

const PLATE: Panel = {
  slot: 'control-plate',
  name: 'control plate',
  thickness: sizeRef('control-plate', 'thickness'),
  role: 'metal',
}
const GUARD: Panel = { slot: 'guard', name: 'guard', thickness: sizeRef('guard', 'thickness'), role: 'plastic' }
const TOP: Panel = { slot: 'body', name: 'top', thickness: sizeRef('body', 'control.top'), role: 'body-wood' }

/**
 * A plate is there for nothing else: beside one, a guard carries no controls. Nor does it where they go in from the back or through a sound
 * hole: there it only keeps the top whole. Whoever judges by it asks how they go in; until it is told, the guard stands in the words.
 */
export function panelOf(build: Build): Panel {
  if (build.parts['control-plate']) return PLATE
  const access = build.parts.guard && traitAt(build, 'body', 'access')
  return build.parts.guard && access !== 'back' && access !== 'sound-hole' ? GUARD : TOP
}

/** Nobody has said whether the guard carries the controls or only keeps the top whole. */
export const isCarrierUntold = (build: Build): boolean =>
  build.parts.guard !== undefined && !build.parts['control-plate'] && build.parts.body !== undefined && !traitAt(build, 'body', 'access')

/** Are the controls held by the top of a body that is hollow under them? They go in by its sound hole, and no route is cut for them. */
export const inHollow = (build: Build): boolean => !isCarried(panelOf(build)) && traitAt(build, 'body', 'access') === 'sound-hole'

/** A part that can be worked on by itself, and carries its controls with it. */
export const isCarried = (panel: Panel): panel is Panel & { slot: 'control-plate' | 'guard' } => panel.slot !== 'body'

/** What carries the controls, as titles name it: either of two while nobody has told which. */
export const panelName = (build: Build): string => (isCarrierUntold(build) ? 'guard or top' : panelOf(build).name)
