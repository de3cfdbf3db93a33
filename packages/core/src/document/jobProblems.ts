import type { Finding } from '../border/plain'
import { whyNotValue } from '../parts/check'
import { KINDS } from '../parts/kinds/index'
import { slotSpec } from '../parts/slots'
import { effectsOf, type Build } from './build'

/**
 * Planned jobs add up: what they leave of a size must still be a size its kind can have, or every drawing and joint downstream
 * would be computed from nonsense. Shapes must have been checked before.
 */
export function jobProblems(build: Build): Finding[] {
  const sums = new Map<string, number>()
  const problems: Finding[] = []
  const effects = Object.entries(build.jobs).flatMap(([id, job]) => effectsOf(job).map((effect) => ({ id, ...effect })))
  for (const { id, slot, size, delta } of effects) {
    const { kind } = slotSpec(slot)
    const spec = Object.hasOwn(KINDS[kind].sizes, size) ? KINDS[kind].sizes[size] : undefined
    if (!spec) {
      problems.push({ path: `jobs.${id}.size`, why: `${KINDS[kind].label} has no size called "${size}".` })
      continue
    }
    const key = `${slot} ${size}`
    const sum = (sums.get(key) ?? 0) + delta
    sums.set(key, sum)
    const part = build.parts[slot]
    const entered = part && Object.hasOwn(part.sizes, size) ? part.sizes[size]!.value : undefined
    const why =
      entered === undefined
        ? Math.abs(sum) > spec.max - spec.min
          ? `more than a ${spec.label.toLowerCase()} can differ from another`
          : undefined
        : whyNotValue(spec, entered + sum)
    if (why) problems.push({ path: `jobs.${id}.delta`, why: `The jobs planned on it would leave what cannot be: ${why}` })
  }
  return problems
}
