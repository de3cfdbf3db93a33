import { specAt, type SizeRef } from '../document/read'
import { KINDS } from '../parts/kinds/index'
import { bandOf } from '../parts/kind'
import { slotSpec } from '../parts/slots'
import { keyOf, type Noted, type TraitRef } from './completed'
import type { Cure } from './joint'
import { sameWords, whereSame } from './unsure'

/** What of a sure check's words and jobs is told by what nobody knows. */
export interface Told {
  says: string
  /** The words with only those figures that are the same whatever is found; nothing where the words themselves are not. */
  sure: string | undefined
  /** Jobs that are the same whatever the unknown turns out to be. */
  cures: Cure[]
  /** What the words hang on, and the jobs left out. */
  hangs: (SizeRef | TraitRef)[]
  /** What it is judged by under the other answers. */
  reads: SizeRef[][]
}

/** Answers to what is not known, by size and by trait. */
export interface Way {
  sizes: ReadonlyMap<string, number>
  traits: ReadonlyMap<string, string>
}

/** Where a question's words and jobs are read, and what they looked at meanwhile. */
interface Rendered {
  says: string
  cures: Cure[]
  noted: Noted
  /** What the question was judged by under these answers. */
  reads: SizeRef[]
}

const NO_SIZES: ReadonlyMap<string, number> = new Map()

export const optionsOf = (ref: TraitRef): readonly string[] =>
  KINDS[slotSpec(ref.slot).kind].traits[ref.trait]!.options.map(([value]) => value)

/** All of a job that a person is told or that is done on paper. */
const wordOf = ({ job, how, gives, tools, plan }: Cure): string => JSON.stringify([job, how, gives, tools, plan])

/**
 * Reads words and jobs of a sure check once more with each unknown size at both ends of its band and each untold trait at its other
 * options. Its class is the same for all of them; an amount, a place or a part asked for may not be, and would be done by a guess.
 * @param noted what the check looked at
 * @param render reads the check's words under some answers, or as they are; nothing where there is no such check under them
 */
export function toldWhatever(noted: Noted, render: (way?: Way) => Rendered | undefined): Told {
  const base = render()!
  // As the class was settled: untold traits at their first options, in the order they were met.
  const firsts = new Map([...noted.traits].map(([key, ref]) => [key, optionsOf(ref)[0]!]))
  const others: [ref: SizeRef | TraitRef, way: Way][] = [
    ...everyOne(noted.sizes, base.noted.sizes).flatMap((ref): [SizeRef, Way][] => {
      const { low, high } = bandOf(specAt(ref))
      return [low, high].map((end) => [ref, { sizes: new Map([[keyOf(ref), end]]), traits: firsts }])
    }),
    ...everyOne(noted.traits, base.noted.traits).flatMap((ref): [TraitRef, Way][] =>
      optionsOf(ref).map((option) => [ref, { sizes: NO_SIZES, traits: new Map([...firsts, [keyOf(ref), option]]) }]),
    ),
  ]
  const hangs = new Map<string, SizeRef | TraitRef>()
  const said: string[] = []
  const reads: SizeRef[][] = []
  const same = new Map(base.cures.map((c) => [c.id, wordOf(c)]))
  for (const [ref, way] of others) {
    const then = render(way)
    if (!then) continue
    said.push(then.says)
    reads.push(then.reads)
    if (then.says !== base.says) hangs.set(keyOf(ref), ref)
    for (const [id, words] of same) {
      const cure = then.cures.find((c) => c.id === id)
      if (cure && wordOf(cure) === words) continue
      same.delete(id)
      hangs.set(keyOf(ref), ref)
    }
  }
  const sure = said.every((s) => sameWords(s, base.says)) ? whereSame(base.says, said) : undefined
  return { says: base.says, sure, cures: base.cures.filter((c) => same.has(c.id)), hangs: [...hangs.values()], reads }
}

const everyOne = <R>(...maps: readonly ReadonlyMap<string, R>[]): R[] => [...new Map(maps.flatMap((m) => [...m])).values()]
