import type { Build } from '../document/build'
import { specAt, chosenParts, type SizeRef } from '../document/read'
import { whyNotValue } from '../parts/check'
import { startingDoubt, waysToKnow } from '../parts/doubt'
import type { SizeUnit } from '../parts/kind'
import { isNaught } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import { parseSize } from '../parts/parseSize'
import { slotSpec, type Slot } from '../parts/slots'
import type { LengthSystem } from '../quantity/length'
import { KNOWN, type Known, type Size } from '../quantity/size'
import { amountsOf, isAmount, meant, saidIn, words, wordsOf, type Amount, type Said } from './said'

/** A quick entry understood as a size, offered for filing. */
export interface Filing {
  ref: SizeRef
  size: Size
  label: string
}

const TOOL_WORDS = new Set<string>(KNOWN)
/** A scale weighs and a meter reads ohms; neither measures a length. */
const fitsUnit = (tool: Known, unit: SizeUnit) => waysToKnow(unit).includes(tool)
/** What is denied, wanted or asked is no size of it. */
const DENIED = new Set('not no never wrong want wanted should would could must if than ? ~ ≈ < > ≤ ≥ ± about'.split(' '))

/** Nobody says that a body masses so much. */
const WEIGHT_WORDS = ['weighs', 'weight', 'heavy']

/** "16 deep" is a depth of 16. */
const SAID_AS: Readonly<Record<string, string>> = {
  deep: 'depth',
  thick: 'thickness',
  wide: 'width',
  long: 'length',
  high: 'height',
  tall: 'height',
  hole: 'bore',
  bore: 'hole',
}

/** A part has many of these: what it is called says which. */
const PLACED: ReadonlySet<SizeUnit> = new Set(['mm', 'deg'])

/** A size that may have been meant, with how much of what was said its names cover. */
interface Candidate {
  filing: Filing
  unit: SizeUnit
  score: number
  /** How many names it has: the fewer, the plainer it was meant. */
  names: number
  /** All of its own label was said. */
  whole: boolean
  /** In its very words. */
  asSaid: boolean
}

/** A size of a chosen part with what it can be called. */
interface Named {
  ref: SizeRef
  label: string[]
  names: Set<string>
  /** Numbers in its label: the fret, the string. */
  numbers: number[]
}

function named(build: Build): Named[] {
  return chosenParts(build).flatMap(([slot, part]) =>
    Object.entries(KINDS[part.kind].sizes).flatMap(([size, spec]) =>
      isNaught(KINDS[part.kind], part.traits, size)
        ? []
        : {
            ref: { slot: slot as Slot, size },
            label: meant(words(spec.label)),
            names: new Set([
              // One of the tuners is a tuner.
              ...words(slotSpec(slot).label).flatMap((w) => [w, w.replace(/s$/, '')]),
              ...words(spec.label),
              ...words(size.replace(/([A-Z])/g, ' $1')),
              ...(spec.unit === 'g' ? WEIGHT_WORDS : []),
            ]),
            numbers: (spec.label.match(/\d+/g) ?? []).map(Number),
          },
    ),
  )
}

/** What is left of the amounts once the numbers of a label are taken out; nothing where one of them was not said. */
function besides(said: readonly Amount[], numbers: readonly number[]): Amount[] | undefined {
  const left = [...said]
  for (const n of numbers) {
    const at = left.findIndex((a) => a.value === n && !a.unit)
    if (at < 0) return undefined
    left.splice(at, 1)
  }
  return left
}

function candidate(said: Said, { ref, label, names, numbers }: Named, system: LengthSystem): Candidate[] {
  const { unit } = specAt(ref)
  const [amount, ...more] = besides(amountsOf(said), numbers) ?? []
  if (!amount || more.length) return []
  const isTool = (w: string) => TOOL_WORDS.has(w) && !names.has(w) && fitsUnit(w as Known, unit)
  const tool = wordsOf(said).find(isTool) as Known | undefined
  const filed = filing(ref, amount, tool, system)
  const own = meant(wordsOf(said)).filter((w) => !isTool(w))
  const spoken = new Set(own.map((w) => (names.has(w) ? w : (SAID_AS[w] ?? w))))
  const score = spoken.size ? [...spoken].filter((w) => names.has(w)).length / spoken.size : 0
  if (!filed || score === 0) return []
  const whole = label.every((w) => spoken.has(w))
  return [{ filing: filed, unit, score, names: names.size, whole, asSaid: own.every((w) => spoken.has(w)) }]
}

function filing(ref: SizeRef, { value, written, unit }: Amount, tool: Known | undefined, system: LengthSystem): Filing | undefined {
  const spec = specAt(ref)
  // Nobody says 8.8 for 8.8 ohm: without its letter a small number is not read.
  if (spec.unit === 'ohm' && !unit && value < 1000 && !/[kmr]/.test(written)) return undefined
  const parsed = parseSize(spec, written, system)
  if (!parsed.ok || whyNotValue(spec, parsed.value)) return undefined
  const known = tool ?? waysToKnow(spec.unit)[0]!
  const doubt = startingDoubt(spec, KINDS[slotSpec(ref.slot).kind].trade, known, parsed.value)
  return { ref, size: { value: parsed.value, doubt, known }, label: `${slotSpec(ref.slot).label}: ${spec.label.toLowerCase()}` }
}

/** The sizes of chosen parts that could have that number and whose names were said, the best covered first. */
function candidates(build: Build, text: string, system: LengthSystem): Candidate[] {
  const said = saidIn(text)
  if (!said.some(isAmount) || wordsOf(said).some((w) => DENIED.has(w))) return []
  return named(build)
    .flatMap((n) => candidate(said, n, system))
    .toSorted((a, b) => b.score - a.score || a.names - b.names)
}

/**
 * Understands "pocket width mouth 56.12 calipers" or "neck pickup resistance is 8.80k": one number, the tool, and the size of a chosen part
 * whose names cover all the other words. Nothing when no size is meant for certain.
 */
export function understand(build: Build, text: string, system: LengthSystem = 'mm'): Filing | undefined {
  const all = candidates(build, text, system).filter((c) => c.score === 1)
  // The jack hole of a guard is no jack bore: what has the very word comes before what only means it.
  const covered = all.some((c) => c.asSaid) ? all.filter((c) => c.asSaid) : all
  // One alone, or the only one whose label was said to its end: "heel width" is the start of two, and the neck's angle is not its headstock's.
  const whole = covered.filter((c) => c.whole)
  const [best, second] = covered.length === 1 && (covered[0]!.whole || !PLACED.has(covered[0]!.unit)) ? covered : whole
  if (!best || second?.names === best.names) return undefined
  return best.filing
}

/** Most near misses that are offered. [ours] */
const OFFERED = 3
/** Less of what was said than this is not near. [ours] */
const NEAR = 0.6

/** Sizes that come near what was said and could have that number, nearest first: offered where none is certain. */
export function nearest(build: Build, text: string, system: LengthSystem = 'mm'): Filing[] {
  const near = candidates(build, text, system).filter((c) => c.score >= NEAR)
  return near
    .filter((c) => c.score === near[0]!.score)
    .map((c) => c.filing)
    .slice(0, OFFERED)
}
