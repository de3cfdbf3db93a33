import type { LogKind, Station } from '@snug/core'
import { toast } from 'sonner'
import { create } from 'zustand'
import { api, ApiProblem } from './api'
import { dropPicture, keepPicture, keptPicture } from './keptPictures'
import { newId } from './newId'

/** What a person writes down. */
export interface Words {
  kind: LogKind
  text: string
  station?: Station
  thing?: string
  photo?: string
}

/** An entry the server has not got yet. */
export interface Waiting extends Words {
  id: string
  at: string
  build: string
  /** A picture goes with it, kept in the browser under the entry's id. */
  pictured?: true
  /** Why the server does not take that picture. */
  refused?: string
}

/**
 * Entries written while the server is away, each under a key of its own in the browser: any window may send them, and one sent twice is
 * one, by its id.
 */
const PREFIX = 'snug-log/'
/** Tried again after this long, ms, if nothing is heard of the server sooner. [ours] */
const AGAIN = 10_000

export const useWaiting = create<{ waiting: readonly Waiting[] }>(() => ({ waiting: kept() }))

function kept(): Waiting[] {
  try {
    return Object.keys(localStorage)
      .filter((k) => k.startsWith(PREFIX))
      .flatMap((k) => read(localStorage.getItem(k)))
      .sort((a, b) => a.at.localeCompare(b.at))
  } catch {
    // A browser that keeps nothing.
    return []
  }
}

function read(text: string | null): Waiting[] {
  try {
    const entry = JSON.parse(text ?? '') as Partial<Waiting> | null
    return entry?.id && entry.at && entry.build && entry.text ? [entry as Waiting] : []
  } catch {
    return []
  }
}

/** Keeps an entry, or what it has become, in its place. */
function put(entry: Waiting): void {
  useWaiting.setState(({ waiting }) => ({
    waiting: waiting.some((w) => w.id === entry.id) ? waiting.map((w) => (w.id === entry.id ? entry : w)) : [...waiting, entry],
  }))
  try {
    localStorage.setItem(PREFIX + entry.id, JSON.stringify(entry))
  } catch {
    // It stays in this window, and is seen to wait.
  }
}

function drop(id: string): void {
  useWaiting.setState(({ waiting }) => ({ waiting: waiting.filter((w) => w.id !== id) }))
  try {
    localStorage.removeItem(PREFIX + id)
  } catch {
    // Nothing was kept.
  }
  void dropPicture(id)
}

/** What the server has against a picture; its words may still go. */
class PictureRefused extends ApiProblem {}

const UNREADABLE = 'This browser does not give it back.'

/** The picture first, under the entry's id: sent twice, it is one. */
async function post({ build, pictured, refused: _, ...entry }: Waiting): Promise<void> {
  const picture = pictured && (await keptPicture(entry.id).catch(() => Promise.reject(new PictureRefused(422, UNREADABLE))))
  if (!picture) return void (await api.addLog(build, entry))
  const { id } = await api.addPhoto(build, picture, entry.id).catch((e: unknown) => {
    throw later(e) ? e : new PictureRefused((e as ApiProblem).status, (e as ApiProblem).message)
  })
  await api.addLog(build, { ...entry, photo: id })
}

/** The server is away, full, busy, or wants to know again who this is: what is written is as good later. */
const later = (e: unknown): boolean =>
  !(e instanceof ApiProblem) || e.status === 0 || e.status >= 500 || e.status === 401 || e.status === 429

let timer: ReturnType<typeof setTimeout> | undefined
const soon = () => {
  if (timer) return
  timer = setTimeout(() => {
    timer = undefined
    void sendWaiting()
  }, AGAIN)
}

/**
 * Writes an entry down.
 * @returns whether the server has it, or it waits here
 * @throws ApiProblem what the server has against it; it is not kept then
 */
export async function writeDown(build: string, words: Words, picture?: File): Promise<'written' | 'waits'> {
  const entry: Waiting = { ...words, build, id: newId(), at: new Date().toISOString(), ...(picture ? { pictured: true } : {}) }
  // It lies there before anything speaks of it.
  if (picture) await keepPicture(entry.id, picture)
  put(entry)
  try {
    await post(entry)
  } catch (e) {
    if (later(e)) {
      soon()
      return 'waits'
    }
    drop(entry.id)
    throw e
  }
  drop(entry.id)
  return 'written'
}

/** An entry whose picture was not taken: it waits until somebody says what becomes of it. */
function refused(entry: Waiting, why: string): void {
  put({ ...entry, refused: why })
  toast.error(`The picture of “${entry.text}” was not taken: ${why} Both wait in the log of its build.`, { duration: Infinity })
}

/** The words of an entry go without their picture. */
export async function sendWordsAlone(id: string): Promise<string[]> {
  const entry = useWaiting.getState().waiting.find((w) => w.id === id)
  if (!entry) return []
  const { pictured: _, refused: __, ...words } = entry
  put(words)
  await dropPicture(id)
  return sendWaiting()
}

let sending: Promise<void> = Promise.resolve()
/** Sends what waits, oldest first, until one is not taken. @returns once it is done; builds whose log has grown */
export function sendWaiting(): Promise<string[]> {
  const grown = new Set<string>()
  const run = async () => {
    const here = new Map([...kept(), ...useWaiting.getState().waiting].map((w) => [w.id, w]))
    for (const entry of here.values()) {
      if (entry.refused) continue
      try {
        await post(entry)
        grown.add(entry.build)
      } catch (e) {
        if (later(e)) return soon()
        if (e instanceof PictureRefused) {
          refused(entry, e.message)
          continue
        }
        toast.error(`Not taken into the log: “${entry.text}”. ${(e as Error).message}`, { duration: Infinity })
      }
      drop(entry.id)
    }
  }
  // Whatever became of the round before.
  sending = sending.then(run, run)
  return sending.then(() => [...grown])
}
