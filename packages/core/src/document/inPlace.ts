import type { Slot } from '../parts/slots'
import type { Build } from './build'

/** Is all of it, as far as the build has it, in place, and stays as it is? */
export const allInPlace = (build: Build, slots: readonly Slot[]): boolean => {
  const there = slots.flatMap((slot) => build.parts[slot] ?? [])
  return there.length > 0 && there.every((part) => part.state === 'in place')
}

/** Marks a step that is done to these parts alone, where all of them stay in place. */
export const ifInPlace = (build: Build, slots: readonly Slot[]): { inPlace?: true } => (allInPlace(build, slots) ? { inPlace: true } : {})
