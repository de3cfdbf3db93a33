import { capital, theStrings } from '../quantity/words'
import type { Move } from './move'
import type { SlotWork } from './nutSlots'

/** The nut in one line; the slots are in its own tab. */
export function nutMove(slots: readonly SlotWork[]): Move {
  const base = { id: 'nut', title: 'Nut slots', target: 'each its own', moves: 'action a little, pitch of the first frets' }
  const read = slots.filter((s) => s.read)
  if (!read.length)
    return { ...base, done: false, says: 'After the frets are level: each string held at fret 3, read what is left over fret 1.' }
  const measured = `${read.length} of ${slots.length} read`
  const work = read.filter((s) => s.state !== 'good')
  if (!work.length && read.length === slots.length) return { ...base, measured, done: true, says: 'All slots are as wanted.' }
  const low = read.filter((s) => s.state === 'low')
  return {
    ...base,
    measured,
    done: false,
    says: low.length
      ? `${capital(theStrings(low.map((s) => s.number)))} ${low.length === 1 ? 'lies' : 'lie'} too deep: fill or shim before anything is filed.`
      : work.length
        ? `To file: ${work.map((s) => `string ${s.number} by ${s.file.toFixed(2)} mm`).join(', ')}, the last tenth by feel.`
        : 'The rest are to be read yet.',
  }
}
