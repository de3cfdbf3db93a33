import { applyChange, newBuild, setField, type Build, type Change } from '@snug/core'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type * as Api from './api'
import type { BuildState } from './api'

/** A server of a few lines: one build with a revision, 409 when stale, and a switch that pulls its plug. */
const server = vi.hoisted(() => ({
  state: undefined as unknown as { revision: number; build: unknown },
  other: undefined as unknown as { revision: number; build: unknown; shown?: true },
  away: false,
  /** A status every change is answered with, and the label of a change that can never be. */
  fails: 0,
  refuses: '',
  held: undefined as Promise<void> | undefined,
  sent: [] as unknown[],
}))

/** The worker: what it hands over unasked, and what its answers wait for. */
const worker = vi.hoisted(() => ({ says: undefined as unknown as (early: unknown) => void, held: undefined as Promise<void> | undefined }))
vi.mock('../workers/compute', () => ({
  hearFit: (listener: (early: unknown) => void) => {
    // On a slow page the joints are there before the store is.
    listener({ id: 'heron', revision: 0, fit: [] })
    worker.says = listener
  },
  evaluateAtBench: async () => {
    await worker.held
    return {
      parts: [],
      fit: [],
      drill: [],
      wire: { ok: false, missing: [] },
      finish: { shopping: [] },
      setup: { total: 0 },
      plan: {},
    }
  },
  rankWorker: () => ({ measuringRound: () => Promise.resolve([]) }),
}))
vi.mock('./api', async (original) => {
  const actual = await original<typeof Api>()
  const full = (id = 'b'): BuildState => ({
    id,
    canUndo: true,
    canRedo: false,
    updatedAt: '',
    ...((id === 'b' ? server.state : server.other) as { revision: number; build: Build }),
  })
  return {
    ...actual,
    api: {
      build: (id: string) => Promise.resolve(full(id)),
      restore: (id: string) => Promise.resolve(full(id)),
      change: async (id: string, revision: number, change: Change) => {
        if (id === 'b') await server.held
        if (server.away) throw new actual.ApiProblem(0, 'away')
        if (server.fails) throw new actual.ApiProblem(server.fails, 'failed')
        if (change.label === server.refuses) throw new actual.ApiProblem(422, 'cannot be')
        const state = id === 'b' ? server.state : server.other
        if (revision !== state.revision) throw new actual.ApiProblem(409, 'stale', { current: full(id) })
        server.sent.push(change.label)
        Object.assign(state, { revision: revision + 1, build: applyChange(state.build as Build, change) })
        return full(id)
      },
    },
  }
})

