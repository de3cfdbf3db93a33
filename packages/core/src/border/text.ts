/** Letters no text may hold: control characters other than tab and line end, and halves of a character. */
const UNFIT = /(?![\t\n\r])\p{Cc}|\p{Cs}/u

/** The one rule for all text that comes in. @returns the sentence that says why not, or nothing */
export function whyNotText(text: string): string | undefined {
  const found = UNFIT.exec(text)
  if (!found) return undefined
  const code = found[0].codePointAt(0)!.toString(16).toUpperCase().padStart(4, '0')
  return `The text holds a character that cannot be kept (U+${code}, letter ${found.index + 1}); take it out.`
}
