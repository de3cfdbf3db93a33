import { describe, expect, it } from 'vitest'
import { BITS, tipCone } from '../physics/pilot'
import { aPart } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { drawHole, holeCards } from './holes'
import { exitError } from './stringHoles'

const fixed = () => {
  const b = changed(
    without(fullBuild(), 'springs'),
    { 'bridge/screws': 5, 'bridge/screw.length': 25, 'bridge/screw.root': 2.4 },
    { 'bridge/mount': 'string-through' },
  )
  return { ...b, parts: { ...b.parts, ferrules: aPart('ferrules', { count: 6, diameter: 8 }) } }
}

describe('every hole card', () => {
  it.each([
    ['vibrato', fullBuild()],
    ['string-through', fixed()],
  ])('%s: a bit, a place, a direction, cautions and a drawing', (_, build) => {
    const cards = holeCards(build)
    expect(cards.length).toBeGreaterThan(4)
    for (const c of cards) {
      expect(c.title.length).toBeGreaterThan(3)
      expect(c.goesIn.length).toBeGreaterThan(5)
      expect(c.measureFrom.length).toBeGreaterThan(5)
      expect(c.cautions.length).toBeGreaterThan(0)
      if (c.state === 'waiting') continue
      expect(c.bits.length).toBeGreaterThan(0)
      expect(c.places.length).toBeGreaterThan(0)
      expect(drawHole(build, c.id)!.marks.length).toBeGreaterThan(0)
      if (c.depth !== undefined && c.state !== 'refused') {
        expect(c.flag!).toBeCloseTo(c.depth + tipCone(c.bit), 6)
        expect(c.left!).toBeGreaterThan(0)
      }
    }
  })
  it('a string-through bridge has a hole for each string and one for each screw', () => {
    const cards = holeCards(fixed())
    expect(cards.find((c) => c.id === 'string-holes')!.places).toHaveLength(6)
    expect(cards.find((c) => c.id === 'bridge-screws')!.places).toHaveLength(5)
    expect(cards.find((c) => c.id === 'stud-bores')).toBeUndefined()
  })
  it('order: the bridge’s references first, small screws last', () => {
    const ids = holeCards(fullBuild()).map((c) => c.id)
    expect(ids[0]).toBe('stud-bores')
    expect(ids.at(-1)).toBe('tuner-screws')
  })
  it('pilots never come out of the board, however long the screw', () => {
    for (const length of [30, 45, 60, 80]) {
      const c = holeCards(changed(fullBuild(), { 'neck-screws/length': length })).find((x) => x.id === 'neck-screws')!
      if (c.state !== 'refused') expect(c.depth! + tipCone(c.bit)).toBeLessThanOrEqual(25.4 - 3 + 1e-9)
    }
  })
  it('hard wood asks for a larger pilot than soft', () => {
    const bit = (wood: string) => holeCards(changed(fixed(), {}, { 'body/wood': wood })).find((c) => c.id === 'bridge-screws')!.bit
    expect(bit('hard-maple')).toBeGreaterThan(bit('basswood'))
  })
  it('guard holes too small are reamed to two tenths over, from both faces; large enough ones are left', () => {
    const at = (hole: number) => holeCards(changed(fullBuild(), { 'guard/pot.hole': hole })).find((c) => c.id === 'pot-holes')!
    expect(at(8).state).toBe('mind')
    expect(at(8).bits[0]).toMatch(/ream from 8 to 9\.6 mm, from both faces/)
    expect(at(9.6).state).toBe('ready')
    expect(at(9.6).bit).toBe(9.6)
  })
  it('bits are those a box holds, each larger than the last', () => {
    for (let i = 1; i < BITS.length; i++) expect(BITS[i]!).toBeGreaterThan(BITS[i - 1]!)
  })
  // [practice]: angles by tool; [physics] the rest.
  it('45 mm deep, 2 degrees off comes out 1.6 mm beside; a stand 0.31, a press 0.12', () => {
    expect(exitError(45, 2)).toBeCloseTo(1.57, 2)
    expect(exitError(45, 0.7)).toBeCloseTo(0.55, 2)
    expect(exitError(45, 0.4)).toBeCloseTo(0.31, 2)
    expect(exitError(45, 0.15)).toBeCloseTo(0.12, 2)
  })
  it('nothing to drill in an empty build', () => expect(holeCards(without(fullBuild(), 'body', 'neck'))).toEqual([]))
})
