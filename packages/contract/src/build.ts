import {
  type Build,
  type CoilEntry,
  type Gain,
  GAINS,
  type Heard,
  HEARD_AS,
  JOB_IDS,
  jobProblems,
  LIMITS,
  OUTCOMES,
  RECIPES,
  type Repair,
  REPAIR_OUTCOMES,
  SCHEMA,
  setupProblems,
  type Slot,
  SLOT_NAMES,
  SLOT_STATES,
  type Tool,
  TOOLS,
  TRIAL_RESULTS,
  type TrialResult,
  UNPACKED,
  WIRE_ROLES,
  type WireEdit,
} from '@snug/core'
import { Equals, IsBoolean, IsIn, IsString, Length, Matches, MaxLength } from 'class-validator'
import { Between, Whole } from './bounds'
import { checked, type Checked, type Problem } from './checked'
import { IsDay, IsTime, ListOf, MapOf, Nested, Optional, RecordOf, says } from './fields'
import { type PartDoc, partIn } from './part'
import { aDay, each, numberFrom, oneOf, type Rule, textOf, wholeFrom, wordOrNumber } from './rules'
import { FinishDoc } from './finishDoc'
import { SetupDoc } from './setupDoc'

class RoomDoc {
  @Between(5, 95, 'Lowest humidity', ' %') low!: number
  @Between(5, 95, 'Highest humidity', ' %') high!: number
  @Between(5, 95, 'Humidity now', ' %') now!: number
}
class EffectDoc {
  @IsIn(SLOT_NAMES, says('A job names a slot of the build.')) slot!: Slot
  @Length(1, 60, says('A job names a size.')) size!: string
  // In the unit of the size it changes: mostly millimetres, ohms where a pot is exchanged.
  @Between(-1e6, 1e6, 'A job’s amount') delta!: number
  @Between(0, 1e5, 'A job’s doubt') doubt!: number
}
class JobDoc extends EffectDoc {
  @Optional()
  @ListOf(each(EffectDoc), 'What else a job moves', { most: 12, each: 'sizes' })
  also?: EffectDoc[]
  @Length(1, LIMITS.jobText, says(`A job’s words have at most ${LIMITS.jobText} letters.`)) text!: string
}
class WireEditDoc {
  @IsIn(['cut', 'added'], says('A wire is cut or added.')) is!: WireEdit['is']
  @Length(1, 60, says('A lug is 1 to 60 letters.')) from!: string
  @Length(1, 60, says('A lug is 1 to 60 letters.')) to!: string
  @IsIn(WIRE_ROLES, says('A wire of this kind is not known here.')) role!: WireEdit['role']
}
class PairDoc {
  @Length(1, 20, says('A lug of a switch is 1 to 20 letters.')) a!: string
  @Length(1, 20, says('A lug of a switch is 1 to 20 letters.')) b!: string
}
class FoundPositionDoc {
  @ListOf(each(PairDoc), 'A position', { most: 200, each: 'pairs of lugs' }) pairs!: PairDoc[]
}
class FoundSwitchDoc {
  @ListOf(textOf(1, 20, 'A lug of a switch is 1 to 20 letters.'), 'A switch', { least: 2, most: 40, each: 'lugs' }) lugs!: string[]
  @ListOf(each(FoundPositionDoc), 'A switch', { least: 1, most: 24, each: 'positions' }) positions!: FoundPositionDoc[]
}
const LUG = textOf(1, 60, 'A lug is 1 to 60 letters.')
class JointDoc {
  @Length(1, 60, says('A lug is 1 to 60 letters.')) from!: string
  @Length(1, 60, says('A lug is 1 to 60 letters.')) to!: string
}
class RepairDoc {
  @IsDay() on!: string
  @Length(1, 300, says('What was mended takes 1 to 300 letters.')) what!: string
  @ListOf(LUG, 'A repair', { most: 40, each: 'lugs' }) lugs!: string[]
  @IsIn(REPAIR_OUTCOMES, says('After a repair it is gone, better, the same or worse.')) then!: Repair['then']
  @IsBoolean(says('A repair was kept or put back.')) kept!: boolean
}
class MendDoc {
  @Length(1, 300, says('A fault takes 1 to 300 letters.')) says!: string
  @Length(0, 400, says('A cure takes at most 400 letters.')) cure!: string
  @ListOf(LUG, 'A fault', { most: 40, each: 'lugs' }) lugs!: string[]
}
class CoilReadDoc {
  @Length(1, 40, says('A stage is 1 to 40 letters.')) stage!: string
  @Between(0, 1e8, 'A coil', ' ohm') ohm!: number
  @Between(-20, 60, 'The temperature', ' °C') celsius!: number
}
class CoilEntryDoc {
  @Between(30, 48, 'The gauge') gauge!: number
  @Whole(1, 40000, 'Turns') turns!: number
  @Between(20, 400, 'One turn', ' mm') turn!: number
  @IsIn(['clockwise', 'counter-clockwise'], says('A coil is wound clockwise or counter-clockwise.')) winding!: CoilEntry['winding']
  @IsIn(['north', 'south'], says('Poles draw the north or the south end.')) magnet!: CoilEntry['magnet']
  @ListOf(each(CoilReadDoc), 'A coil', { most: 40, each: 'readings' }) read!: CoilReadDoc[]
  @Optional() @Length(0, 60, says('Leads take at most 60 letters.')) leads?: string
  @Optional() @Length(0, 60, says('A place takes at most 60 letters.')) place?: string
}
class CircuitDoc {
  @IsIn(['by-parts', ...RECIPES.map((r) => r.id)], says('This wiring is not known here.')) scheme!: string
  @RecordOf(textOf(1, 40, 'A choice is 1 to 40 letters.')) options!: Record<string, string>
  @Between(0, 30, 'The cable', ' m') cable!: number
  @Optional() @RecordOf(each(WireEditDoc)) edits?: Record<string, WireEditDoc>
  @Optional() @RecordOf(each(FoundSwitchDoc)) tables?: Record<string, FoundSwitchDoc>
  @Optional() @RecordOf(wordOrNumber(40, 'What a test came to is ohms or a word.')) found?: Record<string, string | number>
  @Optional() @RecordOf(oneOf(HEARD_AS, 'What was heard is good or bad.')) heard?: Record<string, Heard>
  @Optional() @IsIn(GAINS, says('An amplifier stands clean, at its edge or high.')) gain?: Gain
  @Optional() @RecordOf(aDay) soldered?: Record<string, string>
  @Optional() @RecordOf(textOf(1, 20, 'A colour is 1 to 20 letters.')) leads?: Record<string, string>
  @Optional() @RecordOf(numberFrom(0, 1000, 'Wire on hand is 0 to 1000 m.')) reels?: Record<string, number>
  @Optional() @RecordOf(each(JointDoc)) sheet?: Record<string, JointDoc>
  @Optional() @RecordOf(aDay) complaints?: Record<string, string>
  @Optional() @RecordOf(each(RepairDoc)) repairs?: Record<string, RepairDoc>
  @Optional() @RecordOf(each(MendDoc)) mends?: Record<string, MendDoc>
  @Optional() @RecordOf(each(CoilEntryDoc)) coils?: Record<string, CoilEntryDoc>
}
class SettingDoc {
  @RecordOf(wholeFrom(1, 24, 'A switch position is a whole number from 1 to 24.'))
  switches!: Record<string, number>
  @RecordOf(numberFrom(0, 10, 'A knob stands from 0 to 10.'))
  knobs!: Record<string, number>
}
class ReadingDoc {
  @Between(0, 1e8, 'A reading', ' ohm') ohm!: number
  @ListOf(textOf(1, 60, 'A lug is 1 to 60 letters.'), 'Probes', {
    least: 2,
    most: 2,
    each: 'lugs',
  })
  probes!: [string, string]
  @Nested(SettingDoc, 'How knobs and switches stood is missing.') setting!: SettingDoc
  @IsTime() at!: string
}
class QuietDoc {
  @Whole(0, 1439, 'The start of quiet hours, minutes of the day,') from!: number
  @Whole(0, 1439, 'The end of quiet hours, minutes of the day,') to!: number
}
class DecisionDoc {
  @Length(1, 400, says('A decision is a question of at most 400 letters.')) question!: string
  @ListOf(textOf(1, 200, 'An option has 1 to 200 letters.'), 'A decision', { most: 20, each: 'options' }) options!: string[]
  @Optional() @Length(1, 200, says('What was chosen has at most 200 letters.')) chosen?: string
  @Optional() @Length(1, 1000, says('A reason has at most 1000 letters.')) reason?: string
  @Optional() @Length(1, 200, says('The step it binds at is named by its id.')) before?: string
}
class BookedDoc {
  @Length(1, 120, says('Who comes has 1 to 120 letters.')) by!: string
  @IsDay() on!: string
}
class PlanDoc {
  @Optional() @ListOf(aDay, 'Days off', { most: 400, each: 'days' }) daysOff?: string[]
  @Optional() @Nested(QuietDoc, 'Quiet hours go from one minute of the day to another.') quiet?: QuietDoc
  @Optional() @RecordOf(each(DecisionDoc)) decisions?: Record<string, DecisionDoc>
  @Optional() @Whole(0, 1439, 'When the evening begins, minutes of the day,') begins?: number
  @Optional() @Whole(0, 1439, 'The hour after which nothing final is begun, minutes of the day,') cutOff?: number
  @Optional() @RecordOf(each(BookedDoc), 100) booked?: Record<string, BookedDoc>
  @Optional() @RecordOf(aDay, 60) noted?: Record<string, string>
  @Optional() @RecordOf(aDay, 400) leftOut?: Record<string, string>
}
class StepDoc {
  @IsTime() done!: string
  @Optional() @Between(0, 10_000, 'The minutes a step took') took?: number
  @Optional() @Between(0, 10_000, 'The minutes a step was planned to take') planned?: number
}

