import { parseOhms } from '../quantity/electrical'
import { amountsOf, numbered, saysOnly, wordSet, wordsOf, type Said } from './said'

const PLACES = wordSet('neck middle bridge')
const BESIDES = wordSet('position pickup switch volume jack meter shows all both')

/** "bridge position reads 8.1k": what a meter showed, in which position. */
export function meterSaid(said: Said): { says: string } | undefined {
  if (!said.includes('position')) return undefined
  const at = numbered(said, 'position')
  const places = wordsOf(at.rest).filter((w) => PLACES.has(w))
  const [amount, ...more] = amountsOf(at.rest)
  if (!amount || more.length || amount.signed || !saysOnly(at.rest, PLACES, BESIDES)) return undefined
  if ((at.n === undefined ? 0 : 1) + places.length !== 1 || !/^(k|m|[km]?ω|k?ohms?)$/.test(amount.unit)) return undefined
  const parsed = parseOhms(amount.written)
  if (!parsed.ok) return undefined
  const where = at.n === undefined ? `the ${places[0]} position` : `position ${at.n}`
  return { says: `Meter: ${(parsed.value / 1000).toFixed(2)} kΩ in ${where}. Under Wire it is held to its band.` }
}
