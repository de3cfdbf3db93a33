import type { Build } from '../../document/build'
import type { Slot } from '../../parts/slots'
import type { StockItem } from '../../parts/stock'

export interface ChooseLimits {
  /** Money that may still be spent on this, the build's currency. */
  money?: number
  /** Days until everything must be here. */
  days?: number
  /** Joints whose every cure cuts a part that already carries a finish count as ruled out. */
  noCuttingFinished?: boolean
  /** Tools a person lacks, as named on the cures: joints only they would cure count as ruled out. */
  lacking?: readonly string[]
}
export type RankBy = 'money' | 'bench' | 'date'

export interface ChooseRequest {
  build: Build
  /** What the stash has put by for this build is free to it. */
  buildId?: string
  /** Slots to fill, with what could go in; every other slot keeps the part it has. */
  open: { slot: Slot; items: StockItem[]; preferred?: string }[]
  limits: ChooseLimits
  rank: RankBy
  keep?: number
}

/** Everything there is to choose from, each thing once however many slots it may go into. */
export const marketOf = (request: Pick<ChooseRequest, 'open'>): StockItem[] => [
  ...new Map(request.open.flatMap((o) => o.items.map((i) => [i.id, i] as const))).values(),
]

/** Nothing where nobody has named a price: never that it is free. */
export const costOf = (item: StockItem): number | undefined => (item.holding === 'stash' ? 0 : item.part.price)
