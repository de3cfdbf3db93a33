import type { Build, Tool } from '../document/build'
import { isUnmade } from '../document/unmade'
import type { Stake } from '../fit/measure/stakes'
import { bestTool } from '../fit/measure/readings'
import { USUAL_BENCH, type Bench } from './bench'
import { holeCards } from './holes'

/** A hole in the wrong place costs wood, but it is drilled late: it stands behind the joints that decide what is bought. [ours] */
const WORTH = 0.4
const HOLE = 'hole:'

/** What stands for a hole among what readings settle, and no joint. */
export const isHole = (settled: string): boolean => settled.startsWith(HOLE)

/** Holes that are to be made and wait for sizes: what to measure next knows them beside the joints. */
export const holeStakes = (build: Build, tools: readonly Tool[], bench: Bench = USUAL_BENCH): Stake[] =>
  holeCards(build, bench).flatMap((c) =>
    c.stands === 'waiting' &&
    !c.untold.length &&
    c.missing.length &&
    c.missing.every((ref) => bestTool(ref, tools) && !isUnmade(build, ref))
      ? [{ joint: HOLE + c.id, needs: c.missing, worth: WORTH }]
      : [],
  )
