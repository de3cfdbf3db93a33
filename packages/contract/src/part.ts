import {
  KINDS,
  KNOWN,
  LIMITS,
  METALS,
  PART_STATES,
  partProblems,
  slotSpec,
  type KindName,
  type Known,
  type Metal,
  type Part,
  type PartState,
  type Slot,
} from '@snug/core'
import { IsIn, IsNumber, IsString, Length, Matches, MaxLength } from 'class-validator'
import { Between } from './bounds'
import { shaped, type Problem } from './checked'
import { IsDay, ListOf, Optional, RecordOf, says } from './fields'
import { remembered } from './remembered'
import { each, refTo, textOf, type Rule } from './rules'

class SizeDoc {
  @IsNumber({ allowNaN: false, allowInfinity: false }, says('A size’s value must be a number.')) value!: number
  @Between(0, 1e9, 'A size’s doubt') doubt!: number
  @IsIn(KNOWN, says(`How a size is known must be one of ${KNOWN.join(', ')}.`)) known!: Known
  @Optional() @Between(0, 5000, 'Film that lay on it', ' µm') film?: number
}

class OutlineRowDoc {
  @Between(-600, 1200, 'An outline row’s place', ' mm') x!: number
  @Between(-400, 400, 'A half-width', ' mm') bass!: number
  @Between(-400, 400, 'A half-width', ' mm') treble!: number
  @Optional() @Between(-400, 400, 'A half-width', ' mm') bassInner?: number
  @Optional() @Between(-400, 400, 'A half-width', ' mm') trebleInner?: number
}

export class PartDoc {
  @IsIn(Object.keys(KINDS), says('This is not a kind of part known here.')) kind!: KindName
  @Length(1, LIMITS.partName, says(`A part needs a name of 1 to ${LIMITS.partName} letters.`)) name!: string
  @Optional() @IsString() @MaxLength(LIMITS.seller, says(`A seller’s name has at most ${LIMITS.seller} letters.`)) seller?: string
  @IsIn(PART_STATES, says(`A part is ${PART_STATES.join(', ')}.`)) state!: PartState
  @Optional() @Between(0, 1e6, 'A price') price?: number
  @Optional() @Between(0, 1e6, 'The original’s price') original?: number
  @Optional() @IsDay() arrives?: string
  @Optional() @Matches(/^#[0-9a-fA-F]{6}$/, says('A colour is written like #d9b98a.')) colour?: string
  @Optional() @IsIn(METALS, says(`A metal is one of ${METALS.join(', ')}.`)) metal?: Metal
  @Optional() @RecordOf(each(SizeDoc), LIMITS.sizes) promised?: Record<string, SizeDoc>
  @Optional() @IsString() @MaxLength(LIMITS.partNote, says(`A note has at most ${LIMITS.partNote} letters.`)) note?: string
  @RecordOf(each(SizeDoc), LIMITS.sizes) sizes!: Record<string, SizeDoc>
  @RecordOf(textOf(0, LIMITS.key, 'A property must be text.'), LIMITS.traits)
  traits!: Record<string, string>
  @Optional()
  @ListOf(each(OutlineRowDoc), 'An outline', { most: LIMITS.outline, each: 'rows' })
  outline?: OutlineRowDoc[]
}

/** Shape first, then sizes against the ranges of its kind. */
export function problemsOfPart(value: unknown): Problem[] {
  const shape = shaped(PartDoc, value)
  return shape.ok ? partProblems(shape.value) : shape.problems
}

/** A part where it is used: it must be of the kind its slot takes. */
export function partIn(slot: Slot): Rule {
  const rule: Rule = {
    problems: (v) => remembered(rule, v, () => problemsInSlot(v, slot)),
    schema: refTo(`part-${slotSpec(slot).kind}`),
  }
  return rule
}

function problemsInSlot(value: unknown, slot: Slot): Problem[] {
  const found = problemsOfPart(value)
  if (found.length) return found
  const kind = (value as Part).kind as KindName
  const wants = slotSpec(slot).kind
  return kind === wants
    ? []
    : [{ path: 'kind', why: `This slot takes a ${KINDS[wants].label.toLowerCase()}, not a ${KINDS[kind].label.toLowerCase()}.` }]
}
