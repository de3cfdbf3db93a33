import {
  isSlot,
  jobProblems,
  KINDS,
  LIMITS,
  FINISH_SYSTEMS,
  PART_STATES,
  SETUP_SCHOOLS,
  KNOWN,
  METALS,
  OUTCOMES,
  SLOT_STATES,
  TOOLS,
  UNPACKED,
  partProblems,
  slotSpec,
  SLOT_NAMES,
  type Build,
  type Part,
  type KindName,
} from '@snug/core'
import { Type } from 'class-transformer'
import { Equals, IsBoolean, IsIn, IsNumber, IsObject, IsString, Length, Matches, MaxLength, ValidateNested } from 'class-validator'
import { Between, Whole } from './bounds'
import { checked, IsDay, IsTime, ListOf, Optional, problemsOf, RecordOf, says, shaped, type Checked, type Problem } from './decorators'

const wrong = (why: string): Problem[] => [{ path: '', why }]

class SizeDoc {
  @IsNumber({ allowNaN: false, allowInfinity: false }, says('A size’s value must be a number.')) value!: number
  @Between(0, 1e9, 'A size’s doubt') doubt!: number
  @IsIn(KNOWN, says(`How a size is known must be one of ${KNOWN.join(', ')}.`)) known!: string
}

class OutlineRowDoc {
  @Between(-600, 1200, 'An outline row’s place', ' mm') x!: number
  @Between(-400, 400, 'A half-width', ' mm') bass!: number
  @Between(-400, 400, 'A half-width', ' mm') treble!: number
  @Optional() @Between(-400, 400, 'A half-width', ' mm') bassInner?: number
  @Optional() @Between(-400, 400, 'A half-width', ' mm') trebleInner?: number
}

