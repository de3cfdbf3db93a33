import { patched, type Bench, type Build, type Evaluation } from '@snug/core'
import { wrap, type Remote } from 'comlink'
import type { ComputeApi } from './compute.worker'
import { firstWorker, hearBegun } from './first'

const start = () => wrap<ComputeApi>(new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }))

let bench: Remote<ComputeApi> | undefined
let circuit: Remote<ComputeApi> | undefined
let rank: Remote<ComputeApi> | undefined

let given: Partial<Evaluation> | undefined
/**
 * Every station's result, from a worker that is always free for the next edit. It sends only what changed since its last answer, and
 * answers in the order it was asked; what did not change is the same object as before.
 */
export async function evaluateAtBench(build: Build, today: string, tools: Bench): Promise<Evaluation> {
  bench ??= wrap<ComputeApi>(firstWorker())
  const patch = await bench.evaluate(build, today, tools)
  const evaluation = patched(given, patch)
  given = evaluation
  return evaluation
}

/** The joints of the build that is being opened, known before all the rest of it, and which version of it they are of. */
export interface EarlyFit {
  id: string
  revision: number
  fit: Evaluation['fit']
}
/** Hears of them. What the worker sends afterwards only names them. */
export const hearFit = (listener: (early: EarlyFit) => void): void =>
  hearBegun(({ begun, id, revision }) => {
    const fit = begun as Evaluation['fit']
    given = { fit }
    listener({ id, revision, fit })
  })
/** Worker for circuit sweeps, apart so that a long sweep never holds up a verdict. */
export const circuitWorker = () => (circuit ??= start())
/** Worker for what to measure next, which follows every edit a moment later. */
export const rankWorker = () => (rank ??= start())

let shop: { worker: Worker; api: Remote<ComputeApi> } | undefined
/** Worker for choosing sets, which may take a while and can be stopped. */
export const shopWorker = () => {
  if (!shop) {
    const worker = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' })
    shop = { worker, api: wrap<ComputeApi>(worker) }
  }
  return shop.api
}
/** Ends whatever the shop worker is at; the next call starts a fresh one. */
export function stopShopWorker() {
  shop?.worker.terminate()
  shop = undefined
}
