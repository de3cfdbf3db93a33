import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { takenPart } from '../../instrument/idleParts'
import { riseAt } from '../../instrument/frontRise'
import type { Band } from '../../judge/verdict'
import type { Size } from '../../quantity/size'

/** Angle of the strings over the saddle, degrees, by what they go to. [practice] */
const STOP: Limits = {
  usual: [8, 20],
  bands: [
    { upTo: 5, is: 'wont-go' },
    { upTo: 8, is: 'tight' },
    { upTo: 20, is: 'snug' },
    { upTo: 35, is: 'tight' },
    { upTo: Infinity, is: 'wont-go' },
  ],
}
const VIBRATO: Limits = {
  usual: [5, 12],
  bands: [
    { upTo: 2, is: 'wont-go' },
    { upTo: 5, is: 'tight' },
    { upTo: 12, is: 'snug' },
    { upTo: 20, is: 'tight' },
    { upTo: Infinity, is: 'wont-go' },
  ],
}
/** Strings that go straight into the bridge or through the body: steep is no harm up to about 55 degrees. */
const DIRECT: Limits = {
  usual: [6, 55],
  bands: [
    { upTo: 2, is: 'wont-go' },
    { upTo: 6, is: 'tight' },
    { upTo: 55, is: 'snug' },
    { upTo: Infinity, is: 'tight' },
  ],
}

interface Limits {
  usual: readonly [low: number, high: number]
  bands: readonly Band[]
}

/** Where the strings are held behind the saddles. */
export interface StringHold {
  by: 'stop' | 'vibrato' | 'bridge'
  refs: { height: SizeRef; distance: SizeRef }
  limits: Limits
}

/** A tailpiece holds the strings where there is one and the bridge leaves them to it, otherwise the bridge's own holes or the body's. */
export function stringHold(build: Build): StringHold {
  if (!takenPart(build, 'tailpiece'))
    return {
      by: 'bridge',
      refs: { height: sizeRef('bridge', 'exit.height'), distance: sizeRef('bridge', 'exit.distance') },
      limits: DIRECT,
    }
  const vibrato = traitAt(build, 'tailpiece', 'type') === 'vibrato'
  return {
    by: vibrato ? 'vibrato' : 'stop',
    refs: { height: sizeRef('tailpiece', 'height'), distance: sizeRef('body', 'tail.toBridge') },
    limits: vibrato ? VIBRATO : STOP,
  }
}

/** How far the front under a tailpiece lies over that under the bridge, mm: what its height is to be raised by to be counted from there. */
export function tailOver(build: Build): Size | undefined {
  if (stringHold(build).by === 'bridge') return { value: 0, doubt: 0, known: 'calipers' }
  const [tail, bridge] = [riseAt(build, 'tail'), riseAt(build, 'bridge')]
  return tail && bridge && { value: tail.value - bridge.value, doubt: Math.hypot(tail.doubt, bridge.doubt), known: tail.known }
}

/** Its height above the front under the bridge and distance from the saddles, mm, when all of it is known. */
export function heldAt(build: Build): { height: Size; distance: Size } | undefined {
  const { refs } = stringHold(build)
  const [height, distance, over] = [sizeAt(build, refs.height), sizeAt(build, refs.distance), tailOver(build)]
  return (
    height &&
    distance &&
    over && { height: { ...height, value: height.value + over.value, doubt: Math.hypot(height.doubt, over.doubt) }, distance }
  )
}
