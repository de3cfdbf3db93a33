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
      ? `String ${low.map((s) => s.number).join(', ')} lies too deep: fill or shim before anything is filed.`
      : work.length
        ? work.map((s) => `string ${s.number}: ${s.file.toFixed(2)} mm`).join(', ') + ' to file, the last tenth by feel.'
        : 'The rest are to be read yet.',
  }
}