class ReopenedDoc {
  @IsDay() on!: string
  @Length(1, 400, says('Why it was taken in again has 1 to 400 letters.')) why!: string
}
class DeliveredDoc {
  @IsDay() on!: string
  @Optional() @Length(1, 120, says('Who it went to has 1 to 120 letters.')) to?: string
  @ListOf(textOf(1, 400, 'A known fault has 1 to 400 letters.'), 'Known faults', { most: 200, each: 'faults' }) faults!: string[]
  @Optional() @Nested(ReopenedDoc, 'Taken in again: on a day and for a reason.') reopened?: ReopenedDoc
}

class ConsumableDoc {
  @Length(1, 80, says('A consumable needs a name.')) name!: string
  @Between(0, 1e5, 'Its price') price!: number
  @Between(0, 1, 'The share used') share!: number
}
class ShopJobDoc {
  @Length(1, 120, says('A shop’s job needs words of 1 to 120 letters.')) what!: string
  @Between(0, 1e6, 'Its price') price!: number
  @Optional() @IsDay() back?: string
  @Optional() @IsIn(SLOT_NAMES, says('The part that is away is named by its slot.')) slot?: Slot
}
class MockupDoc {
  @IsIn(OUTCOMES, says(`A step of the trial ends ${OUTCOMES.join(', ')}.`)) outcome!: (typeof OUTCOMES)[number]
  @IsTime() at!: string
  @IsString() @MaxLength(20) basis!: string
}
class TrialDoc {
  @IsIn(TRIAL_RESULTS, says(`A joint tried by hand ${TRIAL_RESULTS.join(', ')}.`)) result!: TrialResult
  @IsDay() on!: string
  // Sizes in their own unit, traits and names as words.
  @RecordOf(wordOrNumber(200, 'What a trial stood on is a number or a name.')) of!: Record<string, string | number>
}
class OrderedSizeDoc {
  @Between(-1000, 1000, 'An ordered size', ' mm') value!: number
  @Between(0, 50, 'Its tolerance', ' mm') tolerance!: number
}
class OrderDoc {
  @Whole(1, 1000, 'The revision') revision!: number
  @IsDay() at!: string
  @RecordOf(each(OrderedSizeDoc), LIMITS.sizes) sizes!: Record<string, OrderedSizeDoc>
}
class RescueDoc {
  @Optional() @Between(0, 1e6, 'The price asked') asking?: number
  @Optional() @Between(0, 1e6, 'Its worth') worth?: number
  @ListOf(textOf(0, LIMITS.pathName, 'A defect is named by a word.'), 'Defects', {
    most: LIMITS.defects,
    each: 'words',
  })
  defects!: string[]
}
const acrossBody = (what: string) => Between(0, 700, what, ' mm')
class PencilLinesDoc {
  @Between(-100, 500, 'The place along the body', ' mm') along!: number
  @acrossBody('The line of the bass side') bassLine!: number
  @acrossBody('The line of the treble side') trebleLine!: number
  @acrossBody('The bass end of what is even about the middle') bassEnd!: number
  @acrossBody('The treble end of what is even about the middle') trebleEnd!: number
}
const PENCIL = { near: each(PencilLinesDoc), far: each(PencilLinesDoc) }
/** A map of slots, each with the rule for it. */
const BySlot = (rule: (slot: Slot) => Rule, stranger = (slot: string) => `"${slot}" is not a slot.`): PropertyDecorator =>
  MapOf(Object.fromEntries(SLOT_NAMES.map((slot) => [slot, rule(slot)])), stranger)

