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
  it('a magnet turned over, as a compass finds it, turns the strings’ sense and leaves the winding’s', () => {
    const [was] = coilsOf(fullBuild(), 'middle')
    const [now] = coilsOf(changed(fullBuild(), {}, { 'pickup-middle/pole': 'turned' }), 'middle')
    expect([now!.magnet, now!.winding]).toEqual([-was!.magnet, was!.winding])
    const [a, b] = coilsOf(changed(fullBuild(), {}, { 'pickup-neck/pole': 'turned' }), 'neck')
    const [c, d] = coilsOf(fullBuild(), 'neck')
    expect([a!.magnet, b!.magnet]).toEqual([-c!.magnet, -d!.magnet])
  })
  it('inductance is guessed from resistance and marked so when it is not given', () => {
    const [coil] = coilsOf(changed(fullBuild(), { 'pickup-middle/inductance': undefined }), 'middle')
    expect(coil!.estimated).toBe(true)
    expect(coilsOf(fullBuild(), 'middle')[0]!.estimated).toBe(false)
  })
  it('without a resistance there is nothing to wire', () =>
    expect(coilsOf(changed(fullBuild(), { 'pickup-neck/resistance': undefined }), 'neck')).toEqual([]))
})
