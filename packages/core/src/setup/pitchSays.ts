import { printMm } from '../quantity/length'
import { printTurns } from './action'
import { IN_TUNE, type SetupResult } from './setupResult'

/** Where the pitch at fret 12 stands, all strings together, and what to do: turn what is off, read again what no longer holds. */
export function pitchSays({ intonation }: Pick<SetupResult, 'intonation'>): { state: 'open' | 'again' | 'out' | 'done'; says: string } {
  const read = intonation.filter((i) => i.cents !== undefined)
  if (!read.length) return { state: 'open', says: 'Open octave against fret 12, string by string' }
  const again = read.filter((i) => i.stale)
  const off = read.flatMap(({ number, back, turns, cents, stale, trial, beyond }) =>
    stale || back === undefined || Math.abs(cents!) <= IN_TUNE
      ? []
      : [
          `${number}: ${turns === undefined ? `${printMm(Math.abs(back), 1)} mm` : `${trial ? 'first ' : ''}${printTurns(turns)}`} ${back > 0 ? 'back' : 'forward'}${beyond === undefined ? '' : ', more than its saddle goes'}`,
        ],
  )
  const says = [...off, ...(again.length ? [`${again.map((i) => i.number).join(', ')}: moved since, read again`] : [])].join(' · ')
  if (off.length) return { state: 'out', says }
  return again.length ? { state: 'again', says } : { state: 'done', says: 'All strings read are in tune at fret 12' }
}
