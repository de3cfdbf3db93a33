import {
  chooseSets,
  evaluate,
  measureNext,
  whyNot,
  type Build,
  type ChooseRequest,
  type Harness,
  type Load,
  type Slot,
  type StockItem,
  type Tool,
} from '@snug/core'
import { readPartsCsv } from '@snug/formats'
import { positionCurve, positionsOf, type PositionCurve } from '../workers/positionCurve'

/** What the workers compute, in the test's own thread. */
const local = {
  evaluate: (build: Build, today: string) => Promise.resolve(evaluate(build, today)),
  measureNext: (build: Build, tools?: Tool[]) => Promise.resolve(measureNext(build, tools)),
  readCsv: (text: string) => Promise.resolve(readPartsCsv(text)),
  choose: (request: ChooseRequest) => Promise.resolve(chooseSets(request)),
  whyNot: (request: ChooseRequest, slot: Slot, item: StockItem) => Promise.resolve(whyNot(request, slot, item)),
  responses: (harness: Harness, load: Load, knobs: { volume: number; tone: number }, ready: (curve: PositionCurve) => void) => {
    for (let p = 1; p <= positionsOf(harness); p++) ready(positionCurve(harness, load, knobs, p))
    return Promise.resolve()
  },
  knobSweep: () => Promise.resolve([]),
}
export const benchWorker = () => local
export const circuitWorker = () => local
export const rankWorker = () => local
export const shopWorker = () => local
export const stopShopWorker = () => undefined
