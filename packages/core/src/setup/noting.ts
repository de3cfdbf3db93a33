import type { Build, ScrewTurn, SetupReading } from '../document/build'
import type { Change } from '../document/change'
import { setSetup } from '../document/changes'
import { takeReading } from '../document/setupReadings'
import { gaugesUntold, stringPulls } from '../instrument/stringPulls'
import { printTurns } from './action'
import { turnWords } from './screws'
import { BY_STRING, totalPull } from './staleness'

/** Ticked once every fret from 15 up was played clean on every string; turning the height screws takes it away. */
export const HIGH_FRETS = 'from 15 up'

/** Writes a reading down with what the strings pulled meanwhile, so that it is known when it no longer holds. */
export function noteReading(build: Build, reading: SetupReading & { at: string }, label: string): Change {
  const pull = reading.what === 'slack' ? undefined : totalPull(build)
  return takeReading(build, { ...reading, ...(pull === undefined ? {} : { pull: tenths(pull) }), ...strungWith(build, reading) }, label)
}

const tenths = (newton: number) => Math.round(newton * 10) / 10

/** Its own string, where its gauge is no usual one: that may be told later of the very string. */
function strungWith(build: Build, { what, string }: SetupReading): Pick<SetupReading, 'gauge' | 'newton'> {
  if (!BY_STRING.includes(what) || string === undefined || gaugesUntold(build).includes(string)) return {}
  const own = stringPulls(build).find((p) => p.number === string)
  return own ? { gauge: own.gauge, newton: tenths(own.newton) } : {}
}

/** Writes turns down as they were made, each under the moment and its screw. */
export function noteTurns(build: Build, turns: readonly Omit<ScrewTurn, 'at'>[], at: string): Change {
  const made = turns.filter((t) => t.turns !== 0)
  const added = Object.fromEntries(made.map((t) => [`${at} ${t.screw}${t.string === undefined ? '' : ` ${t.string}`}`, { ...t, at }]))
  const noted = setSetup(build, 'turns', { ...build.setup.turns, ...added }, made.map(said).join(', '))
  // What was played clean up there was played at another height.
  const { [HIGH_FRETS]: played, ...ticked } = build.setup.first ?? {}
  if (!played || !made.some((t) => t.screw === 'bass' || t.screw === 'treble')) return noted
  return { ...noted, edits: [...noted.edits, ...setSetup(build, 'first', ticked, '').edits] }
}

const said = ({ screw, string, turns }: Omit<ScrewTurn, 'at'>): string =>
  screw === 'length' ? `length screw of string ${string} ${lengthWords(turns)}` : `${screw} ${turnWords(turns)}`

/** Of a length screw: where its saddle went. */
export const lengthWords = (turns: number): string =>
  `${printTurns(turns)} ${Math.abs(turns) > 1 ? 'turns' : 'turn'} ${turns > 0 ? 'back' : 'forward'}`
