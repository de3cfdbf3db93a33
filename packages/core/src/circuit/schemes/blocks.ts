import { traitAt } from '../../document/read'
import type { Ends, Weaver } from './weaver'
import { SWITCHES } from '../model/switches'
import { potSlot } from '../../instrument/controlPlace'
import { extraOf } from './options'
import type { PickupPlace } from '../../instrument/guardPlace'

/** Treble bleeds people build, farad and ohm. [practice] */
const BLEEDS: Record<string, { farad: number; ohm?: number; joined?: 'beside' | 'behind' }> = {
  cap: { farad: 1e-9 },
  parallel: { farad: 1e-9, ohm: 150e3, joined: 'beside' },
  series: { farad: 1.2e-9, ohm: 130e3, joined: 'behind' },
}

/** A pot that serves one pickup alone is called after it. */
interface OwnPot {
  label?: string
}

/** A volume: fed at its outer lug, out from the wiper; or, independent, the other way round. @returns the lug its signal leaves by */
export function volume(w: Weaver, id: 'volume' | 'volume-2', from: string, own: OwnPot & { independent?: boolean } = {}): string {
  if (!w.build.parts[potSlot(id)]) return from
  w.pot(id, own)
  const [fed, out] = own.independent ? ['2', '3'] : ['3', '2']
  w.join(from, `${id}.${fed}`, 'signal')
  w.ground(`${id}.1`)
  bleed(w, id)
  return `${id}.${out}`
}

function bleed(w: Weaver, id: string): void {
  const made = BLEEDS[w.option('bleed', 'none')]
  if (!made) return
  const cap = `${id}-bleed`
  w.capacitor('capacitor', cap, `treble bleed on the ${id.replace('-', ' ')}`, 'volume', made.farad)
  w.join(`${id}.3`, `${cap}.1`, 'jumper')
  if (!made.ohm) return w.join(`${cap}.2`, `${id}.2`, 'jumper')
  const r = `${id}-bleed-r`
  w.resistor(r, `resistor of the treble bleed`, 'volume', made.ohm)
  if (made.joined === 'beside') {
    w.join(`${cap}.2`, `${id}.2`, 'jumper')
    w.join(`${id}.3`, `${r}.1`, 'jumper')
    w.join(`${r}.2`, `${id}.2`, 'jumper')
  } else {
    w.join(`${cap}.2`, `${r}.1`, 'jumper')
    w.join(`${r}.2`, `${id}.2`, 'jumper')
  }
}

/** A tone: its track and a capacitor from somewhere to ground. */
export function tone(w: Weaver, id: 'tone' | 'tone-2', on: string, cap: 'cap' | 'cap-2' = 'cap', own: OwnPot = {}): void {
  if (!w.build.parts[potSlot(id)]) return
  w.pot(id, { ...own, noLoad: w.option('noLoad', 'no') === 'yes' })
  w.capacitor(cap === 'cap' ? 'capacitor' : 'capacitor-2', cap, cap === 'cap' ? 'tone capacitor' : 'second tone capacitor', 'tone')
  w.join(on, `${id}.2`, 'signal')
  w.join(`${id}.1`, `${cap}.1`, 'jumper')
  w.ground(`${cap}.2`)
}

/** Fixed capacitors of a rotary, its first position without any, farad. [practice] */
const ROTARY = [4.7e-9, 10e-9, 22e-9, 47e-9, 100e-9]

/** Master volume and rotary tones: each position hangs another capacitor from the signal to ground. */
function rotaryTone(w: Weaver, on: string): void {
  const table = traitAt(w.build, 'switch-2', 'contacts') === 'rotary-6' ? SWITCHES['rotary-6'] : SWITCHES['rotary-5']
  w.switch('switch-2', 'rotary', 'tone rotary', table)
  w.join(on, 'rotary.A0', 'signal')
  ROTARY.slice(0, table.positions.length - 1).forEach((farad, i) => {
    const cap = `rotary-cap-${i + 2}`
    w.capacitor('capacitor', cap, `capacitor of rotary ${i + 2}`, 'tone', farad)
    w.join(`rotary.A${i + 2}`, `${cap}.1`, 'jumper')
    w.ground(`${cap}.2`)
  })
  w.note('The rotary’s capacitors come beside the tone capacitor: 4.7, 10, 22, 47 and 100 n, one a position after the first.')
}

