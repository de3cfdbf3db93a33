import type { Build } from '../document/build'
import { isGlued, type NutWork } from '../document/read'
import { datums } from '../instrument/datums'
import { saddleMoveFor } from './action'
import type { SlotWork } from './nutSlots'
import { toldAt } from '../judge/known'

/** What a nut shim is made thicker by, so that every slot can be filed again, mm. [practice] */
const SPARE = 0.1

/** Thickness of a shim under the whole nut that saves the deepest slot, mm; nothing where none is too deep, or nobody has said what nut it is. */
export function nutShim(slots: readonly SlotWork[], work: NutWork | undefined): { thickness: number; says: string } | undefined {
  const low = slots.filter((s) => s.state === 'low')
  if (!low.length) return undefined
  const lack = Math.max(...low.map((s) => -s.file))
  if (!work) return undefined
  if (work === 'whole')
    return {
      thickness: lack,
      says: `Metal shims of ${lack.toFixed(2)} mm more under the nut, its full length and width, lift every string by that; its screws tight before it is read again.`,
    }
  const thickness = lack + SPARE
  return {
    thickness,
    says: `A shim of ${thickness.toFixed(2)} mm under the whole nut, veneer, bone or card soaked in thin glue, lifts every slot; then each is filed to its number again. More than half a millimetre: a new nut.`,
  }
}

/**
 * A taper under a bolted neck's heel, thickest at the pocket's end, that takes so much off the action at fret 12 where saddles are at their
 * stop, mm: the neck turns about the pocket's mouth. [physics] Nothing for a glued neck.
 */
export function neckShim(build: Build, change: number, back = 0): { thickness: number; degrees: number; length: number } | undefined {
  if (isGlued(build) || change >= 0) return undefined
  const { mouth, scale } = datums(build)
  const length = toldAt(build, { slot: 'body', size: 'pocket.length' })?.value
  if (length === undefined || scale - mouth < 50) return undefined
  const angle = -saddleMoveFor(change, back) / (scale * (1 + back) - mouth)
  return { thickness: angle * length, degrees: (angle * 180) / Math.PI, length }
}
