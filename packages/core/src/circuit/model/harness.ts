import type { Slot } from '../../parts/slots'
import type { Point } from '../../geometry/point'
import type { SwitchTable } from './switches'
import type { Taper } from './taper'

/** Where a component sits on the instrument: mm from the nut, mm across. */
interface Placed {
  id: string
  label: string
  at: Point
  /** Nobody has said where: it is drawn where such things usually are, and no wire is cut to it. */
  guessed?: true
  /** The part of the build it is, or is a piece of; absent for what comes with the wiring. */
  slot?: Slot
}

/**
 * A winding. Its EMF is signed: a string's by magnet and winding together, hum's by the winding alone. Lugs: start,
 * finish; a positive EMF raises the finish above the start.
 */
export interface Coil extends Placed {
  is: 'coil'
  pickup: string
  ohm: number
  henry: number
  farad: number
  magnet: 1 | -1
  winding: 1 | -1
  /** Inductance was estimated from resistance by kind, not measured. */
  estimated: boolean
  /** A pickup with electronics of its own: `ohm` is what its output has, and it is silent without its battery. It has a third lug, plus. */
  active?: true
}
/** Nine volts for active pickups; its minus comes to ground only through a plug in the jack. */
export interface BatteryPart extends Placed {
  is: 'battery'
  /** Empty, or not in its clip. */
  flat?: true
}
export interface PotPart extends Placed {
  is: 'pot'
  ohm: number
  taper: Taper
  /** Its track ends before the wiper does: at 10 it is not there at all. */
  noLoad?: true
  /** Its wiper touches the track nowhere: worn or bent. */
  lifted?: true
}
export interface ResistorPart extends Placed {
  is: 'resistor'
  ohm: number
}
export interface CapacitorPart extends Placed {
  is: 'capacitor'
  farad: number
}
export interface SwitchPart extends Placed {
  is: 'switch'
  table: SwitchTable
}
export interface JackPart extends Placed {
  is: 'jack'
  /** A third contact, the ring. */
  stereo?: true
}
/** A piece of metal a wire is soldered to: a pot's case, the switch's frame, the bridge or claw, foil. */
export interface GroundPart extends Placed {
  is: 'ground'
  metal: 'case' | 'frame' | 'strings' | 'shield'
}
export type Component = Coil | BatteryPart | PotPart | CapacitorPart | ResistorPart | SwitchPart | JackPart | GroundPart

export type WireRole = 'hot' | 'ground' | 'link' | 'signal' | 'jumper' | 'supply'

/** A wire between two lugs, each written component.lug. */
export interface Wire {
  from: string
  to: string
  role: WireRole
  /** Joined inside a part as it came: no wire of the list, nothing to solder. */
  inside?: true
  /** Joined by a plug: nothing to solder, and it may sit half home. */
  plug?: true
}

/** The circuit as built. */
export interface Harness {
  components: Component[]
  wires: Wire[]
}

/** Where a meter goes to read the whole instrument: tip and sleeve of its first jack. @throws Error without a jack */
export function jackProbes(harness: Harness): readonly [string, string] {
  const jack = harness.components.find((c) => c.is === 'jack')
  if (!jack) throw new Error('This harness has no jack.')
  return [`${jack.id}.tip`, `${jack.id}.sleeve`]
}

/** Of which component a lug is, and which of its own it is: a lug is written component.lug. */
export function lugParts(lug: string): { component: string; own: string } {
  const dot = lug.lastIndexOf('.')
  return { component: lug.slice(0, dot), own: lug.slice(dot + 1) }
}

/** The lugs of a component, as wires and meters name them. */
export function lugsOf(c: Component): string[] {
  const ends = {
    coil: c.is === 'coil' && c.active ? ['start', 'finish', 'plus'] : ['start', 'finish'],
    battery: ['plus', 'minus'],
    pot: ['1', '2', '3'],
    capacitor: ['1', '2'],
    resistor: ['1', '2'],
    jack: c.is === 'jack' && c.stereo ? ['tip', 'ring', 'sleeve'] : ['tip', 'sleeve'],
    ground: ['1'],
  }
  return (c.is === 'switch' ? c.table.lugs : ends[c.is]).map((lug) => `${c.id}.${lug}`)
}
