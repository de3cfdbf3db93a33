import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import { isOnStuds } from '../instrument/vibrato'
import { printTurns, toEighths } from './action'

/**
 * Screws of an instrument, each with what a turn clockwise does, seen from where the hand is. Right-handed threads all. [physics: a screw
 * turned clockwise goes away from the hand that turns it; what it is threaded into stays, what it carries goes with it]
 */
export const SCREWS = {
  /** Threaded through the saddle, standing on the plate: it goes down and lifts the saddle. */
  grub: { label: 'saddle screw', from: 'seen from above', clockwise: 'up' },
  /** Threaded into the body, carrying the bridge by its head. */
  stud: { label: 'stud', from: 'seen from above', clockwise: 'down' },
  /** A nut on a fixed post, or the post with it, under the bridge it carries: it goes down the thread. */
  wheel: { label: 'thumb wheel', from: 'seen from above (a slotted post the same)', clockwise: 'down' },
  /** Through the claw into the wood: it draws the springs tight. */
  claw: { label: 'claw screw', from: 'seen from its head', clockwise: 'tight' },
} as const
export type HeightScrew = 'grub' | 'stud' | 'wheel'

/** By how the bridge is held; nothing while nobody has said. */
export const heightScrewOf = (mount: string | undefined): HeightScrew | undefined =>
  mount === undefined ? undefined : mount === 'post' ? 'wheel' : isOnStuds(mount) ? 'stud' : 'grub'

/** Screws at its ends set the length of all strings together. */
export const goesWhole = (build: Build): boolean => traitAt(build, 'bridge', 'lengths') === 'ends'

/** Below this a turn is not worth a key, turns. [ours] */
const LEAVE = 1 / 16

/** Turns as a hand makes them, to an eighth, clockwise positive, so that what the screw carries goes up by so much. @param pitch mm a turn */
export function heightTurns(screw: HeightScrew, up: number, pitch: number): number {
  const turns = up / pitch
  if (Math.abs(turns) < LEAVE) return 0
  return toEighths(SCREWS[screw].clockwise === 'up' ? turns : -turns)
}

/** "1 1/4 turns clockwise", or to leave it. @param turns clockwise positive */
export const turnWords = (turns: number): string =>
  toEighths(turns) === 0
    ? 'leave'
    : `${printTurns(turns)} ${Math.abs(toEighths(turns)) > 1 ? 'turns' : 'turn'} ${turns > 0 ? 'clockwise' : 'counter-clockwise'}`

/** What to turn so that what the screw carries goes up by so much. @param up mm, down negative; @param pitch mm a turn */
export const heightTurn = (screw: HeightScrew, up: number, pitch: number): string => turnWords(heightTurns(screw, up, pitch))

/** Where the hand is at a truss nut. */
const TRUSS_FROM: Record<string, string> = {
  head: 'looking from the headstock down the neck',
  heel: 'looking from the body up the neck',
}
export const trussFrom = (at: string | undefined): string => TRUSS_FROM[at ?? ''] ?? 'looking at its nut from in front of it'

/** Tightened clockwise at whichever end its nut sits, seen from in front of the nut. [practice; a two-way rod the same for less relief] */
export const trussTurn = (tighten: boolean, at: string | undefined): string =>
  `${tighten ? 'Tighten' : 'Loosen'} (${tighten ? 'clockwise' : 'counter-clockwise'}, ${trussFrom(at)})`
