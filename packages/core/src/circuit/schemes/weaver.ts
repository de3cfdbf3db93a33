import type { Build } from '../../document/build'
import { isSaid, traitAt, valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import {
  controlPlace,
  controlSaid,
  potSlot,
  type Control,
  type PotControl,
  type SwitchControl,
  jackPanel,
} from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import type { PickupPlace } from '../../instrument/guardPlace'
import { groundOf } from '../../instrument/stringGround'
import type { Coil, Component, GroundPart, Harness, Wire, WireRole } from '../model/harness'
import { SWITCHES, type SwitchTable } from '../model/switches'
import type { Taper } from '../model/taper'
import { coilsOf } from './pickupCoils'

/** A pickup's ends as they leave it. Two coils with four leads have the ends between them too. */
export interface Ends {
  hot: string
  ground: string
  /** Finish of the first coil and of the second, where both come out. */
  link?: string
  back?: string
}

const STRINGS: Record<NonNullable<ReturnType<typeof groundOf>>, string> = {
  claw: 'spring claw (strings)',
  stud: 'bridge stud (strings)',
  plate: 'bridge plate (strings)',
}
const NECK_FIRST: readonly string[] = ['neck', 'middle', 'bridge']

/**
 * Puts a harness together from the parts of a build: recipes say what is joined to what, this knows where things sit and that every piece
 * of metal has a ground wire of its own to one place. Foil is never relied upon.
 */
export class Weaver {
  readonly notes: string[] = []
  private readonly components: Component[] = []
  private readonly wires: Wire[] = []

  constructor(
    readonly build: Build,
    private readonly options: Readonly<Record<string, string>>,
  ) {}

  /** The choice made for an option, or the one given as usual. */
  option(id: string, usual: string): string {
    return this.options[id] ?? usual
  }
  note(words: string) {
    this.notes.push(words)
  }
  join(from: string, to: string, role: WireRole) {
    this.wires.push({ from, to, role })
  }
  /** Everything earthed goes to one place: the case of the first volume. */
  get star(): string {
    return 'case.1'
  }
  ground(lug: string) {
    this.join(lug, this.star, 'ground')
  }

  /** The coils of a pickup, its two joined inside where not both ends of each come out. */
  pickup(place: PickupPlace): Ends {
    const coils = coilsOf(this.build, place)
    this.components.push(...coils)
    const [a, b] = coils as [Coil, Coil?]
    if (a.active) this.supply(a)
    if (!b) return { hot: `${a.id}.finish`, ground: `${a.id}.start` }
    const ends = { hot: `${a.id}.start`, ground: `${b.id}.start` }
    const leads = traitAt(this.build, `pickup-${place}`, 'leads')
    const chosen = this.option('stays', 'neck')
    // The same coils in series either way round: what is grounded between them leaves the one that stands at the hot end.
    if (leads === 'four' && place !== 'middle' && (chosen === 'bridge' || (chosen === 'apart' && place === 'bridge')))
      return { hot: `${b.id}.finish`, ground: `${a.id}.finish`, link: `${b.id}.start`, back: `${a.id}.start` }
    if (leads === 'four') return { ...ends, link: `${a.id}.finish`, back: `${b.id}.finish` }
    this.wires.push({ from: `${a.id}.finish`, to: `${b.id}.finish`, role: 'link', inside: true })
    if (!leads)
      this.note(
        `Nobody has said how many leads the ${place} pickup has; it is wired as with two. Where four and a shield come out, the two inner ones are joined and taped, and nothing else hangs on them.`,
      )
    return leads === 'three' ? { ...ends, link: `${a.id}.finish` } : ends
  }
  /** Plus of the battery to an active pickup; its minus to the jack's ring, so that a pulled plug saves it. */
  private supply(c: Coil) {
    if (!this.components.some((x) => x.is === 'battery')) {
      const at = controlPlace(this.build, 'volume')
      this.components.push({ is: 'battery', id: 'battery', slot: 'battery', label: 'battery', at: pt(at.x + 40, at.y), guessed: true })
      const stereo = traitAt(this.build, 'jack', 'contacts') === 'stereo'
      this.join('battery.minus', stereo ? 'jack.ring' : 'jack.sleeve', 'supply')
      this.note(
        stereo
          ? 'The battery is on while a plug is in the jack: pull it when you put the guitar away.'
          : 'A mono jack leaves the battery on for good: a stereo jack, its ring to the battery’s minus, lets the plug switch it.',
      )
    }
    this.join('battery.plus', `${c.id}.plus`, 'supply')
  }
  /** A humbucker's two coils in series, where its leads leave that to the person. */
  series({ link, back }: Ends) {
    if (link && back) this.join(link, back, 'link')
  }

  /** @param more.label what it is called where it does not serve the whole circuit */
  pot(id: PotControl, more: { noLoad?: boolean; label?: string } = {}) {
    const label = more.label ?? id.replace('-', ' ')
    const slot = potSlot(id)
    const there = this.components.find((c) => c.id === id)
    if (there) {
      // It was put in for the sake of the switch under its knob: what it does itself is known only now.
      Object.assign(there, more.label ? { label } : {}, more.noLoad ? { noLoad: true } : {})
      return
    }
    const place = controlPlace(this.build, id)
    const known = controlSaid(this.build, id)
    this.components.push({
      is: 'pot',
      id,
      slot,
      label,
      at: place,
      ...(known ? {} : { guessed: true as const }),
      ohm: valueAt(this.build, { slot, size: 'resistance' }) ?? 250e3,
      taper: (traitAt(this.build, slot, 'taper') ?? 'audio') as Taper,
      ...(more.noLoad ? { noLoad: true as const } : {}),
    })
    if (traitAt(this.build, slot, 'pull') === 'push-pull')
      this.components.push({
        is: 'switch',
        id: `${id}-pull`,
        slot,
        label: `pull on the ${label}`,
        at: place,
        ...(known ? {} : { guessed: true as const }),
        table: { ...SWITCHES['on-on'], label: 'push-pull, two poles' },
      })
  }

  capacitor(slot: 'capacitor' | 'capacitor-2', id: string, label: string, near: Control, farad?: number) {
    const at = controlPlace(this.build, near)
    this.components.push({
      is: 'capacitor',
      id,
      ...(farad === undefined ? { slot } : {}),
      label,
      at: pt(at.x, at.y - 8),
      ...(controlSaid(this.build, near) ? {} : { guessed: true as const }),
      farad: farad ?? valueAt(this.build, { slot, size: 'capacitance' }) ?? 22e-9,
    })
  }
  resistor(id: string, label: string, near: Control, ohm: number) {
    const at = controlPlace(this.build, near)
    this.components.push({
      is: 'resistor',
      id,
      label,
      at: pt(at.x, at.y + 8),
      ...(controlSaid(this.build, near) ? {} : { guessed: true as const }),
      ohm,
    })
  }

  /** A switch; its contacts as somebody found them where they did. */
  switch(slot: SwitchControl, id: string, label: string, table: SwitchTable) {
    if (this.components.some((c) => c.id === id)) return
    const own = this.build.circuit.tables?.[id]
    this.components.push({
      is: 'switch',
      id,
      slot,
      label,
      at: controlPlace(this.build, slot),
      ...(controlSaid(this.build, slot) ? {} : { guessed: true as const }),
      table: own
        ? {
            label: `${table.label}, as it was found`,
            lugs: own.lugs,
            positions: own.positions.map((p) => p.pairs.map(({ a, b }) => [a, b] as const)),
          }
        : table,
    })
  }

  /** Jack, strings and every case and frame: what any harness has, each with its own ground wire. Called last. */
  finish(): Harness {
    const { build } = this
    const d = datums(build)
    const body = (size: string, otherwise: number) => valueAt(build, { slot: 'body', size }) ?? otherwise
    const by = (...sizes: string[]) =>
      isSaid(build, ...sizes.map((size) => ({ slot: 'body' as const, size }))) ? {} : { guessed: true as const }
    const first = this.components.find((c) => c.id === 'volume') ?? this.components.find((c) => c.is === 'pot')
    const metal = (id: string, kind: GroundPart['metal'], label: string, of: Pick<Component, 'at' | 'guessed'>): GroundPart => ({
      is: 'ground',
      id,
      metal: kind,
      label,
      at: of.at,
      ...(of.guessed ? { guessed: true as const } : {}),
    })
    const jackAt = jackPanel(build)
      ? { at: controlPlace(build, 'jack'), ...(controlSaid(build, 'jack') ? {} : { guessed: true as const }) }
      : { at: pt(d.mouth + body('jack.x', 330), body('jack.y', -100)), ...by('jack.x', 'jack.y') }
    const jack: Component = {
      is: 'jack',
      id: 'jack',
      slot: 'jack',
      label: 'jack',
      ...jackAt,
      ...(traitAt(build, 'jack', 'contacts') === 'stereo' ? { stereo: true as const } : {}),
    }
    const cases = this.components.filter((c) => c.is === 'pot' && c !== first)
    const frames = this.components.filter((c) => c.is === 'switch' && !c.id.endsWith('-pull'))
    const strings = groundOf(traitAt(build, 'bridge', 'mount'))
    const claw = strings === 'claw'
    this.components.push(
      jack,
      metal('case', 'case', first ? `${first.label} case (all grounds meet here)` : 'sleeve (all grounds meet here)', first ?? jack),
      ...cases.map((c) => metal(`${c.id}-case`, 'case', `${c.label} case`, c)),
      ...frames.map((c) => metal(`${c.id}-frame`, 'frame', `${c.label} frame`, c)),
      ...(strings || build.parts.bridge
        ? [
            metal('strings', 'strings', strings ? STRINGS[strings] : 'bridge (strings)', {
              at: pt(claw ? d.mouth + body('claw.x', 118) : d.studs, 0),
              ...(claw ? by('claw.x') : by('mouthToBridge')),
            }),
          ]
        : []),
      ...(build.parts.shielding ? [metal('shield', 'shield', 'foil or paint of the cavity', first ?? jack)] : []),
    )
    for (const c of this.components) if (c.is === 'ground' && c.id !== 'case') this.ground(`${c.id}.1`)
    this.join('case.1', 'jack.sleeve', 'ground')
    // Coils are named from the neck down, whatever order a selector takes them in.
    const order = (c: Component) => (c.is === 'coil' ? NECK_FIRST.indexOf(c.pickup) : NECK_FIRST.length)
    const plugs = traitAt(build, 'harness', 'joined') === 'plugs'
    const ofCoil = (w: Wire) =>
      this.components.some((c) => c.is === 'coil' && (w.from.startsWith(`${c.id}.`) || w.to.startsWith(`${c.id}.`)))
    return {
      components: this.components.toSorted((a, b) => order(a) - order(b)),
      wires: plugs ? this.wires.map((w) => (!w.inside && ofCoil(w) ? { ...w, plug: true as const } : w)) : this.wires,
    }
  }
}
