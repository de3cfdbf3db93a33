import { told } from '../quantity/size'
import { isNaught, type SizeSpec } from './kind'
import { KINDS, type KindName } from './kinds/index'
import { printValue } from './check'
import type { Part } from './part'

/** Of one part the one size is no more than the other: where it is, one of them was read or written wrongly, and nobody knows which. */
interface Rule {
  sizes: readonly [less: string, more: string]
  because: string
}
const atMost = (less: string, more: string, because: string): Rule => ({ sizes: [less, more], because })

/** Which sizes of a kind hang together, beside those of its screws. */
const OF_KIND: Partial<Record<KindName, readonly Rule[]>> = {
  neck: [
    atMost('nut.width', 'board.widthEnd', 'a board is no narrower towards the body'),
    atMost('board.thickness', 'heel.thickness', 'the heel is read with the board on it'),
    atMost('board.thickness', 'fret1.thickness', 'a neck is read with the board on it'),
    atMost('nutToHeelEnd', 'scale', 'the neck ends before the bridge'),
  ],
  body: [atMost('pocket.length', 'mouthToBridge', 'the bridge stands behind the pocket')],
  bridge: [
    atMost('height.min', 'height.max', 'the lowest is not above the highest'),
    atMost('spread', 'plate.width', 'all strings go over the plate'),
  ],
  nut: [atMost('spread', 'length', 'the outer strings lie on the nut')],
  pot: [atMost('shaft.diameter', 'bushing.diameter', 'the shaft turns inside the bushing')],
  strings: Array.from({ length: 12 }, (_, i) => atMost(`core.${i + 1}`, `gauge.${i + 1}`, 'a core lies inside its winding')),
}

/** A thread stands out from its root, and a screw is longer than thick. */
const ofScrews = (sizes: readonly string[]): Rule[] =>
  sizes.flatMap((root) => {
    if (!/(^|\.)root$/.test(root)) return []
    const of = (name: string) => root.replace(/root$/, name)
    const thread = [of('thread'), of('diameter')].find((name) => sizes.includes(name))
    return thread
      ? [
          atMost(root, thread, 'a thread stands out from its root'),
          ...(sizes.includes(of('length')) ? [atMost(thread, of('length'), 'a screw is longer than it is thick')] : []),
        ]
      : []
  })

const RULES: Partial<Record<string, readonly Rule[]>> = Object.fromEntries(
  Object.entries(KINDS).map(([kind, { sizes }]) => [kind, [...(OF_KIND[kind as KindName] ?? []), ...ofScrews(Object.keys(sizes))]]),
)

/** The rules by kind and by each of the sizes they are about: most sizes have none, and are read all the time. */
const BY_SIZE: Partial<Record<string, Partial<Record<string, readonly Rule[]>>>> = Object.fromEntries(
  Object.entries(RULES).map(([kind, rules = []]) => {
    const sizes = [...new Set(rules.flatMap((rule) => rule.sizes))]
    return [kind, Object.fromEntries(sizes.map((size) => [size, rules.filter((rule) => rule.sizes.includes(size))]))]
  }),
)

/** Further than both doubts together explain. What is only assumed contradicts nothing. */
function isBroken(part: Part, { sizes }: Rule): boolean {
  const [less, more] = sizes.map((size) => (isNaught(KINDS[part.kind], part.traits, size) ? undefined : told(part.sizes[size])))
  return less !== undefined && more !== undefined && less.value - more.value > Math.hypot(less.doubt, more.doubt)
}

/** Does a size of a part contradict others that are told of it? One of them is wrong; none of them is to be gone by. */
export function isAtOdds(part: Part, size: string): boolean {
  const rules = BY_SIZE[part.kind]?.[size]
  return rules?.some((rule) => isBroken(part, rule)) ?? false
}

/** What of a part cannot be right together, a sentence each. */
export const atOdds = (part: Part): { sizes: readonly string[]; says: string }[] =>
  (RULES[part.kind] ?? [])
    .filter((rule) => isBroken(part, rule))
    .map(({ sizes, because }) => {
      const [less, more] = sizes.map((size) => {
        const { label, unit } = (KINDS[part.kind].sizes as Readonly<Record<string, SizeSpec>>)[size]!
        return `${label} ${printValue(part.sizes[size]!.value, unit)}`
      }) as [string, string]
      const other = more[0]!.toLowerCase() + more.slice(1)
      return { sizes, says: `${less} and ${other} cannot both be right: ${because}. Until one is read again neither is gone by.` }
    })
