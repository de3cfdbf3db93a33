import express, { Router, type Request, type RequestHandler } from 'express'
import { rateLimit } from 'express-rate-limit'
import { HttpProblem } from '../http/problem'
import { isHere } from './addresses'
import type { KeptPhrase } from './phrase'
import { Sessions } from './sessions'
import { unlockPage } from './unlockPage'

const COOKIE = 'snug-device'
const QUARTER = 15 * 60_000
/** Wrong phrases a device may say in a quarter of an hour, and all devices together in an hour. */
const TRIES = 8
const ALL_TRIES = 60

const tokenOf = (req: Request): string | undefined =>
  req.headers.cookie
    ?.split(/;\s*/)
    .find((pair) => pair.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1)

/** Nobody on another machine gets past this without the phrase: neither a page nor a picture nor the API. */
export function gate(phrase: KeptPhrase, sessions = new Sessions()): Router {
  const routes = Router()
  const limited = (windowMs: number, limit: number, keyGenerator?: () => string) =>
    rateLimit({
      windowMs,
      limit,
      skipSuccessfulRequests: true,
      // A redirect is what a right phrase is answered with.
      requestWasSuccessful: (_req, res) => res.statusCode < 400,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      ...(keyGenerator ? { keyGenerator } : {}),
      handler: (_req, res) => void res.status(429).send(unlockPage('Too many tries. Wait a quarter of an hour, then try once more.')),
    })
  routes.post(
    '/unlock',
    limited(QUARTER, TRIES),
    limited(4 * QUARTER, ALL_TRIES, () => 'all'),
    express.urlencoded({ extended: false, limit: 2000 }),
    async (req, res) => {
      const said: unknown = (req.body as Record<string, unknown> | undefined)?.phrase
      if (typeof said !== 'string' || !(await phrase.isIt(said))) {
        res.status(401).send(unlockPage('That is not the phrase. It stands where Snug Bolt was started.'))
        return
      }
      res.cookie(COOKIE, sessions.open(), { httpOnly: true, sameSite: 'strict', path: '/', maxAge: 30 * 86_400_000 })
      res.redirect(303, '/')
    },
  )
  routes.get('/unlock', (_req, res) => void res.send(unlockPage()))
  routes.use(letIn(sessions))
  return routes
}

/** This machine, or a device that said the phrase. */
const letIn =
  (sessions: Sessions): RequestHandler =>
  (req, res, next) => {
    if (isHere(req.socket.remoteAddress) || sessions.holds(tokenOf(req))) return next()
    if (req.method === 'GET' && !req.path.startsWith('/api') && req.accepts(['html', 'json']) === 'html') {
      res.status(401).set('Cache-Control', 'no-store').send(unlockPage())
      return
    }
    throw new HttpProblem(401, 'This device is not let in: load the page again and say the pass-phrase. What you typed is kept here.')
  }
