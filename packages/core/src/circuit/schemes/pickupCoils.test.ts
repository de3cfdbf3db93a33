import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { coilsOf } from './pickupCoils'

describe('coils of a pickup', () => {
  it('a humbucker is two windings of one sense and opposite magnets that share its resistance', () => {
    const [a, b] = coilsOf(fullBuild(), 'neck')
    expect(a!.ohm + b!.ohm).toBeCloseTo(8000, 9)
    expect([a!.winding, b!.winding]).toEqual([1, 1])
    expect(a!.magnet).toBe(-b!.magnet)
    expect(b!.at.x - a!.at.x).toBeCloseTo(18, 9)
  })
  it('inductance is guessed from resistance and marked so when it is not given', () => {
    const [coil] = coilsOf(changed(fullBuild(), { 'pickup-middle/inductance': undefined }), 'middle')
    expect(coil!.estimated).toBe(true)
    expect(coilsOf(fullBuild(), 'middle')[0]!.estimated).toBe(false)
  })
  it('without a resistance there is nothing to wire', () =>
    expect(coilsOf(changed(fullBuild(), { 'pickup-neck/resistance': undefined }), 'neck')).toEqual([]))
})
