import { lugParts, type Harness, type WireRole } from '../model/harness'
import { lugName } from '../model/lugNames'

/** One wire to cut: from lug to lug, how long, which colour. */
export interface WireRow {
  number: number
  from: string
  to: string
  role: WireRole
  /** mm to cut, slack included; nothing where nobody has said where its ends are. */
  length?: number
  colour: string
  /** American wire gauge. */
  gauge: number
  stage: string
}

/** Colours by role, the trade's everyday choice. [practice] */
const COLOUR: Record<WireRole, string> = { hot: 'white', signal: 'white', ground: 'black', link: 'green', jumper: 'bare' }
/** Soldering stages in the order that keeps every joint reachable. [practice] */
const STAGES = ['tone capacitor and jumpers', 'controls', 'grounds', 'pickups', 'jack'] as const

/** Stranded hook-up wire for controls. [practice] */
const HOOK_UP = 22

/**
 * Wires in soldering order: capacitor and jumpers, controls, grounds (star), pickups, and the jack last. Lengths follow the
 * parts' real places along the guard, a fifth over, plus 40 mm to work with; leads that come with a pickup are
 * listed too so that nothing is forgotten. [ours]
 */
export function wireList(harness: Harness): WireRow[] {
  const component = (lug: string) => harness.components.find((c) => c.id === lugParts(lug).component)!
  const stageOf = (from: string, to: string, role: WireRole): (typeof STAGES)[number] => {
    const kinds = [component(from).is, component(to).is]
    if (kinds.includes('jack')) return 'jack'
    if (kinds.includes('coil')) return 'pickups'
    if (role === 'jumper' || kinds.includes('capacitor')) return 'tone capacitor and jumpers'
    return role === 'ground' ? 'grounds' : 'controls'
  }
  return harness.wires
    .filter((w) => !w.inside)
    .map((w) => ({ w, stage: stageOf(w.from, w.to, w.role) }))
    .toSorted((a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage))
    .map(({ w, stage }, i) => {
      const a = component(w.from)
      const b = component(w.to)
      const away = Math.abs(a.at.x - b.at.x) + Math.abs(a.at.y - b.at.y)
      return {
        number: i + 1,
        from: lugName(harness, w.from),
        to: lugName(harness, w.to),
        role: w.role,
        ...(a !== b && (a.guessed || b.guessed) ? {} : { length: Math.ceil((a === b ? 25 : 1.2 * away + 40) / 5) * 5 }),
        colour: COLOUR[w.role],
        gauge: HOOK_UP,
        stage,
      }
    })
}
