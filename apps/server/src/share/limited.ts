import { rateLimit } from 'express-rate-limit'
import type { RequestHandler } from 'express'

export const QUARTER = 15 * 60_000
/** Wrong phrases a device may say in a quarter of an hour, and all devices together in an hour. */
export const TRIES = 8
export const ALL_TRIES = 60

/** At most so many wrong tries in a while. @param page what one too many is answered with @param keyGenerator whose tries they are; a device's own otherwise */
export const limited = (windowMs: number, limit: number, page: (trouble: string) => string, keyGenerator?: () => string): RequestHandler =>
  rateLimit({
    windowMs,
    limit,
    skipSuccessfulRequests: true,
    // A redirect is what a right phrase is answered with.
    requestWasSuccessful: (_req, res) => res.statusCode < 400,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    ...(keyGenerator ? { keyGenerator } : {}),
    handler: (_req, res) => void res.status(429).send(page('Too many tries. Wait a quarter of an hour, then try once more.')),
  })
