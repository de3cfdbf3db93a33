import type { Problem } from '@snug/contract'
import type { ErrorRequestHandler, RequestHandler } from 'express'

/** An answer that is not what was hoped for: a plain sentence, the fields at fault, and what there is instead. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly more: { problems?: Problem[]; current?: unknown } = {},
  ) {
    super(detail)
  }
}

const TITLES: Record<number, string> = {
  400: 'Not understood',
  403: 'Not from here',
  404: 'Not found',
  409: 'Changed elsewhere',
  413: 'Too large',
  415: 'Not JSON',
  422: 'Cannot be',
  500: 'Our fault',
}

export const notFound: RequestHandler = (req) => {
  throw new HttpProblem(404, `There is nothing at ${req.method} ${req.path}.`)
}

/** Every error leaves as problem+json with one plain sentence. */
export const problemHandler: ErrorRequestHandler = (error, req, res, next) => {
  if (res.headersSent) return next(error)
  const problem = asProblem(error)
  if (problem.status >= 500) req.log?.error(error)
  res
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify({ title: TITLES[problem.status] ?? 'Problem', status: problem.status, detail: problem.message, ...problem.more }))
}

function asProblem(error: unknown): HttpProblem {
  if (error instanceof HttpProblem) return error
  const { type, status, limit } = error as { type?: string; status?: number; limit?: number }
  if (type === 'entity.too.large')
    return new HttpProblem(413, `That is too large: at most ${Math.round((limit ?? 0) / 1e6)} MB are taken. Nothing was changed.`)
  if (type === 'entity.parse.failed') return new HttpProblem(400, 'The body is not JSON. Nothing was changed.')
  if (status && status < 500) return new HttpProblem(status, (error as Error).message)
  return new HttpProblem(500, 'Something went wrong on our side; nothing was changed. The server’s log has the details.')
}
