import {
  anotherJob,
  applyChange,
  inverse,
  newBuild,
  putBy,
  USUAL_BENCH,
  type Bench,
  type Build,
  type Change,
  type LogEntry,
  type StockItem,
} from '@snug/core'
import { readBundle } from '@snug/formats/bundle'
import { readPartsCsv } from '@snug/formats/partsCsv'
import type { BuildState, Me, ShownLink } from '../state/api'

export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly body: { current?: BuildState } = {},
  ) {
    super(detail)
  }
}

/** The build with a change made; reservations of the stash follow it, as on the real one. */
function made(change: Change): Build {
  const build = applyChange(server.build, change)
  const touched = putBy(change, build, 'b', server.stock)
  server.stock = server.stock.map((i) => touched.find((t) => t.id === i.id) ?? i)
  return build
}

/** A server of a few lines, in memory; tests look into it to see what reached it. */
export const server = {
  build: undefined as unknown as Build,
  revision: 0,
  done: [] as Change[],
  undone: [] as Change[],
  log: [] as LogEntry[],
  stock: [] as StockItem[],
  bench: USUAL_BENCH,
  me: { reached: false } as Me,
  links: [] as ShownLink[],
  handed: [] as [build: string, to: string][],
  /** The build was put away from the shelf. */
  away: false,
}

export function resetServer(build: Build) {
  Object.assign(server, {
    build,
    revision: 0,
    done: [],
    undone: [],
    log: [],
    stock: [],
    away: false,
    bench: USUAL_BENCH,
    me: { reached: false },
    links: [],
    handed: [],
  })
}

const state = (): BuildState => ({
  id: 'b',
  revision: server.revision,
  build: server.build,
  canUndo: server.done.length > 0,
  canRedo: server.undone.length > 0,
  updatedAt: '',
})
const found = (query: { q?: string; kind?: string; holding?: string }) =>
  server.stock.filter(
    (i) =>
      (!query.kind || i.part.kind === query.kind) &&
      (!query.holding || i.holding === query.holding) &&
      (!query.q || i.part.name.toLowerCase().includes(query.q.toLowerCase())),
  )

