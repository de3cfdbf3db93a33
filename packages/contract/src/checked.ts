import { whyNotPlain, type Finding } from '@snug/core'
import { validateSync, type ValidationError } from 'class-validator'
import './rulesOnce'

type ClassConstructor<T> = new () => T

/** What is wrong, where, in one sentence. */
export type Problem = Finding

/** What was checked, and nothing else; or why it cannot be. */
export type Checked<T> = { ok: true; value: T } | { ok: false; problems: Problem[] }

const OPTIONS = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }

/**
 * Plain data from outside against a class. What is handed back is what the rules ran on, so that nothing a rule did not see can
 * be kept. The look at size and depth comes first: it is cheap, and the rest is not.
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
  // Names every object has would pass for fields there are rules for, or for the class itself.
  const odd = Object.keys(plain).filter((field) => field in Object.prototype)
  if (odd.length) return { ok: false, problems: odd.map(unknownField) }
  const value = Object.assign(Object.create(type.prototype as object) as T, plain)
  const problems = validateSync(value, OPTIONS).flatMap((e) => flatten(e, ''))
  return problems.length ? { ok: false, problems } : { ok: true, value }
}

const unknownField = (field: string): Problem => ({ path: field, why: `There is no field called "${field}" here.` })

/** Every finding of a piece as path and sentence. */
export function problemsOf<T extends object>(type: ClassConstructor<T>, plain: unknown): Problem[] {
  const result = shaped(type, plain)
  return result.ok ? [] : result.problems
}

/** Findings of a piece, with where the piece stands before their paths. */
export const under = (at: string, problems: readonly Problem[]): Problem[] =>
  problems.map(({ path, why }) => ({ path: [at, path].filter(Boolean).join('.'), why }))

/** Rules whose message is a JSON list of findings, so that each keeps its own path. */
export const INNER = 'findings'

function flatten(error: ValidationError, at: string): Problem[] {
  const path = at ? `${at}.${error.property}` : error.property
  // What a thing is comes before how large it may be.
  const rules = Object.entries(error.constraints ?? {}).toSorted(([a], [b]) => Number(b.startsWith('is')) - Number(a.startsWith('is')))
  const found = rules.flatMap(([rule, why]): Problem[] => {
    if (rule === INNER) return under(path, JSON.parse(why) as Problem[])
    if (rule === 'whitelistValidation') return [{ ...unknownField(error.property), path }]
    return [{ path, why }]
  })
  // A number out of its bounds breaks several rules that share one sentence.
  const own = found.filter((p, i) => found.findIndex((o) => o.path === p.path && o.why === p.why) === i)
  return [...own, ...(error.children ?? []).flatMap((c) => flatten(c, path))]
}
