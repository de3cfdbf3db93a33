import { QueryClient, QueryObserver } from '@tanstack/react-query'
import { expect, it, vi } from 'vitest'
import { refetched } from './stale'

/** A server that answers each question when it is told to. */
function slowServer() {
  const answers: ((said: string) => void)[] = []
  return { ask: vi.fn(() => new Promise<string>((answer) => void answers.push(answer))), answers }
}

it('news that comes while the first answer is on its way: the question is asked again, and the late answer is not taken for the newest', async () => {
  const queries = new QueryClient()
  const { ask, answers } = slowServer()
  const seen = new QueryObserver(queries, { queryKey: ['stock', 'lone nut'], queryFn: ask })
  const done = seen.subscribe(() => undefined)
  await vi.waitFor(() => expect(ask).toHaveBeenCalledTimes(1))
  void refetched(queries, ['stock'])
  await vi.waitFor(() => expect(ask).toHaveBeenCalledTimes(2))
  answers[0]!('before')
  answers[1]!('after')
  await vi.waitFor(() => expect(seen.getCurrentResult().data).toBe('after'))
  // What is there already is asked for once more, too.
  void refetched(queries, ['stock'])
  await vi.waitFor(() => expect(ask).toHaveBeenCalledTimes(3))
  answers[2]!('latest')
  await vi.waitFor(() => expect(seen.getCurrentResult().data).toBe('latest'))
  done()
})
