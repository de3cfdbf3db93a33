import {
  applyChange,
  sameJson,
  whatMoved,
  withFilmOn,
  withUndone,
  type Build,
  type Change,
  type Evaluation,
  type Json,
  type MeasureBundle,
  type MeasureRank,
} from '@snug/core'
import { toast } from 'sonner'
import { create } from 'zustand'
import { evaluateAtBench, hearFit, rankWorker, type EarlyFit } from '../workers/compute'
import { useBench } from './benchStore'
import { api, type BuildState, type News } from './api'
import { Outbox, type Conflict, type Sending } from './outbox'
import { today } from './today'
import { adoptUnsent, buildsWithUnsent } from './unsentStore'

interface BuildStore {
  id?: string
  /** The build as shown: what the server has, changes on their way, and no trial. */
  build?: Build
  revision: number
  canUndo: boolean
  canRedo: boolean
  sending: Sending
  /** How many changes the server does not have yet. */
  unsent: number
  problem?: string
  /** As its own bench shows it, where it is only shown: what is tried here is not kept. */
  shown?: Build
  evaluation?: Evaluation
  /** Its joints alone, while the rest is still being worked out. */
  early?: Evaluation['fit']
  /** What is worth measuring, best first; follows the evaluation a moment later. */
  /** The builds the evaluation and the round were made of: while either is another, what is shown is on its way to change. */
  evaluated?: Build
  weighed?: Build
  /** The measuring round, and its sizes as one list. */
  round?: MeasureBundle[]
  ranked?: MeasureRank[]
  /** A size changed on trial only: computed beside the real build, kept or dropped by the person. */
  trial?: { change: Change; build: Build; evaluation?: Evaluation }
  /** What the last change moved. */
  moved: { label: string; what: string[] }
  conflict: Conflict
  open: (id: string) => Promise<void>
  close: () => void
  /** Makes a change at once here and sends it; `make` gets the build as it stands. */
  change: (make: (build: Build) => Change) => void
  undo: () => Promise<void>
  redo: () => Promise<void>
  /** A build that is only shown, as its own bench has it: what was tried is dropped. */
  asShown: () => void
  tryOut: (make: (build: Build) => Change) => void
  keepTrial: () => void
  dropTrial: () => void
  settle: (take: 'theirs' | 'mine') => void
  /** The build as it was before a change, as a change like any other. */
  goBack: (to: number) => Promise<void>
  bringBack: () => Promise<void>
  /** Reckons the open build once more: what it is built with has changed, not the build. */
  again: () => void
  /** Sends what was left unsent of a build that is not open. */
  revive: (id: string) => Promise<void>
}

type OfBuild = Extract<News, { build: string }>

/** Builds with changes on their way, open or not. */
const outboxes = new Map<string, Outbox>()
/** News of the build that is being fetched: the answer under way may be older. */
const inAdvance: OfBuild[] = []
let evaluating = 0
let trying: Promise<void> | undefined

