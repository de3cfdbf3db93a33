import { applyChange, newBuild, setField, type Build, type Change } from '@snug/core'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type * as Api from './api'
import type { BuildState } from './api'

/** A server of a few lines: one build with a revision, 409 when stale, and a switch that pulls its plug. */
const server = vi.hoisted(() => ({
  state: undefined as unknown as { revision: number; build: unknown },
  away: false,
  sent: [] as unknown[],
}))

vi.mock('../workers/compute', () => ({
  benchWorker: () => ({
    evaluate: () =>
      Promise.resolve({
        joints: [],
        holes: [],
        wire: { ok: false, missing: [] },
        finish: { need: {}, system: {} },
        setup: { total: 0 },
        plan: {},
      }),
  }),
  rankWorker: () => ({ measureNext: () => Promise.resolve([]) }),
}))
vi.mock('./api', async (original) => {
  const actual = await original<typeof Api>()
  const full = (): BuildState => ({
    id: 'b',
    canUndo: true,
    canRedo: false,
    updatedAt: '',
    ...(server.state as { revision: number; build: Build }),
  })
  return {
    ...actual,
    api: {
      build: () => Promise.resolve(full()),
      change: (_id: string, revision: number, change: Change) => {
        if (server.away) return Promise.reject(new actual.ApiProblem(0, 'away'))
        if (revision !== server.state.revision) return Promise.reject(new actual.ApiProblem(409, 'stale', { current: full() }))
        server.sent.push(change.label)
        server.state = { revision: revision + 1, build: applyChange(server.state.build as Build, change) }
        return Promise.resolve(full())
      },
    },
  }
})

const { useBuild } = await import('./buildStore')
const start = newBuild({ name: 'Trial', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-24')
const rename = (to: string) => (b: Build) => setField(b, ['name'], to, `Name ${to}`)
const settled = async () => {
  for (let i = 0; i < 20; i++) await Promise.resolve()
  await new Promise((r) => setTimeout(r, 0))
}

beforeEach(async () => {
  useBuild.getState().close()
  server.state = { revision: 0, build: start }
  server.away = false
  server.sent = []
  await useBuild.getState().open('b')
})

describe('the open build', () => {
  it('shows a change at once and sends it', async () => {
    useBuild.getState().change(rename('One'))
    expect(useBuild.getState().build!.name).toBe('One')
    await settled()
    expect(server.sent).toEqual(['Name One'])
    expect(useBuild.getState().revision).toBe(1)
  })
  it('sends changes made in a row one after the other, each on the last one’s revision', async () => {
    for (const n of ['One', 'Two', 'Three']) useBuild.getState().change(rename(n))
    await settled()
    expect(server.sent).toEqual(['Name One', 'Name Two', 'Name Three'])
    expect((server.state.build as Build).name).toBe('Three')
  })
  it('keeps what was typed while the server is away and sends it with the next change', async () => {
    server.away = true
    useBuild.getState().change(rename('Kept'))
    await settled()
    expect(useBuild.getState().build!.name).toBe('Kept')
    server.away = false
    useBuild.getState().change((b) => setField(b, ['currency'], 'GBP', 'Currency'))
    await settled()
    expect(server.sent).toEqual(['Name Kept', 'Currency'])
  })
  it('a change made elsewhere first: the person chooses, nothing is lost', async () => {
    server.state = { revision: 5, build: { ...start, name: 'Theirs' } }
    useBuild.getState().change(rename('Mine'))
    await settled()
    expect(useBuild.getState().conflict!.theirs.build.name).toBe('Theirs')
    useBuild.getState().settle('mine')
    await settled()
    expect((server.state.build as Build).name).toBe('Mine')
    expect(useBuild.getState().conflict).toBeUndefined()
  })
  it('or takes the other', async () => {
    server.state = { revision: 5, build: { ...start, name: 'Theirs' } }
    useBuild.getState().change(rename('Mine'))
    await settled()
    useBuild.getState().settle('theirs')
    expect(useBuild.getState().build!.name).toBe('Theirs')
    expect(server.sent).toEqual([])
  })
  it('a trial changes nothing until it is kept', async () => {
    useBuild.getState().tryOut(rename('Perhaps'))
    expect(useBuild.getState().build!.name).toBe('Trial')
    expect(useBuild.getState().trial!.build.name).toBe('Perhaps')
    useBuild.getState().dropTrial()
    expect(useBuild.getState().trial).toBeUndefined()
    useBuild.getState().tryOut(rename('Kept'))
    useBuild.getState().keepTrial()
    await settled()
    expect((server.state.build as Build).name).toBe('Kept')
    expect(useBuild.getState().trial).toBeUndefined()
  })
})