/** The tone a wiring was given, hung where it belongs. */
export function toneAsChosen(w: Weaver, on: string): void {
  const chosen = w.option('tone', 'one')
  if (chosen === 'rotary') return rotaryTone(w, on)
  if (chosen === 'none' || !w.build.parts['pot-tone'] || !w.build.parts.capacitor) return
  if (chosen === 'hidden') w.note('The tone is set by ear before the cavity is closed: afterwards no knob reaches it.')
  tone(w, 'tone', on)
}

/** One volume and one tone between a selector's common, or a pickup, and what follows. @returns the lug the signal leaves by */
export function volumeAndTone(w: Weaver, from: string): string {
  const out = volume(w, 'volume', from)
  const fed = w.build.parts['pot-volume'] ? 'volume.3' : from
  toneAsChosen(w, w.option('toneAt', 'before') === 'after' ? out : fed)
  return out
}

/** The switch under a knob and what it does. Its pot is there for its sake even where nothing is joined to the track. */
function pulled(w: Weaver): { pull: string; does: string } {
  const found = extraOf(w.build)
  const does = found ? w.option('pull', 'none') : 'none'
  if (!found || does === 'none') return { pull: '', does: 'none' }
  if ('pot' in found) w.pot(found.pot)
  else w.switch('switch-2', 'mini', 'small toggle', SWITCHES['on-on'])
  return { pull: found.id, does }
}

/** A pickup wired up to where its hot end goes on, whatever the pulled knob does to it first. */
export function fed(w: Weaver, place: PickupPlace): { hot: string; ends: Ends } {
  const ends = w.pickup(place)
  const { pull, does } = pulled(w)
  if (does === 'phase' && place === 'neck') {
    for (const [lug, end] of [
      ['A1', ends.hot],
      ['B1', ends.ground],
      ['A2', ends.ground],
      ['B2', ends.hot],
    ] as const)
      w.join(end, `${pull}.${lug}`, end === ends.hot ? 'hot' : 'ground')
    w.series(ends)
    w.ground(`${pull}.B0`)
    w.note(
      'A cover or base joined to the neck pickup’s ground lead turns live when it is turned over: give it a ground wire of its own first.',
    )
    return { hot: `${pull}.A0`, ends }
  }
  w.ground(ends.ground)
  if (does === 'parallel' && place === 'bridge' && ends.link && ends.back) {
    w.join(ends.link, `${pull}.A0`, 'link')
    w.join(ends.back, `${pull}.A1`, 'link')
    w.ground(`${pull}.A2`)
    w.join(ends.back, `${pull}.B0`, 'link')
    w.join(`${pull}.B2`, ends.hot, 'hot')
    return { hot: ends.hot, ends }
  }
  w.series(ends)
  // Two poles part two humbuckers: the outer ones.
  if (does === 'split' && ends.link && place !== 'middle') {
    const pole = place === 'neck' ? 'B' : 'A'
    w.join(ends.link, `${pull}.${pole}0`, 'link')
    w.ground(`${pull}.${pole}2`)
  }
  if (does === 'blower' && place === 'bridge') {
    w.join(ends.hot, `${pull}.A0`, 'hot')
    return { hot: `${pull}.A1`, ends }
  }
  return { hot: ends.hot, ends }
}

/** From the circuit's last lug to the jack, past a pulled knob, a second circuit and a button. */
export function toJack(w: Weaver, out: string): void {
  const { pull, does } = pulled(w)
  let last = out
  if (does === 'blower') {
    w.join(last, `${pull}.B1`, 'signal')
    w.join(`${pull}.A2`, `${pull}.B2`, 'jumper')
    last = `${pull}.B0`
  }
  if (w.option('preset', 'none') === 'neck') {
    w.join(last, 'preset.A1', 'signal')
    last = 'preset.A0'
  }
  if (w.option('kill', 'none') === 'button') {
    w.switch('switch', 'kill', 'kill button', {
      label: 'button that closes while pressed',
      lugs: ['1', '2'],
      positions: [[], [['1', '2']]],
    })
    w.join('jack.tip', 'kill.1', 'signal')
    w.ground('kill.2')
  }
  w.join(last, 'jack.tip', 'signal')
}
