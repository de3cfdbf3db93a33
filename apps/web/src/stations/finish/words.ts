import { waitSays, type Layer } from '@snug/core'

/** When the next coat may go on. */
export function recoatSays(l: Layer): string {
  const after = `after ${waitSays(l.recoat)}`
  if (l.forbidden) return `${after}, not between ${waitSays(l.forbidden[0])} and ${waitSays(l.forbidden[1])}: it wrinkles`
  if (l.keyAfter !== undefined) return `${after}; over ${waitSays(l.keyAfter)} scuffed first`
  return l.family === 'solvent' && l.film ? `${after}, no upper limit: it bites in` : after
}

export const percent = (chance: number) => (chance < 0.005 ? '<1' : chance > 0.995 ? '>99' : String(Math.round(100 * chance)))

/** What is left of a film, µm: of one that is through, nothing. */
export const filmLeft = (um: number): string => Math.max(0, um).toFixed(0)
