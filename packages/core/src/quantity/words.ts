import { printMm } from './length'

/** As a sentence begins. */
export const capital = (s: string): string => s[0]!.toUpperCase() + s.slice(1)

/** "1 turn", "3 turns": so many of what is named in the singular. */
export const counted = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`

/** "a", "a and b", "a, b and c". */
export const listed = (names: readonly (string | number)[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`

/** "a", "a or b", "a, b or c". */
export const either = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`

/** "neck, bridge and guard": of these names only those that hold. */
export const those = (...names: readonly (readonly [name: string, holds: unknown])[]): string =>
  listed(names.filter(([, holds]) => holds).map(([name]) => name))

/** "string 2", "strings 1, 4 and 6". */
export const theStrings = (numbers: readonly number[]): string => `${numbers.length === 1 ? 'string' : 'strings'} ${listed(numbers)}`

/** "a 16 mm", "an 18 mm": a size as what follows it is named by it. */
export function aMm(mm: number, digits = 2): string {
  const text = printMm(mm, digits)
  return `${/^(?:8|1[18](?:\D|$))/.test(text) ? 'an' : 'a'} ${text} mm`
}
