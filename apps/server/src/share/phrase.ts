import { randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'
import { WORDS } from './words'

const derive = promisify<string, Buffer, number, Buffer>(scrypt as never)

/** Words of a phrase made here: 7 bits each, 35 together, against a handful of tries an hour. */
const COUNT = 5
/** Letters a phrase of one's own has at least. */
export const LEAST = 12
const LONGEST = 200

export const newPhrase = (): string => Array.from({ length: COUNT }, () => WORDS[randomInt(WORDS.length)]!).join(' ')

/** A thumb writes capitals, dashes and two spaces where none were meant. */
const plain = (said: string): string =>
  said
    .slice(0, LONGEST)
    .toLowerCase()
    .replace(/[\s\-_.,]+/g, ' ')
    .trim()

/** What is kept of a phrase: never itself, only its salted hash (scrypt, RFC 7914). */
export interface KeptPhrase {
  isIt: (said: string) => Promise<boolean>
}

export async function keepPhrase(phrase: string): Promise<KeptPhrase> {
  const salt = randomBytes(16)
  const hash = await derive(plain(phrase), salt, 32)
  return { isIt: async (said) => timingSafeEqual(await derive(plain(said), salt, 32), hash) }
}
