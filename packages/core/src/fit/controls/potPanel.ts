import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
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

/** What a control is mounted through: the guard, or the body's own top where there is none. */
export const panelOf = (build: Build) =>
  build.parts.guard
    ? ({ slot: 'guard', name: 'guard', hole: sizeRef('guard', 'pot.hole'), thickness: sizeRef('guard', 'thickness') } as const)
    : ({ slot: 'body', name: 'top', hole: sizeRef('body', 'pot.hole'), thickness: sizeRef('body', 'control.top') } as const)