export const useBuild = create<BuildStore>()((set, get) => {
  /** The outbox of a build; made from what the server said, or from what is shown. */
  function outboxOf(state: BuildState): Outbox {
    const there = outboxes.get(state.id)
    if (there) return there
    const box = new Outbox(state, { tell: () => follow(box), say: (sentence) => void toast(sentence, { duration: 12_000 }) })
    outboxes.set(state.id, box)
    return box
  }

  const openBox = (): Outbox | undefined => {
    const { id, build, revision, canUndo, canRedo } = get()
    return id !== undefined && build && !get().shown ? outboxOf({ id, build, revision, canUndo, canRedo, updatedAt: '' }) : undefined
  }

  /** Shows what an outbox holds, when its build is the one open; a build that is not waits for nothing and is forgotten. */
  function follow(box: Outbox) {
    const { id, build } = get()
    if (id !== box.id) {
      if (!box.unsent && box.sending.is === 'quiet') outboxes.delete(box.id)
      return
    }
    const { shown } = box
    set({
      revision: box.revision,
      canUndo: box.canUndo,
      canRedo: box.canRedo,
      sending: box.sending,
      unsent: box.unsent,
      conflict: box.conflict,
      ...(sameJson(shown as unknown as Json, build as unknown as Json) ? {} : { build: shown, early: undefined }),
    })
    if (get().build !== build && build) void reckon('Brought up to date')
  }

  /** Once what was reckoned is on the screen; nobody waits for what is only a moment later. */
  const painted = () =>
    typeof requestIdleCallback === 'undefined' ? Promise.resolve() : new Promise((done) => requestIdleCallback(done, { timeout: 500 }))

  let begun: EarlyFit | undefined
  /** Changes made while only the joints were known: with another part in the place of one, all the rest is needed too. */
  const waiting: (() => void)[] = []
  hearFit((early) => {
    begun = early
    // What came while the page was still being read is told of at once, before there is a store.
    queueMicrotask(showEarly)
  })
  /** Shows the joints that came first, where they are of just the build that is open. */
  function showEarly() {
    const { id, build, revision, unsent, evaluation } = get()
    if (build && !evaluation && !unsent && begun?.id === id && begun?.revision === revision) set({ early: begun!.fit })
  }

  /** Computes all stations anew; an older answer that arrives late is dropped. */
  async function reckon(label?: string) {
    const { build, evaluation: before } = get()
    if (!build) return
    const mine = ++evaluating
    const evaluation = await evaluateAtBench(build, today(), useBench.getState().bench)
    if (mine !== evaluating) return
    set({
      evaluation,
      evaluated: build,
      early: undefined,
      ...(label && before ? { moved: { label, what: whatMoved(before, evaluation) } } : {}),
    })
    for (const go of waiting.splice(0)) go()
    await painted()
    if (mine !== evaluating) return
    const round = await rankWorker().measuringRound(build, build.tools, useBench.getState().bench)
    if (mine === evaluating && round) set({ round, weighed: build, ranked: round.flatMap((b) => b.readings) })
  }

  /** A drag tries faster than the worker reckons: one at a time, and always the newest. */
  async function reckonTrial() {
    for (let done: Change | undefined; ; ) {
      const trial = get().trial
      if (!trial || trial.change === done) return
      const evaluation = await evaluateAtBench(trial.build, today(), useBench.getState().bench)
      done = trial.change
      const now = get().trial
      if (now) set({ trial: { ...now, evaluation } })
    }
  }

  async function step(kind: 'undo' | 'redo') {
    const box = openBox()
    if (!box) return
    const { build } = get()
    await box[kind]()
    if (get().id === box.id && get().build !== build) await reckon(kind === 'undo' ? 'Taken back' : 'Made again')
  }

  return {
    again: () => void reckon('Your tools'),
    revision: 0,
    canUndo: false,
    canRedo: false,
    sending: { is: 'quiet' },
    unsent: 0,
    conflict: [],
    moved: { label: '', what: [] },
    open: async (id) => {
      if (get().id === id && get().build) return
      get().close()
      inAdvance.length = 0
      set({ id })
      try {
        // What is still on its way from an earlier visit is part of the build.
        const there = outboxes.get(id)
        const state = there ? undefined : await api.build(id)
        if (get().id !== id) return
        if (state?.shown) {
          set({ build: state.build, shown: state.build, revision: state.revision, canUndo: false, canRedo: false })
          showEarly()
          return await reckon()
        }
        const box = there ?? outboxOf(state!)
        set({ build: box.shown })
        follow(box)
        adoptUnsent(id, (changes) => box.adopt(changes))
        box.send()
        showEarly()
        await reckon()
        for (const news of inAdvance.splice(0)) hearNews(news)
      } catch (error) {
        if (get().id === id) set({ problem: (error as Error).message })
      }
    },
    close: () => {
      const { id } = get()
      evaluating++
      begun = undefined
      waiting.length = 0
      set({
        id: undefined,
        build: undefined,
        shown: undefined,
        evaluation: undefined,
        early: undefined,
        ranked: undefined,
        trial: undefined,
        conflict: [],
        sending: { is: 'quiet' },
        unsent: 0,
        problem: undefined,
        moved: { label: '', what: [] },
      })
      const box = id === undefined ? undefined : outboxes.get(id)
      if (box) follow(box)
    },
    revive: async (id) => {
      const state = await api.build(id).catch(() => undefined)
      if (!state) return
      const box = outboxOf(state)
      adoptUnsent(id, (changes) => box.adopt(changes))
    },
    change: (make) => {
      const { build, evaluation, early } = get()
      if (!build) return
      if (!evaluation && early) return void waiting.push(() => get().change(make))
      const made = withFilmOn(build, make(build))
      // With another part in the place of one, what was done to the old one is open again.
      const change = evaluation ? withUndone(build, made, evaluation) : made
      if (!change.edits.length) return
      const box = openBox()
      set({ build: applyChange(build, change), trial: undefined })
      box?.push(change)
      void reckon(change.label)
    },
    asShown: () => {
      const { shown } = get()
      if (!shown) return
      set({ build: shown, trial: undefined })
      void reckon('As it is')
    },
    undo: () => step('undo'),
    redo: () => step('redo'),
    tryOut: (make) => {
      const { build } = get()
      if (!build) return
      const change = withFilmOn(build, make(build))
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
      openBox()?.settle(take)
      void reckon(take === 'mine' ? 'Yours put on top' : 'Theirs taken')
    },
    goBack: async (to) => {
      const { id, revision } = get()
      if (id === undefined) return
      try {
        const state = await api.back(id, revision, to)
        openBox()?.heard(state.revision)
      } catch (error) {
        toast.error((error as Error).message)
      }
    },
    bringBack: async () => {
      const { id } = get()
      if (id === undefined) return
      try {
        await api.restore(id)
        openBox()?.heardAway(false)
      } catch (error) {
        toast.error((error as Error).message)
      }
    },
  }
})

/** Sends what earlier windows left unsent, of every build; called once, when the application starts. */
export function sendWhatWasLeft(): void {
  for (const id of buildsWithUnsent()) if (useBuild.getState().id !== id) void useBuild.getState().revive(id)
}

/** Passes on what other windows did. */
export function hearNews(news: News): void {
  if ('stock' in news) return
  if (news.log) return
  const { build, revision, away, handed } = news
  const box = outboxes.get(build)
  if (!box) return keptEarly(news)
  if (revision !== undefined) box.heard(revision)
  if (away !== undefined) box.heardAway(away)
  if (handed !== undefined) box.heardHanded(handed)
}

function keptEarly(news: OfBuild): void {
  const { id, build } = useBuild.getState()
  if (news.build === id && !build) inAdvance.push(news)
}

/** This window was away and may have missed news: the open build is looked at again, and what waits is sent. */
export function lookAgain(): void {
  for (const box of outboxes.values()) {
    box.heard(Number.MAX_SAFE_INTEGER)
    if (box.unsent) box.send()
  }
  const { id } = useBuild.getState()
  if (id !== undefined) keptEarly({ build: id, revision: Number.MAX_SAFE_INTEGER })
}

/** The open build; only for views shown while there is one. */
export const useOpenBuild = (): Build => useBuild((s) => s.build!)
