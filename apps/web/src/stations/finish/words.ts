import type { Layer } from '@snug/core'
import { format, parseISO } from 'date-fns'

export const day = (iso: string) => format(parseISO(iso), 'EEE d MMM')

/** Minutes as a person says them. */
export function span(minutes: number): string {
  if (minutes < 120) return `${Math.round(minutes)} min`
  if (minutes < 48 * 60) return `${+(minutes / 60).toFixed(1)} h`
  return `${+(minutes / 1440).toFixed(1)} days`
}

/** When the next coat may go on. */
export function recoatSays(l: Layer): string {
  const after = `after ${span(l.recoat)}`
  if (l.forbidden) return `${after}, not between ${span(l.forbidden[0])} and ${span(l.forbidden[1])}: it wrinkles`
  if (l.keyAfter !== undefined) return `${after}; over ${span(l.keyAfter)} scuffed first`
  return l.family === 'solvent' && l.film ? `${after}, no upper limit: it bites in` : after
}

export const percent = (chance: number) => (chance < 0.005 ? '<1' : chance > 0.995 ? '>99' : String(Math.round(100 * chance)))
