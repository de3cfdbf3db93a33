import { mergeNodes } from '../engine/nodes'
import type { Coil, Harness } from './harness'

/**
 * Which active pickups have their battery, with a plug in the jack: plus to plus, minus to the ring, which the plug joins to the sleeve, and
 * their own ground to the sleeve. [practice]
 */
export function poweredBy(harness: Harness): (c: Coil) => boolean {
  const battery = harness.components.find((c) => c.is === 'battery')
  if (!battery || battery.flat) return () => false
  const jack = harness.components.find((c) => c.is === 'jack')!
  const wires = harness.wires.map((w, i) => ({ type: 'W' as const, ref: String(i), nodes: [w.from, w.to] as const }))
  const plug =
    jack.is === 'jack' && jack.stereo ? [{ type: 'W' as const, ref: 'plug', nodes: [`${jack.id}.ring`, `${jack.id}.sleeve`] as const }] : []
  const ends = harness.components.flatMap((c) => (c.is === 'coil' ? [`${c.id}.plus`, `${c.id}.start`] : []))
  const nodes = mergeNodes([...wires, ...plug], false, [`${battery.id}.plus`, `${battery.id}.minus`, `${jack.id}.sleeve`, ...ends])
  const one = (a: string, b: string) => nodes.find(a).root === nodes.find(b).root
  const sleeve = `${jack.id}.sleeve`
  const live = one(`${battery.id}.minus`, sleeve) && !one(`${battery.id}.plus`, sleeve)
  return (c) => live && one(`${c.id}.plus`, `${battery.id}.plus`) && one(`${c.id}.start`, sleeve)
}
