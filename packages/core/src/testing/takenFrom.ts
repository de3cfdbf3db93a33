import type { Build } from '../document/build'
import { specAt } from '../document/read'
import type { JointKind } from '../fit/kind'
import { keyOf } from '../judge/completed'
import { bandOf, type TraitSpec } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import { slotSpec, type Slot } from '../parts/slots'
import type { Size } from '../quantity/size'
import { untold } from './anyBuild'

/** What nobody knows, and the build with each of the answers it may turn out to have. */
export interface Taken {
  at: string
  less: Build
  found: Build[]
}

const answered = (build: Build, slot: Slot, what: 'sizes' | 'traits', name: string, answer: Size | string): Build => {
  const part = build.parts[slot]!
  return { ...build, parts: { ...build.parts, [slot]: { ...part, [what]: { ...part[what], [name]: answer } } } }
}

/** Traits told of a part; not what is taken for granted, where to say nothing is to say the first of its options. */
export const askedTraits = (build: Build, slot: Slot): string[] =>
  Object.keys(build.parts[slot]?.traits ?? {}).filter(
    (trait) => !(KINDS[slotSpec(slot).kind].traits as Readonly<Record<string, TraitSpec>>)[trait]?.unasked,
  )

/** One size or trait that a joint looks at, taken out of the build: the n-th of them. Nothing where it looks at none. */
export function takenFrom(build: Build, kind: JointKind, n: number): Taken | undefined {
  const joint = kind.find(build)
  // A part's mass that was not weighed is reckoned from its wood and said as "about".
  const sizes = joint.reads.filter((r) => !specAt(r).optional && r.size !== 'mass')
  const lookedAt = new Set<Slot>([...joint.slots, ...kind.needs, ...(kind.also ?? [])])
  const traits = [...lookedAt].flatMap((slot) => askedTraits(build, slot).map((trait) => ({ slot, trait })))
  const refs = [...sizes, ...traits]
  const ref = refs[n % refs.length]
  if (!ref) return undefined
  const at = keyOf(ref)
  if ('size' in ref) {
    const { low, high } = bandOf(specAt(ref))
    const sizesOf = [low, high].map((value): Size => ({ value, doubt: 0, known: 'calipers' }))
    return {
      at,
      less: untold(build, 'sizes', ref.slot, ref.size),
      found: sizesOf.map((size) => answered(build, ref.slot, 'sizes', ref.size, size)),
    }
  }
  const options = KINDS[slotSpec(ref.slot).kind].traits[ref.trait]!.options
  return {
    at,
    less: untold(build, 'traits', ref.slot, ref.trait),
    found: options.map(([option]) => answered(build, ref.slot, 'traits', ref.trait, option)),
  }
}
