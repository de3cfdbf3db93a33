import type { Request } from 'express'

/** The name a build has in a link: no build's own id is of this form. */
const SHOWN = 'shown-[A-Za-z0-9_-]{43}'
const IS_SHOWN = new RegExp(`^${SHOWN}$`)
/** The interface itself, which holds nothing of anybody's, and what a link leads to. */
const PUBLIC = new RegExp(`^(/assets/|/builds/${SHOWN}(/|$)|/api/builds/${SHOWN}(/|$))`)

export const isShown = (id: string): boolean => IS_SHOWN.test(id)

/** Looking at what needs no letting in: the pieces of the interface, and a build by its link. */
export const isPublic = (req: Request): boolean => (req.method === 'GET' || req.method === 'HEAD') && PUBLIC.test(req.path)
