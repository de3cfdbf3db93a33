import type { NutWork } from '../document/read'
import { capital, theStrings } from '../quantity/words'
import type { Move } from './move'
import { BOTTOM_FIRST, FILED_AT_MOST, type SlotWork } from './nutSlots'
import { SAY_NUT } from './sayNut'

/** The nut in one line; the slots are in its own tab. */
export function nutMove(slots: readonly SlotWork[], work: NutWork | undefined): Move {
  const title = TITLE[work ?? 'untold']
  const base = { id: 'nut', title, target: 'each its own', moves: 'action a little, pitch of the first frets' }
  const read = slots.filter((s) => s.read)
  if (!read.length)
    return { ...base, done: false, says: 'After the frets are level: each string held at fret 3, read what is left over fret 1.' }
  const measured = `${read.length} of ${slots.length} read`
  if (read.length === slots.length && read.every((s) => s.state === 'good'))
    return { ...base, measured, done: true, says: 'All slots are as wanted.' }
  return { ...base, measured, done: false, says: work === 'whole' ? asAWhole(read, slots.length) : oneByOne(read, work === 'filed') }
}

const TITLE = { filed: 'Nut slots', whole: 'Nut height', untold: 'Nut' } as const

/** @param filed somebody has said that it is filed */
function oneByOne(read: readonly SlotWork[], filed: boolean): string {
  const low = read.filter((s) => s.state === 'low')
  if (low.length)
    return `${capital(theStrings(low.map((s) => s.number)))} ${low.length === 1 ? 'lies' : 'lie'} too deep: ${filed ? 'fill or shim before anything is filed' : 'shims under the nut lift them, whatever it is'}.`
  const far = read.filter((s) => s.state === 'file' && s.file > FILED_AT_MOST)
  if (filed && far.length)
    return `${capital(theStrings(far.map((s) => s.number)))} ${far.length === 1 ? 'stands' : 'stand'} more than ${FILED_AT_MOST} mm too high. ${BOTTOM_FIRST}`
  const high = read.filter((s) => s.state === 'file').map((s) => `string ${s.number} by ${s.file.toFixed(2)} mm`)
  if (!high.length) return 'The rest are to be read yet.'
  return filed ? `To file: ${high.join(', ')}, the last tenth by feel.` : `Too high: ${high.join(', ')}. ${SAY_NUT}`
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
