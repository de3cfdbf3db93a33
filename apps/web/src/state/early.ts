/** One answer of the server, asked for before what wants it was read. */
let early: { path: string; at: number; answer: Promise<Response> } | undefined
/** What was asked for longer ago, ms, may not be so any more. */
const FRESH = 5000

/** Asks for it now. @returns the answer as it will be handed over: who reads it too reads a clone of it */
export function askEarly(path: string): Promise<Response> {
  const answer = fetch(path)
  // Whoever wants it asks again, and says what is wrong.
  answer.catch(() => (early = undefined))
  early = { path, at: performance.now(), answer }
  return answer
}

/** That answer, to the first who asks for it. */
export function takeEarly(path: string): Promise<Response> | undefined {
  if (early?.path !== path) return undefined
  const { at, answer } = early
  early = undefined
  return performance.now() - at < FRESH ? answer : undefined
}
