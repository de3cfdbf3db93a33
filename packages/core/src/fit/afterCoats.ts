import type { Build } from '../document/build'
import { nameOf, sizeAt, type SizeRef } from '../document/read'
import { zoneOfOpening } from '../finish/film'
import { filmLaid } from '../finish/laid'
import type { Joint } from '../judge/joint'
import { isWorse, wordOf } from '../judge/verdict'
import { listed } from '../quantity/words'

/** Read bare, as far as its reading says, and by now film lies on its walls. */
const readBefore = (build: Build, ref: SizeRef): boolean => {
  const zone = zoneOfOpening(build, ref)
  return zone !== undefined && filmLaid(build, zone) > (sizeAt(build, ref)?.film ?? 0)
}

/** What the coats make of a joint and what is done about it; nothing where it stays as it is. */
export function afterCoatsSays(build: Build, joint: Pick<Joint, 'verdict' | 'coated' | 'condition' | 'reads'>): string | undefined {
  const { verdict, coated, condition } = joint
  if (!coated || coated === verdict) return undefined
  const then = `After the planned coats: ${wordOf(coated, condition)}.`
  if (!isWorse(coated, verdict)) return `${then} The film makes up for some of it.`
  const old = joint.reads.filter((ref) => readBefore(build, ref))
  if (old.length) return `${then} Some of them lie by now: read ${listed(old.map((ref) => nameOf(ref).toLowerCase()))} again, film and all.`
  return `${then} Mask the joint, or leave room for the film.`
}
