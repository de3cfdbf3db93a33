import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { Question } from '../../judge/joint'
import { sizesIn } from '../../judge/known'
import { certain, likelyOf, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/**
 * How far the heel stands off the end wall when its corners foul a larger pocket radius, mm.
 * Goes home when pocket radius <= heel radius + gap/2; else s = d - sqrt(d^2 - (d - c/2)^2), d = radius difference.
 * [physics: circle in circle]
 * @param radiusDifference pocket radius minus heel radius, mm
 * @param gap total width clearance, mm (negative counts as none)
 */
export function cornerStandOff(radiusDifference: number, gap: number): number {
  const side = Math.max(0, gap) / 2
  if (radiusDifference <= side) return 0
  return radiusDifference - Math.sqrt(radiusDifference ** 2 - (radiusDifference - side) ** 2)
}

export function cornerQuestion(build: Build, gap: Distribution): Question {
  const refs = { pocket: sizeRef('body', 'pocket.radius'), heel: sizeRef('neck', 'heel.radius') }
  const have = sizesIn(build, refs)
  const c = likelyOf(gap)
  const spare = certain(have.heel.value - have.pocket.value + Math.max(0, c) / 2)
  const rounded = have.pocket.value - Math.max(0, c) / 2 + 0.2
  const off = cornerStandOff(have.pocket.value - have.heel.value, c)
  return {
    id: 'corner',
    spread: true,
    label: 'Corners',
    clearance: spare,
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      off > 0.005
        ? `The corners foul: the heel stands ${printMm(off)} mm off the end wall, and the scale is that much long.`
        : 'The corners clear; the heel goes home against the end wall.',
    cures: () =>
      off <= 0.005
        ? []
        : [
            {
              id: 'ease-corners',
              job: `Round the heel’s corners to ${printMm(rounded, 1)} mm, or square the pocket’s with a chisel.`,
              how: 'A file across the heel corner hides under the guard; the pocket corner needs a narrow sharp chisel.',
              gives: 'neck',
              tools: ['file', 'narrow chisel'],
              plan: {
                slot: 'neck',
                size: 'heel.radius',
                delta: rounded - have.heel.value,
                doubt: 0.2,
              },
            },
          ],
  }
}
