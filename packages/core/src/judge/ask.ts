import type { Build } from '../document/build'
import { asTold, sizeAt, specAt, type SizeRef } from '../document/read'
import { isUnmade } from '../document/unmade'
import { bandOf } from '../parts/kind'
import { likelyOf, type Distribution } from '../quantity/distribution'
import type { Size } from '../quantity/size'
import { completed, keyOf, nothingNoted, type Noted, type Suppose, type TraitRef } from './completed'
import type { Check, Question } from './joint'
import { judgeAt } from './joint'
import { acrossBands, agreed, type Found } from './acrossBands'
import { optionsOf, toldWhatever, type Told, type Way } from './hanging'
import { JudgedCheck, type Making, type Vet } from './judgedCheck'
import { CLASSES, type Judgement } from './verdict'

/**
 * One or more checks, asked of a build in which everything that can be known of its parts has an answer. It returns nothing where such a
 * check cannot exist for these parts; never because something is not known.
 */
export type Ask = (build: Build) => Question | readonly Question[] | undefined

/** More ways to answer the untold traits than this are not all gone through; the check then is never sure that it goes. */
const MOST_WAYS = 48

const NOTHING_SAID: Way = { sizes: new Map(), traits: new Map() }

const UNNOTED = nothingNoted()

const questionsOf = (asked: ReturnType<Ask>): readonly Question[] =>
  asked === undefined ? [] : Array.isArray(asked) ? (asked as readonly Question[]) : [asked as Question]

interface Asked {
  questions: readonly Question[]
  noted: Noted
}
type AskUnder = (way: Way) => Asked

/** What a build's checks are asked of: one completed build for every ask of every joint, under one supposition after another. */
class Base {
  readonly build: Build
  /** Something is being asked of it: who asks meanwhile needs another. */
  asking = false
  private way = NOTHING_SAID
  private readonly supposed: Suppose = {
    size: (ref, key) => sizeUnder(this.way, ref, key),
    trait: (ref, key) => traitUnder(this.way, ref, key),
  }
  private readonly note = { noted: UNNOTED }

  constructor(build: Build) {
    this.build = completed(build, this.supposed, this.note)
  }

  /**
   * Reads under such a supposition.
   * @param noted where it is written down what was looked at; what words and cures read besides is nobody's
   */
  under<T>(way: Way, noted: Noted, read: () => T): T {
    const before = [this.way, this.note.noted, this.asking] as const
    this.way = way
    this.note.noted = noted
    this.asking = true
    try {
      return read()
    } finally {
      ;[this.way, this.note.noted, this.asking] = before
    }
  }

  /** Reads with one known size taken so much further. */
  shifted<T>(key: string, by: number, read: () => T): T {
    this.supposed.shifted = { key, by }
    try {
      return this.under(NOTHING_SAID, UNNOTED, read)
    } finally {
      this.supposed.shifted = undefined
    }
  }
}

/** Joints are judged one build after another. */
let latest: { of: Build; base: Base } | undefined
function baseOf(build: Build): Base {
  if (latest?.of === build && !latest.base.asking) return latest.base
  const base = new Base(build)
  // What stands in for a build answers otherwise from one run to the next.
  if (asTold(build) === build) latest = { of: build, base }
  return base
}

/** Asks checks of one build, again and again, under whatever is supposed for what is not known. */
export class Asker {
  private readonly base: Base
  /** Which of the cures a check offers are worth offering; all of them where nobody looks. */
  vet: Vet | undefined

  /** @param condition what is asked is no fit, and is told in other words */
  constructor(
    private readonly build: Build,
    private readonly condition?: boolean,
  ) {
    this.base = baseOf(build)
  }

  /**
   * Judges what is asked. A class stands when every answer the parts may give to what is missing gives it: each size at both ends of the
   * widest band such parts are found in, each trait at each of its options. Otherwise nobody can tell.
   */
  judge(ask: Ask): Check[] {
    const { questions, noted } = this.run(ask, NOTHING_SAID)
    const widen = questions.some((q) => q.spread) ? this.spread(ask, questions, noted) : (asked: readonly Question[]) => asked
    const otherwise = this.onceEach(ask)
    if (!noted.sizes.size && !noted.traits.size)
      return widen(questions).map((q) => new JudgedCheck(q, judgeAt(q, 0), noted, this.making(q, NOTHING_SAID, noted, otherwise)))
    return this.supposing(questions, noted, widen, otherwise)
  }

