import type { Finding } from '../border/plain'
import type { Build, SetupReading, SetupWhat } from './build'
import { edit, type Change, type Json } from './change'
import { byMoment } from '../quantity/moments'

/** What each reading may be; beyond it something else was meant. */
export const SETUP_BOUNDS: Record<SetupWhat, { from: number; to: number; unit: 'mm' | 'cents' | 'dB' }> = {
  relief: { from: -1, to: 3, unit: 'mm' },
  slack: { from: -3, to: 3, unit: 'mm' },
  action: { from: 0, to: 6, unit: 'mm' },
  cents: { from: -100, to: 100, unit: 'cents' },
  gap: { from: 0, to: 3, unit: 'mm' },
  sliver: { from: 0, to: 2, unit: 'mm' },
  float: { from: 0, to: 10, unit: 'mm' },
  pickup: { from: 0.3, to: 15, unit: 'mm' },
  dive: { from: -100, to: 100, unit: 'cents' },
  raise: { from: -100, to: 100, unit: 'cents' },
  level: { from: -90, to: 0, unit: 'dB' },
}

/** What is read: relief once for the neck, the others string by string. */
export type Asked = Pick<SetupReading, 'what' | 'string' | 'slot'>

/** Readings of one kind and string, oldest first; what has no time is older than all that has. */
export const readingsOf = (build: Build, { what, string, slot }: Asked): SetupReading[] =>
  Object.values(build.setup.readings)
    .filter((r) => r.what === what && r.string === string && r.slot === slot)
    .toSorted((a, b) => byMoment(a.at, b.at))

/** The one that counts: the newest. */
export const setupReading = (build: Build, asked: Asked): number | undefined => readingsOf(build, asked).at(-1)?.value

/** Lowest string of the instrument. */
export const bassString = (build: Build): number => build.strings

/** Under which id a reading is kept: one a moment. */
export const setupReadingId = ({ what, string, slot, at }: SetupReading): string =>
  [what, ...(slot === undefined ? [] : [slot]), ...(string === undefined ? [] : [string]), ...(at === undefined ? [] : [at])].join(' ')

/** Writes a reading down beside the earlier ones. */
export function takeReading(build: Build, reading: SetupReading & { at: string }, label: string): Change {
  return { label, edits: [edit(build, ['setup', 'readings', setupReadingId(reading)], { ...reading } as unknown as Json)] }
}

/** Read once for the neck or the bridge, not string by string. */
const OF_NECK: readonly SetupWhat[] = ['relief', 'slack', 'float']

/** What cannot be among the readings, each with its place. */
export const setupProblems = (build: Build): Finding[] =>
  Object.entries(build.setup.readings).flatMap(([id, r]) => {
    const { from, to, unit } = SETUP_BOUNDS[r.what]
    const path = `setup.readings.${id}`
    const ofNeck = OF_NECK.includes(r.what)
    const wants = ofNeck ? r.string === undefined : r.string !== undefined && r.string <= build.strings
    return [
      ...(r.value < from || r.value > to
        ? [{ path: `${path}.value`, why: `A reading of ${r.what} lies from ${from} to ${to} ${unit}.` }]
        : []),
      ...(wants
        ? []
        : [
            {
              path: `${path}.string`,
              why: ofNeck
                ? `${r.what === 'float' ? 'Float is of the bridge' : 'Relief is of the neck'}, not of a string.`
                : `A reading of ${r.what} names a string from 1 to ${build.strings}.`,
            },
          ]),
    ]
  })
