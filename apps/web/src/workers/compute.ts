import { wrap, type Remote } from 'comlink'
import type { ComputeApi } from './compute.worker'

const start = () => wrap<ComputeApi>(new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }))

let bench: Remote<ComputeApi> | undefined
let circuit: Remote<ComputeApi> | undefined

/** Worker for joints, holes, coats, setup and plan: always free for the next edit. */
export const benchWorker = () => (bench ??= start())
/** Worker for circuit sweeps, apart so that a long sweep never holds up a verdict. */
export const circuitWorker = () => (circuit ??= start())
