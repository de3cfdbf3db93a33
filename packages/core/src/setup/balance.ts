import type { Build, VibratoSetup } from '../document/build'
import { isSaid, valueAt } from '../document/read'
import { gaugesUntold, stringPulls } from '../instrument/stringPulls'
import { stretching } from '../physics/stiffString'
import { balanceAt, bendFrom, restOf, type Balance, type Moved, type Plate, type Rest } from '../physics/vibrato'
import { printMm } from '../quantity/length'
import { printTurns } from './action'
import { SCREWS, turnWords } from './screws'

/** What is taken where nobody measured it: plausible, not measured. [ours] */
export const USUAL_VIBRATO = {
  springs: 3,
  rate: 2,
  preload: 12,
  closed: 66,
  claw: { x: -67, y: -34 },
  block: { x: 11, y: -40 },
  saddle: { x: 13, y: 11 },
  back: { x: 42, y: 0 },
  pitch: 2,
} as const satisfies Required<Omit<VibratoSetup, 'school'>>

/** Free string behind nut and saddle that shares a stretch, mm, and slot bottom over the knife edge. [ours] */
const BEHIND = 122
const NUT_UP = 8.3

/** The bridge from the side by what was measured of it, with these strings. Nothing without gauges. */
export function plateOf(build: Build): Plate | undefined {
  const pulls = stringPulls(build)
  if (pulls.length < build.strings) return undefined
  const v = { ...USUAL_VIBRATO, ...build.setup.vibrato }
  const scale = valueAt(build, { slot: 'neck', size: 'scale' }) ?? build.scale
  const springs = build.setup.vibrato?.springs ?? Math.round(valueAt(build, { slot: 'springs', size: 'count' }) ?? v.springs)
  return {
    strings: pulls.map((p) => ({
      saddle: v.saddle,
      nut: { x: v.saddle.x - scale, y: NUT_UP },
      hertz: p.hertz,
      mass: p.mass,
      stretching: stretching(p.core, 200),
      behind: BEHIND,
    })),
    springs: { count: springs, rate: v.rate, preload: v.preload, closed: v.closed },
    claw: v.claw,
    block: v.block,
    back: v.back,
    deck: 0,
    pitch: v.pitch,
  }
}

export interface BalanceWork {
  /** Names of what is assumed. */
  assumed: string[]
  rest?: Rest
  balance: Balance
  bend?: Moved
  says: string[]
}

const NAMES: Record<keyof typeof USUAL_VIBRATO, string> = {
  springs: 'number of springs',
  rate: 'spring rate',
  preload: 'spring preload',
  closed: 'spring length',
  claw: 'place of the claw',
  block: 'place of the spring holes',
  saddle: 'place of the saddles',
  back: 'place of the back edge',
  pitch: 'thread of the claw screws',
}

/** So few rounds of tuning are no trouble. */
const FEW = 3
/** What is left of an error once nobody sees it. */
const UNSEEN = 0.1

/**
 * How often all strings are tuned until the plate keeps its place, and how to do with one round. [practice: a shim under the back edge]
 * @param left of an error after a round of tuning, 0 to 1 @param gap wanted, mm
 */
export function roundsSay(left: number, gap: number): string {
  const rounds = left <= UNSEEN ? 1 : Math.ceil(Math.log(UNSEEN) / Math.log(left))
  const says =
    left < 0.005
      ? 'with the claw there, one round of tuning is enough.'
      : `with the claw there, each round of tuning leaves ${Math.round(100 * left)} % of what the plate is off: ${rounds === 1 ? 'one round' : `${rounds} rounds`} until it is a tenth.`
  return rounds <= FEW
    ? says
    : `${says} Quicker: tune with a shim of ${printMm(gap)} mm under its back edge, and turn the claw until the plate only just holds it; then out with it.`
}

/** So far a claw goes on its screws at most, mm. [practice, from memory] */
const CLAW_GOES = 20

/** Are it more turns than the claw has screw for? */
export const isTooFar = ({ pitch }: Plate, { turns }: Balance): boolean => Math.abs(turns) * pitch > CLAW_GOES

/** How a floating vibrato is brought to its gap and what it does there. */
export function balanceWork(build: Build): BalanceWork | undefined {
  const plate = plateOf(build)
  if (!plate) return undefined
  const wanted = build.setup.wanted?.float ?? 1
  const rest = restOf(plate)
  const balance = balanceAt(plate, wanted)
  const bend = balance.stable ? bendFrom(plate, balance, Math.min(2, build.strings - 1), 2) : undefined
  const own = build.setup.vibrato ?? {}
  const counted = own.springs !== undefined || isSaid(build, { slot: 'springs', size: 'count' })
  const assumed = [
    ...(Object.keys(USUAL_VIBRATO) as (keyof typeof USUAL_VIBRATO)[])
      .filter((k) => (k === 'springs' ? !counted : own[k] === undefined))
      .map((k) => NAMES[k]),
    ...(gaugesUntold(build).length ? ['gauges of the strings'] : []),
  ]
  const turn = Math.abs(balance.turns)
  const tighter = balance.turns > 0
  const found = [
    !rest
      ? 'tuned up with the claw where it is, the plate runs away: each round of tuning lifts it further.'
      : rest.floats
        ? `tuned up as it is, it floats ${rest.gap.toFixed(1)} mm.`
        : 'tuned up as it is, it lies on the body.',
    turn < 1 / 16
      ? `the claw stands right for ${wanted} mm.`
      : isTooFar(plate, balance)
        ? `for ${wanted} mm the claw would have to go more than ${CLAW_GOES} mm ${tighter ? 'further in' : 'further out'}, and its screws end before: ${tighter ? 'more or stiffer' : 'fewer or softer'} springs first.`
        : `for ${wanted} mm both claw screws ${turnWords(balance.turns)} (${tighter ? 'tighter' : 'looser'}), ${SCREWS.claw.from}, a quarter at a time and the same on both, tuned in between.`,
    ...(balance.dead > 0.1 && !isTooFar(plate, balance)
      ? [`the first ${printTurns(balance.dead)} of them move nothing: the springs hold more than the strings pull.`]
      : []),
    balance.stable
      ? roundsSay(balance.errorLeft, wanted)
      : 'there is no stable rest at that gap: the strings’ pull beats the springs’ slope and each retuning makes it worse. More or stiffer springs cure it, or a bridge that lies down.',
  ]
  // Turns by sizes nobody knew would be sure and wrong: until they are measured this is an example, and the gap itself leads.
  const sentences = found.map((f) => f[0]!.toUpperCase() + f.slice(1))
  const says = assumed.length
    ? [
        `Its turns are not known: nobody has measured ${assumed.join(', ')}. Go by the gap: a quarter turn on both claw screws, retune, round by round, until it stays in tune, and read it again.`,
        `An example with usual sizes, not this bridge: ${sentences.join(' ')}`,
      ]
    : sentences
  return { assumed, ...(rest ? { rest } : {}), balance, ...(bend ? { bend } : {}), says }
}
