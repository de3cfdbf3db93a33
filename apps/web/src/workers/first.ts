let first: Worker | undefined

/** What a worker may begin with before it is asked: the server's answer for the build that is being opened, and the day where the person is. */
export interface Beginning {
  opened: string
  today: string
}

/** What it hands over before it is asked: the joints, and of which answer of the server they are. */
export interface Begun {
  begun: unknown
  id: string
  revision: number
}

/**
 * The worker every verdict comes from. It is started before the page itself is read, since reading its code takes as long; nothing is
 * imported here that would have to be read first.
 */
export const firstWorker = (): Worker => (first ??= started())

function started(): Worker {
  const worker = new Worker(new URL('./compute.worker.ts', import.meta.url), { type: 'module' })
  worker.addEventListener('message', ({ data }: MessageEvent<Partial<Begun>>) => {
    if (data.begun === undefined) return
    if (hears) hears(data as Begun)
    else unheard.push(data as Begun)
  })
  return worker
}

/** Hears what it hands over unasked, from before anybody listened too. */
export function hearBegun(listener: (begun: Begun) => void): void {
  hears = listener
  for (const begun of unheard.splice(0)) listener(begun)
}
let hears: ((begun: Begun) => void) | undefined
const unheard: Begun[] = []

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
