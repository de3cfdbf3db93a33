import { checked } from '@snug/contract'
import { HttpProblem } from './problem'

/** The body as the class says, the copy that was checked; or 422 with every field at fault. Unknown fields are refused. */
export function bodyAs<T extends object>(type: new () => T, body: unknown, values?: number): T {
  const result = checked(type, body, values)
  if (!result.ok) throw new HttpProblem(422, result.problems[0]!.why, { problems: result.problems })
  return result.value
}
