import type { Side } from './holeCard'

/** The piece of wood a side belongs to; holes through different pieces do not meet. */
export const PIECE: Record<Side, string> = {
  front: 'body',
  back: 'body',
  rim: 'rim',
  heel: 'heel',
  'head front': 'head',
  'head back': 'head',
  guard: 'guard',
  'control plate': 'control plate',
}
