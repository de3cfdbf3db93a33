import {
  choosePart,
  clearSize,
  evaluate,
  inverse,
  planJob,
  removePart,
  sameJson,
  setField,
  setIn,
  setPartField,
  setSize,
  setTrait,
  takeReading,
  tickStep,
  withUndone,
  type Build,
  type Change,
  type Json,
} from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { toBundle } from '@snug/formats'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp, type TestApp } from '../testing/app'

let app: TestApp
beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())

interface State {
  id: string
  revision: number
  build: Build
  canUndo: boolean
  canRedo: boolean
}
const size = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })
const onShelf = async () => (await app.post('/import', toBundle(fullBuild(), [], '2026-11-24T20:00:00Z')).expect(201)).body as State

/** One of each act a person has. */
const ACTS: ((b: Build) => Change)[] = [
  (b) => setSize(b, { slot: 'body', size: 'pocket.widthMouth' }, size(56.2)),
  (b) => clearSize(b, { slot: 'guard', size: 'opening.middle.centre' }),
  (b) => setTrait(b, 'body', 'wood', 'ash'),
  (b) => setPartField(b, 'guard', 'price', 12.5),
  (b) => setPartField(b, 'bridge', 'state', 'ordered'),
  (b) => choosePart(b, 'nut', { ...b.parts.nut!, name: 'another nut' }),
  (b) => planJob(b, 'pocket-mouth/shave-wall', { slot: 'body', size: 'pocket.widthMouth', delta: 0.4, doubt: 0.1, text: 'Shave' }),
  (b) => setIn(b, 'slots', 'guard', 'open', 'Pickguard: open'),
  (b) => setIn(b, 'parcels', 'Low Tide Plastics', 3.8, 'Postage'),
  (b) => setIn(b, 'mockup', 'neck-in', { outcome: 'goes', at: '2026-11-24T20:00:00Z', basis: 'a1' }, 'Trial build'),
  (b) => setField(b, ['setup', 'saddle'], 13.2, 'Saddle'),
  (b) => takeReading(b, { what: 'relief', value: 0.2, at: '2026-11-24T20:00:00Z' }, 'Relief'),
  (b) => setField(b, ['finish', 'coats'], 7, 'Coats'),
  (b) => setField(b, ['due'], '2027-02-15', 'Due'),
  (b) => tickStep(b, 'solder', 'Solder', '2026-11-24T20:00:00Z'),
  (b) => removePart(b, 'string-tree'),
]

