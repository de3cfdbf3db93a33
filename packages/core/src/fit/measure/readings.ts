import type { Build, Tool } from '../../document/build'
import type { SizeRef } from '../../document/read'
import { CALIPERS_OPEN, startingDoubt, waysToKnow } from '../../parts/doubt'
import { bandOf, type Kind, type SizeSpec } from '../../parts/kind'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec } from '../../parts/slots'
import { ofSize, orAnotherPattern, probabilityBetween, type Distribution } from '../../quantity/distribution'
import type { Known, Size } from '../../quantity/size'
import { OTHER_PATTERN } from '../guard/guardOpenings'

/** Minutes one reading takes, the part and the tool already in hand. [ours] */
export const MINUTES: Record<Tool, number> = { calipers: 0.5, rule: 0.5, template: 5, tape: 1, meter: 1, scale: 0.5 }

/** Minutes to take a part in hand and bring a tool to it. [ours] */
export const IN_HAND = 0.5

/** The tool on hand that would read this size best; nothing when none can. */
export function bestTool(ref: SizeRef, tools: readonly Tool[]): { tool: Tool; doubt: (value: number) => number } | undefined {
  const { sizes, trade }: Kind = KINDS[slotSpec(ref.slot).kind]
  const spec = sizes[ref.size]
  if (!spec) return undefined
  const doubtOf = (tool: Tool) => (value: number) => startingDoubt(spec, trade, tool, value)
  const here = (t: Known): t is Tool => (tools as readonly Known[]).includes(t) || (spec.unit === 'count' && t === 'rule')
  const able = waysToKnow(spec.unit).filter((t): t is Tool => here(t) && !(t === 'calipers' && isTooLong(spec)))
  const [tool] = able.toSorted((a, b) => doubtOf(a)(1) - doubtOf(b)(1))
  return tool && { tool, doubt: doubtOf(tool) }
}

/** As such sizes are, is it longer than calipers open? */
const isTooLong = (spec: SizeSpec): boolean => spec.unit === 'mm' && (spec.usual ?? bandOf(spec).low) > CALIPERS_OPEN

/** What a reading of the size may turn out to be: as known now, a wrong pattern included for what is only listed. */
export function predictive(size: Size | undefined, spec: SizeSpec, wood: boolean): Distribution {
  const { low, high } = bandOf(spec)
  if (!size) return [{ weight: 1, mean: spec.usual ?? (low + high) / 2, sigma: (high - low) / 8 }]
  const d = ofSize(size)
  return size.known === 'listed' && wood ? orAnotherPattern(d, OTHER_PATTERN.q, OTHER_PATTERN.wide) : d
}

/** Halves the range to less than a billionth of it. */
const HALVINGS = 30

/** Values at the middles of equally likely slices of a mixture, by bisection on its distribution function. */
export function slices(d: Distribution, count: number): number[] {
  const low = Math.min(...d.map((n) => n.mean - 6 * n.sigma - 1e-9))
  const high = Math.max(...d.map((n) => n.mean + 6 * n.sigma + 1e-9))
  return Array.from({ length: count }, (_, i) => {
    const goal = (i + 0.5) / count
    let a = low
    let b = high
    for (let k = 0; k < HALVINGS; k++) {
      const m = (a + b) / 2
      if (probabilityBetween(d, -Infinity, m) < goal) a = m
      else b = m
    }
    return (a + b) / 2
  })
}

/** The build with these sizes read; each part is copied once. */
export function withSizes(build: Build, told: readonly (readonly [SizeRef, Size])[]): Build {
  const parts: Build['parts'] = { ...build.parts }
  const copied = new Set<string>()
  for (const [ref, size] of told) {
    const part = parts[ref.slot]!
    if (!copied.has(ref.slot)) parts[ref.slot] = { ...part, sizes: { ...part.sizes } }
    copied.add(ref.slot)
    parts[ref.slot]!.sizes[ref.size] = size
  }
  return { ...build, parts }
}
