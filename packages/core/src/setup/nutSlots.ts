import type { Build } from '../document/build'
import { nutWork } from '../document/read'
import { readingsOf } from '../document/setupReadings'
import { LEAST_SLIVER, nutTargetOf } from '../instrument/nutTargets'
import { sliver, openGap, slotForSliver } from '../physics/nutAction'
import { crownsOf } from '../physics/neckCurve'
import { SLIVER_AT, type SetupModel } from './model'
import { staleSays } from './staleness'
import { isAfter } from '../quantity/moments'

/** Filing stops so far before the number, mm: the last of it is done by feel. [practice] */
const EARLY = 0.1
const CLOSE = 0.03
/** A slot filed deeper buries its string, mm. [practice, from memory] */
export const FILED_AT_MOST = 1
export const BOTTOM_FIRST = 'Read it again: filed so deep a slot buries its string. Where all stand so high, the nut’s bottom comes first.'

export interface SlotWork {
  number: number
  /** As it is: over the first fret open, and held at fret 3, mm. */
  open: number
  sliver: number
  read: boolean
  wanted: number
  /** To take off the slot, mm; less than nothing: it is too low already. */
  file: number
  state: 'unread' | 'file' | 'good' | 'low'
  says: string
}

const readAt = (build: Build, what: 'gap' | 'sliver', string: number): string | undefined => readingsOf(build, { what, string }).at(-1)?.at

/** What every slot wants, judged both ways. Computed on the crowns as they stand with this relief. */
export function nutSlots(build: Build, model: SetupModel): SlotWork[] {
  const target = nutTargetOf(build)
  const work = nutWork(build)
  return model.strings.map((s): SlotWork => {
    const wanted = target.treble + ((target.bass - target.treble) * (s.number - 1)) / Math.max(1, build.strings - 1)
    const plain = crownsOf({ ...model.shape, slot: 0 })
    const file = s.slot - (slotForSliver(plain, SLIVER_AT, wanted) - plain.nut.y)
    const base = { number: s.number, open: openGap(s.neck, s.saddle), sliver: sliver(s.neck, SLIVER_AT), read: s.slotRead, wanted, file }
    const newest = isAfter(readAt(build, 'gap', s.number), readAt(build, 'sliver', s.number)) ? 'gap' : 'sliver'
    const old = s.slotRead && staleSays(build, { what: newest, string: s.number })
    if (old) return { ...base, read: false, state: 'unread', says: old }
    if (!s.slotRead)
      return { ...base, state: 'unread', says: 'Hold it at fret 3 and read what is left over fret 1, or the open gap there.' }
    if (file < -CLOSE && base.sliver >= LEAST_SLIVER)
      return {
        ...base,
        state: 'good',
        says: `${(-file).toFixed(2)} mm lower than ${target.label} wants, yet clear of the fret: leave it unless it buzzes open.`,
      }
    if (file < -CLOSE)
      return {
        ...base,
        state: 'low',
        says: `${(-file).toFixed(2)} mm too deep: it lies on fret 1 and buzzes open. ${work === 'filed' ? 'Fill with glue and bone dust, or a shim under the nut' : 'A shim under the whole nut'}.`,
      }
    if (file <= CLOSE) return { ...base, state: 'good', says: 'As wanted. Leave it.' }
    if (!work) return { ...base, state: 'file', says: `${file.toFixed(2)} mm high. First say what nut it is.` }
    if (work === 'whole')
      return {
        ...base,
        state: 'file',
        says: `${file.toFixed(2)} mm high. Nothing is filed in hard metal: the whole nut goes down, or this end of it.`,
      }
    if (file > FILED_AT_MOST) return { ...base, state: 'file', says: `${file.toFixed(2)} mm high. ${BOTTOM_FIRST}` }
    const now = Math.max(0, file - EARLY)
    return {
      ...base,
      state: 'file',
      says:
        now > 0.02
          ? `File ${now.toFixed(2)} mm, read again; ${Math.min(file, EARLY).toFixed(2)} mm are left for the last strokes.`
          : `${file.toFixed(2)} mm: a stroke or two, then read again.`,
    }
  })
}
