import type { Build } from '../document/build'
import { sizeAt, type SizeRef } from '../document/read'
import { unreadSays } from './told'
import { judge, type Band } from '../judge/verdict'
import { normal } from '../quantity/distribution'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'
import type { Guard } from './holeCard'

type Plain = Pick<Size, 'value' | 'doubt'>

/**
 * A thing a hole must not do, judged as joints are: by what there is to spare over a limit, and how surely.
 * @param spare what is left, mm
 * @param bands limits of it, upwards
 * @param instead what to do where it will not go; needed where the bands know such a class
 */
export function guarded(id: string, label: string, spare: Plain, bands: readonly Band[], says: string, instead = ''): Guard {
  const { verdict } = judge(normal(spare.value, spare.doubt / 2), bands)
  return {
    id,
    label,
    verdict,
    says: verdict === 'wont-go' ? `${says} ${instead}` : verdict === 'cant-tell' ? `${says}${orElse(spare, says)}` : says,
    spare: { value: spare.value, doubt: spare.doubt },
  }
}

/** What is said as if it were sure is known to so much only. */
const orElse = ({ doubt }: Plain, says: string): string =>
  doubt < 0.05 || says.includes('±') ? '' : ` It is known to ±${printMm(doubt, 1)} mm only: look, or measure again.`

/** A guard nobody can tell, and for want of what. */
export const untellable = (id: string, label: string, lacks: string): Guard => ({
  id,
  label,
  verdict: 'cant-tell',
  says: `Not checked: ${lacks}.`,
})

/** A guard nobody can tell before these sizes are read; those that are read already are left out. */
export function unread(build: Build, id: string, label: string, needs: readonly SizeRef[]): Guard {
  const missing = needs.filter((ref) => !sizeAt(build, ref))
  return { id, label, verdict: 'cant-tell', says: `Not checked. ${unreadSays(build, missing)}`, missing }
}

/** A screw nearer to an edge than so many of its diameters splits the wood. [practice] */
const EDGE_TIMES = 1.5
/** Wood wanted between two holes, mm. [practice] */
export const BETWEEN = 1.5
/** What is judged by what stays between two holes, or between a hole and something open. */
export const WOOD_LEFT: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: BETWEEN, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
/** Wood beyond this is no news, mm. */
export const NEWS = 3

/** From a hole's middle to the nearest edge. */
export const edgeGuard = (distance: Plain, diameter: number, edge: string): Guard =>
  guarded(
    'edge',
    `To ${edge}`,
    distance,
    [
      { upTo: diameter / 2, is: 'wont-go' },
      { upTo: EDGE_TIMES * diameter, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    distance.value < EDGE_TIMES * diameter
      ? `Only ${printMm(Math.max(0, distance.value), 1)} mm from ${edge}; ${EDGE_TIMES} times the diameter, ${printMm(EDGE_TIMES * diameter, 1)} mm, keeps the wood from splitting.`
      : `${printMm(distance.value, 1)} mm from ${edge}.`,
    'Put it further inwards.',
  )

/** Two round holes: what stays between them. @param apart their centres, mm @param stuff what it is of: “wood”, or the part that carries them */
export function betweenGuard(id: string, apart: Plain, radii: number, other: string, instead: string, stuff = 'wood'): Guard {
  const wood = { value: apart.value - radii, doubt: apart.doubt }
  return guarded(
    id,
    `${stuff === 'wood' ? 'Wood' : 'Left'} to ${other}`,
    wood,
    WOOD_LEFT,
    wood.value <= 0
      ? `It would break into ${other}: their centres are ${printMm(apart.value, 1)} mm apart and ${printMm(radii, 1)} are needed.`
      : wood.value < BETWEEN
        ? `Only ${printMm(wood.value, 1)} mm of ${stuff} to ${other}.`
        : `${printMm(wood.value, 1)} mm of ${stuff} to ${other}.`,
    instead,
  )
}

/** Wood that stays beyond a screw's tip. @param limit what is wanted of it, mm. @param instead what to do where it is less */
export const tipGuard = (left: Plain, limit: number, face: string, instead: string): Guard =>
  guarded(
    'tip',
    'Wood beyond the screw’s tip',
    left,
    [
      { upTo: 0, is: 'wont-go' },
      { upTo: limit, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    left.value <= 0
      ? `The screw is ${printMm(-left.value, 1)} mm too long: it would come out of ${face}.`
      : left.value < limit
        ? `The screw’s tip ends ${printMm(left.value, 1)} mm under ${face}; ${printMm(limit, 1)} are wanted. ${instead}`
        : `The screw’s tip ends ${printMm(left.value, 1)} mm under ${face}.`,
    instead,
  )
