import type { Build } from '../document/build'
import { GRAIN, ladder } from './grits'

/** Parts of the instrument that are sanded each to the same grit before any gets the next. */
export const SECTIONS = ['top', 'back', 'rim', 'neck', 'head'] as const
export type Section = (typeof SECTIONS)[number]

/** How one knows that a grit is done. A hand is fooled before the eye. [practice] */
export const STOP_TEST = [
  'It is dry.',
  'A lamp laid flat shows one even, matt surface.',
  'No shiny speck is left: those are valleys.',
  'The scratches of the grit before are gone, crossed by these.',
] as const

export const gritKey = (section: Section, grit: number): string => `${section} ${grit}`

/** Grits of the bare wood: up to P320, or further before stain. */
export const woodGrits = (before: 'film' | 'stain'): number[] => (before === 'film' ? [180, 240, 320] : ladder(220, 400))

export interface GritCell {
  section: Section
  grit: number
  done?: string
  /** Why it is not its turn. */
  waits?: string
}

/** Section by grit: all sections at one grit, then the sheet is changed. */
export function gritGrid(build: Build, grits: readonly number[]): GritCell[] {
  const at = (s: Section, g: number) => build.finish.grits?.[gritKey(s, g)]
  return grits.flatMap((grit, i) =>
    SECTIONS.map((section): GritCell => {
      const done = at(section, grit)
      const before = grits[i - 1]
      const behind = before === undefined ? undefined : SECTIONS.find((s) => !at(s, before))
      return {
        section,
        grit,
        ...(done ? { done } : {}),
        ...(!done && behind ? { waits: `${behind} at P${before} first` } : {}),
      }
    }),
  )
}

/** Half sheets a rung takes on a whole instrument: coarse ones clog later, fine ones sooner. [ours] */
export const sheetsFor = (grit: number, m2: number): number => Math.max(1, Math.ceil((m2 / 0.4) * (GRAIN[grit]! < 30 ? 2 : 1)))