  /**
   * Each known size taken one sigma further, one after another: what that moves of a clearance is its share of the doubt. [published: law of
   * propagation of uncertainty, first order, from memory]
   * @returns what makes questions as wide as that
   */
  private spread(ask: Ask, questions: readonly Question[], noted: Noted): (asked: readonly Question[]) => readonly Question[] {
    const variance = new Map<string, number>()
    for (const [key, ref] of noted.reads) {
      const sigma = noted.sizes.has(key) ? 0 : (sizeAt(this.build, ref)?.doubt ?? 0) / 2
      if (!sigma) continue
      // What is read now was noted before.
      const further = this.base.shifted(key, sigma, () => questionsOf(ask(this.base.build)))
      for (const q of questions) {
        const then = q.spread && further.find((f) => f.id === q.id)
        if (then) variance.set(q.id, (variance.get(q.id) ?? 0) + (likelyOf(then.clearance) - likelyOf(q.clearance)) ** 2)
      }
    }
    const wider = (d: Distribution, by: number): Distribution => d.map((n) => ({ ...n, sigma: Math.hypot(n.sigma, by) }))
    return (asked) =>
      asked.map((q) => {
        const by = Math.sqrt(variance.get(q.id) ?? 0)
        return by ? { ...q, clearance: wider(q.clearance, by), ...(q.shown ? { shown: wider(q.shown, by) } : {}) } : q
      })
  }

  /** What a check's words are made with: read when somebody looks, and read again under other answers to what nobody knows. */
  private making(question: Question, met: Way, noted: Noted, otherwise: AskUnder): Making {
    const told = (raw: Judgement): Told =>
      toldWhatever(noted, (way) => {
        const asked = way && otherwise(way)
        const q = asked ? asked.questions.find((found) => found.id === question.id) : question
        const looked = nothingNoted()
        const reads = [...(asked?.noted ?? noted).reads.values()]
        return q && this.base.under(way ?? met, looked, () => ({ says: q.says(raw), cures: q.cures?.(raw) ?? [], noted: looked, reads }))
      })
    return { told, condition: this.condition, vet: this.vet, unmade: (ref) => isUnmade(this.build, ref) }
  }

  /** Asks under other answers, of each once: what a class was settled by is read again for its words. */
  private onceEach(ask: Ask): AskUnder {
    const asked = new Map<string, Asked>()
    return (way) => {
      const key = [...way.sizes, ...way.traits].flat().join()
      const known = asked.get(key)
      if (known) return known
      const got = this.run(ask, way)
      asked.set(key, got)
      return got
    }
  }

  private run(ask: Ask, way: Way): Asked {
    const noted = nothingNoted()
    return this.base.under(way, noted, () => ({ questions: questionsOf(ask(this.base.build)), noted }))
  }

  private supposing(
    first: readonly Question[],
    noted: Noted,
    widen: (asked: readonly Question[]) => readonly Question[],
    otherwise: AskUnder,
  ): Check[] {
    const found = new Map<string, Found & { way: Way }>()
    let runs = 0
    /** Asks once more under other suppositions, and takes note of what it then is. */
    const meet = (asked: readonly Question[], way: Way): void => {
      const questions = widen(asked)
      for (const q of questions) {
        const at = found.get(q.id) ?? { question: q, way, seen: [], coated: [], absent: runs > 0, crosses: false, moved: new Set<string>() }
        at.seen.push(judgeAt(q, 0))
        if (q.coats !== undefined) at.coated.push(judgeAt(q, q.coats))
        found.set(q.id, at)
      }
      for (const [id, at] of found) if (!questions.some((q) => q.id === id)) at.absent = true
      runs++
    }
    const under = (way: Way): readonly Question[] => {
      const got = otherwise(way)
      takeIn(noted, got.noted)
      meet(got.questions, way)
      return got.questions
    }
    meet(first, NOTHING_SAID)
    const { ways, all } = allWays(noted, (traits) => void under({ sizes: NOTHING_SAID.sizes, traits }))
    // What has given no check yet may give one at the ends of a band.
    const open = () => !found.size || [...found.values()].some((f) => agreed(f.seen) !== undefined || agreed(f.coated) !== undefined)
    for (const traits of noted.sizes.size ? ways : [])
      if (open()) acrossBands(found, noted.sizes, (sizes) => under({ sizes: pinned(noted.sizes, sizes), traits }), open)
    return [...found.values()].map(
      ({ question, way, seen, coated, absent, crosses, moved }) =>
        new JudgedCheck(question, merged(seen, all && !crosses, absent || crosses), noted, {
          ...this.making(question, way, noted, otherwise),
          ...(coated.length ? { coated: merged(coated, all && !crosses, absent || crosses) } : {}),
          moved: [...moved].map((key) => noted.sizes.get(key)!),
        }),
    )
  }
}

