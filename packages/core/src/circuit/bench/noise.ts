import type { Topology } from './topology'

/** Below this nothing is heard of it beside a single coil, dB. [ours] */
const QUIET = -26

/**
 * What noise to expect of a position, so that good guitars are not mended. Against the same coils all adding: a lone coil is 0 dB, a pair
 * that cancels leaves (R2 - R1) / (R1 + R2) of it. [physics; practice]
 */
export function expectedNoise({ sounding, hum }: Pick<Topology, 'sounding' | 'hum'>): string {
  if (!sounding.length) return 'Silent: no hum either; if there is, ground is missing somewhere.'
  const hand = 'A hand on the strings makes it less: that is how a good guitar behaves.'
  if (hum < QUIET)
    return 'Next to no hum here, wherever you turn. If it hums as the single coils do, one of the coils does not sound or is turned over.'
  if (hum < -6)
    return `Hum about ${Math.round(-hum)} dB below that of a single coil: the coils differ, and what differs is left over. ${hand}`
  return `Hums as any single coil does, more near screens and transformers, less as you turn: normal, nothing to mend. ${hand}`
}
