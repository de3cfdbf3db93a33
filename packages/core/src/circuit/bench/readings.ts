import type { Build } from '../../document/build'
import { sizeAt } from '../../document/read'
import { COPPER_PER_KELVIN } from '../../physics/wireGauge'
import type { Size } from '../../quantity/size'
import { ohmsBetween } from '../engine/ohmmeter'
import { toNetlist, type Harness, type Setting } from '../model/harness'

export interface PredictedReading {
  position: number
  /** Ohms at the jack with nothing plugged in; Infinity reads as an open line. */
  ohm: number
  /** 95 % half-width from the doubts of pickups and pots and 10 K of room temperature. */
  doubt: number
}

const ROOM_SWING = 10

/** Resistance at the jack: capacitors, cable and amplifier play no part. */
export function dcAtJack(harness: Harness, setting: Setting): number {
  const { elements, output } = toNetlist(harness, setting)
  return ohmsBetween(elements, output[0], output[1])
}

/** Predicted reading with its band: each part's doubt is carried through by its own slope, in squares. */
export function predictReading(build: Build, harness: Harness, setting: Setting): PredictedReading {
  const ohm = dcAtJack(harness, setting)
  if (!Number.isFinite(ohm)) return { position: setting.position, ohm, doubt: 0 }
  let squares = 0
  const relative = (size: Size | undefined, otherwise: number) => (size ? size.doubt / size.value : otherwise)
  const groups = new Map<string, { ids: string[]; share: number }>()
  for (const c of harness.components) {
    if (c.is === 'coil') {
      const slot = `pickup-${c.pickup}` as 'pickup-neck'
      const share = Math.hypot(relative(sizeAt(build, { slot, size: 'resistance' }), 0.1), COPPER_PER_KELVIN * ROOM_SWING)
      const group = groups.get(c.pickup) ?? { ids: [], share }
      group.ids.push(c.id)
      groups.set(c.pickup, group)
    } else if (c.is === 'pot') {
      const slot = c.knob === 'volume' ? 'pot-volume' : 'pot-tone'
      groups.set(c.id, { ids: [c.id], share: relative(sizeAt(build, { slot, size: 'resistance' }), 0.2) })
    }
  }
  for (const { ids, share } of groups.values()) {
    const scaled: Harness = {
      ...harness,
      components: harness.components.map((c) =>
        ids.includes(c.id) && (c.is === 'coil' || c.is === 'pot') ? { ...c, ohm: c.ohm * (1 + share) } : c,
      ),
    }
    squares += (dcAtJack(scaled, setting) - ohm) ** 2
  }
  return { position: setting.position, ohm, doubt: Math.sqrt(squares) }
}
