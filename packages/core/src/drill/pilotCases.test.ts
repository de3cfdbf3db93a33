import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const full = () => drillable(fullBuild())
const guardOf = (build: Build, id: string, guard: string) => card(build, id).guards.find((g) => g.id === guard)

describe('pilots by the wood at hand', () => {
  it('a 4.2 mm neck screw in hard maple: 2.7 mm, and the words, the steps and the size are that one value', () => {
    const c = card(full(), 'neck-screws')
    expect([c.bit, c.size, c.stands]).toEqual([2.7, '2.7', 'mind'])
    expect(c.says).toMatch(/2\.7 mm bit is 90 % of the 3 mm root/)
    expect(c.steps.filter((s) => /2\.7 mm/.test(s))).toHaveLength(2)
    expect(card(full(), 'neck-screws', { ...USUAL_BENCH, bits: [...USUAL_BENCH.bits, 2.7] }).stands).toBe('ready')
  })
  it('an unknown wood is asked for: a band and the scrap test, never one number', () => {
    const b = full()
    delete b.parts.neck!.traits.wood
    const c = card(b, 'neck-screws')
    expect([c.stands, c.size]).toEqual(['mind', '2.1–2.7'])
    expect(c.untold).toEqual([{ slot: 'neck', trait: 'wood' }])
    expect(c.says).toMatch(/Nobody has said what wood/)
  })
  // 45 - (1.5 + 44.2 - 15.9) = 15.2 mm bite; heel 25.4: 10.2 mm stay beyond the tip.
  // An old row 4 mm in front: 4 - (4 + 3.5)/2 = 0.25 mm of wood where they are in line.
  it('bridge screws beside the holes of an earlier bridge: plug those in line first', () => {
    const b = changed(full(), { 'body/oldHoles.front': 4, 'body/oldHoles.back': 30 }, { 'bridge/mount': 'screws' })
    expect(guardOf(b, 'bridge-screws', 'old-front')!.verdict).toBe('tight')
    expect(guardOf(b, 'bridge-screws', 'old-front')!.spare!.value).toBeCloseTo(0.25, 9)
    expect(guardOf(b, 'bridge-screws', 'old-back')!.verdict).toBe('snug')
  })
  // (38 - 4.2 - 7)/2 = 13.4; at 10 mm apart (10 - 4.2 - 7)/2 is nothing.
  it('neck screws stay out of the truss rod’s channel', () => {
    expect(guardOf(full(), 'neck-screws', 'rod')!.spare!.value).toBeCloseTo(13.4, 9)
    expect(guardOf(changed(full(), { 'neck-screws/spread.across': 20 }), 'neck-screws', 'rod')!.verdict).toBe('snug')
    expect(guardOf(changed(full(), { 'neck-screws/spread.across': 10.5, 'neck-screws/thread': 4.2 }), 'neck-screws', 'rod')?.verdict).toBe(
      'wont-go',
    )
  })
  it('a bar that cannot be turned has its channel too; a neck without either has none', () => {
    expect(guardOf(changed(full(), {}, { 'neck/truss': 'fixed' }), 'neck-screws', 'rod')!.spare!.value).toBeCloseTo(13.4, 9)
    expect(guardOf(changed(full(), {}, { 'neck/truss': 'no-rod' }), 'neck-screws', 'rod')).toBeUndefined()
  })
  // Screw 18 through a nut of 3.95: 14.05 bite; neck 21 - 3.4 = 17.6: 3.55 mm stay under the tip.
  it('a locking nut’s screws stop before the back of the neck', () => {
    const locking = changed(full(), { 'nut/screw.length': 18 }, { 'nut/type': 'locking' })
    expect(guardOf(locking, 'nut-screws', 'tip')!.spare!.value).toBeCloseTo(3.55, 6)
    expect(card(changed(locking, { 'nut/screw.length': 24 }), 'nut-screws').stands).toBe('refused')
    expect(card(full(), 'nut-screws')).toBeUndefined()
  })
  // Thread 6: 6.5 to 7.5, a 7 mm bit, through 44.2 - 15.9 = 28.3.
  it('a tilt screw is reached through a hole it turns freely in; a neck without one has no such hole', () => {
    const tilt = card(changed(full(), {}, { 'neck/tiltScrew': 'screw' }), 'tilt-hole')
    expect([tilt.work, tilt.bit]).toEqual(['new', 7])
    expect(tilt.says).toMatch(/28\.3 mm/)
    expect(card(full(), 'tilt-hole')).toBeUndefined()
  })
  it('the tip of a neck screw stays 3 mm under the board', () => {
    expect(guardOf(full(), 'neck-screws', 'tip')!.spare!.value).toBeCloseTo(10.2, 6)
    const long = card(changed(full(), { 'neck-screws/length': 56 }), 'neck-screws')
    expect(long.stands).toBe('refused')
    expect(long.says).toMatch(/0\.8 mm too long: it would come out of the board/)
  })
})
