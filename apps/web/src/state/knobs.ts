import type { Setting } from '@snug/core'
import { create } from 'zustand'

interface Knobs {
  /** The build whose knobs these are; another build's stand at 10. */
  build: string | undefined
  turned: Setting['knobs']
  turn: (build: string, pot: string, to: number) => void
  allAtTen: () => void
}

/** Where the knobs stand while a person looks at the circuit. Looking is not building: nothing of it is kept or sent. */
export const useKnobs = create<Knobs>()((set) => ({
  build: undefined,
  turned: {},
  turn: (build, pot, to) => set((k) => ({ build, turned: { ...(k.build === build ? k.turned : {}), [pot]: to } })),
  allAtTen: () => set({ turned: {} }),
}))

const NONE: Setting['knobs'] = {}
/** The knobs of the open build; one that is not named stands at 10. */
export const useKnobsOf = (build: string): Setting['knobs'] => useKnobs((k) => (k.build === build ? k.turned : NONE))
