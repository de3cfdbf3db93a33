import type { Build } from '../document/build'
import { sizeAt, withJobs, type SizeRef } from '../document/read'
import { doubtOf, linear, ofSize, type Distribution } from '../quantity/distribution'
import type { Size } from '../quantity/size'

/** The size as entered, or a usual value marked as assumed with its own doubt. */
export const sizeOr = (build: Build, ref: SizeRef, usual: number, doubt: number): Size =>
  sizeAt(build, ref) ?? withJobs(build, ref, { value: usual, doubt, known: 'assumed' })

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
