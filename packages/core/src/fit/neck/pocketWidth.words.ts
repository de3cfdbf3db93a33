import type { Build } from '../../document/build'
import { sizeRef, type SizeRef } from '../../document/read'
import type { Cure } from '../../judge/joint'
import { likelyOf, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { WANTED, SLOPPY, SHAVING_DOUBT, type PocketPlace, SNUG, SHAVED_AT_MOST, VENEER, LINED_TO } from './pocketWidth.limits'
import { toldAt } from '../../judge/known'

export function widthSays(
  place: PocketPlace,
  verdict: string,
  now: number,
  worstGap: number,
  season: { close: number; known: boolean },
): string {
  const where = place === 'mouth' ? 'at the mouth' : 'at the end'
  const tail = season.known
    ? season.close < -0.005
      ? ` On the dampest days it closes by another ${printMm(-season.close)} mm.`
      : ' The year does not close it further.'
    : ' Name both woods to see what the year does to it.'
  if (now < SHAVED_AT_MOST) return `Pocket is ${printMm(-now)} mm too narrow ${where}. The neck will not go in; do not drive it.${tail}`
  if (now < SNUG.from)
    return `Pocket is ${wider(now)} ${where}. ${
      now < 0
        ? 'The neck starts and sticks; forced, the ear can crack.'
        : worstGap < 0
          ? 'Pressed in today, the ear can crack on a damp day.'
          : 'It goes in with some force.'
    }${tail}`
  if (verdict === 'tight' || worstGap < SNUG.from)
    return `It goes today with ${printMm(now)} mm, but damp air ${worstGap < 0 ? `makes it ${printMm(-worstGap)} mm too narrow` : `closes it to ${printMm(worstGap)} mm`} ${where}.`
  if (worstGap > SLOPPY) return `Gap of ${printMm(now)} mm ${where}: sloppy, the neck can swing.${tail}`
  if (worstGap > SNUG.to) return `Gap of ${printMm(now)} mm ${where}: it goes, a little loose.${tail}`
  if (now > SNUG.to)
    return `Gap of ${printMm(now)} mm ${where} today, which damp air closes to ${printMm(worstGap)}: right where it matters.`
  return `Goes in by a firm hand press, ${printMm(now)} mm to spare ${where}.${tail}`
}

function wider(now: number): string {
  const by = printMm(Math.abs(now))
  if (by === '0') return 'no wider than the heel'
  return now < 0 ? `${by} mm too narrow` : `only ${by} mm wider than the heel`
}

/** How much to take off in total so that the season's worst gap lands in the wanted range, mm. */
export function shavingAmount(worstGap: number): { from: number; to: number } {
  return { from: Math.max(0, WANTED.from - worstGap), to: Math.max(0, WANTED.to - worstGap) }
}

/**
 * Which wall to ease. The neck turns about the pocket's middle, so bringing an axis that passes on one side of the
 * bridge back to its middle needs room on that same side at the mouth and on the other at the end. [physics]
 * @param axisAtBridge where the neck's axis passes the bridge, mm, bass positive
 */
export function wallToEase(place: PocketPlace, axisAtBridge: number): 'bass' | 'treble' {
  const towardsBass = axisAtBridge > 0
  return towardsBass === (place === 'mouth') ? 'bass' : 'treble'
}

export function widthCures(
  build: Build,
  place: PocketPlace,
  verdict: string,
  atWorst: Distribution,
  refs: { pocket: SizeRef; heel: SizeRef },
): Cure[] {
  const gap = likelyOf(atWorst)
  if (gap > SNUG.to) {
    const lining = Math.max(VENEER, gap - LINED_TO)
    return [
      {
        id: 'line-wall',
        job: `Line one wall with ${printMm(lining, 1)} mm of veneer.`,
        how: 'Glue it to the pocket wall, not the heel, grain along the neck; trim flush. Takes nothing off either part.',
        gives: 'nothing',
        tools: ['veneer', 'wood glue', 'flat block'],
        plan: { slot: refs.pocket.slot, size: refs.pocket.size, delta: -lining, doubt: SHAVING_DOUBT },
      },
    ]
  }
  if (verdict === 'snug' || gap >= SNUG.from) return []
  const { from, to, middle, shares } = shaving(build, place, gap)
  const most = `then try; not more than ${to.toFixed(2)} mm in all.`
  const off = (share: number) => ((from * share) / middle).toFixed(2)
  const walls = !shares
    ? `${(from / 2).toFixed(2)} mm off each wall`
    : `${off(shares.more)} mm off the ${shares.wall} wall${shares.less < LEAST_SHAVING ? '' : ` and ${off(shares.less)} off the other`}`
  const why = shares
    ? `More from the ${shares.wall} wall, because the neck’s axis passes the bridge ${printMm(Math.abs(shares.axis))} mm to the ${
        shares.axis > 0 ? 'bass' : 'treble'
      } side: that brings it ${printMm(Math.abs(shares.moves))} mm back.`
    : 'Half off each, so that the neck’s axis stays where it is; measure the axis at the bridge to choose one wall.'
  return [
    {
      id: 'shave-wall',
      job: `Shave ${walls} near the ${place}, ${most}`,
      how: `Chisel bevel out, then P120 on a flat block; stop when it goes in by hand. ${why} What is off comes back only as veneer. Before any coat goes on.`,
      gives: 'body',
      tools: ['sharp chisel', 'P120 on a flat block'],
      limited: true,
      plan: {
        slot: 'body',
        size: refs.pocket.size,
        delta: middle,
        doubt: SHAVING_DOUBT,
        ...(shares ? { also: [{ slot: 'body', size: 'axisAtBridge', delta: shares.moves, doubt: SHAVING_DOUBT }] } : {}),
      },
    },
    {
      id: 'plane-heel',
      job: `Or plane ${(from / 2).toFixed(2)} mm off each side of the heel, ${most}`,
      how: 'Keeps a finished body whole; the heel’s sides show when the guard is off. Block plane, or block and paper; stop when it goes in by hand.',
      gives: 'neck',
      tools: ['block plane', 'P120 on a flat block'],
      limited: true,
      plan: { slot: 'neck', size: refs.heel.size, delta: -middle, doubt: SHAVING_DOUBT },
    },
  ]
}

/** What comes off in total for such a gap at the season's worst, and how the walls part it. */
function shaving(build: Build, place: PocketPlace, worstGap: number) {
  const { from, to } = shavingAmount(worstGap)
  const middle = (from + to) / 2
  return { from, to, middle, shares: wallShares(build, place, middle) }
}

/** The walls that shaving takes from, and how much in the middle of what is offered, mm: for the drawing, so that it hatches what is said. */
export function wallsToShave(build: Build, place: PocketPlace, worstGap: number): { wall: 'bass' | 'treble'; off: number }[] {
  const { middle, shares } = shaving(build, place, worstGap)
  if (!shares)
    return [
      { wall: 'bass', off: middle / 2 },
      { wall: 'treble', off: middle / 2 },
    ]
  const other = shares.wall === 'bass' ? ('treble' as const) : ('bass' as const)
  return [{ wall: shares.wall, off: shares.more }, ...(shares.less < LEAST_SHAVING ? [] : [{ wall: other, off: shares.less }])]
}

/** Less than this is not worth taking from a wall, mm. [practice] */
const LEAST_SHAVING = 0.02

/**
 * How to part what comes off between the walls so that the neck's axis comes back to the bridge's middle: a heel moved sideways by s at
 * the mouth turns about the pocket's end and moves the axis at the bridge by s (D - l)/l the other way; at the end, by s D/l about the mouth,
 * the same way. Never more on one wall than there is to take. [physics: levers]
 */
function wallShares(
  build: Build,
  place: PocketPlace,
  total: number,
): { wall: 'bass' | 'treble'; more: number; less: number; axis: number; moves: number } | undefined {
  const axis = toldAt(build, sizeRef('body', 'axisAtBridge'))
  const length = toldAt(build, sizeRef('body', 'pocket.length'))?.value
  const reach = toldAt(build, sizeRef('body', 'mouthToBridge'))?.value
  if (!axis || Math.abs(axis.value) <= Math.max(axis.doubt, LEAST_SHAVING) || length === undefined || reach === undefined) return undefined
  const lever = place === 'mouth' ? (reach - length) / length : reach / length
  const shift = Math.min(total / 2, Math.abs(axis.value) / lever)
  return {
    wall: wallToEase(place, axis.value),
    more: total / 2 + shift,
    less: total / 2 - shift,
    axis: axis.value,
    moves: -Math.sign(axis.value) * shift * lever,
  }
}
