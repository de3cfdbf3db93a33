import type { Build, PlayingTrouble } from '../document/build'
import { PLAYING_SYMPTOMS, type PlayingCause, type PlayingCheck, type PlayingSymptom } from './playingSymptoms'
import { byMoment } from '../quantity/moments'

/** A reading that speaks for a cause makes it so much likelier. [ours] */
const SPEAKS = 4
/** A check says yes with a cause it shows, and by mistake with others. [ours] */
const YES = 0.9
const MISTAKEN = 0.1

export interface PlayingSuspect extends PlayingCause {
  share: number
  because?: string
}

export interface PlayingDiagnosis {
  symptom: PlayingSymptom
  /** Likeliest first. */
  suspects: PlayingSuspect[]
  /** The open check that tells most for its minutes, and how sure it would make the likeliest. */
  next?: PlayingCheck
  /** Open checks, the best first. */
  open: PlayingCheck[]
}

const normal = (weights: readonly number[]): number[] => {
  const sum = weights.reduce((s, w) => s + w, 0)
  return weights.map((w) => w / sum)
}
const entropy = (shares: readonly number[]): number => -shares.reduce((s, p) => s + (p > 0 ? p * Math.log2(p) : 0), 0)
const likely = (check: PlayingCheck, cause: string, yes: boolean): number => {
  const says = check.shows.includes(cause) ? YES : MISTAKEN
  return yes ? says : 1 - says
}

/** Causes ranked by what is usual, what was read, and what the checks have shown; then the next check by what it tells for its minutes. [Bayes] */
export function playingDiagnosis(build: Build, listed: PlayingSymptom, found: Readonly<Record<string, boolean>> = {}): PlayingDiagnosis {
  const symptom = { ...listed, checks: listed.checks.map((c) => (c.asksOf ? { ...c, asks: c.asksOf(build) } : c)) }
  const causes = symptom.causes.filter((c) => !c.only || c.only(build))
  const because = causes.map((c) => c.speaks?.(build))
  const shares = normal(
    causes.map((c, i) =>
      symptom.checks.reduce(
        (w, check) => (found[check.id] === undefined ? w : w * likely(check, c.id, found[check.id]!)),
        c.usual * (because[i] ? SPEAKS : 1),
      ),
    ),
  )
  const gain = (check: PlayingCheck): number => {
    const after = [true, false].map((yes) => {
      const weights = causes.map((c, i) => shares[i]! * likely(check, c.id, yes))
      return { chance: weights.reduce((s, w) => s + w, 0), left: entropy(normal(weights)) }
    })
    return entropy(shares) - after.reduce((s, a) => s + a.chance * a.left, 0)
  }
  // A check for a thing this instrument does not have tells nothing.
  const open = symptom.checks
    .filter((c) => found[c.id] === undefined && c.shows.some((id) => causes.some((k) => k.id === id)))
    .map((c) => ({ check: c, worth: gain(c) / c.minutes }))
    .toSorted((a, b) => b.worth - a.worth)
    .map((c) => c.check)
  const suspects = causes
    .map((c, i): PlayingSuspect => ({ ...c, share: shares[i]!, ...(because[i] ? { because: because[i] } : {}) }))
    .toSorted((a, b) => b.share - a.share)
  return { symptom, suspects, open, ...(open[0] ? { next: open[0] } : {}) }
}

/** Symptoms that this instrument can have: at least one of their causes is there. */
export const playingSymptomsOf = (build: Build): PlayingSymptom[] =>
  PLAYING_SYMPTOMS.filter((s) => s.causes.some((c) => !c.only || c.only(build)))

/** The newest trouble of a symptom that has no cause yet, with its id. */
export const openTrouble = (build: Build, symptom: string): [string, PlayingTrouble] | undefined =>
  Object.entries(build.setup.troubles ?? {})
    .filter(([, t]) => t.symptom === symptom && !t.cause)
    .toSorted(([, a], [, b]) => byMoment(b.at, a.at))[0]