export const api = {
  copy: () => {
    resetServer({ ...server.build, name: `${server.build.name}, a copy` })
    return Promise.resolve(state())
  },
  anotherJob: () => {
    resetServer(anotherJob(server.build, '2026-12-01'))
    return Promise.resolve(state())
  },
  example: () => {
    resetServer({ ...server.build, name: 'An example' })
    return Promise.resolve(state())
  },
  builds: () => {
    const { name, handedness, strings, scale, due, parts } = server.build
    const summary = { name, handedness, strings, scale, ...(due ? { due } : {}), parts: Object.keys(parts).length }
    return Promise.resolve(server.away ? [] : [{ ...summary, id: 'b', revision: server.revision, updatedAt: '' }])
  },
  buildAt: (_id: string, revision: number) =>
    Promise.resolve(
      server.done
        .slice(revision)
        .toReversed()
        .reduce((b, c) => applyChange(b, inverse(c)), server.build),
    ),
  events: () =>
    Promise.resolve(
      server.done.map((c, i) => ({ revision: i + 1, at: '2026-11-24T20:00:00Z', kind: 'change', label: c.label })).toReversed(),
    ),
  create: (wanted: { name: string; handedness: 'right' | 'left'; strings: number; scale: number }) => {
    resetServer(newBuild(wanted, '2026-11-24'))
    return Promise.resolve(state())
  },
  putAway: () => {
    server.away = true
    return Promise.resolve()
  },
  restore: () => {
    server.away = false
    return Promise.resolve(state())
  },
  importBundle: (text: string) => {
    const read = readBundle(text)
    if (!read.ok) return Promise.reject(new ApiProblem(400, read.why))
    resetServer(read.data.build as Build)
    return Promise.resolve(state())
  },
  build: () => Promise.resolve(state()),
  change: (_id: string, revision: number, change: Change) => {
    if (revision !== server.revision) return Promise.reject(new ApiProblem(409, 'Changed elsewhere.', { current: state() }))
    server.build = made(change)
    server.revision++
    server.done.push(change)
    server.undone = []
    return Promise.resolve(state())
  },
  undo: () => {
    const last = server.done.pop()!
    server.build = made(inverse(last))
    server.undone.push(last)
    server.revision++
    return Promise.resolve(state())
  },
  redo: () => {
    const next = server.undone.pop()!
    server.build = made(next)
    server.done.push(next)
    server.revision++
    return Promise.resolve(state())
  },
  back: (_id: string, _revision: number, to: number) => {
    for (const c of server.done.splice(to).toReversed()) server.build = made(inverse(c))
    server.revision++
    return Promise.resolve(state())
  },
  log: () => Promise.resolve(server.log),
  addLog: (_id: string, entry: Omit<LogEntry, 'id' | 'at'>) => {
    const made = { ...entry, id: `log-${server.log.length}`, at: '2026-11-24T20:00:00Z' } as LogEntry
    server.log = [...server.log, made]
    return Promise.resolve(made)
  },
  strike: (_id: string, id: string, struck: boolean) => {
    server.log = server.log.map((e) => {
      if (e.id !== id) return e
      const { struck: _, ...bare } = e
      return struck ? { ...bare, struck: '2026-11-24T21:00:00Z' } : bare
    })
    return Promise.resolve(server.log.find((e) => e.id === id)!)
  },
  photos: () => Promise.resolve([]),
  addPhoto: (_id: string, file: File) =>
    file.type.startsWith('image/')
      ? Promise.resolve({ id: 'picture' })
      : Promise.reject(new ApiProblem(422, 'That is no picture this can read.')),
  removePhoto: () => Promise.resolve(),
  me: () => Promise.resolve(server.me),
  links: () => Promise.resolve(server.links),
  addLink: () => {
    const link = { token: `shown-${server.links.length}`, createdAt: '2026-11-26T20:00:00Z' }
    server.links.push(link)
    return Promise.resolve(link)
  },
  removeLink: (_id: string, token: string) => {
    server.links = server.links.filter((l) => l.token !== token)
    return Promise.resolve()
  },
  handOver: (id: string, to: string) => {
    server.handed.push([id, to])
    return Promise.resolve()
  },
  bench: () => Promise.resolve(server.bench),
  putBench: (bench: Bench) => {
    server.bench = bench
    return Promise.resolve(bench)
  },
  stock: ({ offset = 0, limit = 200, ...query }: { q?: string; kind?: string; holding?: string; offset?: number; limit?: number }) => {
    const items = found(query)
    return Promise.resolve({ total: items.length, items: items.slice(offset, offset + limit) })
  },
  addStock: (item: Omit<StockItem, 'id'>) => {
    const made = { ...item, id: `s${server.stock.length}` }
    server.stock.push(made)
    return Promise.resolve(made)
  },
  addMany: (items: Omit<StockItem, 'id'>[]) => {
    const made = items.map((item, n) => ({ ...item, id: `s${server.stock.length + n}` }))
    server.stock.push(...made)
    return Promise.resolve(made)
  },
  changeStock: (item: StockItem) => {
    server.stock = server.stock.map((i) => (i.id === item.id ? item : i))
    return Promise.resolve(item)
  },
  removeStock: (id: string) => {
    server.stock = server.stock.filter((i) => i.id !== id)
    return Promise.resolve()
  },
  importCsv: (csv: string) => {
    const { items } = readPartsCsv(csv)
    server.stock.push(...items.map((i, n) => ({ ...i, id: `csv${n}` })))
    return Promise.resolve({ taken: items.length })
  },
}

export const photoAddress = (build: string, id: string) => `/api/builds/${build}/photos/${id}`
export const linkAddress = (token: string) => `http://localhost/builds/${token}`
