import { describe, expect, it } from 'vitest'
import { aThrough } from '../../testing/aThrough'
import { changed } from '../../testing/fullBuild'
import { drawJoint } from '../inHand'
import { bridgeHeightJoint } from './bridgeHeight'

const stop = (over: number, id: 'low-stop' | 'high-stop') =>
  bridgeHeightJoint(changed(aThrough(), { 'body/board.over': over })).checks.find((c) => c.id === id)!

// Saddle = board over front + crown + 2 × action − nut slot: 1.1 + 2 × 1.59 − 0.5 = 3.78 over the board. The bridge reaches 8.5 to 17.
describe('a neck in one piece with the body stands as it was built', () => {
  it('3 mm over the front: saddles at 6.78, and 0.5 to spare and 0.07 of doubt under that is a bridge down to 6.2', () => {
    const low = stop(3, 'low-stop')
    expect(low.raw.verdict).toBe('wont-go')
    expect(low.says).toMatch(/^The action wanted needs saddles 6\.8 mm above the body/)
    expect(low.cures.map((c) => c.job)).toEqual(['Take a bridge whose saddles come down to 6.2 mm above the body.'])
  })
  it('16 mm over it: at 19.78, a bridge up to 20.4; no pocket is deepened, no neck tipped', () => {
    const high = stop(16, 'high-stop')
    expect(high.raw.verdict).toBe('wont-go')
    expect(high.cures.map((c) => c.job)).toEqual(['Take a bridge whose saddles reach 20.4 mm above the body.'])
  })
  it('9.5 mm: at 13.28, between both stops', () => {
    expect([stop(9.5, 'low-stop'), stop(9.5, 'high-stop')].map((c) => c.raw.verdict)).toEqual(['snug', 'snug'])
    expect(stop(9.5, 'low-stop').says).toMatch(/^Saddles stand 13\.3 mm above the body for 1\.59 mm at fret 12/)
  })
  it('only the saddles can be dragged in its drawing', () => {
    expect(drawJoint(aThrough(), 'bridge-height')!.handles!.map((h) => h.id)).toEqual(['saddle'])
  })
})
