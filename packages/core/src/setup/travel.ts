import type { Build } from '../document/build'
import { toldAt } from '../judge/known'

/** How far the saddles go up and down from stop to stop, mm; nothing where nobody has said. */
export function heightTravel(build: Build): number | undefined {
  const [low, high] = [toldAt(build, { slot: 'bridge', size: 'height.min' }), toldAt(build, { slot: 'bridge', size: 'height.max' })]
  return low && high && high.value > low.value ? high.value - low.value : undefined
}

/** How far a saddle goes along its string from stop to stop, mm; nothing where nobody has said. */
export function lengthTravel(build: Build): number | undefined {
  const [front, back] = [toldAt(build, { slot: 'bridge', size: 'travel.front' }), toldAt(build, { slot: 'bridge', size: 'travel.back' })]
  return front && back && front.value + back.value > 0 ? front.value + back.value : undefined
}
