import type { Build } from '../../document/build'
import { isThrough, sizeRef } from '../../document/read'
import type { Question } from '../../judge/joint'
import { gapOf, sizeIn } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** Over how much a board is sanded back to clear a cover, and what then stays between them, mm. [practice] */
const SANDED = 1
const BETWEEN = 0.3
const BANDS: readonly Band[] = [
  { upTo: -SANDED, is: 'wont-go' },
  { upTo: BETWEEN, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

/**
 * A board that reaches beyond its heel, or of one piece with the body the board itself, ends before the neck pickup's cover begins: a cover
 * stands higher than what lies under the board. [physics]
 */
export function boardEnd(build: Build): Question[] {
  if (!build.parts.neck) return []
  const through = isThrough(build)
  const gap = gapOf([
    [1, sizeIn(build, sizeRef('body', 'route.neck.centre'))],
    [-0.5, sizeIn(build, sizeRef('pickup-neck', 'length'))],
    // Of one piece places are counted from the board's end already.
    ...(through
      ? []
      : ([
          [1, sizeIn(build, sizeRef('neck', 'nutToHeelEnd'))],
          [-1, sizeIn(build, sizeRef('body', 'pocket.length'))],
          [-1, sizeIn(build, sizeRef('neck', 'boardLength'))],
        ] as const)),
  ])
  const free = likelyOf(gap)
  const take = BETWEEN + 0.2 - free
  return [
    {
      id: 'board',
      label: 'Cover to the board’s end',
      clearance: gap,
      bands: BANDS,
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The board ends ${printMm(free, 1)} mm before the cover.`
          : free < -0.05
            ? `The board’s end lies ${printMm(-free, 1)} mm over the neck pickup’s cover.`
            : free < 0.05
              ? 'The board’s end and the neck pickup’s cover touch.'
              : `Only ${printMm(free, 1)} mm stay between the board’s end and the neck pickup’s cover.`,
      cures: ({ verdict }) => {
        if (verdict === 'snug') return []
        if (verdict !== 'tight')
          return [
            {
              id: 'shorter-board',
              job: 'Take a neck whose board ends sooner.',
              how: 'Or a pickup that is shorter along the strings: a board cannot be cut short of its last fret’s slot.',
              gives: 'the neck',
              tools: [],
            },
          ]
        return [
          {
            id: 'sand-board-end',
            job: `Sand ${printMm(take, 1)} mm off the board’s end, as far as its last fret allows.`,
            how: 'A block square to the centre line, the body taped; 3 mm stay behind the last fret’s slot. A board bound at its end is left alone: file the opening instead.',
            gives: 'neck',
            tools: ['P150 on a block', 'tape'],
            ...(through ? {} : { plan: { slot: 'neck', size: 'boardLength', delta: -take, doubt: 0.1 } as const }),
          },
        ]
      },
    },
  ]
}
