import type { Build } from '../document/build'
import { setupReading } from '../document/setupReadings'
import { PLACES } from '../instrument/guardPlace'
import { slotSpec, type Slot } from '../parts/slots'
import { turnWords } from './screws'
import { pickupHeights, TOO_NEAR } from './pickupHeights'
import { staleSays } from './staleness'

/** A level in dB under full falls by twelve for twice the distance, about. [ours: the field of a pole near it goes with its inverse square] */
const PER_DOUBLING = 12
/** Thread of pole and height screws, mm a turn. [practice] */
const PITCH = 0.7
/** Nobody hears less between two strings, dB. [practice] */
const HEARD = 1.5
/** No pole is moved further at once, mm. [practice] */
const MOST = 1
/** Less than this is no turn, mm. [ours] */
const LEAST = 0.1

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

/** Of one pickup: what was read of its strings, and whether that still holds. */
interface Heard {
  slot: Slot
  label: string
  read: { number: number; dB: number; old: string | undefined }[]
}

function heardOf(build: Build): Heard[] {
  return PLACES.map((place) => `pickup-${place}` as const)
    .filter((slot) => build.parts[slot])
    .map((slot) => ({
      slot,
      label: slotSpec(slot).label,
      read: Array.from({ length: build.strings }, (_, i) => {
        const asked = { what: 'level', string: i + 1, slot } as const
        return { number: i + 1, dB: setupReading(build, asked), old: staleSays(build, asked) }
      }).flatMap((r) => (r.dB === undefined ? [] : [{ ...r, dB: r.dB }])),
    }))
}

const fresh = ({ read }: Heard) => read.filter((r) => !r.old)
const meanOf = (read: readonly { dB: number }[]) => (read.length ? read.reduce((s, r) => s + r.dB, 0) / read.length : undefined)

/** Mean of each pickup over the strings that were read of all that were read at all: a pickup heard by its loudest string alone is not the louder one. */
function weighed(all: readonly Heard[]): Map<Slot, number> {
  const some = all.filter((p) => fresh(p).length)
  const inAll = ({ number }: { number: number }) => some.every((p) => fresh(p).some((r) => r.number === number))
  return new Map(
    some.flatMap((p) => {
      const mean = meanOf(fresh(p).filter(inAll))
      return mean === undefined ? [] : [[p.slot, mean] as const]
    }),
  )
}

/** String by string and pickup by pickup: what was read, and which way screws go to even it out. */
export function levelWork(build: Build): LevelWork[] {
  const heights = pickupHeights(build)
  const all = heardOf(build)
  const means = weighed(all)
  return all.map((pickup): LevelWork => {
    const { slot, label, read } = pickup
    const sides = heights.find((h) => h.slot === slot)!.sides
    const distance = (n: number) => {
      const [bass, treble] = [sides[0]!, sides[1]!].map((s) => s.read ?? s.wanted) as [number, number]
      return treble + ((bass - treble) * (n - 1)) / Math.max(1, build.strings - 1)
    }
    const mean = meanOf(fresh(pickup))
    const strings = read.map(({ number, dB, old }) => {
      const over = old || mean === undefined ? 0 : dB - mean
      const even = Math.abs(over) < HEARD || fresh(pickup).length < 2
      return { number, dB, over, says: old ?? (even ? 'even' : poleSays(over, distance(number))) }
    })
    return {
      slot,
      label,
      strings,
      ...(mean === undefined ? {} : { mean }),
      says: wholeSays(pickup, means, distance((build.strings + 1) / 2)),
    }
  })
}

/** A string that is louder or softer than the others: which way its pole goes, and no nearer than a pole may come. @param distance now, mm */
function poleSays(over: number, distance: number): string {
  const much = `${over > 0 ? 'louder' : 'softer'} by ${Math.abs(over).toFixed(1)} dB`
  const by = Math.max(moveFor(distance, over), TOO_NEAR - distance)
  if (over < 0 && by > -LEAST) return `${much}: its pole is as near as it may be, the others go down instead`
  return `${much}: its pole ${Math.abs(by).toFixed(1)} mm ${by > 0 ? 'down' : 'up'}, ${turnWords(by / PITCH)}, seen from above; without pole screws tilt the pickup`
}

function wholeSays(pickup: Heard, means: ReadonlyMap<Slot, number>, distance: number): string {
  if (!pickup.read.length) return 'Not read yet.'
  if (!fresh(pickup).length) return 'Play it again: what was read no longer holds.'
  const own = means.get(pickup.slot)
  if (own === undefined) return 'Read the same strings of each pickup to weigh them against each other.'
  if (means.size < 2) return 'Read another pickup to weigh them against each other.'
  const off = own - Math.min(...means.values())
  if (off < HEARD) return 'As loud as the softest: it stays.'
  return `Louder than the softest by ${off.toFixed(1)} dB: the whole pickup ${moveFor(distance, off).toFixed(1)} mm down, both ends alike.`
}
