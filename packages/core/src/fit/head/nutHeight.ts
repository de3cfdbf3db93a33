import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { Cure, Question } from '../../judge/joint'
import { gapOf, sizesIn, traitIn } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** Slot bottom above the fret plane to aim for before filing, mm: a nut is filed down, never up. [practice] */
const START_HEIGHT = 0.4
/** A nut raised by more stands on a stack of glue and veneer, mm. [practice, from memory] */
const SHIMMED_AT_MOST = 1.5

const shimNut = (by: number, locking: boolean): Cure => ({
  id: 'shim-nut',
  job: `Shim the nut by ${printMm(by, 1)} mm: ${locking ? 'metal' : 'veneer or bone'}, full length and width.`,
  how: locking
    ? 'Under the whole nut, its screws tight through them; taper them when bass and treble want different heights.'
    : 'Keeps a good nut; taper it when bass and treble want different heights. A dot of glue, or the strings alone hold it.',
  gives: 'nothing',
  tools: locking ? ['metal shims', 'screwdriver'] : ['veneer or bone strip', 'P180 on a flat plate'],
  plan: { slot: 'nut', size: 'height', delta: by, doubt: 0.08 },
})

/** A nut screwed to its shelf has one height: what no shims make up is glued under it. */
const filledShelf = (by: number): Cure => ({
  id: 'fill-shelf',
  job: `Glue a strip of hardwood ${printMm(by, 1)} mm thick on the neck’s shelf.`,
  how: 'Grain along the neck, the shelf’s full length and width, planed flat when the glue is dry; the nut’s screw holes are drilled through it.',
  gives: 'nothing',
  tools: ['hardwood strip', 'wood glue', 'plane or flat block'],
  plan: { slot: 'neck', size: 'nut.slotDepth', delta: -by, doubt: 0.08 },
})

const newNut = (depth: number): Cure => ({
  id: 'new-nut',
  job: `Or a new blank at least ${printMm(depth + START_HEIGHT + 0.6, 1)} mm high.`,
  how: 'From the stash or bought; slots are filed after the frets are done.',
  gives: 'the nut',
  tools: ['nut files or round jet-cleaning files'],
})

/** Whether its slots come out high enough to be filed from, and not too high. */
export function heights(build: Build): Question[] {
  const refs = { height: sizeRef('nut', 'height'), depth: sizeRef('neck', 'nut.slotDepth') }
  const have = sizesIn(build, refs)
  const type = traitIn(build, 'nut', 'type')
  const [blank, locking] = [type === 'blank', type === 'locking']
  const above = gapOf([
    [1, have.height],
    [-1, have.depth],
  ])
  const v = likelyOf(above)
  const lack = START_HEIGHT - v
  return [
    {
      id: 'height',
      label: 'Slot bottom above the fret plane, over what is wanted',
      clearance: linear([[1, above]], -START_HEIGHT),
      shown: above,
      bands: [
        { upTo: -2.5, is: 'wont-go' },
        { upTo: -0.12, is: 'tight' },
        { upTo: blank ? 4 : 0.5, is: 'snug' },
        { upTo: Infinity, is: 'tight' },
      ],
      says: () =>
        v < START_HEIGHT - 0.12
          ? `The nut stands ${printMm(lack, 1)} mm too low: its slots end ${printMm(Math.abs(v))} mm ${v < 0 ? 'under' : 'over'} the fret plane and ${START_HEIGHT} is wanted to file from.`
          : `The slots end ${printMm(v)} mm over the fret plane${v > START_HEIGHT + 0.5 && !blank ? (locking ? ': high, its shelf has to go deeper' : ': high, file the bottom of the nut first') : ''}.`,
      cures: ({ verdict }) => {
        if (verdict === 'snug') return []
        if (lack > 0) {
          const raised = lack + 0.1
          if (raised <= SHIMMED_AT_MOST) return [shimNut(raised, locking), ...(locking ? [] : [newNut(have.depth.value)])]
          return [locking ? filledShelf(raised) : newNut(have.depth.value)]
        }
        if (locking)
          return [
            {
              id: 'deepen-shelf',
              job: `Cut the neck’s shelf ${printMm(v - START_HEIGHT - 0.1, 1)} mm deeper.`,
              how: 'Flat and square to the strings, tried often with the nut screwed down: what is too much comes back by shims. Nothing is taken off the nut.',
              gives: 'neck',
              tools: ['sharp chisel', 'P120 on a flat block'],
              plan: { slot: 'neck', size: 'nut.slotDepth', delta: v - START_HEIGHT - 0.1, doubt: 0.08 },
            },
          ]
        return [
          {
            id: 'sand-nut',
            job: `Take ${printMm(v - START_HEIGHT - 0.1, 1)} mm off the nut’s bottom.`,
            how: 'On P120 on a flat plate, held square; try it often.',
            gives: 'nut',
            tools: ['P120 on a flat plate'],
            plan: { slot: 'nut', size: 'height', delta: START_HEIGHT + 0.1 - v, doubt: 0.08 },
          },
        ]
      },
    },
  ]
}
