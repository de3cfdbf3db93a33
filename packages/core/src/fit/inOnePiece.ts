import type { Build } from '../document/build'
import { isThrough } from '../document/read'
import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'

export const isOfOnePiece = (body: Part | undefined): boolean => body?.traits.neckIs === 'through'

/**
 * A neck and a body in one piece are had together or not at all: why another part cannot take this one's place. Nothing where it can.
 * @param open slots that may get another part, this one among them
 */
export function tornApart(build: Build, slot: Slot, part: Part, open: readonly Slot[] = [slot]): string | undefined {
  if (part === build.parts[slot]) return undefined
  const neckStays = build.parts.neck !== undefined && !open.includes('neck')
  if (slot === 'body' && isOfOnePiece(part) && (build.parts.neck !== undefined || open.includes('neck')))
    return 'It is in one piece with a neck of its own, and has no place for another.'
  if (slot === 'body' && isThrough(build) && neckStays) return 'The neck that is here is in one piece with its own body.'
  if (slot === 'neck' && isThrough(build) && !open.includes('body')) return 'The body that is here is in one piece with its own neck.'
  return undefined
}

/** Of one piece both stay or both go. */
export const areOneOrNone = (build: Build, body: Part, neck: Part): boolean =>
  !isThrough(build) || (body === build.parts.body) === (neck === build.parts.neck)
