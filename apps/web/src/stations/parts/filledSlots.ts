import { SLOTS, type Build, type Slot } from '@snug/core'

export const filled = (build: Build) => SLOTS.filter((s) => build.parts[s.slot]).map((s) => s.slot as Slot)
