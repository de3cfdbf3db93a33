import { problemsOf } from '@snug/contract'
import { HttpProblem } from './problem'

/** The body as the class says, or 422 with every field at fault. Unknown fields are refused. */
export function bodyAs<T extends object>(type: new () => T, body: unknown): T {
  const problems = problemsOf(type, body)
  if (problems.length) throw new HttpProblem(422, problems[0]!.why, { problems })
  return body as T
}