/** A whole build as it may be stored. */
export class BuildDoc {
  @Equals(SCHEMA, says('This build is of a version this Snug Bolt does not know.')) schema!: Build['schema']
  @Length(1, LIMITS.buildName, says(`A build needs a name of 1 to ${LIMITS.buildName} letters.`)) name!: string
  @IsIn(['right', 'left'], says('Handedness is right or left.')) handedness!: Build['handedness']
  @Whole(4, 12, 'The number of strings') strings!: number
  @Between(500, 900, 'Scale length', ' mm') scale!: number
  @Optional() @IsIn(JOB_IDS, says(`A job is one of ${JOB_IDS.join(', ')}.`)) job?: Build['job']
  @Optional() @IsDay() due?: string
  @Optional() @Between(0, 1e6, 'The budget') budget?: number
  @Matches(/^[A-Z]{3}$/, says('A currency is three letters such as EUR.')) currency!: string
  @Nested(RoomDoc, 'The room’s humidity is missing.') room!: RoomDoc
  @BySlot(partIn, (slot) => `"${slot}" is not a slot; slots are ${SLOT_NAMES.join(', ')}.`) parts!: Partial<Record<Slot, PartDoc>>
  @Optional() @BySlot(() => oneOf(SLOT_STATES, `A slot is one of ${SLOT_STATES.join(', ')}.`)) slots?: Build['slots']
  @Optional()
  @ListOf(oneOf(TOOLS, `A tool is one of ${TOOLS.join(', ')}.`), 'Tools', {
    most: TOOLS.length,
    each: 'tools',
  })
  tools?: Tool[]
  @Optional() @MapOf(PENCIL, (name) => `"${name}" is no place for pencil lines; they are near and far.`) pencil?: Build['pencil']
  @Optional()
  @RecordOf(numberFrom(0, 1e5, 'Postage is a number from 0 to 100000.'))
  parcels?: Record<string, number>
  @Optional() @RecordOf(each(ConsumableDoc)) consumables?: Record<string, ConsumableDoc>
  @Optional() @RecordOf(each(ShopJobDoc), 100) shop?: Record<string, ShopJobDoc>
  @Optional() @Between(0, 1e6, 'What it is sold for') sale?: number
  @Optional() @RecordOf(each(MockupDoc), 100) mockup?: Record<string, MockupDoc>
  @Optional() @RecordOf(each(TrialDoc), 100) trials?: Record<string, TrialDoc>
  @Optional() @BySlot(() => oneOf(UNPACKED, `What was unpacked is one of ${UNPACKED.join(', ')}.`)) unpacked?: Build['unpacked']
  @Optional()
  @BySlot(() => each(OrderDoc))
  orders?: Partial<Record<Slot, OrderDoc>>
  @Optional() @Nested(RescueDoc, 'A rescue has defects.') rescue?: RescueDoc
  @RecordOf(each(JobDoc), LIMITS.jobs) jobs!: Record<string, JobDoc>
  @Nested(CircuitDoc, 'The circuit is missing.') circuit!: CircuitDoc
  @RecordOf(each(ReadingDoc)) readings!: Record<string, ReadingDoc>
  @Nested(FinishDoc, 'The finish is missing.') finish!: FinishDoc
  @ListOf(numberFrom(0, 960, 'Minutes of an evening go from 0 to 960.'), 'Evenings', {
    least: 7,
    most: 7,
    each: 'numbers, Monday first',
  })
  evenings!: number[]
  @Optional() @Nested(PlanDoc, 'The plan has days off, quiet hours and decisions.') plan?: PlanDoc
  @Nested(SetupDoc, 'The setup is missing.') setup!: SetupDoc
  @RecordOf(each(StepDoc), LIMITS.steps) steps!: Record<string, StepDoc>
  @Optional() @Nested(DeliveredDoc, 'A build is handed over on a day.') delivered?: DeliveredDoc
}

/** A build as it may be stored: the very copy every rule was run on. */
export function checkedBuild(plain: unknown): Checked<Build> {
  const shape = checked(BuildDoc, plain)
  if (!shape.ok) return shape
  const build: Build = shape.value
  const problems = [...jobProblems(build), ...setupProblems(build)]
  return problems.length ? { ok: false, problems } : { ok: true, value: build }
}

/** Everything wrong with a build; nothing when it may be stored. */
export function problemsOfBuild(plain: unknown): Problem[] {
  const result = checkedBuild(plain)
  return result.ok ? [] : result.problems
}
type Plain<T> = T extends (infer E)[] ? Plain<E>[] : T extends object ? { [K in keyof T]: Plain<T[K]> } : T
type Same<A, B> = [A] extends [B] ? ([B] extends [A] ? true : { in: 'core, not here'; core: B }) : { in: 'here, not in core'; here: A }
/** Core's type and these classes say the same, field by field; the compiler holds them to it. @public */
export const BUILD_IS_CORES: Same<Plain<BuildDoc>, Plain<Build>> = true

export const isBuild = (plain: unknown): plain is Build => problemsOfBuild(plain).length === 0
