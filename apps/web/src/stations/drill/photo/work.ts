import {
  cardKnown,
  lensFrom,
  scaledBy,
  SHEET_BAR,
  SHEET_SIGMA,
  sheetMarks,
  type KnownPlace,
  type Point,
  type ScaledPicture,
  type SheetPaper,
} from '@snug/core'
import { create } from 'zustand'
import { persist } from 'zustand/middleware'

export type Way = 'card' | 'sheet' | 'rectangle' | 'two'
export const WAYS: readonly (readonly [Way, string])[] = [
  ['card', 'a plastic card lying in the plane'],
  ['sheet', 'our printed reference sheet'],
  ['rectangle', 'four corners of a rectangle I know'],
  ['two', 'two places whose distance I know'],
]
/** How many places each way wants picked. */
export const WANTS: Record<Way, number> = { card: 4, sheet: 0, rectangle: 4, two: 2 }

/** What a person picked on one picture; kept on this machine until it is measured again. */
export interface PhotoWork {
  way: Way
  picks: Point[]
  /** The card's corners by its edges, or the sheet's marks, with how surely they are found. */
  found?: { points: Point[]; sigma: number; mirrored?: boolean } | undefined
  paper: SheetPaper
  /** What the sheet's bar measured, mm. */
  bar: number
  /** Sides of the rectangle, or the distance, mm. */
  wide: number
  high: number
  /** What the scale was taken from lies so far below the face, mm. */
  below: number
  /** From the camera to the work, mm. */
  distance: number
  measure: Point[]
  trace: Point[]
  /** Picks come onto the nearest edge; the traced edge bends from place to place. */
  snap: boolean
  bend: boolean
  /** Edges straight in truth, as they lie in the picture: they show how the lens bends. */
  edges: Point[][]
}
export const FRESH: PhotoWork = {
  way: 'card',
  picks: [],
  paper: 'a4',
  bar: SHEET_BAR,
  wide: 300,
  high: 200,
  below: 0,
  distance: 600,
  measure: [],
  trace: [],
  snap: true,
  bend: true,
  edges: [],
}

interface Works {
  works: Record<string, PhotoWork>
  put: (id: string, work: Partial<PhotoWork>) => void
}
export const useWorks = create<Works>()(
  persist(
    (set) => ({
      works: {},
      put: (id, work) => set((s) => ({ works: { ...s.works, [id]: { ...FRESH, ...s.works[id], ...work } } })),
    }),
    { name: 'snug-pictures' },
  ),
)

/** A pick by hand, one standard deviation, pixels. */
const BY_HAND = 1
/** How surely the height of what lies below is known, mm. */
const HEIGHT = 0.5

/** The picture in millimetres, as far as it is picked. */
export function scaleOf(w: PhotoWork, size: { width: number; height: number }): ScaledPicture | undefined {
  const lens = lensFrom(w.edges, size.width, size.height)
  const known = knownOf(w)
  return (
    known &&
    scaledBy(known, {
      distance: w.distance,
      ...(w.below ? { below: { mm: w.below, doubt: HEIGHT } } : {}),
      ...(lens ? { lens: lens.lens, lensDoubt: lens.doubt } : {}),
    })
  )
}

function knownOf(w: PhotoWork): KnownPlace[] | undefined {
  if (w.way === 'sheet') {
    const marks = sheetMarks(w.paper)
    const share = w.bar / SHEET_BAR
    return w.found?.points.length === marks.length
      ? w.found.points.map((at, i) => ({ at, is: { x: marks[i]!.x * share, y: marks[i]!.y * share }, sigma: SHEET_SIGMA }))
      : undefined
  }
  if (w.picks.length < WANTS[w.way]) return undefined
  if (w.way === 'card') return cardKnown(w.found?.points ?? w.picks, w.found?.sigma ?? BY_HAND)
  const places =
    w.way === 'two'
      ? [[0, 0] as const, [w.wide, 0] as const]
      : ([
          [0, 0],
          [w.wide, 0],
          [w.wide, w.high],
          [0, w.high],
        ] as const)
  return places.map(([x, y], i) => ({ at: w.picks[i]!, is: { x, y }, sigma: BY_HAND }))
}
