import { ownSizes } from '../parts/unknown'
import { isMeasured, told } from '../quantity/size'
import type { SizeSpec, SizeUnit } from './kind'
import { KINDS } from './kinds/index'
import { isPartHere, type Part } from './part'

/** What was ordered to be made, kept as it was sent. */
export interface Order {
  revision: number
  /** ISO date it was sent. */
  at: string
  sizes: Record<string, { value: number; tolerance: number }>
}

/** Usual tolerance, mm: places and openings that decide joints, and the rest. [practice] */
const CRITICAL = 0.2
const LOOSE = 0.5
/** Degrees. [ours] */
const ANGLE = 0.5
/** What a unit conversion does to the ninth figure. */
const HAIR = 1e-6
const decides = (key: string) => /opening|route|hole|neck\.width|spread|spacing|scale|pocket|heel|bore/i.test(key)
/** What a shop is held to; how heavy a thing comes out, or what a meter says of it, is not ordered by drawing. */
function toleranceOf(key: string, unit: SizeUnit | undefined): number | undefined {
  if (unit === 'mm') return decides(key) ? CRITICAL : LOOSE
  if (unit === 'deg') return ANGLE
  return unit === 'count' ? 0 : undefined
}

/** An order for a made-to-order part from its sizes as wanted, never from what is only usual; the next revision of what was sent before. */
export function orderFor(part: Part, before: Order | undefined, today: string): Order {
  const sizes = ownSizes(part).flatMap(([key, s]) => {
    const tolerance = toleranceOf(key, KINDS[part.kind].sizes[key]?.unit)
    return told(s) && tolerance !== undefined ? [[key, { value: s.value, tolerance }] as const] : []
  })
  return { revision: (before?.revision ?? 0) + 1, at: today, sizes: Object.fromEntries(sizes) }
}

export interface Acceptance {
  key: string
  label: string
  unit: SizeUnit
  ordered: number
  tolerance: number
  came?: number
  verdict: 'pass' | 'fail' | 'too close to tell' | 'not measured' | 'not here yet'
}

/** Each ordered size against what was measured on arrival: a pass only where the reading's own doubt leaves the tolerance no question. [ours] */
export function acceptance(order: Order, part: Part): Acceptance[] {
  return Object.entries(KINDS[part.kind].sizes).flatMap(([key, spec]): Acceptance[] => {
    const ordered = order.sizes[key]
    return ordered ? [accepted(part, key, spec, ordered)] : []
  })
}

function accepted(part: Part, key: string, spec: SizeSpec, { value, tolerance }: Order['sizes'][string]): Acceptance {
  const size = part.sizes[key]
  const base = { key, label: spec.label, unit: spec.unit, ordered: value, tolerance }
  if (!isPartHere(part)) return { ...base, verdict: 'not here yet' }
  if (!size || !isMeasured(size.known)) return { ...base, verdict: 'not measured' }
  const off = Math.abs(size.value - value)
  const verdict = off + size.doubt <= tolerance + HAIR ? 'pass' : off - size.doubt > tolerance ? 'fail' : 'too close to tell'
  return { ...base, came: size.value, verdict }
}