export class PartDoc {
  @IsIn(Object.keys(KINDS), says('This is not a kind of part known here.')) kind!: string
  @Length(1, LIMITS.partName, says(`A part needs a name of 1 to ${LIMITS.partName} letters.`)) name!: string
  @Optional() @IsString() @MaxLength(LIMITS.seller, says(`A seller’s name has at most ${LIMITS.seller} letters.`)) seller?: string
  @IsIn(PART_STATES, says(`A part is ${PART_STATES.join(', ')}.`)) state!: string
  @Optional() @Between(0, 1e6, 'A price') price?: number
  @Optional() @IsDay() arrives?: string
  @Optional() @Matches(/^#[0-9a-fA-F]{6}$/, says('A colour is written like #d9b98a.')) colour?: string
  @Optional() @IsIn(METALS, says(`A metal is one of ${METALS.join(', ')}.`)) metal?: string
  @Optional() @RecordOf((v) => problemsOf(SizeDoc, v), LIMITS.sizes) promised?: Record<string, SizeDoc>
  @Optional() @IsString() @MaxLength(LIMITS.partNote, says(`A note has at most ${LIMITS.partNote} letters.`)) note?: string
  @RecordOf((v) => problemsOf(SizeDoc, v), LIMITS.sizes) sizes!: Record<string, SizeDoc>
  @RecordOf((v) => (typeof v === 'string' && v.length <= LIMITS.key ? [] : wrong('A property must be text.')), LIMITS.traits)
  traits!: Record<string, string>
  @Optional()
  @ListOf((v) => problemsOf(OutlineRowDoc, v), 'An outline', { most: LIMITS.outline, each: 'rows' })
  outline?: OutlineRowDoc[]
}

/** Shape first, then sizes against the ranges of its kind. */
export function problemsOfPart(value: unknown): Problem[] {
  const shape = shaped(PartDoc, value)
  return shape.ok ? partProblems(shape.value as unknown as Part) : shape.problems
}

function problemsInSlot(value: unknown, slot: string): Problem[] {
  if (!isSlot(slot)) return wrong(`"${slot}" is not a slot; slots are ${SLOT_NAMES.join(', ')}.`)
  const found = problemsOfPart(value)
  if (found.length) return found
  const kind = (value as Part).kind as KindName
  const wants = slotSpec(slot).kind
  return kind === wants
    ? []
    : [{ path: 'kind', why: `This slot takes a ${KINDS[wants].label.toLowerCase()}, not a ${KINDS[kind].label.toLowerCase()}.` }]
}

class RoomDoc {
  @Between(5, 95, 'Lowest humidity', ' %') low!: number
  @Between(5, 95, 'Highest humidity', ' %') high!: number
  @Between(5, 95, 'Humidity now', ' %') now!: number
}
class JobDoc {
  @IsIn(SLOT_NAMES, says('A job names a slot of the build.')) slot!: string
  @Length(1, 60, says('A job names a size.')) size!: string
  // In the unit of the size it changes: mostly millimetres, ohms where a pot is exchanged.
  @Between(-1e6, 1e6, 'A job’s amount') delta!: number
  @Between(0, 1e5, 'A job’s doubt') doubt!: number
  @Length(1, LIMITS.jobText, says(`A job’s words have at most ${LIMITS.jobText} letters.`)) text!: string
}
class CircuitDoc {
  @IsIn(['two-humbuckers-and-single'], says('This scheme is not known here.')) scheme!: string
  @IsBoolean(says('Tapping is on or off.')) split!: boolean
  @Whole(1, 5, 'The switch position') position!: number
  @Between(0, 10, 'The volume knob') volume!: number
  @Between(0, 10, 'The tone knob') tone!: number
  @Between(0, 30, 'The cable', ' m') cable!: number
}
class ReadingDoc {
  @Between(0, 1e8, 'A reading', ' ohm') ohm!: number
  @Between(0, 10, 'The volume knob') volume!: number
  @Between(0, 10, 'The tone knob') tone!: number
  @IsTime() at!: string
}
class WeatherDoc {
  @Between(-20, 50, 'Air temperature', ' °C') air!: number
  @Between(-20, 60, 'Surface temperature', ' °C') surface!: number
  @Between(1, 100, 'Humidity', ' %') humidity!: number
}
class FinishDoc {
  @IsIn(FINISH_SYSTEMS, says(`The finish is one of ${FINISH_SYSTEMS.join(', ')}.`)) system!: string
  @IsDay() start!: string
  @Whole(1, 20, 'Coats') coats!: number
  @Between(1, 90, 'Solids', ' %') solids!: number
  @IsBoolean(says('Masking is on or off.')) maskPocket!: boolean
  @IsObject(says('Weather is missing.')) @ValidateNested() @Type(() => WeatherDoc) weather!: WeatherDoc
}
class SetupDoc {
  @IsIn(SETUP_SCHOOLS, says(`The school is one of ${SETUP_SCHOOLS.join(', ')}.`)) school!: string
  @Optional() @Between(-1, 3, 'Relief', ' mm') relief?: number
  @Optional() @Between(0, 6, 'Action', ' mm') actionBass?: number
  @Optional() @Between(0, 6, 'Action', ' mm') actionTreble?: number
  @Optional() @Between(0, 60, 'Saddle height', ' mm') saddle?: number
  @Optional() @Between(0.005, 0.5, 'Relief a quarter turn', ' mm') reliefPerQuarter?: number
  @RecordOf((v) => (typeof v === 'number' && Math.abs(v) <= 100 ? [] : wrong('Cents must be a number from -100 to 100.')), 12)
  cents!: Record<string, number>
}
class StepDoc {
  @IsTime() done!: string
}

class ConsumableDoc {
  @Length(1, 80, says('A consumable needs a name.')) name!: string
  @Between(0, 1e5, 'Its price') price!: number
  @Between(0, 1, 'The share used') share!: number
}
class MockupDoc {
  @IsIn(OUTCOMES, says(`A step of the trial ends ${OUTCOMES.join(', ')}.`)) outcome!: string
  @IsTime() at!: string
  @IsString() @MaxLength(20) basis!: string
}
class OrderedSizeDoc {
  @Between(-1000, 1000, 'An ordered size', ' mm') value!: number
  @Between(0, 50, 'Its tolerance', ' mm') tolerance!: number
}
class OrderDoc {
  @Whole(1, 1000, 'The revision') revision!: number
  @IsDay() at!: string
  @RecordOf((v) => problemsOf(OrderedSizeDoc, v), LIMITS.sizes) sizes!: Record<string, OrderedSizeDoc>
}
class RescueDoc {
  @Optional() @Between(0, 1e6, 'The price asked') asking?: number
  @Optional() @Between(0, 1e6, 'Its worth') worth?: number
  @ListOf((v) => (typeof v === 'string' && v.length <= LIMITS.pathName ? [] : wrong('A defect is named by a word.')), 'Defects', {
    most: LIMITS.defects,
    each: 'words',
  })
  defects!: string[]
}
/** A record of slots whose values come from a list. */
const slotRecord = (values: readonly string[], what: string) => (v: unknown, slot: string) =>
  !isSlot(slot)
    ? wrong(`"${slot}" is not a slot.`)
    : typeof v === 'string' && values.includes(v)
      ? []
      : wrong(`${what} is one of ${values.join(', ')}.`)

/** A whole build as it may be stored. */
export class BuildDoc {
  @Equals(1, says('This build is of a version this Snug Bolt does not know.')) schema!: number
  @Length(1, LIMITS.buildName, says(`A build needs a name of 1 to ${LIMITS.buildName} letters.`)) name!: string
  @IsIn(['right', 'left'], says('Handedness is right or left.')) handedness!: string
  @Whole(4, 12, 'The number of strings') strings!: number
  @Between(500, 900, 'Scale length', ' mm') scale!: number
  @Optional() @IsDay() due?: string
  @Optional() @Between(0, 1e6, 'The budget') budget?: number
  @Matches(/^[A-Z]{3}$/, says('A currency is three letters such as EUR.')) currency!: string
  @IsObject(says('The room’s humidity is missing.')) @ValidateNested() @Type(() => RoomDoc) room!: RoomDoc
  @RecordOf(problemsInSlot, 60) parts!: Record<string, PartDoc>
  @Optional() @RecordOf(slotRecord(SLOT_STATES, 'A slot')) slots?: Record<string, string>
  @Optional()
  @ListOf((v) => ((TOOLS as readonly unknown[]).includes(v) ? [] : wrong(`A tool is one of ${TOOLS.join(', ')}.`)), 'Tools', {
    most: TOOLS.length,
    each: 'tools',
  })
  tools?: string[]
  @Optional()
  @RecordOf((v) => (typeof v === 'number' && v >= 0 && v <= 1e5 ? [] : wrong('Postage is a number from 0 to 100000.')))
  parcels?: Record<string, number>
  @Optional() @RecordOf((v) => problemsOf(ConsumableDoc, v)) consumables?: Record<string, ConsumableDoc>
  @Optional() @RecordOf((v) => problemsOf(MockupDoc, v), 100) mockup?: Record<string, MockupDoc>
  @Optional() @RecordOf(slotRecord(UNPACKED, 'What was unpacked')) unpacked?: Record<string, string>
  @Optional()
  @RecordOf((v, slot) => (isSlot(slot) ? problemsOf(OrderDoc, v) : wrong(`"${slot}" is not a slot.`)))
  orders?: Record<string, OrderDoc>
  @Optional() @IsObject(says('A rescue has defects.')) @ValidateNested() @Type(() => RescueDoc) rescue?: RescueDoc
  @RecordOf((v) => problemsOf(JobDoc, v), LIMITS.jobs) jobs!: Record<string, JobDoc>
  @IsObject(says('The circuit is missing.')) @ValidateNested() @Type(() => CircuitDoc) circuit!: CircuitDoc
  @RecordOf((v) => problemsOf(ReadingDoc, v)) readings!: Record<string, ReadingDoc>
  @IsObject(says('The finish is missing.')) @ValidateNested() @Type(() => FinishDoc) finish!: FinishDoc
  @ListOf((v) => (typeof v === 'number' && v >= 0 && v <= 960 ? [] : wrong('Minutes of an evening go from 0 to 960.')), 'Evenings', {
    least: 7,
    most: 7,
    each: 'numbers, Monday first',
  })
  evenings!: number[]
  @IsObject(says('The setup is missing.')) @ValidateNested() @Type(() => SetupDoc) setup!: SetupDoc
  @RecordOf((v) => problemsOf(StepDoc, v), LIMITS.steps) steps!: Record<string, StepDoc>
}

/** A build as it may be stored: the very copy every rule was run on. */
export function checkedBuild(plain: unknown): Checked<Build> {
  const shape = checked(BuildDoc, plain)
  if (!shape.ok) return shape
  const build = shape.value as unknown as Build
  const problems = jobProblems(build)
  return problems.length ? { ok: false, problems } : { ok: true, value: build }
}

/** Everything wrong with a build; nothing when it may be stored. */
export function problemsOfBuild(plain: unknown): Problem[] {
  const result = checkedBuild(plain)
  return result.ok ? [] : result.problems
}
export const isBuild = (plain: unknown): plain is Build => problemsOfBuild(plain).length === 0
