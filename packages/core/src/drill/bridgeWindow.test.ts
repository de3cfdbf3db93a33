import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../testing/fullBuild'
import { applyChange } from '../document/change'
import { bridgeMoved, bridgeWindow, windowDrawing, windowSays } from './bridgeWindow'

const at = (sizes: Parameters<typeof changed>[1]) => {
  const found = bridgeWindow(changed(fullBuild(), sizes))
  if (!('window' in found)) throw new Error('no window')
  return found.window
}

describe('the window a bridge may stand in', () => {
  // 647.7: foremost saddle at 648.2, rearmost at 654.7; 1.5 mm spare. Travel -3 and 18: 654.7 + 1.5 - 18 = 638.2 to 648.2 - 1.5 - 3 = 643.7.
  it('is that of all saddles, with spare at either stop', () => {
    const w = at({})
    expect([w.from, w.to]).toEqual([expect.closeTo(638.2, 9), expect.closeTo(643.7, 9)])
    expect(w.at).toBeCloseTo(462 - 76 + 255, 9)
    expect(windowSays(w)[1]).toMatch(/2\.8 mm to go towards the neck and 2\.7 towards the tail/)
  })
  // 10-46 on 647.7: least 1.3 (high E lightly), most 6.6 (low E hard): 654.3 + 1.5 - 18 = 637.8 to 649.0 - 1.5 - 3 = 644.5.
  it('for the set that is chosen it is wider than for any set', () => {
    const w = at({ 'nut/slot': 0.4, 'strings/core.4': 0.33, 'strings/core.5': 0.381, 'strings/core.6': 0.4572 })
    expect(w.forSet!.from).toBeCloseTo(637.8, 0)
    expect(w.forSet!.to).toBeCloseTo(644.5, 0)
    expect(w.forSet!.from).toBeLessThan(w.from)
    expect(w.forSet!.to).toBeGreaterThan(w.to)
    expect(windowSays(w)[2]).toMatch(/^For the set that is chosen: from 637\.\d to 644\.\d mm/)
    expect(w.forSet!.strings.map((s) => s.number)).toEqual([1, 2, 3, 4, 5, 6])
  })
  it('says nothing of a set with a string nobody knows', () => expect(at({ 'strings/gauge.3': undefined }).forSet).toBeUndefined())
  it('a place outside is said with how far', () => expect(windowSays(at({ 'body/mouthToBridge': 260 }))[1]).toMatch(/2\.3 mm outside/))
  // Plate 6 in front and 32 behind; an old hole 10 mm in front of the reference at 641: at 631. Hidden up to 631 + 6 = 637: before the window.
  it('a plate that must hide old holes 4 mm further forward: which places hide them, and which no place does', () => {
    expect(windowSays(at({ 'body/oldHoles.front': 10 })).at(-1)).toMatch(/foremost old hole showing; no place in the window hides/)
    // 7 mm in front: at 634, hidden while the reference is at most at 640.
    const w = at({ 'body/oldHoles.front': 7, 'body/oldHoles.back': 20 })
    expect(w.hides).toEqual({ from: expect.closeTo(638.2, 9), to: expect.closeTo(640, 9) })
    expect(windowSays(w).at(-1)).toMatch(/between 638\.2 and 640 mm it hides all/)
    expect(windowSays(at({ 'body/oldHoles.front': 5 })).at(-1)).toMatch(/hides the old holes/)
  })
  it('waits for what it needs, and says no more of a plate nobody measured', () => {
    expect(bridgeWindow(changed(fullBuild(), { 'bridge/travel.back': undefined }))).toEqual({
      missing: [{ slot: 'bridge', size: 'travel.back' }],
    })
    expect(windowSays(at({ 'body/oldHoles.front': 5, 'bridge/plate.length': undefined })).at(-1)).toMatch(/not measured/)
  })
  // 640 is 386 + 254: 1 mm nearer to the nut; a hole 5 mm in front of the reference then is 4 in front, one 20 behind is 21 behind.
  it('moving the bridge leaves old holes where they are in the wood, in one change', () => {
    const build = changed(fullBuild(), { 'body/oldHoles.front': 5, 'body/oldHoles.back': 20 })
    const moved = applyChange(build, bridgeMoved(build, 640))
    const size = (name: string) => moved.parts.body!.sizes[name]!.value
    expect([size('mouthToBridge'), size('oldHoles.front'), size('oldHoles.back')]).toEqual([254, 4, 21])
  })
  it('the handle moves the reference: up is towards the nut', () => {
    const [handle] = windowDrawing(at({})).handles!
    expect([handle!.value, handle!.perUp]).toEqual([expect.closeTo(641, 9), -1])
  })
})
