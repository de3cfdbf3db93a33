import type { CircuitChoice, Gain } from '../../document/build'
import { gainAt } from '../engine/response'
import { compile } from '../engine/solver'
import type { Harness } from '../model/harness'
import { toNetlist } from '../model/toNetlist'
import { potsOf, switchStates } from '../model/switchStates'

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

/** More than so many ways the switches can stand do not go on one sheet: the selector's are listened to. */
const MOST = 16
/** A control that changes no more than this does nothing there, dB. [ours] */
const NOTHING = 1.5

/** Every position against every control: what should be heard, and what nobody has tried before the covers go on. */
export function listeningSheet(harness: Harness, circuit: Pick<CircuitChoice, 'heard' | 'gain'>): ListeningSheet {
  const pots = potsOf(harness)
  const heard = circuit.heard ?? {}
  const controls = ['strum', ...pots.map((p) => p.label), 'hand on the strings']
  const rows = switchStates(harness)
    .slice(0, MOST)
    .map(({ id, switches }) => {
      const level = (knobs: Record<string, number>) => levels(harness, switches, knobs)
      const full = level({})
      // What was heard is kept by a name that stays when a knob is called otherwise.
      const cell = (control: string, expect: string, kept = control): ListeningCell => {
        const key = `${id} ${kept}`.trim()
        return { key, control, expect, ...(heard[key] ? { heard: heard[key] } : {}) }
      }
      return {
        id,
        cells: [
          cell('strum', full.low < -60 ? 'silence belongs here' : 'every string full and clear'),
          ...pots.map((p) => cell(p.label, sweepWords(full, level({ [p.id]: 0 })), p.id.replace('-', ' '))),
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

/** As little as is told apart, dB. */
const SILENCE = -200

interface Levels {
  low: number
  high: number
}

function levels(harness: Harness, switches: Readonly<Record<string, number>>, knobs: Record<string, number>): Levels {
  const solver = compile(toNetlist(harness, { switches: { ...switches }, knobs }, { cable: 500e-12, amplifier: 1e6 }))
  // Silence is a number too, so that two silences can be compared.
  const at = (hertz: number) => Math.max(SILENCE, gainAt(solver, hertz))
  return { low: at(150), high: at(3000) }
}

/** What turning a control right down does, in words. */
function sweepWords(full: Levels, down: Levels): string {
  const [low, high] = [down.low - full.low, down.high - full.high]
  if (full.low < -60 && down.low < -60) return 'silence belongs here'
  if (Math.abs(low) < NOTHING && Math.abs(high) < NOTHING) return 'does nothing here'
  if (low < -40) return 'down to silence, no crackle'
  if (high < -6 && low > -6) return 'goes dark evenly, no crackle'
  return low > NOTHING || high > NOTHING ? 'the other pickup comes forward' : 'quieter or darker, no crackle'
}
