import type { Build, JobEffect } from '../document/build'
import { sizeAt, sizeRef, specAt, traitAt, type SizeRef } from '../document/read'
import { isVibrato } from '../instrument/vibrato'
import { bandOf } from '../parts/kind'
import { told } from '../quantity/size'

/** Wood that must stay under every face and between cavities after any deepening or boring, mm. [practice] */
export const STAYS = 2.5

/** The least a size may be by what is known of it. */
function atLeast(build: Build, ref: SizeRef): number {
  const size = told(sizeAt(build, ref))
  return size ? size.value - size.doubt : bandOf(specAt(ref)).low
}
function atMost(build: Build, ref: SizeRef): number {
  const size = told(sizeAt(build, ref))
  return size ? size.value + size.doubt : bandOf(specAt(ref)).high
}

const THICKNESS = sizeRef('body', 'thickness')
/** A vibrato's springs lie in a room of their own under these. */
const OVER_SPRINGS = ['pocket.depth', 'route.neck.depth', 'route.middle.depth', 'route.bridge.depth']
const DEPTHS = [...OVER_SPRINGS, 'control.depth', 'studBoreDepth']
/** Bores that run between the two faces. */
const SIDEWAYS = ['jack.bore', 'passage.diameter']

/** Wood left at the place that the job thins most, mm; nothing where the job thins none. */
export function woodLeft(build: Build, { slot, size, delta }: Omit<JobEffect, 'doubt'>): number | undefined {
  if (slot === 'body' && delta > 0) {
    const then = atMost(build, { slot, size }) + delta
    if (DEPTHS.includes(size)) return atLeast(build, THICKNESS) - then - (OVER_SPRINGS.includes(size) ? springRoom(build) : 0)
    if (SIDEWAYS.includes(size)) return (atLeast(build, THICKNESS) - then) / 2
  }
  if (slot === 'body' && size === 'control.top' && delta < 0) return atLeast(build, { slot, size }) + delta
  return undefined
}

/** Depth of the spring room under the front's cavities; none without a vibrato, and as much as there may be while nobody has said. */
function springRoom(build: Build): number {
  const mount = traitAt(build, 'bridge', 'mount')
  const swings = build.parts.bridge !== undefined && (mount === undefined || isVibrato(mount))
  return swings && sizeAt(build, sizeRef('body', 'spring.depth')) ? atMost(build, sizeRef('body', 'spring.depth')) : 0
}

/** Does enough wood stay everywhere when the job is done? */
export function staysWhole(build: Build, effect: Omit<JobEffect, 'doubt'>): boolean {
  const left = woodLeft(build, effect)
  return left === undefined || left >= STAYS
}
