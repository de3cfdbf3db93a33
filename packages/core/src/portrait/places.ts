import { pt } from '../geometry/point'
import type { Sketch } from './sketch'

export const HOLE_PLACES = ['volume', 'tone', 'volume-2', 'tone-2', 'switch', 'switch-2'] as const

/** A pickup's opening in wood or in a guard, seen from the front: its middle along the centre line and beside it. */
export function opening(s: Sketch, name: string, here: boolean): void {
  const size = (k: string) => `${name}.${k}`
  const [c, l, w, side] = ['centre', 'length', 'width', 'side'].map((k) => s.v(size(k))) as [number, number, number, number]
  const known = ['centre', 'length', 'width'].map(size)
  s.only([...known, size('side'), size('radius')], here, () => {
    s.box('cavity', c - l / 2, side - w / 2, c + l / 2, side + w / 2, known)
    s.along(size('centre'), 'rule', 0, side)
    s.wide(size('length'), 'inside', c, side - w / 4).across(size('width'), 'inside', c, side)
    s.take(size('side'), 'rule', pt(c, 0), pt(c, side)).gauge(size('radius'), pt(c + l / 2, side + w / 2))
  })
}
