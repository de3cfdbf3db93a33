import type { Slot } from '../parts/slots'
import type { Build } from './build'

/** Is all of it, as far as the build has it, in place, and stays as it is? */
export const allInPlace = (build: Build, slots: readonly Slot[]): boolean => {
  const there = slots.flatMap((slot) => build.parts[slot] ?? [])
  return there.length > 0 && there.every((part) => part.state === 'in place')
}

/** What a step is done to, and that nothing of it is done where all of that stays in place. */
export const doneTo = (build: Build, on: readonly Slot[]): { on: readonly Slot[]; inPlace?: true } => ({
  on,
  ...(allInPlace(build, on) ? { inPlace: true } : {}),
})
