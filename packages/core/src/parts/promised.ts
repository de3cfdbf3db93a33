import { isMeasured, printMm, type Size } from '../quantity'
import { printValue } from './check'
import { KINDS } from './kinds'
import type { Part } from './part'

/** A size that came out otherwise than the seller said. */
export interface Discrepancy {
  key: string
  label: string
  promised: Size
  measured: Size
  /** Measured minus promised. */
  off: number
}

/** Sizes where measured and listed disagree by more than both doubts together. [ours] */
export function notAsListed(part: Part): Discrepancy[] {
  return Object.entries(part.promised ?? {}).flatMap(([key, promised]) => {
    const measured = part.sizes[key]
    if (!measured || !isMeasured(measured.known)) return []
    const off = measured.value - promised.value
    return Math.abs(off) > measured.doubt + promised.doubt
      ? [{ key, label: KINDS[part.kind].sizes[key]?.label ?? key, promised, measured, off }]
      : []
  })
}

/** What was promised and what came, reading by reading, as text to send to the seller. */
export function claimSheet(part: Part): string {
  const unit = (key: string) => KINDS[part.kind].sizes[key]?.unit ?? 'mm'
  const lines = notAsListed(part).map(
    (d) =>
      `${d.label}: promised ${printValue(d.promised.value, unit(d.key))}, came ${printValue(d.measured.value, unit(d.key))} (${d.measured.known}, ±${printMm(d.measured.doubt)}), ${d.off > 0 ? '+' : ''}${printMm(d.off)} off`,
  )
  return [`${part.name}${part.seller ? `, from ${part.seller}` : ''}`, 'Not as listed:', ...lines.map((l) => `- ${l}`)].join('\n')
}
