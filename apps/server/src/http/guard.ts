import { whyNotText } from '@snug/core'
import type { RequestHandler } from 'express'
import { HttpProblem } from './problem'

const LOCAL = new Set(['localhost', '127.0.0.1', '[::1]'])
const hostOf = (value: string) => value.replace(/:\d+$/, '')

/**
 * Only our own page may talk to the API. The Host must be a local name, or where it is shared an address of this machine (a page that points
 * its own name at us is turned away), and an Origin, when sent, must be this very host and port.
 */
export const ownPageOnly =
  (shared: readonly string[]): RequestHandler =>
  (req, _res, next) => {
    const host = req.headers.host ?? ''
    if (!LOCAL.has(hostOf(host)) && !shared.includes(hostOf(host)))
      throw new HttpProblem(
        403,
        shared.length ? 'Snug Bolt answers only at the address it shows where it was started.' : 'Snug Bolt answers only on localhost.',
      )
    const { origin } = req.headers
    if (origin !== undefined && origin !== `http://${host}`)
      throw new HttpProblem(403, 'A page of another site tried to reach Snug Bolt and was turned away.')
    const site = req.headers['sec-fetch-site']
    if (site === 'cross-site' && req.method !== 'GET')
      throw new HttpProblem(403, 'A page of another site tried to reach Snug Bolt and was turned away.')
    next()
  }

/** Where a picture itself is sent instead of JSON; no plain form of another page can send that either. */
const PICTURES = /^\/builds\/[^/]+\/photos$/

/** Changes come as JSON, which no plain form of another page can send. */
export const jsonOnly: RequestHandler = (req, _res, next) => {
  if (req.method === 'POST' && PICTURES.test(req.path) && req.is('image/*')) return next()
  if (req.method !== 'GET' && req.method !== 'HEAD' && req.method !== 'DELETE' && !req.is('application/json'))
    throw new HttpProblem(415, 'Send JSON (content-type application/json).')
  next()
}

/** Addresses hold text too, and it follows the one rule for text. */
export const fitAddress: RequestHandler = (req, _res, next) => {
  let address: string
  try {
    address = decodeURIComponent(req.originalUrl.replaceAll('+', ' '))
  } catch {
    throw new HttpProblem(400, 'The address is not written as addresses are (a % without its two digits).')
  }
  const why = whyNotText(address)
  if (why) throw new HttpProblem(400, why)
  next()
}

/** A request this large is not within the ordinary room; twice its bytes are wanted, for the table and for the log before it. [ours] */
const LARGE = 5e6

/** Before anything is written: is there room for it? Reading goes on in any case. */
export const roomToWrite =
  (wantRoom: (more?: number) => void): RequestHandler =>
  (req, _res, next) => {
    const bytes = Number(req.headers['content-length'] ?? 0)
    if (req.method !== 'GET' && req.method !== 'HEAD') wantRoom(bytes > LARGE ? 2 * bytes : 0)
    next()
  }
