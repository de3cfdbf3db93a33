import { afterEach, describe, expect, it, vi } from 'vitest'
import { api, ApiProblem } from './api'

afterEach(() => vi.unstubAllGlobals())
const answers = (body: string, status: number) => vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })))
/** Its head and a piece of its body came, then the line was cut. */
const BROKEN_OFF = '{"id":"b","rev'
const change = { label: 'Name', edits: [{ path: ['name'], to: 'One' }] }
const problemOf = (asked: Promise<unknown>) => asked.then(() => undefined).catch((e: unknown) => (e instanceof ApiProblem ? e.status : e))

describe('an answer', () => {
  it('that broke off is none: what was asked is tried again, as when the server is away', async () => {
    answers(BROKEN_OFF, 200)
    expect(await problemOf(api.change('b', 3, change))).toBe(0)
    answers(BROKEN_OFF, 200)
    expect(await problemOf(api.build('b'))).toBe(0)
    answers(BROKEN_OFF, 200)
    const picture = api.addPhoto('b', new Blob(['x']), 'p')
    await expect(picture).rejects.toMatchObject({ status: 0, message: expect.stringMatching(/picture was not taken in/) as string })
  })
  it('that refuses is what its head says, whatever became of its words', async () => {
    answers(BROKEN_OFF, 422)
    expect(await problemOf(api.change('b', 3, change))).toBe(422)
    answers('not in its words', 503)
    expect(await problemOf(api.build('b'))).toBe(503)
  })
  it('that came whole is what it says', async () => {
    answers('{"id":"b","revision":4}', 200)
    expect(await api.build('b')).toEqual({ id: 'b', revision: 4 })
  })
})
