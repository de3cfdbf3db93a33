import type { SizeRef } from '../document/read'
import type { Distribution } from '../quantity/distribution'
import { keyOf, type Noted, type TraitRef } from './completed'
import { doubtSays, supposedSays, whateverSays } from './doubtWords'
import type { Told } from './hanging'
import { judgeAt, type Check, type Cure, type FigureUnit, type Question } from './joint'
import { wordOf, type Band, type Judgement } from './verdict'

/** Sorts out jobs that cannot be done. @param otherReads what the check is judged by under other answers to what nobody knows */
export type Vet = (check: Check, offered: readonly Cure[], otherReads: () => readonly (readonly SizeRef[])[]) => Cure[]

/** What a check's words and cures are made with. */
export interface Making {
  told: (raw: Judgement) => Told
  coated?: Judgement
  moved?: readonly SizeRef[]
  condition: boolean | undefined
  /** Is a size of a hole that is still to be made? */
  unmade: (ref: SizeRef) => boolean
  vet: Vet | undefined
}

/**
 * A check as judged. Its words, cures and lists are worked out for whoever looks: choosing and ranking judge thousands of joints and look at
 * few. They stand on the class, since getters of each check's own would cost more than all the rest of it: as data is `asData`.
 */
export class JudgedCheck implements Check {
  readonly id: string
  readonly label: string
  readonly clearance: Distribution
  readonly unit: FigureUnit
  readonly bands: readonly Band[]
  readonly raw: Judgement
  readonly unknown: SizeRef[]
  readonly unmade: SizeRef[]
  readonly untold: TraitRef[]
  readonly shown?: Distribution
  readonly coated?: Judgement
  readonly supposed?: true
  readonly hearsay?: boolean
  readonly #asked: Question
  readonly #noted: Noted
  readonly #making: Making
  #told: Told | undefined
  #says: string | undefined
  #cures: Cure[] | undefined
  #reads: SizeRef[] | undefined

  constructor(asked: Question, raw: Judgement, noted: Noted, making: Making) {
    const open = raw.verdict === 'cant-tell'
    this.id = asked.id
    this.label = asked.label
    this.clearance = asked.clearance
    this.unit = asked.unit ?? 'mm'
    this.bands = asked.bands
    this.raw = raw
    this.unknown = open ? [...noted.sizes.values()].filter((ref) => !making.unmade(ref)) : []
    this.unmade = open ? [...noted.sizes.values()].filter(making.unmade) : []
    this.untold = open ? [...noted.traits.values()] : []
    if (asked.shown) this.shown = asked.shown
    const coated = making.coated ?? (asked.coats === undefined ? undefined : judgeAt(asked, asked.coats))
    if (coated) this.coated = coated
    if (making.moved?.length) this.supposed = true
    if (asked.hearsay) this.hearsay = true
    this.#asked = asked
    this.#noted = noted
    this.#making = making
  }

  get reads(): SizeRef[] {
    return (this.#reads ??= [...this.#noted.reads.values()])
  }

  get says(): string {
    return (this.#says ??=
      this.raw.verdict === 'cant-tell'
        ? doubtSays(this.#asked, this.raw, this.unknown, this.untold, this.unmade, this.#making.condition)
        : this.#sureSays())
  }

  get cures(): Cure[] {
    const { moved, vet } = this.#making
    // A job that hangs on what nobody knows is not given: what would be cut by it cannot be put back.
    const offered = () => (this.raw.verdict === 'cant-tell' ? [] : this.#sure().cures.filter((c) => !moved?.length || !c.plan))
    return (this.#cures ??= vet ? vet(this, offered(), () => this.#sure().reads) : offered())
  }

  #sure(): Told {
    return (this.#told ??= this.#making.told(this.raw))
  }

  /** What is said of a check that is sure, also where figures of it are not. */
  #sureSays(): string {
    const { says, sure, hangs } = this.#sure()
    const word = wordOf(this.raw.verdict, this.#making.condition)
    if (this.raw.verdict === 'snug') return hangs.length ? whateverSays(this.label, word, hangs) : says
    const moved = this.#making.moved ?? []
    const all = [...new Map([...moved, ...hangs].map((ref) => [keyOf(ref), ref])).values()]
    return (sure ?? `${this.label}: ${word}.`) + supposedSays(all, moved.length > 0 || sure !== says)
  }
}

/** A check as plain data: everything it says worked out. */
export const asData = (c: Check): Check => Object.assign({ reads: c.reads, says: c.says, cures: c.cures }, c)
