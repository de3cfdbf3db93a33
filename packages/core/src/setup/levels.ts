import type { Build } from '../document/build'
import { setupReading } from '../document/setupReadings'
import { PLACES } from '../instrument/guardPlace'
import { slotSpec, type Slot } from '../parts/slots'
import { turnWords } from './screws'
import { pickupHeights } from './pickupHeights'

/** A level in dB under full falls by twelve for twice the distance, about. [ours: the field of a pole near it goes with its inverse square] */
const PER_DOUBLING = 12
/** Thread of pole and height screws, mm a turn. [practice] */
const PITCH = 0.7
/** Nobody hears less between two strings, dB. [practice] */
const HEARD = 1.5
/** No pole is moved further at once, mm. [practice] */
const MOST = 1

export type Level = { ok: true; dB: number } | { ok: false; why: string }

const WINDOW = 0.3
const FULL = 0.999
const SILENT = -70

/** Level of a plucked string: the loudest third of a second, root mean square, dB under full. @param rate 1/s */
export function levelOf(samples: Float64Array, rate: number): Level {
  const window = Math.round(WINDOW * rate)
  if (samples.length < window) return { ok: false, why: 'It is too short: a third of a second is needed.' }
  let clipped = 0
  let sum = 0
  let loudest = 0
  for (let i = 0; i < samples.length; i++) {
    if (Math.abs(samples[i]!) >= FULL) clipped++
    sum += samples[i]! ** 2
    if (i >= window) sum -= samples[i - window]! ** 2
    if (i >= window - 1) loudest = Math.max(loudest, sum)
  }
  if (clipped > 3) return { ok: false, why: 'It is cut off at full level: turn the input down and play it again.' }
  const dB = 10 * Math.log10(loudest / window)
  return dB < SILENT ? { ok: false, why: 'Nothing was heard: is it plugged in, the volume up, this pickup chosen?' } : { ok: true, dB }
}

export interface LevelWork {
  slot: Slot
  label: string
  strings: { number: number; dB: number; over: number; says: string }[]
  mean?: number
  says: string
}

/** Further away, or nearer, that takes so many dB off, mm. @param distance now */
const moveFor = (distance: number, dB: number) => Math.max(-MOST, Math.min(MOST, distance * (2 ** (dB / PER_DOUBLING) - 1)))

/** String by string and pickup by pickup: what was read, and which way screws go to even it out. */
export function levelWork(build: Build): LevelWork[] {
  const heights = pickupHeights(build)
  const all = PLACES.map((place) => `pickup-${place}` as const)
    .filter((slot) => build.parts[slot])
    .map((slot) => {
      const read = Array.from({ length: build.strings }, (_, i) => ({
        number: i + 1,
        dB: setupReading(build, { what: 'level', string: i + 1, slot }),
      })).filter((s): s is { number: number; dB: number } => s.dB !== undefined)
      const mean = read.length ? read.reduce((s, r) => s + r.dB, 0) / read.length : undefined
      return { slot, label: slotSpec(slot).label, read, mean }
    })
  const means = all.flatMap((p) => (p.mean === undefined ? [] : [p.mean]))
  const quietest = Math.min(...means)
  return all.map(({ slot, label, read, mean }): LevelWork => {
    const sides = heights.find((h) => h.slot === slot)!.sides
    const distance = (n: number) => {
      const [bass, treble] = [sides[0]!, sides[1]!].map((s) => s.read ?? s.wanted) as [number, number]
      return treble + ((bass - treble) * (n - 1)) / Math.max(1, build.strings - 1)
    }
    const strings = read.map(({ number, dB }) => {
      const over = dB - mean!
      const by = moveFor(distance(number), over)
      return {
        number,
        dB,
        over,
        says:
          Math.abs(over) < HEARD || read.length < 2
            ? 'even'
            : `${over > 0 ? 'louder' : 'softer'} by ${Math.abs(over).toFixed(1)} dB: its pole ${Math.abs(by).toFixed(1)} mm ${by > 0 ? 'down' : 'up'}, ${turnWords(by / PITCH)}, seen from above; without pole screws tilt the pickup`,
      }
    })
    const off = mean === undefined || means.length < 2 ? 0 : mean - quietest
    const lower = moveFor(distance((build.strings + 1) / 2), off)
    return {
      slot,
      label,
      strings,
      ...(mean === undefined ? {} : { mean }),
      says:
        mean === undefined
          ? 'Not read yet.'
          : off < HEARD
            ? means.length < 2
              ? 'Read another pickup to weigh them against each other.'
              : 'As loud as the softest: it stays.'
            : `Louder than the softest by ${off.toFixed(1)} dB: the whole pickup ${lower.toFixed(1)} mm down, both ends alike.`,
    }
  })
}
