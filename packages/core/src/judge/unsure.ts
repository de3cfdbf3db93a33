/** A number in a text, with its sign. */
const NUMBER = /[−-]?\d+(?:\.\d+)?/g

/** How a figure nobody knows is written. */
export const UNKNOWN = '?'

const wordsOf = (text: string): string => text.replace(NUMBER, '')
/** The same but for its figures. */
export const sameWords = (a: string, b: string): boolean => wordsOf(a) === wordsOf(b)

/**
 * A text of which only what is the same in all the others is left: a number that differs is "?", and where the words differ themselves
 * every number is.
 */
export function whereSame(text: string, others: readonly string[]): string {
  if (others.every((o) => o === text)) return text
  const numbers = others.filter((o) => sameWords(o, text)).map((o) => o.match(NUMBER) ?? [])
  let i = -1
  return text.replace(NUMBER, (number) => {
    i++
    return numbers.length === others.length && numbers.every((found) => found[i] === number) ? number : UNKNOWN
  })
}
