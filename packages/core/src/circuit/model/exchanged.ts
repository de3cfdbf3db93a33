import type { Harness } from './harness'

/** Every wire of one lug ends on another. */
const moved = (h: Harness, from: string, to: string): Harness => ({
  ...h,
  wires: h.wires.map((w) => ({ ...w, from: w.from === from ? to : w.from, to: w.to === from ? to : w.to })),
})
/** Two lugs in each other's place. */
export const exchanged = (h: Harness, a: string, b: string): Harness => moved(moved(moved(h, a, '?'), b, a), '?', b)
