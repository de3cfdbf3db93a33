import { LIMITS, whyNotDay, whyNotTime } from '@snug/core'
import { ValidateBy, ValidateIf, type ValidationOptions } from 'class-validator'
import { INNER, problemsOf, under, type Problem } from './checked'
import { remembered } from './remembered'
import { refTo, wrong, type Rule, type Schema } from './rules'

/** A value checked by a function of ours; its findings keep their own paths. @param schema what a published schema says of it */
export function IsCheckedBy(problems: (value: unknown) => Problem[], schema: Schema = {}): PropertyDecorator {
  return ValidateBy({
    name: INNER,
    constraints: [schema],
    validator: {
      validate: (value) => problems(value).length === 0,
      defaultMessage: (args) => JSON.stringify(problems(args?.value).slice(0, LIMITS.findings)),
    },
  })
}

/** An object as another class says. @param missing what is said when it is none */
export const Nested = <T extends object>(type: new () => T, missing: string): PropertyDecorator =>
  IsCheckedBy(
    (v) => (typeof v === 'object' && v !== null && !Array.isArray(v) ? remembered(type, v, () => problemsOf(type, v)) : wrong(missing)),
    refTo(type.name),
  )

/** Findings of one entry after the other, until there are enough of them. */
function collect<T>(entries: Iterable<[string, T]>, problems: (value: T, key: string) => Problem[]): Problem[] {
  const found: Problem[] = []
  for (const [key, value] of entries) {
    found.push(...under(key, problems(value, key)))
    if (found.length >= LIMITS.findings) break
  }
  return found
}

const mapProblems = (value: unknown, limit: number, problems: Rule['problems']): Problem[] => {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return wrong('This should be a map of named entries.')
  const entries = Object.entries(value)
  return entries.length > limit ? wrong(`There are ${entries.length} entries; at most ${limit} are allowed.`) : collect(entries, problems)
}

/** A map whose values each pass a rule. How many there are is looked at before any of them. */
export const RecordOf = ({ problems, schema }: Rule, limit: number = LIMITS.entries): PropertyDecorator =>
  IsCheckedBy((v) => mapProblems(v, limit, problems), { type: 'object', additionalProperties: schema, maxProperties: limit })

/** A map of some of the names given, each with a rule of its own. @param stranger what is said of another name */
export function MapOf(rules: Readonly<Record<string, Rule>>, stranger: (name: string) => string): PropertyDecorator {
  const schema = {
    type: 'object',
    properties: Object.fromEntries(Object.entries(rules).map(([name, rule]) => [name, rule.schema])),
    additionalProperties: false,
  }
  const own = (name: string) => (Object.hasOwn(rules, name) ? rules[name] : undefined)
  return IsCheckedBy(
    (v) => mapProblems(v, LIMITS.entries, (value, name) => own(name)?.problems(value, name) ?? wrong(stranger(name))),
    schema,
  )
}

/**
 * A list whose entries each pass a rule. How many there are is looked at before any of them.
 * @param what "An outline", as the sentences begin
 */
export const ListOf = (
  { problems, schema }: Rule,
  what: string,
  { least = 0, most, each = 'entries' }: { least?: number; most: number; each?: string },
): PropertyDecorator =>
  IsCheckedBy(
    (value) => {
      if (!Array.isArray(value)) return wrong(`${what} is a list of ${each}.`)
      if (value.length < least || value.length > most)
        return wrong(`${what} has ${least} to ${most} ${each}; this one has ${value.length}.`)
      return collect(
        value.map((v, i): [string, unknown] => [String(i), v]),
        problems,
      )
    },
    { type: 'array', items: schema, minItems: least, maxItems: most },
  )

const todayHere = () => new Date().toISOString().slice(0, 10)
const because = (why: string | undefined): Problem[] => (why ? wrong(why) : [])

/** A day that exists, within the one horizon of all days. */
export const IsDay = () => IsCheckedBy((v) => because(whyNotDay(v, todayHere())), { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' })
/** A moment, the same. */
export const IsTime = () =>
  IsCheckedBy((v) => because(whyNotTime(v, todayHere())), {
    type: 'string',
    format: 'date-time',
    pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}',
  })

/** The field may be left out. Nothing-values do not count as left out. */
export const Optional = () => ValidateIf((_, value) => value !== undefined)

/** Message options written short. */
export const says = (message: string): ValidationOptions => ({ message })
