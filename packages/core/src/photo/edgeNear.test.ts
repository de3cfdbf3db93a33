import { expect, it } from 'vitest'
import { pt } from '../geometry/point'
import { edgeNear } from './edgeNear'
import type { GreyPicture } from './picture'

/** Dark wood on a bright bench: a disc about (60, 50), its rim softened over a pixel as a camera does. */
const disc = (radius: number): GreyPicture => {
  const grey = new Float32Array(120 * 100)
  for (let y = 0; y < 100; y++)
    for (let x = 0; x < 120; x++) {
      const out = Math.hypot(x - 60, y - 50) - radius
      grey[y * 120 + x] = 60 + 140 * Math.min(1, Math.max(0, out / 2 + 0.5))
    }
  return { width: 120, height: 100, grey }
}

it('a pick some pixels off comes onto the rim, within a third of a pixel', () => {
  for (let turn = 0; turn < 6.2; turn += 0.4)
    for (const off of [-6, -2, 0, 3, 6]) {
      const r = 30.3 + off
      const at = edgeNear(disc(30.3), pt(60 + r * Math.cos(turn), 50 + r * Math.sin(turn)))!
      expect(Math.abs(Math.hypot(at.x - 60, at.y - 50) - 30.3)).toBeLessThan(0.35)
    }
})
it('it stays near the pick along the rim', () => {
  const at = edgeNear(disc(30), pt(60 + 34, 50))!
  expect(Math.hypot(at.x - 90, at.y - 50)).toBeLessThan(5)
})
it('where nothing changes there is no edge', () => expect(edgeNear(disc(30), pt(60, 50))).toBeUndefined())
