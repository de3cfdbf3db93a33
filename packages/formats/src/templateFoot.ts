import type { Template } from '@snug/core'

/** Bars a person measures before trusting the paper, mm. */
export const BARS = { millimetres: 100, inches: 101.6 } as const
/** Room they take below a drawing, mm. */
export const FOOT = 18

/** What every sheet of a template says; what must not be overlooked is big. */
export const footLines = (t: Template, build: string): { text: string; big: boolean }[] => [
  ...t.notes.map((text) => ({ text, big: text === text.toUpperCase() || /^[A-Z -]{8,}/.test(text) })),
  { text: `${build}: ${t.title}. True size: print at 100 %, no fitting to the page.`, big: false },
]
