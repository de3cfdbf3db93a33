import {
  chooseSets,
  evaluate,
  measureNext,
  switchStates,
  whyNot,
  type Build,
  type ChooseRequest,
  type Harness,
  type Load,
  type Setting,
  type Slot,
  type StockItem,
  type Tool,
} from '@snug/core'
import { readPartsCsv } from '@snug/formats'
import { expose } from 'comlink'
import { positionCurve, type PositionCurve } from './positionCurve'

const pause = () => new Promise<void>((done) => setTimeout(done))
let latest = 0

const api = {
  evaluate: (build: Build, today: string) => evaluate(build, today),
  measureNext: (build: Build, tools?: Tool[]) => measureNext(build, tools),
  readCsv: (text: string) => readPartsCsv(text),
  choose: (request: ChooseRequest) => chooseSets(request),
  whyNot: (request: ChooseRequest, slot: Slot, item: StockItem) => whyNot(request, slot, item),

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
