import express, { Router, type RequestHandler } from 'express'
import { isHere } from './addresses'
import { turnedAway } from './letIn'
import { ALL_TRIES, limited, QUARTER, TRIES } from './limited'
import { isPhrase } from './phrase'
import { isPublic } from './public'
import { Sessions } from './sessions'
import { COOKIE, COOKIE_IS, tokenOf } from './token'
import { unlockPage } from './doorPage'

/** Nobody on another machine gets past this without the phrase: neither a page nor a picture nor the API. */
export function gate(kept: string, sessions = new Sessions()): Router {
  const routes = Router()
  routes.post(
    '/unlock',
    limited(QUARTER, TRIES, unlockPage),
    limited(4 * QUARTER, ALL_TRIES, unlockPage, () => 'all'),
    express.urlencoded({ extended: false, limit: 2000 }),
    async (req, res) => {
      const said: unknown = (req.body as Record<string, unknown> | undefined)?.phrase
      if (typeof said !== 'string' || !(await isPhrase(kept, said))) {
        res.status(401).send(unlockPage('That is not the phrase. It stands where Snug Bolt was started.'))
        return
      }
      res.cookie(COOKIE, sessions.open(), COOKIE_IS)
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
    if (isHere(req.socket.remoteAddress) || isPublic(req) || sessions.holds(tokenOf(req))) return next()
    turnedAway(req, res, unlockPage, 'This device is not let in: load the page again and say the pass-phrase. What you typed is kept here.')
  }
