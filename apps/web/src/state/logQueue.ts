import type { LogKind, Station } from '@snug/core'
import { toast } from 'sonner'
import { create } from 'zustand'
import { api, ApiProblem } from './api'
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

function keep(entry: Waiting): void {
  useWaiting.setState(({ waiting }) => ({ waiting: [...waiting, entry] }))
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
}

const post = ({ build, ...entry }: Waiting) => api.addLog(build, entry)

/** The server is away, full, busy, or wants to know again who this is: what is written is as good later. */
const later = (e: unknown): boolean =>
  !(e instanceof ApiProblem) || e.status === 0 || e.status >= 500 || e.status === 401 || e.status === 429

let timer: ReturnType<typeof setTimeout> | undefined
const soon = () => {
  timer ??= setTimeout(() => {
    timer = undefined
    void sendWaiting()
  }, AGAIN)
}

/**
 * Writes an entry down.
 * @returns whether the server has it, or it waits here
 * @throws ApiProblem what the server has against it; it is not kept then
 */
export async function writeDown(build: string, words: Words): Promise<'written' | 'waits'> {
  const entry: Waiting = { ...words, build, id: newId(), at: new Date().toISOString() }
  keep(entry)
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

let sending: Promise<void> = Promise.resolve()
/** Sends what waits, oldest first, until one is not taken. @returns once it is done; builds whose log has grown */
export function sendWaiting(): Promise<string[]> {
  const grown = new Set<string>()
  const run = async () => {
    const here = new Map([...kept(), ...useWaiting.getState().waiting].map((w) => [w.id, w]))
    for (const entry of here.values()) {
      try {
        await post(entry)
        grown.add(entry.build)
      } catch (e) {
        if (later(e)) return soon()
        toast.error(`Not taken into the log: “${entry.text}”. ${(e as Error).message}`, { duration: Infinity })
      }
      drop(entry.id)
    }
  }
  sending = sending.then(run)
  return sending.then(() => [...grown])
}
