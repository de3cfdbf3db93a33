import type { Response } from 'express'
import { HttpProblem } from '../http/problem'

interface Who {
  bench?: { id: string; name?: string }
  /** The link through which a build is looked at. */
  shown?: { token: string; build: string }
}

/** Whose request it is. @throws HttpProblem where nobody is signed in */
export function benchOf(res: Response): string {
  const { bench } = res.locals as Who
  if (!bench) throw new HttpProblem(401, 'Sign in first: load the page again. What you typed is kept here.')
  return bench.id
}

/** The name it signed in with; none where nobody signs in. */
export const benchName = (res: Response): string | undefined => (res.locals as Who).bench?.name

export const setBench = (res: Response, bench: { id: string; name?: string }): void => void ((res.locals as Who).bench = bench)

export const setShown = (res: Response, token: string, build: string): void => void ((res.locals as Who).shown = { token, build })

export const shownBy = (res: Response): { token: string; build: string } | undefined => (res.locals as Who).shown

/** A build as whoever asks may know it: by a link, under the name the link gives it. */
export function shownAs<T extends { id: string }>(res: Response, state: T): T & { shown?: true } {
  const shown = shownBy(res)
  return shown === undefined ? state : { ...state, id: shown.token, canUndo: false, canRedo: false, shown: true }
}