describe('a bench evening over HTTP', () => {
  it('every act is kept, all of them can be taken back one by one and made again', async () => {
    let state = await onShelf()
    const start = state.build
    for (const act of ACTS) {
      const change = act(state.build)
      state = (await app.post(`/builds/${state.id}/changes`, { revision: state.revision, ...change }).expect(200)).body as State
    }
    const end = state.build
    expect(end.parts['string-tree']).toBeUndefined()
    expect(end.setup.saddle).toBe(13.2)
    for (let i = 0; i < ACTS.length; i++)
      state = (await app.post(`/builds/${state.id}/undo`, { revision: state.revision }).expect(200)).body as State
    expect(state.canUndo).toBe(false)
    expect(sameJson(state.build as unknown as Json, start as unknown as Json)).toBe(true)
    for (let i = 0; i < ACTS.length; i++)
      state = (await app.post(`/builds/${state.id}/redo`, { revision: state.revision }).expect(200)).body as State
    expect(state.canRedo).toBe(false)
    expect(sameJson(state.build as unknown as Json, end as unknown as Json)).toBe(true)
    expect(state.revision).toBe(3 * ACTS.length)
  })
  it('what is exported comes in again as it was, under an id of its own', async () => {
    const state = await onShelf()
    const bundle = (await app.get(`/builds/${state.id}/bundle`).expect(200)).body as object
    const again = (await app.post('/import', bundle).expect(201)).body as State
    expect(again.id).not.toBe(state.id)
    expect(sameJson(again.build as unknown as Json, state.build as unknown as Json)).toBe(true)
  })
  it('an instrument that comes back is a build of its own, all in place; the first stays as it was', async () => {
    const state = await onShelf()
    const again = (await app.post(`/builds/${state.id}/another-job`, {}).expect(201)).body as State
    expect(again.id).not.toBe(state.id)
    expect(again.build.job).toBe('upgrade')
    expect(Object.values(again.build.parts).every((p) => p.state === 'in place')).toBe(true)
    expect(again.build.parts.body!.sizes).toEqual(state.build.parts.body!.sizes)
    // It is a build like any other: every rule holds for it.
    const named = setPartField(again.build, 'nut', 'name', 'The old nut')
    await app.post(`/builds/${again.id}/changes`, { revision: again.revision, ...named }).expect(200)
    const first = (await app.get(`/builds/${state.id}`).expect(200)).body as State
    expect(first.build).toEqual(state.build)
    await app.post('/builds/nobody-knows/another-job', {}).expect(404)
  })
  it('what was done to a part that is exchanged leaves with it, and every rule holds for what is left', async () => {
    let state = await onShelf()
    const done = async (make: (b: Build) => Change) => {
      state = (await app.post(`/builds/${state.id}/changes`, { revision: state.revision, ...make(state.build) }).expect(200)).body as State
    }
    await done((b) => setField(b, ['finish', 'uncounted'], { from: 3, to: 5 }, 'Coats'))
    await done((b) => setField(b, ['finish', 'laid'], { a: { product: 'lacquer-clear', at: '2026-11-10T18:00:00+01:00' } }, 'Laid'))
    await done((b) => setField(b, ['circuit', 'leads'], { 'neck-a.start': 'red' }, 'Leads'))
    for (const step of ['neck-on', 'solder', 'drill-stud-bores']) await done((b) => tickStep(b, step, step, '2026-11-24T20:00:00Z'))
    for (const slot of ['body', 'neck', 'pickup-neck', 'bridge'] as const)
      await done((b) => withUndone(b, choosePart(b, slot, { ...b.parts[slot]!, name: 'Another one' }), evaluate(b, '2026-11-25')))
    expect(state.build.steps).toEqual({})
    expect(state.build.finish).not.toHaveProperty('uncounted')
    expect([state.build.finish.laid, state.build.circuit.leads]).toEqual([{}, {}])
  })
  it('a change made twice is made once: the second is late', async () => {
    const state = await onShelf()
    const change = setField(state.build, ['finish', 'coats'], 9, 'Coats')
    await app.post(`/builds/${state.id}/changes`, { revision: state.revision, ...change }).expect(200)
    const late = await app.post(`/builds/${state.id}/changes`, { revision: state.revision, ...change }).expect(409)
    expect((late.body.current as State).build.finish.coats).toBe(9)
  })
  it('a change that expects something else is refused even at the right revision', async () => {
    const state = await onShelf()
    const wrong = { label: 'Coats', edits: [{ path: ['finish', 'coats'], from: 99, to: 6 }] }
    const answer = await app.post(`/builds/${state.id}/changes`, { revision: state.revision, ...wrong })
    expect([409, 422]).toContain(answer.status)
    const now = (await app.get(`/builds/${state.id}`)).body as State
    expect(now.revision).toBe(state.revision)
    expect(now.build.finish.coats).toBe(5)
  })
  it('the inverse of a change is a change', async () => {
    const state = await onShelf()
    const change = removePart(state.build, 'guard')
    const out = (await app.post(`/builds/${state.id}/changes`, { revision: 0, ...change }).expect(200)).body as State
    expect(out.build.parts.guard).toBeUndefined()
    const back = (await app.post(`/builds/${state.id}/changes`, { revision: 1, ...inverse(change) }).expect(200)).body as State
    expect(sameJson(back.build.parts.guard as unknown as Json, state.build.parts.guard as unknown as Json)).toBe(true)
  })
  it('two benches at once: one is told, neither loses anything', async () => {
    const state = await onShelf()
    const both = await Promise.all(
      [7, 8].map((coats) =>
        app.post(`/builds/${state.id}/changes`, { revision: 0, ...setField(state.build, ['finish', 'coats'], coats, `Coats ${coats}`) }),
      ),
    )
    expect(both.map((a) => a.status).toSorted()).toEqual([200, 409])
    const kept = both.find((a) => a.status === 200)!.body as State
    expect((both.find((a) => a.status === 409)!.body.current as State).build.finish.coats).toBe(kept.build.finish.coats)
  })
})
