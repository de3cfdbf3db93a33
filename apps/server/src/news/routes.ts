import { Router } from 'express'
import { benchOf } from '../benches/who'
import { HttpProblem } from '../http/problem'
import type { NewsHub } from './hub'

/** Open windows at most, of a bench and in all; each holds a connection. [ours] */
const WINDOWS = 100
const ALL_WINDOWS = 1000
/** A line now and then keeps the connection and shows when its other end is gone. */
const BEAT = 25_000

/** News as server-sent events, for as long as the window is open. */
export function newsRoutes(hub: NewsHub): Router {
  const routes = Router()
  const open = new Map<string, number>()
  let all = 0
  routes.get('/news', (req, res) => {
    const bench = benchOf(res)
    const windows = open.get(bench) ?? 0
    if (windows >= WINDOWS) throw new HttpProblem(503, `${WINDOWS} windows are open already; close one.`)
    if (all >= ALL_WINDOWS) throw new HttpProblem(503, 'Too many windows are open at this server; what you do is kept all the same.')
    open.set(bench, windows + 1)
    all++
    res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' })
    res.write(': listening\n\n')
    // A window that lost its line asks for everything anew when it has one again.
    const deaf = hub.hear(
      bench,
      (news) => res.write(`data: ${JSON.stringify(news)}\n\n`),
      () => res.end(),
    )
    const beat = setInterval(() => res.write(': still here\n\n'), BEAT)
    req.once('close', () => {
      const left = open.get(bench)! - 1
      if (left) open.set(bench, left)
      else open.delete(bench)
      all--
      deaf()
      clearInterval(beat)
    })
  })
  return routes
}
