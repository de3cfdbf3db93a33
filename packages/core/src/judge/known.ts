import type { Build } from '../document/build'
import { sizeAt, specAt, traitAt, withJobs, type SizeRef } from '../document/read'
import { usualAt } from '../document/usualAt'
import { bandOf } from '../parts/kind'
import type { Slot } from '../parts/slots'
import { doubtOf, linear, ofSize, type Distribution } from '../quantity/distribution'
import { told, type Size } from '../quantity/size'

/** A size as a check sees it: known, or as widely as it may be. Throws for a part that is not there, which is a mistake in code. */
export function sizeIn(build: Build, ref: SizeRef): Size {
  const size = sizeAt(build, ref)
  if (!size) throw new Error(`${ref.slot}/${ref.size} was asked outside a check, or of a part that is not there`)
  return size
}

export function sizesIn<const K extends string>(build: Build, refs: Readonly<Record<K, SizeRef>>): Record<K, Size> {
  const have = {} as Record<K, Size>
  for (const name of Object.keys(refs) as K[]) have[name] = sizeIn(build, refs[name])
  return have
}

/** The size where somebody has said it; within a check everything else has an answer that was only supposed. */
export function toldAt(build: Build, ref: SizeRef): Size | undefined {
  return told(sizeAt(build, ref))
}

export function traitIn(build: Build, slot: Slot, trait: string): string {
  const told = traitAt(build, slot, trait)
  if (told === undefined) throw new Error(`${slot}/${trait} was asked outside a check, or of a part that is not there`)
  return told
}

/** The size to draw or to place a peg by: as known, or the kind's usual one with planned jobs done to it. Never to judge by. */
export function sizeToDraw(build: Build, ref: SizeRef): Size {
  const known = sizeAt(build, ref)
  if (known) return known
  const spec = specAt(ref)
  const { low, high } = bandOf(spec)
  return withJobs(build, ref, { value: usualAt(build, spec), doubt: (high - low) / 2, known: 'assumed' })
}
export const drawnAt = (build: Build, ref: SizeRef): number => sizeToDraw(build, ref).value

/** Sum of factor times size, plus a fixed offset, as a distribution. */
export const gapOf = (terms: readonly (readonly [number, Size])[], offset = 0): Distribution =>
  linear(
    terms.map(([f, s]) => [f, ofSize(s)] as const),
    offset,
  )

/**
 * How far past a limit a job has to aim so that it lands there nine times in ten: what is not known of the clearance and how exactly
 * the job is done, both counted. [ours]
 * @param job 95 % half-width of what the job does to the clearance, mm
 */
export const landing = (clearance: Distribution, job: number): number => 1.35 * Math.hypot(doubtOf(clearance) / 2, job / 2)

/** "0.4 to 0.6": an amount with its doubt either side, never below nothing. */
export const amount = (value: number, doubt: number, digits = 2): string => {
  const from = Math.max(0, value - doubt)
  return doubt < 0.5 * 10 ** -digits ? value.toFixed(digits) : `${from.toFixed(digits)} to ${(value + doubt).toFixed(digits)}`
}
