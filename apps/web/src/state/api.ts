import { takeEarly } from './early'
import { here } from './now'
import type { Bench, Build, Change, Edit, LogEntry, LogKind, NewBuild, Station, StockItem } from '@snug/core'

/** A build as the server holds it. */
export interface BuildState {
  id: string
  revision: number
  build: Build
  canUndo: boolean
  canRedo: boolean
  updatedAt: string
  /** Another bench shows it to be looked at: nothing done to it is kept. */
  shown?: true
}

/** What the shelf says of a build; the whole of it is fetched when it comes into sight. */
export interface BuildSummary extends Pick<Build, 'name' | 'handedness' | 'strings' | 'scale' | 'due'> {
  id: string
  revision: number
  parts: number
  updatedAt: string
}

/** A change as it was made once, for going back before it. */
export interface BuildEvent {
  revision: number
  at: string
  kind: 'change' | 'undo' | 'redo'
  label: string
  edits: Edit[]
}

/** A picture of the build, without its bytes. */
export interface Photo {
  id: string
  name: string
  type: string
  width: number
  height: number
  createdAt: string
  /** It belongs to an entry of the log. */
  logged: boolean
}
export const photoAddress = (build: string, id: string) => `/api/builds/${build}/photos/${id}`

/** Something another window did. */
export type News = { build: string; revision?: number; away?: boolean; log?: true; handed?: string } | { stock: true }

/** Whose bench this is, where benches sign in; and whether anybody else reaches this server at all. */
export interface Me {
  reached: boolean
  bench?: string
  others?: string[]
}

/** A link by which a build is looked at. */
export interface ShownLink {
  token: string
  createdAt: string
}
export const linkAddress = (token: string) => `${location.origin}/builds/${token}`

/** What the server said when it could not do as asked: one sentence for the person. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly body: { problems?: { path: string; why: string }[]; current?: BuildState } = {},
  ) {
    super(detail)
  }
}

/** Largest body a browser lets outlive its page, with room for the headers. */
const KEPT_ALIVE = 60_000
const sizeOf = (body: unknown) => (typeof body === 'string' ? body : JSON.stringify(body)).length

const AWAY = 'Snug Bolt’s server does not answer. Is it still running? What you typed is kept here.'

async function call<T>(method: string, path: string, body?: unknown, more: Record<string, string> = {}): Promise<T> {
  let answer: Response
  try {
    const early = method === 'GET' ? await takeEarly(`/api${path}`)?.catch(() => undefined) : undefined
    answer =
      early ??
      (await fetch(`/api${path}`, {
        method,
        ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
        headers: { 'content-type': 'application/json', ...more },
        // A write under way goes on when the page is closed; browsers allow it for small bodies.
        keepalive: method !== 'GET' && (body === undefined || sizeOf(body) < KEPT_ALIVE),
      }))
  } catch {
    throw new ApiProblem(0, AWAY)
  }
  if (answer.status === 204) return undefined as T
  return bodyOf<T>(answer)
}

/**
 * @param away what is said where the answer broke off in the middle: nobody knows what it was
 * @throws what the server says against it, or that it is away
 */
async function bodyOf<T>(answer: Response, away = AWAY): Promise<T> {
  const data = (await answer.json().catch(() => undefined)) as ({ detail?: string } & ApiProblem['body']) | undefined
  if (!answer.ok) throw new ApiProblem(answer.status, data?.detail ?? `The server answered ${answer.status}.`, data)
  if (data === undefined) throw new ApiProblem(0, away)
  return data as T
}

export type NewStock = Omit<StockItem, 'id'>
export interface StockPage {
  total: number
  items: StockItem[]
}

