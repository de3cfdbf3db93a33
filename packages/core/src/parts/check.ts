import { printFarads, printOhms } from '../quantity/electrical'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'
import type { SizeSpec } from './kind'
import { KINDS, type KindName } from './kinds/index'
import type { Part } from './part'

/** Something wrong with a part as entered: where, and one sentence. */
export interface PartProblem {
  path: string
  why: string
}

/** Prints a size's value in its own unit. */
export function printValue(value: number, unit: SizeSpec['unit']): string {
  switch (unit) {
    case 'mm':
      return `${printMm(value)} mm`
    case 'ohm':
      return printOhms(value)
    case 'farad':
      return `${printFarads(value)}F`
    case 'henry':
      return `${Number(value.toPrecision(3))} H`
    case 'g':
      return `${Math.round(value)} g`
    case 'newton':
      return `${Number(value.toPrecision(3))} N`
    case 'deg':
      return `${Number(value.toFixed(2))}°`
    case 'count':
      return String(value)
  }
}

/** One sentence when a value cannot be a size of this kind, otherwise nothing. */
export function whyNotValue(spec: SizeSpec, value: number): string | undefined {
  const allowed = `allowed is ${printValue(spec.min, spec.unit)} to ${printValue(spec.max, spec.unit)}`
  if (!Number.isFinite(value)) return `${spec.label} is not a number; ${allowed}.`
  if (value < spec.min || value > spec.max) return `${spec.label} of ${printValue(value, spec.unit)} cannot be right; ${allowed}.`
  if (spec.unit === 'count' && !Number.isInteger(value)) return `${spec.label} must be a whole number; ${allowed}.`
  return undefined
}

/** Checks every size, trait and outline row of a part against its kind. Shapes are the border's business, not this one's. */
export function partProblems(part: Part): PartProblem[] {
  const problems: PartProblem[] = []
  if (!Object.hasOwn(KINDS, part.kind)) return [{ path: 'kind', why: `"${part.kind}" is not a kind of part known here.` }]
  const kind = KINDS[part.kind as KindName]
  for (const [key, size] of Object.entries(part.sizes)) {
    const spec = Object.hasOwn(kind.sizes, key) ? kind.sizes[key] : undefined
    if (!spec) problems.push({ path: `sizes.${key}`, why: `${kind.label} has no size called "${key}".` })
    else problems.push(...sizeProblems(`sizes.${key}`, spec, size))
  }
  for (const [key, value] of Object.entries(part.traits)) {
    const spec = Object.hasOwn(kind.traits, key) ? kind.traits[key] : undefined
    if (!spec) problems.push({ path: `traits.${key}`, why: `${kind.label} has no property called "${key}".` })
    else if (!spec.options.some(([v]) => v === value))
      problems.push({
        path: `traits.${key}`,
        why: `${spec.label} cannot be "${value}"; choose ${spec.options.map(([v]) => v).join(', ')}.`,
      })
  }
  if (part.outline) {
    if (!kind.outline) problems.push({ path: 'outline', why: `${kind.label} carries no outline.` })
    const backwards = part.outline.findIndex((row, i, all) => i > 0 && row.x <= all[i - 1]!.x)
    if (backwards > 0)
      problems.push({ path: `outline.${backwards}.x`, why: 'Outline rows must go from nut end to tail end, each further than the last.' })
  }
  return problems
}

function sizeProblems(path: string, spec: SizeSpec, size: Size): PartProblem[] {
  const why = whyNotValue(spec, size.value)
  if (why) return [{ path, why }]
  const widest = spec.max - spec.min
  if (!Number.isFinite(size.doubt) || size.doubt < 0 || size.doubt > widest)
    return [{ path, why: `The doubt of ${spec.label.toLowerCase()} must lie between 0 and ${printValue(widest, spec.unit)}.` }]
  return []
}
