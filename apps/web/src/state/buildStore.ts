import { applyChange, edit, jsonAt, whatMoved, type Build, type Change, type Evaluation, type MeasureRank } from '@snug/core'
import { toast } from 'sonner'
import { create } from 'zustand'
import { benchWorker, rankWorker } from '../workers/compute'
import { api, ApiProblem, type BuildState } from './api'
import { today } from './today'

/** Changes made here on a build that someone changed elsewhere meanwhile. */
export interface Conflict {
  theirs: BuildState
  mine: Change[]
}

interface BuildStore {
  id?: string
  /** The build as shown: what the server has, changes on their way, and no trial. */
  build?: Build
  revision: number
  canUndo: boolean
  canRedo: boolean
  saving: boolean
  problem?: string
  evaluation?: Evaluation
  /** What is worth measuring, best first; follows the evaluation a moment later. */
  ranked?: MeasureRank[]
  /** A size changed on trial only: computed beside the real build, kept or dropped by the person. */
  trial?: { change: Change; build: Build; evaluation?: Evaluation }
  /** What the last change moved. */
  moved: { label: string; what: string[] }
  conflict?: Conflict
  open: (id: string) => Promise<void>
  close: () => void
  /** Makes a change at once here and sends it; `make` gets the build as it stands. */
  change: (make: (build: Build) => Change) => void
  undo: () => Promise<void>
  redo: () => Promise<void>
  tryOut: (make: (build: Build) => Change) => void
  keepTrial: () => void
  dropTrial: () => void
  settle: (take: 'theirs' | 'mine') => void
}

let queue: Change[] = []
let flushing: Promise<void> | undefined
let evaluating = 0
let trying: Promise<void> | undefined

export const useBuild = create<BuildStore>()((set, get) => {
  const show = (state: BuildState) => set({ build: state.build, revision: state.revision, canUndo: state.canUndo, canRedo: state.canRedo })

  /** Computes all stations anew; an older answer that arrives late is dropped. */
  async function reckon(label?: string) {
    const { build, evaluation: before } = get()
    if (!build) return
    const mine = ++evaluating
    const evaluation = await benchWorker().evaluate(build, today())
    if (mine !== evaluating) return
    set({ evaluation, ...(label && before ? { moved: { label, what: whatMoved(before, evaluation) } } : {}) })
    const ranked = await rankWorker().measureNext(build, build.tools)
    if (mine === evaluating) set({ ranked })
  }

  /** A drag tries faster than the worker reckons: one at a time, and always the newest. */
  async function reckonTrial() {
    for (let done: Change | undefined; ;) {
      const trial = get().trial
      if (!trial || trial.change === done) return
      const evaluation = await benchWorker().evaluate(trial.build, today())
      done = trial.change
      const now = get().trial
      if (now) set({ trial: { ...now, evaluation } })
    }
  }

  async function flush() {
    set({ saving: true })
    try {
      while (queue.length) {
        const { id, revision } = get()
        const state = await api.change(id!, revision, queue[0]!)
        queue.shift()
        // What is still on its way stays applied on top of what the server confirmed.
        set({ revision: state.revision, canUndo: state.canUndo, canRedo: state.canRedo, ...(queue.length ? {} : { build: state.build }) })
      }
    } catch (error) {
      await failed(error)
    } finally {
      set({ saving: false })
      flushing = undefined
    }
  }

  async function failed(error: unknown) {
    const mine = queue
    queue = []
    if (error instanceof ApiProblem && error.status === 409 && error.body.current) {
      set({ conflict: { theirs: error.body.current, mine } })
      return
    }
    toast.error(error instanceof Error ? error.message : String(error))
    if (error instanceof ApiProblem && error.status === 0) {
      // The server is away: keep what was done here and try again with the next change.
      queue = mine
      return
    }
    show(await api.build(get().id!))
    await reckon()
  }

  async function step(kind: 'undo' | 'redo') {
    await flushing
    const { id, revision } = get()
    if (!id) return
    try {
      show(await api[kind](id, revision))
      await reckon(kind === 'undo' ? 'Taken back' : 'Made again')
    } catch (error) {
      await failed(error)
    }
  }

  return {
    revision: 0,
    canUndo: false,
    canRedo: false,
    saving: false,
    moved: { label: '', what: [] },
    open: async (id) => {
      if (get().id === id && get().build) return
      get().close()
      set({ id })
      try {
        const state = await api.build(id)
        if (get().id !== id) return
        show(state)
        await reckon()
      } catch (error) {
        set({ problem: (error as Error).message })
      }
    },
    close: () => {
      queue = []
      evaluating++
      set({
        id: undefined,
        build: undefined,
        evaluation: undefined,
        ranked: undefined,
        trial: undefined,
        conflict: undefined,
        problem: undefined,
        moved: { label: '', what: [] },
      })
    },
    change: (make) => {
      const { build } = get()
      if (!build) return
      const change = make(build)
      if (!change.edits.length) return
      set({ build: applyChange(build, change), trial: undefined })
      queue.push(change)
      flushing ??= flush()
      void reckon(change.label)
    },
    undo: () => step('undo'),
    redo: () => step('redo'),
    tryOut: (make) => {
      const { build } = get()
      if (!build) return
      const change = make(build)
      const before = get().trial?.evaluation
      // What was reckoned for the last try stays in sight until the new one is there.
      set({ trial: { change, build: applyChange(build, change), ...(before ? { evaluation: before } : {}) } })
      trying ??= reckonTrial().finally(() => (trying = undefined))
    },
    keepTrial: () => {
      const { trial } = get()
      if (trial) get().change(() => trial.change)
    },
    dropTrial: () => set({ trial: undefined }),
    settle: (take) => {
      const { conflict } = get()
      if (!conflict) return
      show(conflict.theirs)
      set({ conflict: undefined })
      if (take === 'mine') for (const change of conflict.mine) get().change((build) => rebased(build, change))
      void reckon(take === 'mine' ? 'Yours put on top' : 'Theirs taken')
    },
  }
})

/** The same change on a build that has moved on: every place it touches is set, whatever stands there now. */
const rebased = (build: Build, change: Change): Change => ({
  label: change.label,
  edits: change.edits
    .filter((e) => e.path.length === 1 || jsonAt(build, e.path.slice(0, -1)) !== undefined)
    .map((e) => edit(build, e.path, e.to)),
})

/** The open build; only for views shown while there is one. */
export const useOpenBuild = (): Build => useBuild((s) => s.build!)
