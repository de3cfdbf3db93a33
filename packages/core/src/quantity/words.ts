import { printMm } from './length'

/** As a sentence begins. */
export const capital = (s: string): string => s[0]!.toUpperCase() + s.slice(1)

/** "a 16 mm", "an 18 mm": a size as what follows it is named by it. */
export function aMm(mm: number, digits = 2): string {
  const text = printMm(mm, digits)
  return `${/^(?:8|1[18](?:\D|$))/.test(text) ? 'an' : 'a'} ${text} mm`
}