export const api = {
  builds: () => call<BuildSummary[]>('GET', '/builds'),
  build: (id: string) => call<BuildState>('GET', `/builds/${id}`),
  create: (wanted: NewBuild) => call<BuildState>('POST', '/builds', wanted),
  example: () => call<BuildState>('POST', '/builds/example', {}),
  putAway: (id: string) => call<void>('DELETE', `/builds/${id}`),
  restore: (id: string) => call<BuildState>('POST', `/builds/${id}/restore`, {}),
  /** What came of it is known here, so only where it stands is answered. */
  change: (id: string, revision: number, change: Change) =>
    call<Omit<BuildState, 'build'>>('POST', `/builds/${id}/changes`, { revision, ...change }, { prefer: 'return=minimal' }),
  undo: (id: string, revision: number) => call<BuildState>('POST', `/builds/${id}/undo`, { revision }),
  redo: (id: string, revision: number) => call<BuildState>('POST', `/builds/${id}/redo`, { revision }),
  /** A page of them, latest first. @param before only what came before this revision */
  events: (id: string, before?: number) =>
    call<BuildEvent[]>('GET', `/builds/${id}/events${before === undefined ? '' : `?before=${before}`}`),
  buildAt: (id: string, revision: number) => call<Build>('GET', `/builds/${id}/at/${revision}`),
  back: (id: string, revision: number, to: number) => call<BuildState>('POST', `/builds/${id}/back`, { revision, to }),
  /** Another build like this one, with its log, under a name of its own. */
  copy: async (id: string) => {
    const bundle = await call<{ build: Build }>('GET', `/builds/${id}/bundle`)
    return call<BuildState>('POST', '/import', {
      ...bundle,
      build: { ...bundle.build, name: `${bundle.build.name.slice(0, 110)}, a copy` },
    })
  },
  /** The same instrument, come back for another job: a build of its own. */
  anotherJob: (id: string) => call<BuildState>('POST', `/builds/${id}/another-job`, {}),
  importBundle: (text: string) => call<BuildState>('POST', '/import', text),
  /** In the order they were written; their moments are those of this place. */
  log: async (id: string) => (await call<LogEntry[]>('GET', `/builds/${id}/log`)).map((e) => ({ ...e, at: here(e.at) })),
  /** @param entry with an id and a moment of its own where it was written earlier */
  addLog: (
    id: string,
    entry: { kind: LogKind; text: string; station?: Station; thing?: string; photo?: string; id?: string; at?: string },
  ) => call<LogEntry>('POST', `/builds/${id}/log`, entry),
  strike: (id: string, entry: string, struck: boolean) =>
    call<LogEntry>('POST', `/builds/${id}/log/${entry}/${struck ? 'strike' : 'unstrike'}`, {}),
  stock: (query: { q?: string; kind?: string; holding?: string; offset?: number; limit?: number }) => {
    const params = new URLSearchParams(Object.entries(query).flatMap(([k, v]) => (v === undefined || v === '' ? [] : [[k, String(v)]])))
    return call<StockPage>('GET', `/stock?${params}`)
  },
  addStock: (item: NewStock) => call<StockItem>('POST', '/stock', item),
  addMany: (items: NewStock[]) => call<StockItem[]>('POST', '/stock/many', { items }),
  changeStock: ({ id, ...item }: StockItem) => call<StockItem>('PUT', `/stock/${id}`, item),
  photos: (build: string) => call<Photo[]>('GET', `/builds/${build}/photos`),
  /** @param id made where it was taken, so that one sent twice is one */
  addPhoto: async (build: string, file: Blob & { name?: string }, id?: string) => {
    const about = new URLSearchParams({ name: file.name ?? 'picture', ...(id === undefined ? {} : { id }) })
    const answer = await fetch(`/api/builds/${build}/photos?${about}`, {
      method: 'POST',
      body: file,
      headers: { 'content-type': file.type.startsWith('image/') ? file.type : 'image/unknown' },
    }).catch(() => undefined)
    // Nothing keeps a picture here but whoever asked.
    const away = 'Snug Bolt’s server does not answer. The picture was not taken in.'
    if (!answer) throw new ApiProblem(0, away)
    return bodyOf<Photo>(answer, away)
  },
  removePhoto: (build: string, id: string) => call<void>('DELETE', `/builds/${build}/photos/${id}`),
  me: () => call<Me>('GET', '/me'),
  links: (id: string) => call<ShownLink[]>('GET', `/builds/${id}/links`),
  addLink: (id: string) => call<ShownLink>('POST', `/builds/${id}/links`, {}),
  removeLink: (id: string, token: string) => call<void>('DELETE', `/builds/${id}/links/${token}`),
  handOver: (id: string, to: string) => call<void>('POST', `/builds/${id}/hand-over`, { to }),
  bench: () => call<Bench>('GET', '/bench'),
  putBench: (bench: Bench) => call<Bench>('PUT', '/bench', bench),
  removeStock: (id: string) => call<void>('DELETE', `/stock/${id}`),
  importJson: (items: unknown) => call<{ taken: number }>('POST', '/stock/import-json', { items }),
  importCsv: (csv: string) => call<{ taken: number }>('POST', '/stock/import', { csv }),
}
