import type { Build, TrialResult } from '../document/build'
import { nameOf } from '../document/read'
import { trialOf } from '../document/trials'
import { jointOf, lookedAt } from '../judge/assemble'
import { asData } from '../judge/judgedCheck'
import type { Check, JudgedJoint } from '../judge/joint'
import type { Class } from '../judge/verdict'
import { certain, likelyOf } from '../quantity/distribution'
import { sayDay } from '../quantity/days'
import { isMeasured } from '../quantity/size'

/** How a person at the bench finds out, and what it may come to. */
export interface TrialKind {
  how: string
  offers: readonly (readonly [result: TrialResult, words: string])[]
  /** Checks that a trial says nothing of: the sum alone speaks there. */
  notSettled?: readonly string[]
}

const MEANS: Record<TrialResult, Class> = { goes: 'snug', force: 'tight', rattles: 'loose', wont: 'wont-go', flat: 'snug', rocks: 'tight' }

/** Pressed in or put through by hand. */
export const press = (how: string, ...notSettled: string[]): TrialKind => ({
  how,
  offers: [
    ['goes', 'goes in by hand'],
    ['force', 'needs force'],
    ['rattles', 'rattles'],
    ['wont', 'will not go in'],
  ],
  notSettled,
})
/** Laid in its place. */
export const lay = (how: string, ...notSettled: string[]): TrialKind => ({
  how,
  offers: [
    ['flat', 'lies flat'],
    ['rocks', 'rocks'],
    ['wont', 'will not go on'],
  ],
  notSettled,
})
/** Done, and seen whether it does. */
export const see = (how: string, ...notSettled: string[]): TrialKind => ({
  how,
  offers: [
    ['goes', 'is as it should be'],
    ['force', 'only just does'],
    ['wont', 'does not do'],
  ],
  notSettled,
})

/** A figure that the worst day moves further than this from today's is not settled by a trial today, mm. [ours] */
const TODAY = 0.05

/**
 * The hand overrules the sum: a trial that still holds settles what could not be told and stands against a sum that says otherwise; then both are
 * shown, with the size to doubt.
 */
export function withTrial(build: Build, joint: JudgedJoint, kind: TrialKind): JudgedJoint {
  const known = trialOf(build, joint.id)
  if (!known) return joint
  const { trial, since } = known
  const tried = { result: trial.result, on: trial.on, ...(since ? { since } : {}) }
  if (since) return { ...joint, ...lookedAt(joint), tried }
  const is = MEANS[trial.result]
  const good = is === 'snug' || is === 'loose'
  const settles = (c: Check) => !kind.notSettled?.includes(c.id) && !(c.shown && c.unit === 'mm' && good && movesBeyond(c))
  const against = joint.checks.filter((c) => settles(c) && c.raw.verdict !== 'cant-tell' && isGood(c.raw.verdict as Class) !== good)
  // A fault found by hand lies in one of the checks, nobody knows in which: only a good trial settles them all.
  const checks = joint.checks.map((c) =>
    good && settles(c) && c.raw.verdict !== is && (c.raw.verdict === 'cant-tell' || against.includes(c)) ? byHand(c, is, trial.on) : c,
  )
  const doubted = against.length ? doubtable(build, against) : undefined
  const says = [
    `Tried by hand on ${sayDay(trial.on)}: it ${kind.offers.find(([r]) => r === trial.result)?.[1] ?? 'was tried'}.`,
    against.length
      ? `The sum says otherwise: ${against[0]!.says}${doubted ? ` Doubt ${nameOf(doubted).toLowerCase()} first, and measure it again.` : ''}`
      : '',
  ]
    .filter(Boolean)
    .join(' ')
  const hand: Check = {
    id: 'tried',
    label: 'Tried by hand',
    clearance: certain(good ? 1 : -1),
    unit: 'none',
    bands: [
      { upTo: 0, is: good ? 'tight' : is },
      { upTo: Infinity, is: good ? is : 'snug' },
    ],
    raw: { verdict: is, chances: { snug: 0, loose: 0, tight: 0, 'wont-go': 0, [is]: 1 } },
    says,
    cures: [],
    reads: [],
    unknown: [],
    untold: [],
    unmade: [],
  }
  const all = jointOf(build, { ...joint, at: () => joint.at }, [hand, ...checks])
  return {
    ...all,
    ...lookedAt(all),
    says: all.verdict === is || against.length ? says : `${says} ${all.says}`,
    tried: { ...tried, ...(doubted ? { doubted } : {}) },
  }
}

const isGood = (c: Class) => c === 'snug' || c === 'loose'
/** Does the day that decides lie further off than a trial today can tell? */
const movesBeyond = (c: Check): boolean => c.id === 'width' && Math.abs(likelyOf(c.clearance) - likelyOf(c.shown!)) > TODAY

const byHand = (c: Check, is: Class, on: string): Check => ({
  ...asData(c),
  raw: { verdict: is, chances: { snug: 0, loose: 0, tight: 0, 'wont-go': 0, [is]: 1 } },
  says: `Tried by hand on ${sayDay(on)}.`,
  cures: [],
  unknown: [],
  untold: [],
})

/** Of the sizes a contradicted sum stands on, the one to measure again: what was only listed, then what was read least exactly. */
function doubtable(build: Build, checks: readonly Check[]) {
  const refs = checks.flatMap((c) => c.reads).filter((r) => build.parts[r.slot]?.sizes[r.size])
  const doubt = (r: (typeof refs)[number]) => {
    const size = build.parts[r.slot]!.sizes[r.size]!
    return size.doubt + (isMeasured(size.known) ? 0 : 1000)
  }
  return refs.toSorted((a, b) => doubt(b) - doubt(a))[0]
}
