import { signed } from '../judge/joint'
import { printMm } from '../quantity/length'
import { printTurns } from './action'
import { IN_TUNE, type PitchWork } from './pitchWork'
import type { SetupResult } from './setupResult'

/** "2", "1 and 2" of a saddle that carries both, or "treble end" of a bridge that goes as a whole: what is moved. */
const moved = ({ number, beside, whole }: PitchWork): string =>
  whole ? `${number === 1 ? 'treble' : 'bass'} end` : beside === undefined ? String(number) : `${number} and ${beside}`

function moveSays(work: PitchWork & { back: number }): string {
  const { back, turns, trial, beyond } = work
  const far = turns === undefined ? `${printMm(Math.abs(back), 1)} mm` : `${trial ? 'first ' : ''}${printTurns(turns)}`
  return `${moved(work)}: ${far} ${back > 0 ? 'back' : 'forward'}${beyond === undefined ? '' : `, more than ${work.whole ? 'the bridge' : 'its saddle'} goes`}`
}

/** Where the pitch at fret 12 stands, all strings together, and what to do: turn what is off, read again what no longer holds. */
export function pitchSays({ intonation }: Pick<SetupResult, 'intonation'>): { state: 'open' | 'again' | 'out' | 'done'; says: string } {
  const read = intonation.filter((i) => i.cents !== undefined)
  if (!read.length) return { state: 'open', says: 'Open octave against fret 12, string by string' }
  const again = read.filter((i) => i.stale)
  // A saddle that carries two is told of once.
  const off = read.flatMap((i) =>
    i.off === undefined || i.back === undefined || Math.abs(i.off) <= IN_TUNE || (!i.whole && (i.beside ?? i.number) < i.number)
      ? []
      : [moveSays({ ...i, back: i.back })],
  )
  const halves = read
    .filter((i) => !i.stale && i.off === undefined && i.whole !== 'between')
    .flatMap((i) => (again.some((a) => a.number === i.beside) ? [] : [i.beside!]))
  const says = [
    ...off,
    ...(halves.length
      ? [`${halves.join(', ')}: read too, ${read.some((i) => i.whole) ? 'the bridge goes as a whole' : 'on the same saddle'}`]
      : []),
    ...(again.length ? [`${again.map((i) => i.number).join(', ')}: old, read again`] : []),
  ].join(' · ')
  if (off.length) return { state: 'out', says }
  if (again.length || halves.length) return { state: 'again', says }
  const left = read.filter((i) => Math.abs(i.cents!) > IN_TUNE).map((i) => `${i.number} ${signed(i.cents!, 0)}`)
  return {
    state: 'done',
    says: left.length
      ? `As near as ${read.some((i) => i.whole) ? 'the bridge’s two ends bring all strings' : 'a saddle for two strings comes'}: ${left.join(', ')} cents`
      : 'All strings read are in tune at fret 12',
  }
}
