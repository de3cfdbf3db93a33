import type { Build } from '../document/build'
import { specAt, chosenParts, type SizeRef } from '../document/read'
import { whyNotValue } from '../parts/check'
import { KINDS } from '../parts/kinds/index'
import { slotSpec, type Slot } from '../parts/slots'
import { parseFarads, parseOhms } from '../quantity/electrical'
import { parseLength, type LengthSystem } from '../quantity/length'
import { KNOWN, lengthDoubt, electricalDoubt, type Known, type Size } from '../quantity/size'

/** A quick entry understood as a size, offered for filing. */
export interface Filing {
  ref: SizeRef
  size: Size
  label: string
}

const words = (text: string) =>
  text
    .toLowerCase()
    .split(/[^\p{L}\d.]+/u)
    .filter(Boolean)
const TOOL_WORDS = new Set<string>(KNOWN)

/**
 * Understands "pocket width mouth 56.12 calipers" or "neck pickup 8.80k": the number, the tool, and the size of a chosen
 * part whose names cover most of the other words. Nothing when no size is meant for certain.
 */
export function understand(build: Build, text: string, system: LengthSystem = 'mm'): Filing | undefined {
  const tokens = text.trim().split(/\s+/)
  const toolWord = tokens.map((t) => t.toLowerCase()).find((t) => TOOL_WORDS.has(t)) as Known | undefined
  const numberAt = tokens.findIndex((t) => /^[-+]?[.\d]/.test(t))
  if (numberAt < 0) return undefined
  const unit = /^(mm|cm|in|inch|"|thou|mil|ohms?)$/i.test(tokens[numberAt + 1] ?? '') ? ` ${tokens[numberAt + 1]}` : ''
  const spoken = `${tokens[numberAt]}${unit}`
  const said = new Set(
    words(tokens.filter((t, i) => i !== numberAt && !(unit && i === numberAt + 1) && t.toLowerCase() !== toolWord).join(' ')),
  )
  if (!said.size) return undefined
  const scored = candidates(build)
    .map((c) => ({ ...c, score: [...said].filter((w) => c.names.has(w)).length / said.size, extra: c.names.size }))
    .filter((c) => c.score === 1)
    .toSorted((a, b) => a.extra - b.extra)
  const [best, second] = scored
  if (!best || (second && second.extra === best.extra)) return undefined
  const spec = specAt(best.ref)
  const parsed =
    spec.unit === 'ohm'
      ? parseOhms(spoken)
      : spec.unit === 'farad'
        ? parseFarads(spoken)
        : spec.unit === 'mm'
          ? parseLength(spoken, system)
          : undefined
  if (!parsed?.ok || whyNotValue(spec, parsed.value)) return undefined
  const known: Known = toolWord ?? (spec.unit === 'mm' ? 'calipers' : 'meter')
  const doubt = spec.unit === 'mm' ? lengthDoubt(known, KINDS[slotSpec(best.ref.slot).kind].trade) : electricalDoubt(known, parsed.value)
  return {
    ref: best.ref,
    size: { value: parsed.value, doubt, known },
    label: `${slotSpec(best.ref.slot).label}: ${spec.label.toLowerCase()}`,
  }
}

function candidates(build: Build): { ref: SizeRef; names: Set<string> }[] {
  return chosenParts(build).flatMap(([slot, part]) =>
    Object.entries(KINDS[part.kind].sizes).map(([size, spec]) => ({
      ref: { slot: slot as Slot, size },
      names: new Set([...words(slotSpec(slot).label), ...words(spec.label)]),
    })),
  )
}
