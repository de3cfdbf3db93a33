import {
  alternatives,
  chooseSets,
  colourOf,
  frequencies,
  strum,
  toleranceBand,
  evaluate,
  evaluator,
  findSheet,
  fittedCorners,
  bestRelief,
  forecast,
  tonight,
  sharedBench,
  splitDue,
  buzzWork,
  levelOf,
  hunt,
  pitchOf,
  sampleStrike,
  training,
  triedFinishes,
  measureNext,
  measuringRound,
  layHead,
  patchOf,
  switchStates,
  whyNot,
  type Bench,
  type Step,
  type Budget,
  type Sampled,
  type Spots,
  type Build,
  type ChooseRequest,
  type Evidence,
  type GreyPicture,
  type Harness,
  type HeadTask,
  type Load,
  type Point,
  type Setting,
  type Slot,
  type StockItem,
  type Tool,
  type TriedFinishes,
} from '@snug/core'
import { readPartsCsv } from '@snug/formats/partsCsv'
import type { ComputeApi } from '../workers/compute.worker'
import { positionCurve, type PositionCurve } from '../workers/positionCurve'
import { once } from './once'

/** What a worker hands over comes later, whatever it is. */
type Later = { [K in keyof ComputeApi]: (...args: Parameters<ComputeApi[K]>) => Promise<Awaited<ReturnType<ComputeApi[K]>>> }

const evaluateNext = evaluator()
export const evaluatedOnce = once((build: Build, today: string, bench?: Bench) => evaluateNext(build, today, bench))
export const roundOnce = once(measuringRound)
export const rankedOnce = once(measureNext)

/** What the workers compute, in the test's own thread; of the very type of theirs. */
const local: Later = {
  evaluate: (build: Build, today: string, bench: Bench) => Promise.resolve(patchOf(undefined, evaluatedOnce(build, today, bench))),
  measuringRound: (build: Build, tools?: Tool[]) => Promise.resolve(roundOnce(build, tools)),
  layHead: (task: HeadTask) => Promise.resolve(layHead(task)),
  band: (build: Build, harness: Harness, setting: Setting, load: Load) =>
    Promise.resolve(toleranceBand(build, harness, setting, load, frequencies(200), 10)),
  sound: (build: Build, harness: Harness, setting: Setting, load: Load) =>
    Promise.resolve({ wave: strum(build, harness, setting, load, 0.1), words: colourOf(build, harness, setting, load).words }),
  hunt: (build: Build, evidence: Evidence[]) => Promise.resolve(hunt(build, evidence)),
  training: (build: Build, seed: number, asked: string[], named?: string) => Promise.resolve(training(build, seed, asked, named)),
  fitCorners: (picture: GreyPicture, picked: Point[]) => Promise.resolve(fittedCorners(picture, picked)),
  findSheet: (picture: GreyPicture) => Promise.resolve(findSheet(picture)),
  readCsv: (text: string) => Promise.resolve(readPartsCsv(text)),
  choose: (request: ChooseRequest) => Promise.resolve(chooseSets(request)),
  alternatives: (...asked: Parameters<typeof alternatives>) => Promise.resolve(alternatives(...asked)),
  whyNot: (request: ChooseRequest, slot: Slot, item: StockItem) => Promise.resolve(whyNot(request, slot, item)),
  responses: (harness: Harness, load: Load, knobs: Setting['knobs'], ready: (curve: PositionCurve) => void) => {
    for (const state of switchStates(harness)) ready(positionCurve(harness, load, knobs, state))
    return Promise.resolve()
  },
  sampleStrike: (budget: Budget, spots: Spots, _: number, seen: (so: Sampled) => void) => {
    for (const so of sampleStrike(budget, spots, 1000)) seen(so)
    return Promise.resolve()
  },
  stopSampling: () => Promise.resolve(),
  pitchOf: (samples: Float64Array, rate: number) => Promise.resolve(pitchOf(samples, rate)),
  bestRelief: (build: Build) => Promise.resolve(bestRelief(build)),
  split: (build: Build, today: string, bench: Bench) => Promise.resolve(splitDue(build, today, bench)),
  forecast: (build: Build, steps: Step[], today: string) => Promise.resolve(forecast(build, steps, today, 40)),
  tonight: (build: Build, steps: Step[], today: string, minutes: number, from: number) =>
    Promise.resolve(tonight(build, steps, today, minutes, from)),
  sharedBench: (builds: { id: string; build: Build }[], today: string) =>
    Promise.resolve(
      sharedBench(
        builds.map((b) => ({ ...b, steps: evaluate(b.build, today).plan.steps })),
        today,
      ),
    ),
  finishes: (build: Build, today: string, bench: Bench, seen: (so: TriedFinishes) => void) => {
    for (const so of triedFinishes(build, today, bench)) seen(so)
    return Promise.resolve()
  },
  buzzWork: (build: Build) => Promise.resolve(buzzWork(build)),
  levelOf: (samples: Float64Array, rate: number) => Promise.resolve(levelOf(samples, rate)),
}
/** Nothing comes before it is asked for. */
export const hearFit = () => undefined
export const evaluateAtBench = (build: Build, today: string, bench: Bench) => Promise.resolve(evaluatedOnce(build, today, bench))
export const circuitWorker = () => local
export const rankWorker = () => local
export const shopWorker = () => local
export const stopShopWorker = () => undefined
