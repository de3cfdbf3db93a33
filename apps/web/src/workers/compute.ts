import { wrap, type Remote } from 'comlink'
import type { ComputeApi } from './compute.worker'

const start = () => wrap<ComputeApi>(new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }))

let bench: Remote<ComputeApi> | undefined
let circuit: Remote<ComputeApi> | undefined
let rank: Remote<ComputeApi> | undefined

/** Worker for joints, holes, coats, setup and plan: always free for the next edit. */
export const benchWorker = () => (bench ??= start())
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
