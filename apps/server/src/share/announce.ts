import { stripVTControlCharacters } from 'node:util'
import qrcode from 'qrcode'
import { ownAddresses } from './addresses'

/**
 * What stands on the screen of the machine that shares: where to go, what to say, and a code to point a telephone at.
 * @param phrase made for this start; 'own' where the person chose one, 'bench' where every bench has its own
 */
export async function announcement(port: number, phrase: { made: string } | 'own' | 'bench'): Promise<string> {
  const [address] = ownAddresses()
  if (address === undefined) return 'This machine is on no network: Snug Bolt can only be reached from here.\n'
  const url = `http://${address}:${port}`
  return [
    `Other devices on this network reach it at ${url}`,
    await code(url),
    phrase === 'own'
      ? 'and say the pass-phrase you chose.'
      : phrase === 'bench'
        ? 'and sign in with the name and the pass-phrase of a bench.'
        : `and say the pass-phrase: ${phrase.made}`,
    'What they send is not encrypted: share it on your own network only, and stop it (Ctrl-C) when you are done.',
    '',
  ].join('\n')
}

const [BLACK_ON_WHITE, PLAIN] = ['\u001b[47m\u001b[30m', '\u001b[0m']
/** Modules of white round a code that a reader wants (ISO/IEC 18004); the writer leaves one. */
const QUIET = 4

/** The code in half blocks, black on white whatever the colours of the screen it stands on. */
async function code(text: string): Promise<string> {
  const drawn = await qrcode.toString(text, { type: 'terminal', small: true, errorCorrectionLevel: 'L' })
  const rows = stripVTControlCharacters(drawn)
    .split('\n')
    .filter((row) => row.trim())
  const side = ' '.repeat(QUIET - 1)
  const blank = Array<string>(QUIET / 2).fill(' '.repeat(rows[0]!.length + 2 * side.length))
  return [...blank, ...rows.map((row) => side + row + side), ...blank].map((row) => `${BLACK_ON_WHITE}${row}${PLAIN}`).join('\n')
}
