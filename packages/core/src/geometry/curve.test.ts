import { expect, it } from 'vitest'
import { curveThrough } from './curve'
import { pt } from './point'
import { areaOf } from './polygon'

const round = (n: number) =>
  Array.from({ length: n }, (_, i) => pt(100 * Math.cos((2 * Math.PI * i) / n), 100 * Math.sin((2 * Math.PI * i) / n)))

it('goes through every place that was picked', () => {
  const places = [pt(0, 0), pt(50, -10), pt(90, 40), pt(40, 80), pt(-5, 50)]
  const curve = curveThrough(places, 8)
  places.forEach((p, i) => expect([curve[i * 8]!.x, curve[i * 8]!.y]).toEqual([expect.closeTo(p.x, 9), expect.closeTo(p.y, 9)]))
})
// A circle of 100: pi 10 000 = 31 416. Twelve corners alone enclose 30 000, 4.5 % less.
it('twelve places on a circle enclose it within half a per cent, where straight lines lose more than four', () => {
  expect(areaOf(round(12)) / 31416).toBeLessThan(0.957)
  expect(Math.abs(areaOf(curveThrough(round(12))) / 31416 - 1)).toBeLessThan(0.005)
})
it('two places are no curve', () => expect(curveThrough([pt(0, 0), pt(1, 1)])).toHaveLength(2))
