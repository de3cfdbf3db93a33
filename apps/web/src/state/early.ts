/** One answer of the server, asked for before what wants it was read. */
let early: { path: string; at: number; answer: Promise<Response> } | undefined
/** What was asked for longer ago, ms, may not be so any more. */
const FRESH = 5000

export function askEarly(path: string): void {
  const answer = fetch(path)
  // Whoever wants it asks again, and says what is wrong.
  answer.catch(() => (early = undefined))
  early = { path, at: performance.now(), answer }
}

/** That answer, to the first who asks for it. */
export function takeEarly(path: string): Promise<Response> | undefined {
  if (early?.path !== path) return undefined
  const { at, answer } = early
  early = undefined
  return performance.now() - at < FRESH ? answer : undefined
}
