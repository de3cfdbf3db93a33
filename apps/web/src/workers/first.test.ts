import { beforeEach, expect, it, vi } from 'vitest'

const told = vi.fn()
let says: (data: unknown) => void
beforeEach(() => {
  vi.resetModules()
  told.mockReset()
  vi.stubGlobal(
    'Worker',
    class {
      postMessage = told
      addEventListener = (_: string, hears: (e: { data: unknown }) => void) => (says = (data) => hears({ data }))
    },
  )
})

it('a worker is told of the build that is being opened, and the page can still read the same answer', async () => {
  const { beginWith, firstWorker } = await import('./first')
  const answer = Promise.resolve(new Response('{"build":{}}'))
  beginWith(answer, '2026-12-01')
  // The page asks as soon as it is there.
  const read = (await answer).text()
  await vi.waitFor(() => expect(told).toHaveBeenCalledExactlyOnceWith({ opened: '{"build":{}}', today: '2026-12-01' }))
  expect(await read).toBe('{"build":{}}')
  expect(firstWorker()).toBe(firstWorker())
})

it('what is no build, or never came, it is not told of', async () => {
  const { beginWith } = await import('./first')
  beginWith(Promise.resolve(new Response('{}', { status: 404 })), '2026-12-01')
  beginWith(Promise.reject(new Error('away')), '2026-12-01')
  await new Promise((done) => setTimeout(done))
  expect(told).not.toHaveBeenCalled()
})

it('what it hands over unasked is heard, from before anybody listened too; answers to questions are not taken for it', async () => {
  const { firstWorker, hearBegun } = await import('./first')
  firstWorker()
  const [early, late] = [
    { begun: [1], id: 'heron', revision: 3 },
    { begun: [2], id: 'plover', revision: 1 },
  ]
  says(early)
  says({ id: 'a question', type: 'RAW' })
  const heard = vi.fn()
  hearBegun(heard)
  expect(heard.mock.calls).toEqual([[early]])
  says(late)
  expect(heard.mock.calls).toEqual([[early], [late]])
})
