import { nutWork } from '../document/read'
import type { Build } from '../document/build'
import { setupReading } from '../document/setupReadings'
import { capital, theStrings } from '../quantity/words'

/** A return is good within this, cents. [practice] */
const GOOD = 2

export interface Return {
  string: number
  dive?: number
  raise?: number
  says: string
}

/**
 * Where a vibrato rubs. The arm down slackens the string between nut and saddle, and string behind the nut pulls some of it over to the
 * tuner's side; if it sticks there it comes back sharp. The arm up draws string in from behind the nut; if that sticks it comes back flat. The
 * other way round it is the bridge that does not come home. [physics: friction at the nut holds what slid over it]
 */
export function returnTest(build: Build): Return[] {
  return Array.from({ length: build.strings }, (_, i) => {
    const string = i + 1
    const [dive, raise] = (['dive', 'raise'] as const).map((what) => setupReading(build, { what, string }))
    return {
      string,
      ...(dive === undefined ? {} : { dive }),
      ...(raise === undefined ? {} : { raise }),
      says: says(dive, raise, AT_NUT[nutWork(build) ?? 'untold']),
    }
  })
}

const BRIDGE = 'the bridge does not come home: knife edges, springs that rub, a screw that binds, a ball end not seated'

const AT_NUT = {
  filed: 'it rubs at the nut or a string tree: slot polished and widened a hair, graphite, tree loosened',
  whole: 'it slips in the nut’s clamp: closed tighter, the string’s end square under it',
  untold: 'it hangs at the nut or a string tree: a slot is polished, a clamp closed tighter',
} as const

function says(dive: number | undefined, raise: number | undefined, nut: string): string {
  if (dive === undefined && raise === undefined) return 'Tune, arm down, let go, read; tune, arm up, let go, read.'
  const at = [
    ...(dive !== undefined && Math.abs(dive) > GOOD ? [dive > 0 ? 'nut' : 'bridge'] : []),
    ...(raise !== undefined && Math.abs(raise) > GOOD ? [raise < 0 ? 'nut' : 'bridge'] : []),
  ]
  if (!at.length) return 'Comes back.'
  const both = new Set(at)
  if (both.size === 2)
    return 'Sharp both ways or flat both ways: strings are not stretched yet, or slip at the tuner; stretch and read again.'
  return both.has('nut')
    ? `Hangs ${dive !== undefined && dive > GOOD ? 'sharp after a dive' : 'flat after a pull'}: ${nut}.`
    : `${BRIDGE[0]!.toUpperCase()}${BRIDGE.slice(1)}.`
}

/** The one line of all of them. */
export function returnSays(list: readonly Return[]): string | undefined {
  const read = list.filter((r) => r.dive !== undefined || r.raise !== undefined)
  if (!read.length) return undefined
  const off = read.filter((r) => r.says !== 'Comes back.')
  if (!off.length) return `${read.length} of ${list.length} strings read, and they come back.`
  const bridge = off.filter((r) => r.says.startsWith('The bridge'))
  return bridge.length === off.length && off.length > 1
    ? 'Every string that hangs hangs alike: look at the bridge, not the nut.'
    : `${capital(theStrings(off.map((r) => r.string)))} ${off.length === 1 ? 'hangs' : 'hang'}: see below where.`
}
