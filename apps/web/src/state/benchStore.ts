import { USUAL_BENCH, type Bench } from '@snug/core'
import { toast } from 'sonner'
import { create } from 'zustand'
import { api } from './api'

interface BenchStore {
  bench: Bench
  load: () => Promise<void>
  /** Shown at once and sent; taken back with the server's sentence where it will not have it. */
  save: (bench: Bench) => Promise<void>
}

/** What the person has to drill and rout with, whichever build is open. */
export const useBench = create<BenchStore>()((set, get) => ({
  bench: USUAL_BENCH,
  load: async () => {
    const bench = await api.bench().catch(() => undefined)
    if (bench) set({ bench })
  },
  save: async (bench) => {
    const before = get().bench
    set({ bench })
    try {
      set({ bench: await api.putBench(bench) })
    } catch (e) {
      set({ bench: before })
      toast(e instanceof Error ? e.message : 'The tools were not kept.')
    }
  },
}))
