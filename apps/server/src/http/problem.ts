import type { Problem } from '@snug/contract'
import type { ErrorRequestHandler, RequestHandler } from 'express'
import { DatabaseStopped } from '../db/durable'
import { NoRoom } from '../db/room'

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
  401: 'Not let in',
  403: 'Not from here',
  404: 'Not found',
  409: 'Changed elsewhere',
  410: 'Put away',
  413: 'Too large',
  415: 'Not JSON',
  422: 'Cannot be',
  429: 'Too often',
  500: 'Our fault',
  503: 'Not now',
  507: 'No room',
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
  const cause = causesOf(error).find((c) => c instanceof NoRoom || c instanceof DatabaseStopped || codeOf(c) in NO_ROOM)
  if (cause instanceof NoRoom) return new HttpProblem(507, cause.message)
  if (cause instanceof DatabaseStopped && !causesOf(cause.reason).some((c) => codeOf(c) in NO_ROOM))
    return new HttpProblem(503, 'The database stopped and is being opened again. What was answered before is safe; do this once more.')
  if (!cause && causesOf(error).some(isAway))
    return new HttpProblem(503, 'The database does not answer just now. What was answered before is safe; do this once more in a moment.')
  if (cause) return new HttpProblem(507, 'The disk is full. Nothing was written, and nothing is lost. Make room, then do it again.')
  const { type, status, limit } = error as { type?: string; status?: number; limit?: number }
  if (type === 'entity.too.large')
    return new HttpProblem(413, `That is too large: at most ${Math.round((limit ?? 0) / 1e6)} MB are taken. Nothing was changed.`)
  if (type === 'entity.parse.failed') return new HttpProblem(400, 'The body is not JSON. Nothing was changed.')
  if (status && status < 500) return new HttpProblem(status, (error as Error).message)
  return new HttpProblem(500, 'Something went wrong on our side; nothing was changed. The server’s log has the details.')
}

/** What the database and the file system say when the disk is full. */
const NO_ROOM: Record<string, true> = { '53100': true, ENOSPC: true }
/** What a database server or the way to it says when it is away, stopping, full of others or in another's way: not now, but soon. */
const AWAY = /^(08...|57...|53300|40001|40P01|55P03|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN|EHOSTUNREACH)$/
const AWAY_WORDS = /^(Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error)/
const isAway = (e: unknown): boolean => AWAY.test(codeOf(e)) || (e instanceof Error && AWAY_WORDS.test(e.message))
const codeOf = (e: unknown): string => (typeof e === 'object' && e !== null && 'code' in e ? String(e.code) : '')

/** An error and what caused it, down to the first. */
function causesOf(error: unknown): unknown[] {
  const found: unknown[] = []
  for (let e = error; e !== undefined && e !== null && found.length < 10; e = (e as { cause?: unknown }).cause) found.push(e)
  return found
}
