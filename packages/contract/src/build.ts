import {
  isSlot,
  KINDS,
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
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsISO8601,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { Between, Whole } from './bounds'
import { problemsOf, RecordOf, says, type Problem } from './decorators'

const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/
const day = says('A day is written like 2027-02-14.')
const time = says('A time is written like 2026-11-23T19:30:00Z.')

class SizeDoc {
  @IsNumber({ allowNaN: false, allowInfinity: false }, says('A size’s value must be a number.')) value!: number
  @Between(0, 1e9, 'A size’s doubt') doubt!: number
  @IsIn(KNOWN, says(`How a size is known must be one of ${KNOWN.join(', ')}.`)) known!: string
}

class OutlineRowDoc {
  @Between(-600, 1200, 'An outline row’s place', ' mm') x!: number
  @Between(-400, 400, 'A half-width', ' mm') bass!: number
  @Between(-400, 400, 'A half-width', ' mm') treble!: number
  @IsOptional() @Between(-400, 400, 'A half-width', ' mm') bassInner?: number
  @IsOptional() @Between(-400, 400, 'A half-width', ' mm') trebleInner?: number
}

export class PartDoc {
  @IsIn(Object.keys(KINDS), says('This is not a kind of part known here.')) kind!: string
  @Length(1, 120, says('A part needs a name of 1 to 120 letters.')) name!: string
  @IsOptional() @IsString() @MaxLength(120, says('A seller’s name has at most 120 letters.')) seller?: string
  @IsIn(PART_STATES, says(`A part is ${PART_STATES.join(', ')}.`)) state!: string
  @IsOptional() @Between(0, 1e6, 'A price') price?: number
  @IsOptional() @Matches(DAY, day) arrives?: string
  @IsOptional() @Matches(/^#[0-9a-fA-F]{6}$/, says('A colour is written like #d9b98a.')) colour?: string
  @IsOptional() @IsIn(METALS, says(`A metal is one of ${METALS.join(', ')}.`)) metal?: string
  @IsOptional() @RecordOf('recordOf', (v) => problemsOf(SizeDoc, v), 120) promised?: Record<string, SizeDoc>
  @IsOptional() @IsString() @MaxLength(2000, says('A note has at most 2000 letters.')) note?: string
  @RecordOf('recordOf', (v) => problemsOf(SizeDoc, v), 120) sizes!: Record<string, SizeDoc>
  @RecordOf('recordOf', (v) => (typeof v === 'string' ? [] : [{ path: '', why: 'A property must be text.' }]), 40) traits!: Record<
    string,
    string
  >
  @IsOptional()
  @IsArray(says('An outline is a list of rows.'))
  @ArrayMaxSize(200, says('An outline has at most 200 rows.'))
  @ValidateNested({ each: true })
  @Type(() => OutlineRowDoc)
  outline?: OutlineRowDoc[]
}

/** Shape first, then sizes against the ranges of its kind. */
export function problemsOfPart(value: unknown): Problem[] {
  const shape = problemsOf(PartDoc, value)
  return shape.length ? shape : partProblems(value as Part)
}

function problemsInSlot(value: unknown, slot: string): Problem[] {
  if (!isSlot(slot)) return [{ path: '', why: `"${slot}" is not a slot; slots are ${SLOT_NAMES.join(', ')}.` }]
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
  @Length(1, 300, says('A job’s words have at most 300 letters.')) text!: string
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
  @IsISO8601({ strict: true }, time) at!: string
}
class WeatherDoc {
  @Between(-20, 50, 'Air temperature', ' °C') air!: number
  @Between(-20, 60, 'Surface temperature', ' °C') surface!: number
  @Between(1, 100, 'Humidity', ' %') humidity!: number
}
class FinishDoc {
  @IsIn(FINISH_SYSTEMS, says(`The finish is one of ${FINISH_SYSTEMS.join(', ')}.`)) system!: string
  @Matches(DAY, day) start!: string
  @Whole(1, 20, 'Coats') coats!: number
  @Between(1, 90, 'Solids', ' %') solids!: number
  @IsBoolean(says('Masking is on or off.')) maskPocket!: boolean
  @IsObject(says('Weather is missing.')) @ValidateNested() @Type(() => WeatherDoc) weather!: WeatherDoc
}
class SetupDoc {
  @IsIn(SETUP_SCHOOLS, says(`The school is one of ${SETUP_SCHOOLS.join(', ')}.`)) school!: string
  @IsOptional() @Between(-1, 3, 'Relief', ' mm') relief?: number
  @IsOptional() @Between(0, 6, 'Action', ' mm') actionBass?: number
  @IsOptional() @Between(0, 6, 'Action', ' mm') actionTreble?: number
  @IsOptional() @Between(0, 60, 'Saddle height', ' mm') saddle?: number
  @IsOptional() @Between(0.005, 0.5, 'Relief a quarter turn', ' mm') reliefPerQuarter?: number
  @RecordOf(
    'recordOf',
    (v) => (typeof v === 'number' && Math.abs(v) <= 100 ? [] : [{ path: '', why: 'Cents must be a number from -100 to 100.' }]),
    12,
  )
  cents!: Record<string, number>
}
class StepDoc {
  @IsISO8601({ strict: true }, time) done!: string
}

class ConsumableDoc {
  @Length(1, 80, says('A consumable needs a name.')) name!: string
  @Between(0, 1e5, 'Its price') price!: number
  @Between(0, 1, 'The share used') share!: number
}
class MockupDoc {
  @IsIn(OUTCOMES, says(`A step of the trial ends ${OUTCOMES.join(', ')}.`)) outcome!: string
  @IsISO8601({ strict: true }, time) at!: string
  @IsString() @MaxLength(20) basis!: string
}
class OrderedSizeDoc {
  @Between(-1000, 1000, 'An ordered size', ' mm') value!: number
  @Between(0, 50, 'Its tolerance', ' mm') tolerance!: number
}
class OrderDoc {
  @Whole(1, 1000, 'The revision') revision!: number
  @Matches(DAY, day) at!: string
  @RecordOf('recordOf', (v) => problemsOf(OrderedSizeDoc, v), 120) sizes!: Record<string, OrderedSizeDoc>
}
class RescueDoc {
  @IsOptional() @Between(0, 1e6, 'The price asked') asking?: number
  @IsOptional() @Between(0, 1e6, 'Its worth') worth?: number
  @IsArray(says('Defects are a list.'))
  @ArrayMaxSize(40)
  @IsString({ each: true, message: 'A defect is named by a word.' })
  defects!: string[]
}
/** A record of slots whose values come from a list. */
const slotRecord = (values: readonly string[], what: string) => (v: unknown, slot: string) =>
  !isSlot(slot)
    ? [{ path: '', why: `"${slot}" is not a slot.` }]
    : typeof v === 'string' && values.includes(v)
      ? []
      : [{ path: '', why: `${what} is one of ${values.join(', ')}.` }]

/** A whole build as it may be stored. */
export class BuildDoc {
  @Equals(1, says('This build is of a version this Snug Bolt does not know.')) schema!: number
  @Length(1, 80, says('A build needs a name of 1 to 80 letters.')) name!: string
  @IsIn(['right', 'left'], says('Handedness is right or left.')) handedness!: string
  @Whole(4, 12, 'The number of strings') strings!: number
  @Between(500, 900, 'Scale length', ' mm') scale!: number
  @IsOptional() @Matches(DAY, day) due?: string
  @IsOptional() @Between(0, 1e6, 'The budget') budget?: number
  @Matches(/^[A-Z]{3}$/, says('A currency is three letters such as EUR.')) currency!: string
  @IsObject(says('The room’s humidity is missing.')) @ValidateNested() @Type(() => RoomDoc) room!: RoomDoc
  @RecordOf('isPart', problemsInSlot, 60) parts!: Record<string, PartDoc>
  @IsOptional() @RecordOf('recordOf', slotRecord(SLOT_STATES, 'A slot')) slots?: Record<string, string>
  @IsOptional()
  @IsArray(says('Tools are a list.'))
  @IsIn(TOOLS, { each: true, message: `A tool is one of ${TOOLS.join(', ')}.` })
  tools?: string[]
  @IsOptional()
  @RecordOf('recordOf', (v) =>
    typeof v === 'number' && v >= 0 && v <= 1e5 ? [] : [{ path: '', why: 'Postage is a number from 0 to 100000.' }],
  )
  parcels?: Record<string, number>
  @IsOptional() @RecordOf('recordOf', (v) => problemsOf(ConsumableDoc, v)) consumables?: Record<string, ConsumableDoc>
  @IsOptional() @RecordOf('recordOf', (v) => problemsOf(MockupDoc, v), 100) mockup?: Record<string, MockupDoc>
  @IsOptional() @RecordOf('recordOf', slotRecord(UNPACKED, 'What was unpacked')) unpacked?: Record<string, string>
  @IsOptional()
  @RecordOf('recordOf', (v, slot) => (isSlot(slot) ? problemsOf(OrderDoc, v) : [{ path: '', why: `"${slot}" is not a slot.` }]))
  orders?: Record<string, OrderDoc>
  @IsOptional() @IsObject(says('A rescue has defects.')) @ValidateNested() @Type(() => RescueDoc) rescue?: RescueDoc
  @RecordOf('recordOf', (v) => problemsOf(JobDoc, v)) jobs!: Record<string, JobDoc>
  @IsObject(says('The circuit is missing.')) @ValidateNested() @Type(() => CircuitDoc) circuit!: CircuitDoc
  @RecordOf('recordOf', (v) => problemsOf(ReadingDoc, v)) readings!: Record<string, ReadingDoc>
  @IsObject(says('The finish is missing.')) @ValidateNested() @Type(() => FinishDoc) finish!: FinishDoc
  @IsArray(says('Evenings are seven numbers, Monday first.'))
  @ArrayMinSize(7, says('Evenings are seven numbers, Monday first.'))
  @ArrayMaxSize(7, says('Evenings are seven numbers, Monday first.'))
  @IsNumber({}, { each: true, message: 'Minutes of an evening must be numbers.' })
  @Min(0, { each: true, message: 'Minutes of an evening go from 0 to 960.' })
  @Max(960, { each: true, message: 'Minutes of an evening go from 0 to 960.' })
  evenings!: number[]
  @IsObject(says('The setup is missing.')) @ValidateNested() @Type(() => SetupDoc) setup!: SetupDoc
  @RecordOf('recordOf', (v) => problemsOf(StepDoc, v), 2000) steps!: Record<string, StepDoc>
}

/** Everything wrong with a build; nothing when it may be stored. Passing it, plain data is a Build. */
export const problemsOfBuild = (plain: unknown): Problem[] => problemsOf(BuildDoc, plain)
export const isBuild = (plain: unknown): plain is Build => problemsOfBuild(plain).length === 0
