import type { SetupScrew } from '../document/build'
import { lengthWords, noteTurns } from '../setup/noting'
import { turnWords } from '../setup/screws'
import type { SetupSaid } from './readingSaid'
import { amountsOf, numbered, saysOnly, wordSet, wordsOf, type Said } from './said'

const TIGHTER = wordSet('tight tighter tightened right')
const LOOSER = wordSet('loose looser loosened left')
const CLOCKWISE = wordSet('clockwise')
const COUNTER = wordSet('counterclockwise')
const BACK = wordSet('back backwards longer tail')
const FORWARD = wordSet('forward forwards shorter nut')
/** Said of any turn. */
const TURNED = wordSet('turn turned turns gave given more screw screws rod towards')

const SCREWS: readonly { screw: SetupScrew; says: string; one: ReadonlySet<string>; besides: ReadonlySet<string> }[] = [
  { screw: 'truss', says: 'Truss nut', one: wordSet('truss'), besides: wordSet('truss nut') },
  { screw: 'claw', says: 'Claw screws', one: wordSet('claw'), besides: wordSet('claw both spring') },
  ...(['bass', 'treble'] as const).map((screw) => ({
    screw,
    says: `Height, ${screw} side`,
    one: wordSet('post side screw stud wheel'),
    besides: wordSet(`${screw} post side stud wheel thumb bridge height raised lowered`),
  })),
]

/** The most that is turned at once; more was something else. [ours] */
const MOST = { height: 10, length: 20 }

/** "truss 1/4 turn clockwise", "claw half a turn looser", "bass post a quarter turn counter-clockwise", "saddle 3 one turn back". */
export function turnsSaid(said: Said, strings: number): SetupSaid | undefined {
  const saddle = lengthSaid(said, strings)
  if (saddle) return saddle
  const [amount, ...more] = amountsOf(said)
  if (!amount || more.length || !/^turns?$/.test(amount.unit) || amount.signed || amount.value === 0 || amount.value > MOST.height)
    return undefined
  const spoken = wordsOf(said)
  const meant = SCREWS.filter((s) => spoken.includes(s.screw) && spoken.some((w) => s.one.has(w)))
  const [found] = meant
  if (!found || meant.length > 1) return undefined
  // A post is neither tight nor loose.
  const sided = found.screw === 'bass' || found.screw === 'treble'
  const [forth, back] = sided
    ? [[CLOCKWISE], [COUNTER]]
    : [
        [CLOCKWISE, TIGHTER],
        [COUNTER, LOOSER],
      ]
  const sense = one(spoken, forth!, back!)
  // Which way is half of it: without it nothing is certain.
  if (sense === undefined || !saysOnly(said, found.besides, TURNED, ...forth!, ...back!)) return undefined
  const turns = sense * amount.value
  return { says: `${found.says}: ${turnWords(turns)}`, change: (b, at) => noteTurns(b, [{ screw: found.screw, turns }], at) }
}

/** A length screw is told by where its saddle goes: which way that turns the screw depends on the side it is turned from. */
function lengthSaid(said: Said, strings: number): SetupSaid | undefined {
  const spoken = wordsOf(said)
  if (!spoken.includes('saddle') && !spoken.includes('length')) return undefined
  const byString = numbered(said, 'string')
  const { n, rest } = byString.n === undefined ? numbered(said, 'saddle') : byString
  const [amount, ...more] = amountsOf(rest)
  if (n === undefined || n < 1 || n > strings || !amount || more.length) return undefined
  if (!/^turns?$/.test(amount.unit) || amount.signed || amount.value === 0 || amount.value > MOST.length) return undefined
  const sense = one(wordsOf(rest), [BACK], [FORWARD])
  if (sense === undefined || !saysOnly(rest, wordSet('saddle string length'), TURNED, BACK, FORWARD)) return undefined
  const turns = sense * amount.value
  return {
    says: `Length screw of string ${n}: ${lengthWords(turns)}`,
    change: (b, at) => noteTurns(b, [{ screw: 'length', string: n, turns }], at),
  }
}

type Words = readonly ReadonlySet<string>[]
/** 1 where only the first was said, −1 where only the second was. */
function one(spoken: readonly string[], forth: Words, back: Words): 1 | -1 | undefined {
  const says = (sets: Words) => spoken.some((w) => sets.some((s) => s.has(w)))
  return says(forth) === says(back) ? undefined : says(forth) ? 1 : -1
}
