import type { Build } from '../../document/build'
import type { PickupPlace } from '../../instrument/guardPlace'
import type { Slot } from '../../parts/slots'
import type { SwitchName } from '../model/switches'
import type { Weaver } from './weaver'

/** A choice a wiring leaves open; the first is what it is without being asked. */
export interface OptionSpec {
  id: string
  label: string
  choices: readonly (readonly [id: string, words: string])[]
  /** Why one would want it, in one line. */
  why: string
  /** What of the build it needs: nothing while it can be had, otherwise what lacks, in words. */
  lacks?: (build: Build, choice: string) => string | undefined
  /** The choice that the parts bought for nothing else speak for, where nobody has chosen; absent: the first that can be had. */
  byParts?: (build: Build) => string | undefined
}

/** A wiring as data: for which pickups and switch, what it leaves open, and how it is joined. */
export interface Recipe {
  id: string
  label: string
  /** One line on what it sounds like and why one would want it. */
  why: string
  /** How many pickups it is for. */
  count: number
  /** Selectors it can be built on; none where it needs no selector. */
  contacts: readonly SwitchName[]
  /** Parts it cannot do without, besides its pickups and a selector. */
  needs?: readonly Slot[]
  options: readonly OptionSpec[]
  /** Why active pickups cannot be wired so; absent where they can. */
  passiveOnly?: string
  /** @param places the build's pickups, from the bridge up */
  weave: (w: Weaver, places: readonly PickupPlace[], contacts: SwitchName | undefined) => void
}
