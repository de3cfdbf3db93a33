import type { Build } from '../document/build'
import { inHollow, isCarried, panelOf } from '../instrument/panel'

/** What lies behind a hole that goes right through: a face one can get at, a route cut for the controls, or a hollow nothing gets into. */
export type Behind = 'free' | 'route' | 'hollow'

/** Behind what the controls sit in. */
export const behindPanel = (build: Build): Behind => (isCarried(panelOf(build)) ? 'free' : behindRim(build))

/** Behind the rim where the jack goes through it. */
export const behindRim = (build: Build): Behind => (inHollow(build) ? 'hollow' : 'route')

/** What keeps the far edge from breaking out. */
export const SCRAP_BEHIND: Readonly<Record<Behind, string>> = {
  free: 'backing scrap clamped behind',
  route: 'a block of scrap wedged in the route, flat against the wood where it comes out',
  hollow: 'nothing can be held behind it: no pressure at the end',
}

/** How the hole is drilled to its size. @param size mm, in words */
export const drilledThrough = (behind: Behind, size: string): string =>
  behind === 'free'
    ? `${size} mm from both faces in turn, or a step bit`
    : `${size} mm from outside, a step bit or a brad point, slowly at the end`

/** A reamer is a cone, whichever side it comes from. */
export const coneSays = (behind: Behind): string =>
  behind === 'free'
    ? 'A reamer from one side only leaves a cone: from both faces in turn.'
    : 'From outside alone a reamer leaves a cone, narrow within: go on until what goes in turns freely all the way.'
