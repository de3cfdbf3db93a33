let first: Worker | undefined

/** What a worker may begin with before it is asked: the server's answer for the build that is being opened, and the day where the person is. */
export interface Beginning {
  opened: string
  today: string
}

/**
 * The worker every verdict comes from. It is started before the page itself is read, since reading its code takes as long; nothing is
 * imported here that would have to be read first.
 */
export const firstWorker = (): Worker => (first ??= new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' }))

/** Starts it with a build as soon as that is there: it is fetched once, for the page and for the worker. */
export function beginWith(answer: Promise<Response>, today: string): void {
  const worker = firstWorker()
  const begin = async () => {
    const there = await answer
    // The page reads the other of the two.
    if (there.ok) worker.postMessage({ opened: await there.clone().text(), today } satisfies Beginning)
  }
  // Whatever goes wrong here is met again, and said, when the page asks.
  begin().catch(() => undefined)
}
