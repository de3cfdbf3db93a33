import type { Build } from '../document/build'
import type { Remember } from '../document/remember'
import type { Bench } from '../drill/bench'
import type { Drawing } from '../drawing/drawing'
import type { Point } from '../geometry/point'
import type { Step } from '../plan/step'
import type { Sheet } from './sheet'

/** Something a station has that can be found, pinned on the instrument and written about in the log. */
export interface Thing {
  /** How addresses and log entries name it within its station. */
  id: string
  title: string
  /** Where it lies: mm from the nut, mm across, as seen from the front. */
  at?: Point
  /** Made only for those who look. */
  draw?: () => Drawing | undefined
}

/** What one station gives to the bench: its result, and from it everything that is said of it elsewhere. */
export interface Contribution<R> {
  /**
   * Works the station out from the build.
   * @param earlier steps of the stations before it in the order of the work
   * @param bench the tools of the person who builds it
   */
  result: (build: Build, today: string, earlier: readonly Step[], remember: Remember, bench: Bench) => R
  /** Its result is made of those earlier steps. */
  fromSteps?: true
  /** Work it asks for. */
  steps?: (build: Build, result: R, earlier: readonly Step[], today: string) => Step[]
  /** @param bench the one `result` was worked out for */
  things?: (build: Build, result: R, bench: Bench) => Thing[]
  /** Shown for what has no drawing of its own here. */
  draw?: (build: Build) => Drawing
  /** How many of its things need a person. */
  count?: (build: Build, result: R) => number
  /** What can be printed of it. */
  sheets?: (build: Build, result: R) => Sheet[]
  /** What a change did here, in a few words each. */
  moved?: (before: R, after: R) => string[]
}
