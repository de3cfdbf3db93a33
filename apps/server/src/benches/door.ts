import express, { Router } from 'express'
import type { Db } from '../db/open'
import { doorPage } from '../share/doorPage'
import { turnedAway } from '../share/letIn'
import { limited, QUARTER, TRIES } from '../share/limited'
import { isPublic } from '../share/public'
import { COOKIE, COOKIE_IS, tokenOf } from '../share/token'
import type { Known } from './known'
import { NAME_AT_MOST, signIn, signOut } from './store'
import { setBench } from './who'

/**
 * Every bench has what is its own, and says its name and pass-phrase first. What is signed in stands in the database, so that any
 * process on it may answer the next request.
 */
export function door(db: Db, known: Known): Router {
  const routes = Router()
  const form = express.urlencoded({ extended: false, limit: 2000 })
  routes.post('/sign-in', limited(QUARTER, TRIES, signInPage), form, async (req, res) => {
    const { bench, phrase } = (req.body ?? {}) as Record<string, unknown>
    const token = typeof bench === 'string' && typeof phrase === 'string' ? await signIn(db, bench, phrase) : undefined
    if (token === 'wait')
      return void res.status(429).send(signInPage('Too many wrong phrases were said for this bench. Wait an hour, then try once more.'))
    if (!token) return void res.status(401).send(signInPage('That bench and that pass-phrase do not belong together.'))
    res.cookie(COOKIE, token, COOKIE_IS)
    res.redirect(303, '/')
  })
  routes.get('/sign-in', (_req, res) => void res.send(signInPage()))
  routes.post('/sign-out', async (req, res) => {
    const token = tokenOf(req)
    if (token) await signOut(db, token)
    known.forget()
    res.clearCookie(COOKIE, { path: '/' })
    res.redirect(303, '/sign-in')
  })
  routes.use(async (req, res, next) => {
    const bench = await known.who(tokenOf(req))
    if (bench) setBench(res, bench)
    else if (!isPublic(req)) return turnedAway(req, res, signInPage, 'Sign in first: load the page again. What you typed is kept here.')
    next()
  })
  return routes
}

const signInPage = (trouble?: string): string =>
  doorPage(
    '/sign-in',
    `        <label for="bench">Name of your bench</label>
        <input id="bench" name="bench" autocomplete="username" required autofocus maxlength="${NAME_AT_MOST}" />
        <label for="phrase">Its pass-phrase</label>
        <input id="phrase" name="phrase" type="password" autocomplete="current-password" autocapitalize="none" required maxlength="200" />`,
    'Sign in',
    trouble,
  )
