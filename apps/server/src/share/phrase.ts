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

const SALT = 16
const HASH = 32

/** What is kept of a phrase: never itself, only its salted hash (scrypt, RFC 7914). */
export async function keptPhrase(phrase: string): Promise<string> {
  const salt = randomBytes(SALT)
  return Buffer.concat([salt, await derive(plain(phrase), salt, HASH)]).toString('base64')
}

/** Does this phrase belong to what was kept? */
export async function isPhrase(kept: string, said: string): Promise<boolean> {
  const bytes = Buffer.from(kept, 'base64')
  return timingSafeEqual(await derive(plain(said), bytes.subarray(0, SALT), HASH), bytes.subarray(SALT))
}
