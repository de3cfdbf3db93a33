import { createHash, randomBytes } from 'node:crypto'
import type { Request } from 'express'

/** What a device shows to be let in again: 256 random bits. */
export const newToken = (): string => randomBytes(32).toString('base64url')

/** What is kept of a token: nobody who reads it can use it. */
export const hashed = (token: string): string => createHash('sha256').update(token).digest('base64')

export const COOKIE = 'snug-device'

export const tokenOf = (req: Request): string | undefined =>
  req.headers.cookie
    ?.split(/;\s*/)
    .find((pair) => pair.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1)

/** Sent back to this server only, and out of every script's reach. */
export const COOKIE_IS = { httpOnly: true, sameSite: 'strict', path: '/', maxAge: 30 * 86_400_000 } as const
