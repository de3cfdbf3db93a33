import { Router } from 'express'
import { HttpProblem } from '../http/problem'
import type { NewsHub } from './hub'

/** Open windows at most; each holds a connection. [ours] */
const WINDOWS = 100
/** A line now and then keeps the connection and shows when its other end is gone. */
const BEAT = 25_000

/** News as server-sent events, for as long as the window is open. */
export function newsRoutes(hub: NewsHub): Router {
  const routes = Router()
  let open = 0
  routes.get('/news', (req, res) => {
    if (open >= WINDOWS) throw new HttpProblem(503, `${WINDOWS} windows are open already; close one.`)
    open++
    res.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' })
    res.write(': listening\n\n')
    const deaf = hub.hear((news) => res.write(`data: ${JSON.stringify(news)}\n\n`))
    const beat = setInterval(() => res.write(': still here\n\n'), BEAT)
    req.once('close', () => {
      open--
      deaf()
      clearInterval(beat)
    })
  })
  return routes
}
