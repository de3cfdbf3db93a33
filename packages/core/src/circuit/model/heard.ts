import { compile } from '../engine/solver'
import type { Harness } from './harness'
import type { Setting } from './setting'
import { toNetlist, type Load } from './toNetlist'

/** A guitar plugged in by five metres of cable. */
export const PLUGGED_IN: Load = { cable: 500e-12, amplifier: 1e6 }
/** Where ears tell: the body of a note, its middle, its edge, Hz. [ours] */
export const EARS = [150, 1000, 4000] as const
/**
 * Pickups lie under different places of the strings: however exactly two are turned against each other, so much of the louder is still
 * heard, dB, the less the lower. [ours]
 */
const LEFT_OVER = [-20, -16, -8] as const
/** A coil or pickup under this is not heard, dB against one volt in each of its coils. [ours] */
export const SILENT = -60
/** So much less than it was or should be is silence, dB. [ours] */
export const MUTED = -28
/** Lows so far under what the loudest pickup gives of them are called thin, dB. [ours] */
const THIN = -9

export interface Complex {
  re: number
  im: number
}

/** As loud as it is, dB; a silence is a number too, so that two can be compared. */
export const decibel = ({ re, im }: Complex): number => Math.max(-200, 20 * Math.log10(Math.hypot(re, im)))

export const pickupsOf = (harness: Harness): string[] => [
  ...new Set(harness.components.flatMap((c) => (c.is === 'coil' ? [c.pickup] : []))),
]

/** What comes out where ears tell while the strings over one pickup alone, or over all, induce a volt in each coil. */
export function givenBy(harness: Harness, setting: Setting, pickup?: string): readonly Complex[] {
  const solver = compile(toNetlist(harness, setting, PLUGGED_IN, pickup === undefined ? 'string' : { pickup }))
  return EARS.map((hertz) => {
    const out = { re: 0, im: 0 }
    solver.solve(hertz, out)
    return out
  })
}

/** Pickups heard at once, dB where ears tell. @param parts what each alone gives */
export const together = (parts: readonly (readonly Complex[])[]): number[] =>
  EARS.map((_, i) => {
    const sum = parts.reduce((all, v) => ({ re: all.re + v[i]!.re, im: all.im + v[i]!.im }), { re: 0, im: 0 })
    const loudest = Math.max(...parts.map((v) => decibel(v[i]!)), -200)
    return parts.length < 2 ? decibel(sum) : Math.max(decibel(sum), loudest + LEFT_OVER[i]!)
  })

/** How a strum sounds where all is well, knobs at 10. */
export type Sound = 'full' | 'thin' | 'silent'
export function soundOf(parts: readonly (readonly Complex[])[]): Sound {
  const loudest = Math.max(...parts.map((v) => decibel(v[0]!)), -200)
  if (loudest < SILENT) return 'silent'
  return together(parts)[0]! < loudest + THIN ? 'thin' : 'full'
}

/** What is heard then, in words. */
export const SOUND_WORDS: Record<Sound, string> = {
  full: 'every string full and clear',
  thin: 'thin, hollow and quieter: the pickups are out of phase',
  silent: 'silence belongs here',
}

/** Is it heard otherwise: one of the pickups, or all of them together? dB between the two that are told apart. */
export function soundsOtherwise(before: readonly (readonly Complex[])[], after: readonly (readonly Complex[])[], apart: number): boolean {
  const levels = (parts: readonly (readonly Complex[])[]) => [...parts.map((v) => v.map(decibel)), together(parts)]
  const then = levels(after)
  return levels(before).some((v, p) => v.some((level, i) => Math.abs(Math.max(level, SILENT) - Math.max(then[p]![i]!, SILENT)) > apart))
}
