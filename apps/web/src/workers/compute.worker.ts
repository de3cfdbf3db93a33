import {
  chooseSets,
  circuitPicture,
  evaluate,
  frequencies,
  resonanceOn,
  compile,
  sweep,
  measureNext,
  toNetlist,
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

/** One position's response at the knobs as they stand. */
export interface PositionCurve {
  position: number
  gains: Float64Array
  resonance: { hertz: number; decibel: number } | undefined
}

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
    const hertz = frequencies(200)
    const table = harness.components.find((c) => c.is === 'switch')!.table
    for (let position = 1; position <= table.positions.length; position++) {
      if (mine !== latest) return
      const solver = compile(toNetlist(harness, { position, ...knobs }, load))
      const gains = sweep(solver, hertz)
      ready({ position, gains, resonance: resonanceOn(solver, hertz, gains) })
      await pause()
    }
  },

  /** All positions with one knob swept from 0 to 10. */
  knobSweep: (harness: Harness, load: Load, knob: 'volume' | 'tone', held: { volume: number; tone: number }) =>
    circuitPicture(harness, load, knob, held),
}

export type ComputeApi = typeof api
expose(api)
