import { expect, it } from 'vitest'
import type { Build } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { holeCards } from './holes'
import { templateOf } from './templates/templates'

const inBack = () => changed(fullBuild(), {}, { 'body/access': 'back' })
const beside = () => changed(inBack(), {}, { 'guard/lies': 'beside' })

it('the screws of a guard beside the pickups wait for no opening and for no neck pushed to it', () => {
  const said = (b: Build) => {
    const card = holeCards(b, USUAL_BENCH).find((c) => c.id === 'guard-screws')!
    return [card.located, ...card.first].join(' ')
  }
  expect(said(inBack())).toMatch(/every opening clears.*pushed to it/)
  expect(said(beside())).toMatch(/where it clears strings and covers/)
  expect(said(beside())).not.toMatch(/pushed|opening/)
})

it('its template has none of the three openings, whatever sizes stand there', () => {
  const outline = [0, 120].map((x) => ({ x, bass: 60, treble: 90 }))
  const shapes = (b: Build) => templateOf({ ...b, parts: { ...b.parts, guard: { ...b.parts.guard!, outline } } }, 'guard')!.shapes.length
  expect(shapes(beside())).toBe(shapes(inBack()) - 3)
})