/** Every way the untold traits may be answered; more traits may be asked for on the way. */
function allWays(noted: Noted, meet: (traits: ReadonlyMap<string, string>) => void): { ways: ReadonlyMap<string, string>[]; all: boolean } {
  const ways: ReadonlyMap<string, string>[] = []
  let all = true
  for (let before = -1; before !== noted.traits.size; ) {
    before = noted.traits.size
    const next = waysOf([...noted.traits.values()])
    all = next.all
    for (const traits of next.ways) {
      if (ways.some((w) => sameMap(w, traits))) continue
      ways.push(traits)
      meet(traits)
    }
  }
  return { ways: ways.length ? ways : [NOTHING_SAID.traits], all }
}

function takeIn(noted: Noted, more: Noted): void {
  for (const [key, ref] of more.reads) noted.reads.set(key, ref)
  for (const [key, ref] of more.sizes) noted.sizes.set(key, ref)
  for (const [key, ref] of more.traits) noted.traits.set(key, ref)
}

const sameMap = (a: ReadonlyMap<string, string>, b: ReadonlyMap<string, string>) =>
  a.size === b.size && [...a].every(([k, v]) => b.get(k) === v)

function sizeUnder(way: Way, ref: SizeRef, key: string): Size {
  const set = way.sizes.get(key)
  if (set !== undefined) return { value: set, doubt: 0, known: 'assumed' }
  const band = bandOf(specAt(ref))
  return { value: (band.low + band.high) / 2, doubt: (band.high - band.low) / 2, known: 'assumed' }
}

const traitUnder = (way: Way, ref: TraitRef, key: string): string => way.traits.get(key) ?? optionsOf(ref)[0]!

/** Every way to answer the untold traits; where they are too many, each of them in turn beside the first options of the others. */
function waysOf(traits: readonly TraitRef[]): { ways: ReadonlyMap<string, string>[]; all: boolean } {
  const count = traits.reduce((n, t) => n * optionsOf(t).length, 1)
  if (!traits.length) return { ways: [], all: true }
  if (count > MOST_WAYS) {
    const usual = traits.map((t) => [keyOf(t), optionsOf(t)[0]!] as const)
    return { ways: traits.flatMap((t) => optionsOf(t).map((o) => new Map([...usual, [keyOf(t), o] as const]))), all: false }
  }
  let ways: Map<string, string>[] = [new Map()]
  for (const t of traits) ways = ways.flatMap((w) => optionsOf(t).map((o) => new Map([...w, [keyOf(t), o] as const])))
  return { ways, all: true }
}

/** Every unknown size at one place of its band, in its middle unless told otherwise: what lies between is searched for, and is no doubt there. */
function pinned(unknown: ReadonlyMap<string, SizeRef>, told: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
  const middles = [...unknown].map(([key, ref]) => {
    const { low, high } = bandOf(specAt(ref))
    return [key, (low + high) / 2] as const
  })
  return new Map([...middles, ...told])
}

/** One judgement out of those under every supposition. */
function merged(seen: readonly Judgement[], all: boolean, absent: boolean): Judgement {
  const chances = { snug: 0, loose: 0, tight: 0, 'wont-go': 0 }
  for (const j of seen) for (const c of CLASSES) chances[c] += j.chances[c] / seen.length
  const one = agreed(seen)
  // Where the check might not even exist, a fault is not sure; nor is a good class where not every answer was tried.
  const stands = one !== undefined && (one === 'snug' || one === 'loose' ? all : !absent)
  return { verdict: stands ? one : 'cant-tell', chances }
}
