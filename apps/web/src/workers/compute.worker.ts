import {
  alternatives,
  chooseSets,
  colourOf,
  frequencies,
  strum,
  toleranceBand,
  evaluate,
  evaluator,
  sharedBench,
  splitDue,
  findSheet,
  holeStakes,
  bestRelief,
  forecast,
  tonight,
  buzzWork,
  levelOf,
  hunt,
  pitchOf,
  sampleStrike,
  training,
  triedFinishes,
  fittedCorners,
  bundled,
  measurer,
  layHead,
  patchOf,
  USUAL_TOOLS,
  switchStates,
  whyNot,
  type Bench,
  type Step,
  type Budget,
  type Sampled,
  type Spots,
  type Build,
  type ChooseRequest,
  type Evaluation,
  type Evidence,
  type GreyPicture,
  type Harness,
  type HeadTask,
  type Load,
  type MeasureBundle,
  type Stake,
  type Patch,
  type Point,
  type Setting,
  type Slot,
  type StockItem,
  type Tool,
  type TriedFinishes,
} from '@snug/core'
import { readPartsCsv } from '@snug/formats/partsCsv'
import { expose } from 'comlink'
import type { Beginning, Begun } from './first'
import { positionCurve, type PositionCurve } from './positionCurve'

const pause = () => new Promise<void>((done) => setTimeout(done))
/** A newer call waits no longer for one that it makes idle, ms. */
const SLICE = 12
let latest = 0
let ranking = 0
let sampling = 0
let trying = 0
const evaluateNext = evaluator()
const stakesNext = measurer()
let given: Partial<Evaluation> | undefined

const api = {
  /** What has changed since the evaluation this worker gave last. */
  evaluate(build: Build, today: string, bench: Bench): Patch {
    const evaluation = evaluateNext(build, today, bench)
    const patch = patchOf(given, evaluation)
    given = evaluation
    return patch
  },
  /** What to measure next, in bundles; nothing when a newer call came meanwhile. */
  async measuringRound(build: Build, tools: Tool[] = [...USUAL_TOOLS], own?: Bench): Promise<MeasureBundle[] | undefined> {
    const mine = ++ranking
    const found: Stake[] = []
    let since = performance.now()
    for (const stake of stakesNext(build, tools)) {
      found.push(...stake)
      // A browser lets each of many pauses last for milliseconds.
      if (performance.now() - since < SLICE) continue
      await pause()
      if (mine !== ranking) return undefined
      since = performance.now()
    }
    return bundled([...found, ...holeStakes(build, tools, own)], tools)
  },
  layHead: (task: HeadTask) => layHead(task),
  band: (build: Build, harness: Harness, setting: Setting, load: Load) => toleranceBand(build, harness, setting, load, frequencies(200)),
  sound: (build: Build, harness: Harness, setting: Setting, load: Load) => ({
    wave: strum(build, harness, setting, load),
    words: colourOf(build, harness, setting, load).words,
  }),
  hunt: (build: Build, evidence: Evidence[]) => hunt(build, evidence),
  training: (build: Build, seed: number, asked: string[], named?: string) => training(build, seed, asked, named),
  fitCorners: (picture: GreyPicture, picked: Point[]) => fittedCorners(picture, picked),
  findSheet: (picture: GreyPicture) => findSheet(picture),
  readCsv: (text: string) => readPartsCsv(text),
  choose: (request: ChooseRequest) => chooseSets(request),
  alternatives: (build: Build, joint: string, slot: Slot, items: StockItem[], today: string, id: string) =>
    alternatives(build, joint, slot, items, today, id),
  whyNot: (request: ChooseRequest, slot: Slot, item: StockItem) => whyNot(request, slot, item),

  /** Lays and sands the film many times, handing over what is known so far; a newer call makes an older one stop. */
  async sampleStrike(budget: Budget, spots: Spots, runs: number, seen: (so: Sampled) => void): Promise<void> {
    const mine = ++sampling
    for (const so of sampleStrike(budget, spots, runs)) {
      if (mine !== sampling) return
      seen(so)
      await pause()
    }
  },
  pitchOf: (samples: Float64Array, rate: number) => pitchOf(samples, rate),
  bestRelief: (build: Build) => bestRelief(build),
  split: (build: Build, today: string, bench: Bench) => splitDue(build, today, bench),
  forecast: (build: Build, steps: Step[], today: string) => forecast(build, steps, today),
  tonight: (build: Build, steps: Step[], today: string, minutes: number, from: number) => tonight(build, steps, today, minutes, from),
  sharedBench: (builds: { id: string; build: Build }[], today: string, bench: Bench) =>
    sharedBench(
      builds.map((b) => ({ ...b, steps: evaluate(b.build, today, undefined, bench).plan.steps })),
      today,
    ),
  /** Every finish tried in the whole build, handed over as they are known; a newer call makes an older one stop. */
  async finishes(build: Build, today: string, bench: Bench, seen: (so: TriedFinishes) => void): Promise<void> {
    const mine = ++trying
    for (const so of triedFinishes(build, today, bench)) {
      if (mine !== trying) return
      seen(so)
      await pause()
    }
  },
  buzzWork: (build: Build) => buzzWork(build),
  levelOf: (samples: Float64Array, rate: number) => levelOf(samples, rate),
  /** Stops it where it is. */
  stopSampling(): void {
    sampling++
  },

  /**
   * Response of every switch position, handed over one by one as they are ready. A newer call makes an older one stop.
   */
  async responses(harness: Harness, load: Load, knobs: Setting['knobs'], ready: (curve: PositionCurve) => void): Promise<void> {
    const mine = ++latest
    for (const state of switchStates(harness)) {
      if (mine !== latest) return
      ready(positionCurve(harness, load, knobs, state))
      await pause()
    }
  },
}

export type ComputeApi = typeof api
expose(api)

/**
 * A build that is being opened comes here as soon as it is there, and is worked out while the page that will ask for it is still being read:
 * what is asked then is only looked up, and worked out anew as far as the page has it otherwise. The joints are known long before the rest,
 * and hang on nothing but the build: they are handed over as soon as they are.
 */
self.addEventListener('message', ({ data }: MessageEvent<Partial<Beginning>>) => {
  if (data.opened === undefined || given) return
  const { build, ...of } = JSON.parse(data.opened) as { build: Build; id: string; revision: number }
  evaluateNext(build, data.today!, undefined, (station, result) => {
    if (station !== 'fit') return
    given = { fit: result as Evaluation['fit'] }
    self.postMessage({ begun: given.fit, id: of.id, revision: of.revision } satisfies Begun)
  })
})
