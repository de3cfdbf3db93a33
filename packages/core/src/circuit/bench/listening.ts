import type { CircuitChoice, Gain } from '../../document/build'
import { decibel, pickupsOf, SILENT, SOUND_WORDS, soundOf, type Complex } from '../model/heard'
import type { Harness } from '../model/harness'
import { heardWith, standsOf } from '../model/stands'
import { potsOf, sameSwitches, switchStates, type SwitchState } from '../model/switchStates'
import { listed } from '../../quantity/words'

export interface ListeningCell {
  /** Under which it is kept. */
  key: string
  control: string
  /** What is done and what should be heard. */
  expect: string
  heard?: 'good' | 'bad'
}
export interface ListeningSheet {
  controls: string[]
  rows: { id: string; cells: ListeningCell[] }[]
  /** Nobody has listened to these yet. */
  untried: number
  bad: number
  says: string
}

export const GAIN_WORDS: Record<Gain, string> = {
  clean: 'clean: strings well above any hum',
  edge: 'at its edge: hum heard between notes',
  high: 'high gain: hum of any single coil is loud and normal',
}

/** More than so many ways the switches can stand do not go on one sheet. */
const MOST = 16
/** Every way they can stand; of too many each position of the selector, and each other switch thrown once where that is heard. */
function heardIn(harness: Harness): SwitchState[] {
  const states = switchStates(harness)
  return states.length <= MOST
    ? states
    : standsOf(harness).flatMap((stand) => states.find((state) => sameSwitches(harness, asSetting(state), asSetting(stand))) ?? [])
}
const asSetting = ({ switches }: { switches: Readonly<Record<string, number>> }) => ({ switches: { ...switches }, knobs: {} })
/** A control that changes no more than this does nothing there, dB. [ours] */
const NOTHING = 1.5
/** One that falls by so much is gone, dB. [ours] */
const GONE = -40

/** Every position against every control: what should be heard, and what nobody has tried before the covers go on. */
export function listeningSheet(harness: Harness, circuit: Pick<CircuitChoice, 'heard' | 'gain'>): ListeningSheet {
  const pots = potsOf(harness)
  const pickups = pickupsOf(harness)
  const heard = circuit.heard ?? {}
  const controls = ['strum', ...pots.map((p) => p.label), 'hand on the strings']
  const rows = heardIn(harness).map(({ id, switches }) => {
    // Each pickup by itself: of two that are alike one can fall out, or be turned against the other, and their sum tells neither.
    const given = (knobs: Record<string, number>) => heardWith(harness, { ...switches }, knobs)
    const full = given({})
    // What was heard is kept by a name that stays when a knob is called otherwise.
    const cell = (control: string, expect: string, kept = control): ListeningCell => {
      const key = `${id} ${kept}`.trim()
      return { key, control, expect, ...(heard[key] ? { heard: heard[key] } : {}) }
    }
    return {
      id,
      cells: [
        cell('strum', SOUND_WORDS[soundOf(full)]),
        ...pots.map((p) => cell(p.label, sweepWords(pickups, full, given({ [p.id]: 0 })), p.id.replace('-', ' '))),
        cell('hand on the strings', 'hum falls, or stays where there is none'),
      ],
    }
  })
  const cells = rows.flatMap((r) => r.cells)
  const untried = cells.filter((c) => !c.heard).length
  const bad = cells.filter((c) => c.heard === 'bad').length
  const left = untried ? `${untried} of ${cells.length} never tried` : 'every position heard with every control'
  return {
    controls,
    rows,
    untried,
    bad,
    says: `${left}${bad ? `, ${bad} not as it should be` : ''}; amplifier ${circuit.gain ? GAIN_WORDS[circuit.gain] : 'not noted: hum says nothing without it'}.`,
  }
}

/** What turning a control right down does, in words. @param full what each pickup gives before it, @param down and after */
function sweepWords(pickups: readonly string[], full: readonly (readonly Complex[])[], down: readonly (readonly Complex[])[]): string {
  if (soundOf(full) === 'silent' && soundOf(down) === 'silent') return SOUND_WORDS.silent
  const changes = pickups.flatMap((pickup, i) => {
    const [low, high] = [0, 2].map((at) => decibel(down[i]![at]!) - decibel(full[i]![at]!)) as [number, number]
    return decibel(full[i]![0]!) < SILENT && decibel(down[i]![0]!) < SILENT ? [] : [{ pickup, low, high }]
  })
  const gone = changes.filter((c) => c.low < GONE)
  if (gone.length === changes.length) return 'down to silence, no crackle'
  if (gone.length) {
    const stay = changes.filter((c) => c.low >= GONE)
    const who = (some: typeof changes, one: string, more: string) =>
      `${listed(some.map((c) => c.pickup))} ${some.length === 1 ? one : more}`
    return `${who(gone, 'falls', 'fall')} out, ${who(stay, 'stays', 'stay')}, no crackle`
  }
  const moved = changes.filter((c) => Math.abs(c.low) >= NOTHING || Math.abs(c.high) >= NOTHING)
  if (!moved.length) return 'does nothing here'
  if (moved.every((c) => c.high < -6 && c.low > -6)) return 'goes dark evenly, no crackle'
  return moved.some((c) => c.low > NOTHING || c.high > NOTHING) ? 'the other pickup comes forward' : 'quieter or darker, no crackle'
}
