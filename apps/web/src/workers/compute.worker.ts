import {
  chooseSets,
  circuitPicture,
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
import { expose } from 'comlink'
import { positionCurve, positionsOf, type PositionCurve } from './positionCurve'

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
  async responses(
    harness: Harness,
    load: Load,
    knobs: { volume: number; tone: number },
    ready: (curve: PositionCurve) => void,
  ): Promise<void> {
    const mine = ++latest
    for (let position = 1; position <= positionsOf(harness); position++) {
      if (mine !== latest) return
      ready(positionCurve(harness, load, knobs, position))
      await pause()
    }
  },

  /** All positions with one knob swept from 0 to 10. */
  knobSweep: (harness: Harness, load: Load, knob: 'volume' | 'tone', held: { volume: number; tone: number }) =>
    circuitPicture(harness, load, knob, held),
}

export type ComputeApi = typeof api
expose(api)
