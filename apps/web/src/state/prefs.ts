import type { LengthSystem } from '@snug/core'
import { create } from 'zustand'
import { persist } from 'zustand/middleware'

interface Prefs {
  theme: 'light' | 'dark'
  system: LengthSystem
  view: 'front' | 'back' | 'side'
  /** How much room the long view takes. */
  stage: 'normal' | 'folded' | 'whole'
  /** Tools not at hand: jobs only they would do are left out when choosing. */
  lacking: readonly string[]
  /** A letter, a number or a sign pressed alone does something: off for whoever speaks to the machine, or hears it by keys of their own. */
  singleKeys: boolean
  toggleTheme: () => void
  toggleSystem: () => void
  flip: () => void
  turn: () => void
  setStage: (stage: Prefs['stage']) => void
  setLacking: (tool: string, lacks: boolean) => void
  setSingleKeys: (on: boolean) => void
}

/** What a person likes, kept on this machine; nothing of a build is in here. */
export const usePrefs = create<Prefs>()(
  persist(
    (set) => ({
      theme: 'light',
      system: 'mm',
      view: 'front',
      stage: 'normal',
      lacking: [],
      singleKeys: true,
      toggleTheme: () => set((p) => ({ theme: p.theme === 'light' ? 'dark' : 'light' })),
      toggleSystem: () => set((p) => ({ system: p.system === 'mm' ? 'in' : 'mm' })),
      flip: () => set((p) => ({ view: p.view === 'back' ? 'front' : 'back' })),
      turn: () => set((p) => ({ view: p.view === 'side' ? 'front' : 'side' })),
      setStage: (stage) => set({ stage }),
      setSingleKeys: (singleKeys) => set({ singleKeys }),
      setLacking: (tool, lacks) => set((p) => ({ lacking: [...p.lacking.filter((t) => t !== tool), ...(lacks ? [tool] : [])] })),
    }),
    { name: 'snug-prefs' },
  ),
)
