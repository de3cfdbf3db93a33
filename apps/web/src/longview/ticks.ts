import { INCH, type LengthSystem } from '@snug/core'

export interface Tick {
  /** mm from the nut. */
  at: number
  /** 0 small, 1 middle, 2 labelled. */
  weight: 0 | 1 | 2
  label?: string
}

const MM_STEPS = [1, 2, 5, 10, 20, 50, 100]
const IN_STEPS = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4]

/** Ticks of the rule between two places, no closer than about 6 pixels. @param scale pixels per mm */
export function ticks(from: number, to: number, scale: number, system: LengthSystem): Tick[] {
  const unit = system === 'mm' ? 1 : INCH
  const step = (system === 'mm' ? MM_STEPS : IN_STEPS).find((s) => s * unit * scale >= 6) ?? (system === 'mm' ? 100 : 4)
  const every = [5, 10, 20, 50].find((n) => n * step * unit * scale >= 52) ?? 50
  const out: Tick[] = []
  for (let i = Math.ceil(from / unit / step); i * step * unit <= to; i++) {
    const value = i * step
    const labelled = i % every === 0
    out.push({
      at: value * unit,
      weight: labelled ? 2 : i % (every / 5 || 1) === 0 ? 1 : 0,
      ...(labelled ? { label: String(Number(value.toFixed(3))) } : {}),
    })
  }
  return out
}
