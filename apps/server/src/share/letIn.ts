import type { Request, Response } from 'express'
import { HttpProblem } from '../http/problem'

/** A stranger is shown the page that lets them in, or told so in a sentence where no page is asked for. @throws HttpProblem */
export function turnedAway(req: Request, res: Response, page: () => string, sentence: string): void {
  if (req.method === 'GET' && !req.path.startsWith('/api') && req.accepts(['html', 'json']) === 'html') {
    res.status(401).set('Cache-Control', 'no-store').send(page())
    return
  }
  throw new HttpProblem(401, sentence)
}
