import { describe, expect, it } from 'vitest'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import type { Build } from '../../document/build'
import { setupSteps } from './steps'

const steps = (b: Build) => setupSteps(b, undefined, [])
const of = (b: Build, id: string) => steps(b).find((s) => s.id === id)
const ids = (b: Build) => steps(b).map((s) => s.id)

describe('the steps of a setup', () => {
  it('come in the order one moves the next: relief, balance, nut, action, pitch, pickups', () => {
    const floating = changed(fullBuild(), {}, { 'bridge/mount': 'two-stud' })
    expect(ids(floating).filter((id) => id.startsWith('set-'))).toEqual([
      'set-relief',
      'set-float',
      'set-nut',
      'set-action',
      'set-intonation',
      'set-pickups',
    ])
    expect(of(floating, 'set-nut')!.befores.map((b) => b.id)).toEqual(['set-float'])
    expect(of(floating, 'set-relief')!.befores.map((b) => b.id)).toEqual(['string-up'])
  })
  it('a bridge that stands still is not balanced, an instrument without pickups has none to raise', () => {
    const still = changed(fullBuild(), {}, { 'bridge/mount': 'post' })
    expect(ids(still)).not.toContain('set-float')
    expect(ids(without(fullBuild(), 'pickup-neck', 'pickup-middle', 'pickup-bridge'))).not.toContain('set-pickups')
  })
  it('high frets known by the rocker are named and take their couple of hours; else it is twenty minutes of looking', () => {
    expect(of(fullBuild(), 'level-frets')!.minutes).toBe(20)
    const high = { ...fullBuild(), setup: { ...fullBuild().setup, rocks: { '1-9': 0.3, '3-14': 0.2 } } }
    expect(of(high, 'level-frets')).toMatchObject({ title: 'Level frets 9, 14', minutes: 120 })
    expect(of(high, 'level-frets')!.cautions.join(' ')).toMatch(/pickups covered/)
  })
  it('the nut is glued once the frets are level; a locking one is screwed', () => {
    expect(of(fullBuild(), 'nut-on')).toMatchObject({ title: 'Nut glued in' })
    expect(of(fullBuild(), 'nut-on')!.befores.map((b) => b.id)).toContain('level-frets')
    expect(of(changed(fullBuild(), {}, { 'nut/type': 'locking' }), 'nut-on')!.title).toMatch(/screwed/)
  })
  it('what to mind while strings go on is by what there is', () => {
    const said = (traits: Parameters<typeof changed>[2]) => of(changed(fullBuild(), {}, traits), 'string-up')!.cautions.join(' ')
    expect(said({ 'bridge/mount': 'post' })).toMatch(/tailpiece is threaded first/)
    expect(said({ 'bridge/mount': 'bar' })).toMatch(/bar is threaded first, then hung on its studs/)
    expect(said({ 'bridge/mount': 'bar' })).not.toMatch(/tailpiece/)
    expect(said({ 'bridge/mount': 'screws' })).not.toMatch(/tailpiece/)
    expect(said({ 'tuners/locking': 'clamp' })).toMatch(/lock, then cut/)
    expect(said({ 'tuners/locking': 'wraps' })).not.toMatch(/lock, then cut/)
  })
})
