import { capital, theStrings } from '../quantity/words'
import type { Move } from './move'
import type { SlotWork } from './nutSlots'

/** The nut in one line; the slots are in its own tab. */
export function nutMove(slots: readonly SlotWork[], locking: boolean): Move {
  const title = locking ? 'Nut height' : 'Nut slots'
  const base = { id: 'nut', title, target: 'each its own', moves: 'action a little, pitch of the first frets' }
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
    says: locking
      ? asAWhole(read, slots.length)
      : low.length
        ? `${capital(theStrings(low.map((s) => s.number)))} ${low.length === 1 ? 'lies' : 'lie'} too deep: fill or shim before anything is filed.`
        : work.length
          ? `To file: ${work.map((s) => `string ${s.number} by ${s.file.toFixed(2)} mm`).join(', ')}, the last tenth by feel.`
          : 'The rest are to be read yet.',
  }
}

/** A nut that is not filed goes up as far as its deepest slot needs, and down no further than its lowest string allows. */
function asAWhole(read: readonly SlotWork[], strings: number): string {
  const low = read.filter((s) => s.state === 'low')
  if (low.length) {
    const up = Math.max(...low.map((s) => -s.file))
    return `${capital(theStrings(low.map((s) => s.number)))} ${low.length === 1 ? 'lies' : 'lie'} too deep: shims of ${up.toFixed(2)} mm more under the nut.`
  }
  const high = read.filter((s) => s.state === 'file')
  if (read.length < strings || !high.length) return 'The rest are to be read yet.'
  const down = Math.min(...read.map((s) => s.file))
  return high.length === strings
    ? `Lower the whole nut by ${down.toFixed(2)} mm: thinner shims, or its shelf deeper. Then read again.`
    : `${capital(theStrings(high.map((s) => s.number)))} ${high.length === 1 ? 'stands' : 'stand'} high, the others do not: thinner shims at that end. Then read again.`
}
