import { OPEN_LINE, printOhms } from '../../quantity/electrical'
import { ohmTable } from '../engine/ohmTable'
import { lugParts, type Component, type Harness, type Wire, type WireRole } from '../model/harness'
import { toNetlist } from '../model/toNetlist'
import { lugName } from '../model/lugNames'
import { wireKey } from '../schemes/edited'
import { coloursFor } from './wireColours'
import { along, plainRoute, type Routes } from './wireRoute'

/** One wire to cut: from lug to lug, how long, which colour. */
export interface WireRow {
  /** Its two ends: what a tick is kept under. */
  key: string
  number: number
  from: string
  to: string
  role: WireRole
  /** mm to cut, slack included; nothing where nobody has said where its ends are. */
  length?: number
  /** Its own where it is a pickup's lead, otherwise from what is on hand. */
  colour: string
  /** Core and screen: the screen goes to ground at one end alone. */
  screened?: true
  /** A plug, pushed home. */
  plug?: true
  /** American wire gauge. */
  gauge: number
  stage: string
  /** What the meter shows right after, with all before it in place. */
  check: string
}

/** What the bench says of the wires, where it says anything. */
export interface OnHand {
  reels?: Readonly<Record<string, number>> | undefined
  /** Colours of pickup leads by the coil's lug. */
  leads?: Readonly<Record<string, string>> | undefined
  screened?: boolean
  /** Nobody has said what its pickups read: no figure stands on that. */
  unread?: boolean
  /** The ways wires lie; across and along while absent. */
  routes?: Routes
}

/** Soldering stages in the order that keeps every joint reachable. [practice] */
const STAGES = ['tone capacitor and jumpers', 'controls', 'grounds', 'pickups', 'jack', 'battery'] as const

/** Stranded hook-up wire for controls. [practice] */
const HOOK_UP = 22
/** From this length on a live wire outside the box is worth its screen, mm. [ours] */
const WORTH_A_SCREEN = 150

/**
 * Wires in soldering order: capacitor and jumpers, controls, grounds (star), pickups, and the jack last. Lengths follow the
 * way between the parts' real places, a fifth over, plus 40 mm to work with; leads that come with a pickup are
 * listed too so that nothing is forgotten. [ours]
 */
export function wireList(harness: Harness, onHand: OnHand = {}): WireRow[] {
  const component = (lug: string) => harness.components.find((c) => c.id === lugParts(lug).component)!
  const colours = coloursFor(onHand.reels)
  const stageOf = ({ from, to, role }: Wire): (typeof STAGES)[number] => {
    if (role === 'supply') return 'battery'
    const kinds = [component(from).is, component(to).is]
    if (kinds.includes('jack')) return 'jack'
    if (kinds.includes('coil')) return 'pickups'
    if (role === 'jumper' || kinds.includes('capacitor')) return 'tone capacitor and jumpers'
    return role === 'ground' ? 'grounds' : 'controls'
  }
  const ordered = harness.wires
    .filter((w) => !w.inside)
    .map((w) => ({ w, stage: stageOf(w) }))
    .toSorted((a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage))
  return ordered.map(({ w, stage }, i): WireRow => {
    const [a, b] = [component(w.from), component(w.to)]
    const length = lengthOf(a, b, onHand.routes ?? plainRoute)
    const lead = onHand.leads?.[w.from] ?? onHand.leads?.[w.to]
    const live = w.role === 'hot' || w.role === 'signal'
    return {
      key: wireKey(w.from, w.to),
      number: i + 1,
      from: lugName(harness, w.from),
      to: lugName(harness, w.to),
      role: w.role,
      ...(length === undefined ? {} : { length }),
      colour: lead ?? colours.of[w.role],
      ...(onHand.screened && live && a.is !== 'coil' && b.is !== 'coil' && (length ?? 0) >= WORTH_A_SCREEN
        ? { screened: true as const }
        : {}),
      gauge: HOOK_UP,
      stage,
      ...(w.plug ? { plug: true as const } : {}),
      check: checkAfter(
        harness,
        ordered.slice(0, i + 1).map((o) => o.w),
        onHand.unread ?? false,
      ),
    }
  })
}

/** A wire takes so much more than its way is long, and so much to be worked with, mm; one between two lugs of one thing so much in all. [practice] */
export const WIRE_OVER = 1.2
export const WIRE_SLACK = 40
const ON_ONE = 25

function lengthOf(a: Component, b: Component, routes: Routes): number | undefined {
  if (a !== b && (a.guessed || b.guessed)) return undefined
  return Math.ceil((a === b ? ON_ONE : WIRE_OVER * along(routes(a, b)) + WIRE_SLACK) / 5) * 5
}

/** Below this a beeper sounds, ohm. [practice] */
const BEEPS = 30

/** What a meter shows from the last wire's first end to where the grounds meet, with every wire so far in place and nothing else. */
function checkAfter(harness: Harness, wires: readonly Wire[], unread: boolean): string {
  const last = wires.at(-1)!
  const partial = { ...harness, wires: [...harness.wires.filter((w) => w.inside), ...wires] }
  const ohm = ohmTable(toNetlist(partial, { switches: {}, knobs: {} }).elements)(last.from, 'case.1')
  const star = lugName(harness, 'case.1').replace(/ \(.*\)$/, '')
  const along = 'beep along it'
  if (ohm < BEEPS) return last.role === 'ground' ? `beep to the ${star}` : `${along}; it is ground here`
  if (ohm >= OPEN_LINE) return `${along}; silence to the ${star}`
  return `${along}; ${unread ? 'a reading' : printOhms(ohm, 2)} to the ${star}, no beep`
}
