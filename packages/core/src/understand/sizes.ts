import type { Build } from '../document/build'
import { specAt, chosenParts, type SizeRef } from '../document/read'
import { whyNotValue } from '../parts/check'
import { KINDS } from '../parts/kinds/index'
import { slotSpec, type Slot } from '../parts/slots'
import { parseFarads, parseOhms } from '../quantity/electrical'
import { parseLength, type LengthSystem } from '../quantity/length'
import { meant, words } from './said'
import { KNOWN, lengthDoubt, electricalDoubt, type Known, type Size } from '../quantity/size'

/** A quick entry understood as a size, offered for filing. */
export interface Filing {
  ref: SizeRef
  size: Size
  label: string
}

const TOOL_WORDS = new Set<string>(KNOWN)

/** A size that may have been meant, with how much of what was said its names cover. */
interface Candidate {
  ref: SizeRef
  score: number
  /** How many names it has: the fewer, the plainer it was meant. */
  names: number
  /** All of its own label was said. */
  whole: boolean
}

interface Heard {
  spoken: string
  tool?: Known
  candidates: Candidate[]
}

/** The number, the tool, and the sizes of chosen parts whose names were said, the best covered first. */
function hear(build: Build, text: string): Heard | undefined {
  const tokens = text.trim().split(/\s+/)
  const tool = tokens.map((t) => t.toLowerCase()).find((t) => TOOL_WORDS.has(t)) as Known | undefined
  const numberAt = tokens.findIndex((t) => /^[-+]?[.\d]/.test(t))
  if (numberAt < 0) return undefined
  const unit = /^(mm|cm|in|inch|"|thou|mil|k|m|ohms?|kohms?)$/i.test(tokens[numberAt + 1] ?? '') ? ` ${tokens[numberAt + 1]}` : ''
  const rest = tokens.filter((t, i) => i !== numberAt && !(unit && i === numberAt + 1) && t.toLowerCase() !== tool).join(' ')
  const said = new Set(meant(rest))
  if (!said.size) return undefined
  const candidates = named(build)
    .map(({ ref, label, names }) => ({
      ref,
      score: [...said].filter((w) => names.has(w)).length / said.size,
      names: names.size,
      whole: label.every((w) => said.has(w)),
    }))
    .filter((c) => c.score > 0)
    .toSorted((a, b) => b.score - a.score || a.names - b.names)
  return { spoken: `${tokens[numberAt]}${unit}`, ...(tool ? { tool } : {}), candidates }
}

function filing({ spoken, tool }: Heard, { ref }: Candidate, system: LengthSystem): Filing | undefined {
  const spec = specAt(ref)
  const parsed =
    spec.unit === 'ohm'
      ? parseOhms(spoken)
      : spec.unit === 'farad'
        ? parseFarads(spoken)
        : spec.unit === 'mm'
          ? parseLength(spoken, system)
          : undefined
  if (!parsed?.ok || whyNotValue(spec, parsed.value)) return undefined
  const known: Known = tool ?? (spec.unit === 'mm' ? 'calipers' : 'meter')
  const doubt = spec.unit === 'mm' ? lengthDoubt(known, KINDS[slotSpec(ref.slot).kind].trade) : electricalDoubt(known, parsed.value)
  return { ref, size: { value: parsed.value, doubt, known }, label: `${slotSpec(ref.slot).label}: ${spec.label.toLowerCase()}` }
}

/**
 * Understands "pocket width mouth 56.12 calipers" or "neck pickup resistance is 8.80k": the number, the tool, and the size of a chosen part
 * whose names cover all the other words. Nothing when no size is meant for certain.
 */
export function understand(build: Build, text: string, system: LengthSystem = 'mm'): Filing | undefined {
  const heard = hear(build, text)
  const covered = (heard?.candidates ?? []).filter((c) => c.score === 1)
  // One alone, or the only one whose label was said to its end: "heel width" is the start of two.
  const whole = covered.filter((c) => c.whole)
  const [best, second] = covered.length === 1 ? covered : whole
  if (!heard || !best || second?.names === best.names) return undefined
  return filing(heard, best, system)
}

/** Most near misses that are offered. [ours] */
const OFFERED = 3
/** Less of what was said than this is not near. [ours] */
const NEAR = 0.6

/** Sizes that come near what was said and could have that number, nearest first: offered where none is certain. */
export function nearest(build: Build, text: string, system: LengthSystem = 'mm'): Filing[] {
  const heard = hear(build, text)
  if (!heard) return []
  const near = heard.candidates.filter((c) => c.score >= NEAR)
  const best = near[0]?.score
  return near
    .filter((c) => c.score === best)
    .flatMap((c) => filing(heard, c, system) ?? [])
    .slice(0, OFFERED)
}

function named(build: Build): { ref: SizeRef; label: string[]; names: Set<string> }[] {
  return chosenParts(build).flatMap(([slot, part]) =>
    Object.entries(KINDS[part.kind].sizes).map(([size, spec]) => ({
      ref: { slot: slot as Slot, size },
      label: meant(spec.label),
      names: new Set([...words(slotSpec(slot).label), ...words(spec.label)]),
    })),
  )
}
