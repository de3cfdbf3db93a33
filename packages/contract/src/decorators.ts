import { LIMITS, whyNotDay, whyNotPlain, whyNotTime, type Finding } from '@snug/core'
import { ValidateBy, ValidateIf, validateSync, type ValidationError, type ValidationOptions } from 'class-validator'
import { plainToInstance, type ClassConstructor } from 'class-transformer'

/** What is wrong, where, in one sentence. */
export type Problem = Finding

/** What was checked, and nothing else; or why it cannot be. */
export type Checked<T> = { ok: true; value: T } | { ok: false; problems: Problem[] }

const OPTIONS = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }

/**
 * Plain data from outside against a class. What is handed back is the copy the rules ran on, so that nothing a rule did not see
 * can be kept. The look at size and depth comes first: it is cheap, and the rest is not.
 * @param values how many values may be in it
 */
export function checked<T extends object>(type: ClassConstructor<T>, plain: unknown, values?: number): Checked<T> {
  const unfit = whyNotPlain(plain, values)
  return unfit ? { ok: false, problems: [unfit] } : shaped(type, plain)
}

/** The same for a piece of something whose outside was looked at already. */
export function shaped<T extends object>(type: ClassConstructor<T>, plain: unknown): Checked<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return { ok: false, problems: [{ path: '', why: 'This should be an object with named fields.' }] }
  const value = plainToInstance(type, plain)
  const problems = validateSync(value, OPTIONS).flatMap((e) => flatten(e, ''))
  return problems.length ? { ok: false, problems } : { ok: true, value }
}

/** Every finding of a piece as path and sentence. */
export function problemsOf<T extends object>(type: ClassConstructor<T>, plain: unknown): Problem[] {
  const result = shaped(type, plain)
  return result.ok ? [] : result.problems
}

/** Findings of a piece, with where the piece stands before their paths. */
export const under = (at: string, problems: readonly Problem[]): Problem[] =>
  problems.map(({ path, why }) => ({ path: [at, path].filter(Boolean).join('.'), why }))

/** Rules whose message is a JSON list of findings, so that each keeps its own path. */
const INNER = 'findings'

function flatten(error: ValidationError, at: string): Problem[] {
  const path = at ? `${at}.${error.property}` : error.property
  // What a thing is comes before how large it may be.
  const rules = Object.entries(error.constraints ?? {}).toSorted(([a], [b]) => Number(b.startsWith('is')) - Number(a.startsWith('is')))
  const found = rules.flatMap(([rule, why]): Problem[] => {
    if (rule === INNER) return under(path, JSON.parse(why) as Problem[])
    if (rule === 'whitelistValidation') return [{ path, why: `There is no field called "${error.property}" here.` }]
    return [{ path, why }]
  })
  // A number out of its bounds breaks several rules that share one sentence.
  const own = found.filter((p, i) => found.findIndex((o) => o.path === p.path && o.why === p.why) === i)
  return [...own, ...(error.children ?? []).flatMap((c) => flatten(c, path))]
}

/** A value checked by a function of ours; its findings keep their own paths. */
export function IsCheckedBy(problems: (value: unknown) => Problem[]): PropertyDecorator {
  return ValidateBy({
    name: INNER,
    validator: {
      validate: (value) => problems(value).length === 0,
      defaultMessage: (args) => JSON.stringify(problems(args?.value).slice(0, LIMITS.findings)),
    },
  } as Parameters<typeof ValidateBy>[0])
}

/** Findings of one entry after the other, until there are enough of them. */
function collect<T>(entries: Iterable<[string, T]>, problems: (value: T, key: string) => Problem[]): Problem[] {
  const found: Problem[] = []
  for (const [key, value] of entries) {
    found.push(...under(key, problems(value, key)))
    if (found.length >= LIMITS.findings) break
  }
  return found
}

/** A map whose values each pass `problems`. How many there are is looked at before any of them. */
export const RecordOf = (problems: (value: unknown, key: string) => Problem[], limit: number = LIMITS.entries): PropertyDecorator =>
  IsCheckedBy((value) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      return [{ path: '', why: 'This should be a map of named entries.' }]
    const entries = Object.entries(value)
    if (entries.length > limit) return [{ path: '', why: `There are ${entries.length} entries; at most ${limit} are allowed.` }]
    return collect(entries, problems)
  })

/**
 * A list whose entries each pass `problems`. How many there are is looked at before any of them.
 * @param what "An outline", as the sentences begin
 */
export const ListOf = (
  problems: (value: unknown) => Problem[],
  what: string,
  { least = 0, most, each = 'entries' }: { least?: number; most: number; each?: string },
): PropertyDecorator =>
  IsCheckedBy((value) => {
    if (!Array.isArray(value)) return [{ path: '', why: `${what} is a list of ${each}.` }]
    if (value.length < least || value.length > most)
      return [{ path: '', why: `${what} has ${least} to ${most} ${each}; this one has ${value.length}.` }]
    return collect(
      value.map((v, i): [string, unknown] => [String(i), v]),
      problems,
    )
  })

const todayHere = () => new Date().toISOString().slice(0, 10)
const because = (why: string | undefined): Problem[] => (why ? [{ path: '', why }] : [])

/** A day that exists, within the one horizon of all days. */
export const IsDay = () => IsCheckedBy((v) => because(whyNotDay(v, todayHere())))
/** A moment, the same. */
export const IsTime = () => IsCheckedBy((v) => because(whyNotTime(v, todayHere())))

/** The field may be left out. Nothing-values do not count as left out. */
export const Optional = () => ValidateIf((_, value) => value !== undefined)

/** Message options written short. */
export const says = (message: string): ValidationOptions => ({ message })
