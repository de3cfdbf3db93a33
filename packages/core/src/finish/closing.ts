import type { Medium } from './products'

/** What ends a finish once its film is hard. */
export type Closing = 'rub' | 'buff' | 'none'

interface ClosingWords {
  title: string
  /** "Rub out from Monday", and "the body is ready to rub out". */
  from: string
  ready: string
  /** What a running clock waits for. */
  then: string
  minutes: number
  /** Least and most it takes, min. */
  times: readonly [number, number]
}

export const CLOSINGS: Readonly<Record<Closing, ClosingWords>> = {
  rub: { title: 'Rub out and polish', from: 'rub out from', ready: 'ready to rub out', then: 'rub out', minutes: 150, times: [60, 300] },
  buff: { title: 'Buff with a soft cloth', from: 'buff from', ready: 'ready to buff', then: 'buff it', minutes: 20, times: [10, 45] },
  none: { title: 'Wipe over with a dry cloth', from: 'dry from', ready: 'dry', then: 'handle it', minutes: 5, times: [5, 15] },
}

/** A film is cut and polished; oil has none to cut, and hard wax is done when it is dry. [practice] */
const OF_MEDIUM: Readonly<Partial<Record<Medium, Closing>>> = { oil: 'buff', 'hard-wax': 'none' }
export const closingOf = (top: { medium: Medium }): Closing => OF_MEDIUM[top.medium] ?? 'rub'

const MOST: readonly Closing[] = ['rub', 'buff', 'none']
/** What the whole asks for: the most any part of it does. */
export const mostOf = (closings: readonly Closing[]): Closing => MOST.find((c) => closings.includes(c)) ?? 'rub'
