let first: Worker | undefined

/** What a worker may begin with before it is asked: the build that is being opened, and the day where the person is. */
export interface Beginning {
  build: string
  today: string
}

/**
 * The worker every verdict comes from. It is started before the page itself is read, since reading its code takes as long; nothing is
 * imported here that would have to be read first. It is told by its name what to begin with.
 */
export const firstWorker = (begin?: Beginning): Worker =>
  (first ??= new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module', name: begin ? JSON.stringify(begin) : '' }))
