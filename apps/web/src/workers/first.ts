let first: Worker | undefined

/**
 * The worker every verdict comes from. It is started before the page itself is read, since reading its code takes as long; nothing is
 * imported here that would have to be read first.
 */
export const firstWorker = (): Worker => (first ??= new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }))
