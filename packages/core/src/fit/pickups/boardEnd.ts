import type { Build } from '../../document/build'
import { isThrough, sizeRef } from '../../document/read'
import type { Cure, Question } from '../../judge/joint'
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
  const length = sizeIn(build, sizeRef('pickup-neck', 'length'))
  const gap = gapOf([
    [1, sizeIn(build, sizeRef('body', 'route.neck.centre'))],
    [-0.5, length],
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
  // In the middle of its route it gives way by half of what it is shorter.
  const narrowed = length.value - 2 * take
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
        if (verdict !== 'tight') return through ? [shorterPickup(narrowed)] : [shorterBoard(take, narrowed)]
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

/** Narrower than this no pickup is made, mm. [practice, from memory] */
const NARROWEST = 15
const narrower = (mm: number): string => printMm(Math.floor(mm * 10) / 10, 1)

const shorterBoard = (take: number, narrowed: number): Cure => ({
  id: 'shorter-board',
  job: `Take a neck whose board ends at least ${printMm(Math.ceil(take * 10) / 10, 1)} mm sooner.`,
  how: `${narrowed < NARROWEST ? '' : `Or a pickup of ${narrower(narrowed)} mm or less along the strings, in the middle of its route. `}A board cannot be cut short of its last fret’s slot.`,
  gives: 'the neck',
  tools: [],
})

/** Neck and board are in one piece with the body. */
const shorterPickup = (narrowed: number): Cure =>
  narrowed < NARROWEST
    ? {
        id: 'move-route',
        job: 'Do without a pickup there, or cut its route anew behind the old one.',
        how: 'No pickup is narrow enough: neck and body in one piece have to keep their board.',
        gives: 'body',
        tools: ['router', 'template'],
      }
    : {
        id: 'shorter-pickup',
        job: `Take a neck pickup of ${narrower(narrowed)} mm or less along the strings.`,
        how: 'In the middle of its route it leaves the board’s end free.',
        gives: 'the pickup',
        tools: [],
      }
