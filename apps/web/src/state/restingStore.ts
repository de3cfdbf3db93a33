import { create } from 'zustand'
import { persist } from 'zustand/middleware'

/** Builds that are not on the bench for now, kept on this machine. */
export const useResting = create<{ resting: string[]; rest: (id: string, rests: boolean) => void }>()(
  persist(
    (set) => ({
      resting: [],
      rest: (id, rests) => set(({ resting }) => ({ resting: rests ? [...resting, id] : resting.filter((r) => r !== id) })),
    }),
    { name: 'snug-resting' },
  ),
)