const { useBuild, hearNews, lookAgain } = await import('./buildStore')
const start = newBuild({ name: 'Trial', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-24')
const rename = (to: string) => (b: Build) => setField(b, ['name'], to, `Name ${to}`)
const settled = async () => {
  for (let i = 0; i < 20; i++) await Promise.resolve()
  await new Promise((r) => setTimeout(r, 0))
}

beforeEach(async () => {
  useBuild.getState().close()
  server.state = { revision: 0, build: start }
  server.other = { revision: 0, build: { ...start, name: 'Other' } }
  Object.assign(server, { away: false, fails: 0, refuses: '', held: undefined })
  server.sent = []
  localStorage.clear()
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
  it('the same place changed elsewhere first: asked once, with both values, nothing is lost', async () => {
    server.state = { revision: 5, build: { ...start, name: 'Theirs' } }
    useBuild.getState().change(rename('Mine'))
    await settled()
    expect(useBuild.getState().conflict).toMatchObject([{ clashes: [{ mine: 'Mine', theirs: 'Theirs', gone: false }] }])
    expect(useBuild.getState().build!.name).toBe('Theirs')
    useBuild.getState().settle('mine')
    await settled()
    expect((server.state.build as Build).name).toBe('Mine')
    expect(useBuild.getState().conflict).toEqual([])
  })
  it('or takes the other', async () => {
    server.state = { revision: 5, build: { ...start, name: 'Theirs' } }
    useBuild.getState().change(rename('Mine'))
    await settled()
    useBuild.getState().settle('theirs')
    expect(useBuild.getState().build!.name).toBe('Theirs')
    expect(useBuild.getState().conflict).toEqual([])
    expect(server.sent).toEqual([])
  })
  it('different places changed in two windows are merged without a question', async () => {
    server.state = { revision: 5, build: { ...start, currency: 'GBP' } }
    useBuild.getState().change(rename('Mine'))
    await settled()
    expect(useBuild.getState().conflict).toEqual([])
    expect(server.state.build).toMatchObject({ name: 'Mine', currency: 'GBP' })
    expect(useBuild.getState().build).toMatchObject({ name: 'Mine', currency: 'GBP' })
  })
  it('a build left while its save is held back: the other build shows its own document and keeps its own changes', async () => {
    let letGo = () => {}
    server.held = new Promise<void>((done) => (letGo = done))
    useBuild.getState().change(rename('Of b'))
    await useBuild.getState().open('c')
    expect(useBuild.getState().build!.name).toBe('Other')
    useBuild.getState().change((b) => setField(b, ['currency'], 'GBP', 'Currency'))
    letGo()
    await settled()
    expect(useBuild.getState()).toMatchObject({ id: 'c', build: { name: 'Other', currency: 'GBP' } })
    expect(server.state.build).toMatchObject({ name: 'Of b', currency: 'EUR' })
    expect(server.other.build).toMatchObject({ name: 'Other', currency: 'GBP' })
  })
  it('changes made without a server are kept in the browser, and belong to their build when it is left', async () => {
    server.away = true
    useBuild.getState().change(rename('Kept'))
    await settled()
    expect(useBuild.getState().sending).toMatchObject({ is: 'waiting', why: 'away' })
    expect(useBuild.getState().unsent).toBe(1)
    expect(Object.entries(localStorage).filter(([k, v]) => k.startsWith('snug-unsent/b/') && String(v).includes('Kept'))).toHaveLength(1)
    useBuild.getState().close()
    server.away = false
    await useBuild.getState().open('b')
    await settled()
    expect(server.state.build).toMatchObject({ name: 'Kept' })
    expect(Object.keys(localStorage).filter((k) => k.startsWith('snug-unsent/'))).toEqual([])
  })
  it('what a closed window left is taken over by the next', async () => {
    useBuild.getState().close()
    localStorage.setItem('snug-unsent/b/gone', JSON.stringify([rename('Left')(start)]))
    await useBuild.getState().open('b')
    await settled()
    expect(server.state.build).toMatchObject({ name: 'Left' })
  })
  it('a failure of the server (500) keeps every change; undo takes the unsent one back and redo brings it again', async () => {
    server.fails = 500
    useBuild.getState().change(rename('One'))
    useBuild.getState().change((b) => setField(b, ['currency'], 'GBP', 'Currency'))
    await settled()
    expect(useBuild.getState().build).toMatchObject({ name: 'One', currency: 'GBP' })
    await useBuild.getState().undo()
    expect(useBuild.getState().build).toMatchObject({ name: 'One', currency: 'EUR' })
    server.fails = 0
    await useBuild.getState().redo()
    await settled()
    expect(server.sent).toEqual(['Name One', 'Currency'])
  })
  it('a change that is refused goes alone; those beside it stay', async () => {
    server.refuses = 'Name Bad'
    useBuild.getState().change(rename('Bad'))
    useBuild.getState().change((b) => setField(b, ['currency'], 'GBP', 'Currency'))
    await settled()
    expect(server.sent).toEqual(['Currency'])
    expect(useBuild.getState().build).toMatchObject({ name: 'Trial', currency: 'GBP' })
  })
  it('a build put away elsewhere says so, and goes on when it is brought back', async () => {
    server.fails = 410
    useBuild.getState().change(rename('One'))
    await settled()
    expect(useBuild.getState().sending.is).toBe('put away')
    server.fails = 0
    await useBuild.getState().bringBack()
    await settled()
    expect(server.sent).toEqual(['Name One'])
  })
  it('hears of a change in another window and shows it', async () => {
    server.state = { revision: 4, build: { ...start, name: 'Theirs' } }
    hearNews({ build: 'b', revision: 4 })
    await settled()
    expect(useBuild.getState()).toMatchObject({ revision: 4, build: { name: 'Theirs' } })
  })
  it.each([
    ['news of it', () => hearNews({ build: 'b', revision: 4 })],
    ['the news themselves', lookAgain],
  ])('what another window changed while the build was being fetched is shown too: %s came before the answer', async (_, come) => {
    useBuild.getState().close()
    const opening = useBuild.getState().open('b')
    server.state = { revision: 4, build: { ...start, name: 'Theirs' } }
    come()
    await opening
    await settled()
    expect(useBuild.getState()).toMatchObject({ revision: 4, build: { name: 'Theirs' } })
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

describe('the joints that come before the rest', () => {
  const FIT = [{ id: 'pocket-mouth' }]
  /** Opens the build; its evaluation comes when it is let go. */
  async function opening(before?: () => void) {
    useBuild.getState().close()
    let go = () => {}
    worker.held = new Promise<void>((done) => (go = done))
    before?.()
    const opened = useBuild.getState().open('b')
    await settled()
    return async () => {
      go()
      worker.held = undefined
      await opened
      await settled()
    }
  }
  const early = () => useBuild.getState().early

  it('are shown while it is worked out, and go when all of it is there', async () => {
    const finish = await opening()
    worker.says({ id: 'b', revision: 0, fit: FIT })
    await settled()
    expect([early(), useBuild.getState().evaluation]).toEqual([FIT, undefined])
    await finish()
    expect(early()).toBeUndefined()
    expect(useBuild.getState().evaluation).toBeDefined()
  })
  it('are shown too when they were there before the build was', async () => {
    // Closing forgets what came for another visit; this comes while the server is asked.
    useBuild.getState().close()
    let go = () => {}
    worker.held = new Promise<void>((done) => (go = done))
    const opened = useBuild.getState().open('b')
    worker.says({ id: 'b', revision: 0, fit: FIT })
    expect(early()).toBeUndefined()
    await settled()
    expect(early()).toEqual(FIT)
    go()
    worker.held = undefined
    await opened
  })
  it.each([
    ['another build', { id: 'c', revision: 0 }],
    ['another version of it', { id: 'b', revision: 1 }],
  ])('of %s are not', async (_, of) => {
    const finish = await opening()
    worker.says({ ...of, fit: FIT })
    await settled()
    expect(early()).toBeUndefined()
    await finish()
  })
  it('of what was evaluated already are not, nor of a build with changes on their way', async () => {
    worker.says({ id: 'b', revision: 0, fit: FIT })
    await settled()
    expect(early()).toBeUndefined()
    let release = () => {}
    server.held = new Promise<void>((done) => (release = done))
    useBuild.getState().change(rename('One'))
    const finish = await opening()
    worker.says({ id: 'b', revision: 0, fit: FIT })
    await settled()
    expect(early()).toBeUndefined()
    release()
    await finish()
    expect(server.sent).toEqual(['Name One'])
  })
  it('a change made meanwhile waits for the rest, and is lost with nothing', async () => {
    const finish = await opening()
    worker.says({ id: 'b', revision: 0, fit: FIT })
    await settled()
    useBuild.getState().change(rename('One'))
    expect(useBuild.getState().build!.name).toBe('Trial')
    await finish()
    expect(useBuild.getState().build!.name).toBe('One')
    expect(server.sent).toEqual(['Name One'])
  })
  it('a change that waits is not made to another build', async () => {
    const finish = await opening()
    worker.says({ id: 'b', revision: 0, fit: FIT })
    await settled()
    useBuild.getState().change(rename('One'))
    const other = useBuild.getState().open('c')
    await finish()
    await other
    expect(useBuild.getState().build!.name).toBe('Other')
    expect(server.sent).toEqual([])
  })
})

describe('a build of another bench, shown by a link', () => {
  it('can be tried with, and nothing of it is sent; as it is comes back', async () => {
    server.other = {
      revision: 7,
      build: newBuild({ name: 'Shown', handedness: 'right', strings: 6, scale: 650 }, '2026-11-26'),
      shown: true,
    }
    await useBuild.getState().open('other')
    useBuild.getState().change((b) => setField(b, ['budget'], 9, 'Budget'))
    expect(useBuild.getState().build!.budget).toBe(9)
    await useBuild.getState().undo()
    expect(server.sent).toEqual([])
    expect(useBuild.getState()).toMatchObject({ unsent: 0, canUndo: false, sending: { is: 'quiet' } })
    useBuild.getState().asShown()
    expect(useBuild.getState().build!.budget).toBeUndefined()
    // What is one's own is sent again afterwards.
    await useBuild.getState().open('b')
    expect(useBuild.getState().shown).toBeUndefined()
    useBuild.getState().change((b) => setField(b, ['budget'], 5, 'Budget'))
    await vi.waitFor(() => expect(server.sent).toHaveLength(1))
  })
})

it('a build handed to another bench meanwhile: said, nothing more is sent, and what waits is kept', async () => {
  await useBuild.getState().open('b')
  hearNews({ build: 'b', handed: 'Ben' })
  expect(useBuild.getState().sending).toMatchObject({ is: 'handed', why: expect.stringMatching(/was handed to Ben\.$/) })
  useBuild.getState().change((b) => setField(b, ['budget'], 5, 'Budget'))
  await Promise.resolve()
  expect(server.sent).toEqual([])
  expect(useBuild.getState().unsent).toBe(1)
})
