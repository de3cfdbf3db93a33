import type { Build } from '../document/build'
import { asTold, nameOf, specAt, type SizeRef } from '../document/read'
import { atOdds } from '../parts/atOdds'
import { KINDS } from '../parts/kinds/index'
import { bandOf, type SizeUnit } from '../parts/kind'
import { slotSpec } from '../parts/slots'
import { digitsKnown, plusMinus } from '../quantity/digitsKnown'
import { doubtOf, likelyOf } from '../quantity/distribution'
import type { TraitRef } from './completed'
import { signed, type Question } from './joint'
import { CLASSES, wordOf, type Judgement } from './verdict'

const sizeName = (r: SizeRef) => `${nameOf(r).toLowerCase()} (${slotSpec(r.slot).label.toLowerCase()})`
export const traitName = (r: TraitRef): string =>
  `${KINDS[slotSpec(r.slot).kind].traits[r.trait]!.label.toLowerCase()} (${slotSpec(r.slot).label.toLowerCase()})`

/** How many of what is missing are named in a sentence. */
const NAMED = 3

const someNames = (names: readonly string[]): string =>
  names.slice(0, NAMED).join(', ') + (names.length > NAMED ? ` and ${names.length - NAMED} more` : '')

/** "Not known yet: grain (neck), fret crown (neck) and 2 more." What is not made yet is for Drill, and for nobody to measure. */
export function missingSays(sizes: readonly SizeRef[], traits: readonly TraitRef[], unmade: readonly SizeRef[] = []): string {
  const names = [...traits.map(traitName), ...sizes.map(sizeName)]
  return [
    ...(names.length ? [`Not known yet: ${someNames(names)}.`] : []),
    ...(unmade.length ? [`Not made yet: ${someNames(unmade.map(sizeName))}; the cards under Drill say how.`] : []),
  ].join(' ')
}

/** Of sizes that are asked for though they were entered: with what of their part they cannot both be right. */
export const oddsSays = (build: Build, refs: readonly SizeRef[]): string =>
  [
    ...new Set(
      refs.flatMap(({ slot, size }) => {
        const part = asTold(build).parts[slot]
        return part ? atOdds(part).flatMap(({ sizes, says }) => (sizes.includes(size) ? [` ${says}`] : [])) : []
      }),
    ),
  ].join('')

/** What is said of a check that cannot be told: what is not known, or between which classes the figures leave it. */
export function doubtSays(
  q: Question,
  { chances }: Judgement,
  sizes: readonly SizeRef[],
  traits: readonly TraitRef[],
  unmade: readonly SizeRef[],
  condition?: boolean,
): string {
  if (q.lacks) return `Not known yet: ${q.lacks}.`
  if (sizes.length || traits.length || unmade.length) return missingSays(sizes, traits, unmade)
  if (q.hearsay) return q.hearsay
  const of = q.shown ?? q.clearance
  const unit = { mm: ' mm', deg: '°', count: '', MPa: ' MPa', none: '' }[q.unit ?? 'mm']
  const figure = q.unit === 'none' ? '' : ` ${signed(likelyOf(of), digitsKnown(doubtOf(of)))} ${plusMinus(doubtOf(of))}${unit},`
  // Classes that go by one word count as one.
  const by = new Map<string, number>()
  for (const c of CLASSES) by.set(wordOf(c, condition), (by.get(wordOf(c, condition)) ?? 0) + chances[c])
  const may = [...by]
    .filter(([, p]) => p >= 0.005)
    .toSorted(([, a], [, b]) => b - a)
    .map(([word, p]) => `${word} (${Math.round(100 * p)} %)`)
  return `${q.label}:${figure} ${may.join(' or ')}.`
}

const UNIT: Record<SizeUnit, string> = { mm: ' mm', ohm: ' ohm', farad: ' F', henry: ' H', g: ' g', newton: ' N', deg: '°', count: '' }

const signedEnd = (end: number): string => String(end).replace('-', '−')
const nameOfEither = (ref: SizeRef | TraitRef): string => {
  if ('trait' in ref) return traitName(ref)
  const { low, high } = bandOf(specAt(ref))
  return `${sizeName(ref)}, ${signedEnd(low)} to ${signedEnd(high)}${UNIT[specAt(ref).unit]}`
}
const someOf = (refs: readonly (SizeRef | TraitRef)[]): string =>
  refs.slice(0, NAMED).map(nameOfEither).join('; ') + (refs.length > NAMED ? `; and ${refs.length - NAMED} more` : '')

/** Said after a fault that is one whatever the unknown is: how much it is hangs on it, or only what may be done. */
export const supposedSays = (refs: readonly (SizeRef | TraitRef)[], amount: boolean): string =>
  refs.length ? ` ${amount ? 'By how much' : 'What may be done about it'} hangs on what is not known yet: ${someOf(refs)}.` : ''

/** Said instead of a figure where a check is good whatever the unknown is. */
export const whateverSays = (label: string, word: string, refs: readonly (SizeRef | TraitRef)[]): string =>
  `${label}: ${word}, whatever is found for what nobody knows yet: ${someOf(refs)}.`
