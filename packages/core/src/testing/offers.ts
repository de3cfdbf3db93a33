import type { ChooseRequest } from '../fit/choose/request'
import type { Slot } from '../parts/slots'
import type { StockItem } from '../parts/stock'
import { changed, fullBuild } from './fullBuild'

/** An offer of a slot's own part with some sizes changed. */
export function offer(
  id: string,
  slot: Slot,
  sizes: Parameters<typeof changed>[1],
  more: { price?: number; seller?: string; days?: number; shipping?: number; hand?: string } = {},
): StockItem {
  const part = changed(fullBuild(), sizes).parts[slot]!
  return {
    id,
    part: {
      ...part,
      name: id,
      price: more.price ?? 20,
      seller: more.seller ?? 'Capstan Hardware',
      traits: { ...part.traits, ...(more.hand ? { hand: more.hand } : {}) },
    },
    holding: 'offer',
    quantity: 1,
    reserved: {},
    shipping: more.shipping ?? 4,
    lead: { promised: more.days ?? 7 },
  }
}

export const BRIDGES = [
  offer('bridge fits', 'bridge', {}, { price: 60 }),
  offer('bridge wide', 'bridge', { 'bridge/studSpacing': 80 }, { price: 10 }),
  offer('bridge fat studs', 'bridge', { 'bridge/studDiameter': 10.4 }, { price: 40, seller: 'Old Ropewalk Parts', days: 3 }),
]
export const GUARDS = [
  offer('guard fits', 'guard', {}, { price: 24, seller: 'Low Tide Plastics', days: 20 }),
  offer('guard off', 'guard', { 'guard/opening.neck.centre': 40 }, { price: 8, seller: 'Low Tide Plastics' }),
  offer('guard to file', 'guard', { 'guard/opening.neck.centre': 34.2 }, { price: 12 }),
]
export const POTS = [
  offer('pot short', 'pot-volume', {}, { price: 7 }),
  offer('pot long', 'pot-volume', { 'pot-volume/bushing.length': 9.5 }, { price: 5 }),
  offer('pot carved', 'pot-volume', { 'pot-volume/bushing.length': 19 }, { price: 3 }),
]
/** Three slots open, by money, without limits. */
export const offersRequest = (more: Partial<ChooseRequest> = {}): ChooseRequest => ({
  build: fullBuild(),
  rank: 'money',
  limits: {},
  keep: 3,
  open: [
    { slot: 'bridge', items: BRIDGES },
    { slot: 'guard', items: GUARDS },
    { slot: 'pot-volume', items: POTS },
  ],
  ...more,
})
