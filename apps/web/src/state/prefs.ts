import type { LengthSystem } from '@snug/core'
import { create } from 'zustand'
import { persist } from 'zustand/middleware'

interface Prefs {
  theme: 'light' | 'dark'
  system: LengthSystem
  view: 'front' | 'back' | 'side'
  /** How much room the long view takes. */
  stage: 'normal' | 'folded' | 'whole'
  toggleTheme: () => void
  toggleSystem: () => void
  flip: () => void
  turn: () => void
  setStage: (stage: Prefs['stage']) => void
}

/** What a person likes, kept on this machine; nothing of a build is in here. */
export const usePrefs = create<Prefs>()(
  persist(
    (set) => ({
      theme: 'light',
      system: 'mm',
      view: 'front',
      stage: 'normal',
      toggleTheme: () => set((p) => ({ theme: p.theme === 'light' ? 'dark' : 'light' })),
      toggleSystem: () => set((p) => ({ system: p.system === 'mm' ? 'in' : 'mm' })),
      flip: () => set((p) => ({ view: p.view === 'back' ? 'front' : 'back' })),
      turn: () => set((p) => ({ view: p.view === 'side' ? 'front' : 'side' })),
      setStage: (stage) => set({ stage }),
    }),
    { name: 'snug-prefs' },
  ),
)
