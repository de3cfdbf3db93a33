import { THREAD_KEPT } from './potLimits'

export const CLEAR = 0.1

/**
 * Packing that takes up a surplus of thread: inner nuts first, washers for the rest, a little thread kept over the nut, mm.
 * @returns how many of each, and how much thread is left over
 */
export function packing(surplus: number, nut: number, washer: number): { nuts: number; washers: number; left: number } {
  const count = (room: number, thick: number) => Math.max(0, Math.floor((room - THREAD_KEPT) / thick + 1e-9))
  const nuts = count(surplus, nut)
  const washers = count(surplus - nuts * nut, washer)
  return { nuts, washers, left: surplus - nuts * nut - washers * washer }
}
