import { ValidateBy, validateSync, type ValidationError, type ValidationOptions } from 'class-validator'
import { plainToInstance, type ClassConstructor } from 'class-transformer'

/** What is wrong, where, in one sentence. */
export interface Problem {
  path: string
  why: string
}

const OPTIONS = { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }

/** Checks plain data against a class; every finding as path and sentence. */
export function problemsOf<T extends object>(type: ClassConstructor<T>, plain: unknown, at = ''): Problem[] {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return [{ path: at, why: 'This should be an object with named fields.' }]
  return validateSync(plainToInstance(type, plain), OPTIONS).flatMap((e) => flatten(e, at))
}

function flatten(error: ValidationError, at: string): Problem[] {
  const path = at ? `${at}.${error.property}` : error.property
  // What a thing is comes before how large it may be.
  const rules = Object.entries(error.constraints ?? {}).toSorted(([a], [b]) => Number(b.startsWith('is')) - Number(a.startsWith('is')))
  const found = rules.flatMap(([rule, why]): Problem[] => {
    // Findings inside a record come as one JSON text, so that each keeps its own path.
    if (rule === 'recordOf' || rule === 'isPart')
      return (JSON.parse(why) as Problem[]).map((p) => ({ path: p.path ? `${path}.${p.path}` : path, why: p.why }))
    if (rule === 'whitelistValidation') return [{ path, why: `There is no field called "${error.property}" here.` }]
    return [{ path, why }]
  })
  // A number out of its bounds breaks several rules that share one sentence.
  const own = found.filter((p, i) => found.findIndex((o) => o.path === p.path && o.why === p.why) === i)
  return [...own, ...(error.children ?? []).flatMap((c) => flatten(c, path))]
}

/** A map whose values each pass `problems`; findings keep their key. */
export function RecordOf(
  rule: 'recordOf' | 'isPart',
  problems: (value: unknown, key: string) => Problem[],
  limit = 500,
): PropertyDecorator {
  const found = (value: unknown): Problem[] => {
    if (typeof value !== 'object' || value === null || Array.isArray(value))
      return [{ path: '', why: 'This should be a map of named entries.' }]
    const entries = Object.entries(value)
    if (entries.length > limit) return [{ path: '', why: `There are ${entries.length} entries; at most ${limit} are allowed.` }]
    return entries.flatMap(([key, v]) => problems(v, key).map((p) => ({ path: p.path ? `${key}.${p.path}` : key, why: p.why })))
  }
  return ValidateBy({
    name: rule,
    validator: { validate: (value) => found(value).length === 0, defaultMessage: (args) => JSON.stringify(found(args?.value)) },
  } as Parameters<typeof ValidateBy>[0])
}

/** A whole value checked by a function of ours; its findings keep their own paths. */
export function IsCheckedBy(problems: (value: unknown) => Problem[]): PropertyDecorator {
  return ValidateBy({
    name: 'isPart',
    validator: { validate: (value) => problems(value).length === 0, defaultMessage: (args) => JSON.stringify(problems(args?.value)) },
  } as Parameters<typeof ValidateBy>[0])
}

/** Message options written short. */
export const says = (message: string): ValidationOptions => ({ message })
