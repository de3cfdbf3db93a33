import type { HoleCard, Side, Work } from '@snug/core'

export const STANDING: Record<HoleCard['stands'], string> = {
  ready: 'ready',
  mind: 'mind this',
  refused: 'do not drill',
  waiting: 'not known yet',
  done: 'done',
}
export const WORK: Record<Work, string> = {
  keep: 'is there',
  ream: 'open up',
  plug: 'plug, make anew',
  new: 'to make',
}
/** What is seen on the view chosen. */
export const seenFrom = (side: Side, view: string): boolean => (side === 'back' || side === 'head back' ? view === 'back' : view !== 'back')

/** A hole that is there and nobody asks for is no work. */
export const isWork = (card: HoleCard): boolean => card.work !== 'keep' || card.stands !== 'ready'

/** How large it is: a bit's diameter is said to be one, what is cut longer than wide is not. */
export const sizeWords = ({ id, size }: Pick<HoleCard, 'id' | 'size'>): string =>
  /^[\d.]+$/.test(size) && !id.startsWith('route-') ? `⌀${size}` : size
