import { describe, expect, it } from 'vitest'
import { JACK_PLATE } from '../testing/anyBuild'
import { jointIn } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holeCards } from './holes'

const plated = (sizes: Record<string, number> = {}) => {
  const full = fullBuild()
  return changed(
    { ...full, parts: { ...full.parts, 'jack-plate': JACK_PLATE } },
    { 'body/jack.bore': 5, ...sizes },
    { 'jack/held': 'plate' },
  )
}
const guard = (sizes: Record<string, number>) =>
  holeCards(drillable(plated(sizes)))
    .find((c) => c.id === 'jack-bore')!
    .guards.find((g) => g.id === 'plate')!

describe('a jack under a plate', () => {
  // (34 - 25.2) / 2 - 1.5 of the screw itself = 2.9; 3 are wanted. A cup of 24 leaves 3.4.
  it('a cup’s bore leaves wood to the plate’s screws: 25 mm too little of it, 24 enough', () => {
    expect(guard({ 'jack-plate/cup.diameter': 25 })).toMatchObject({ verdict: 'tight' })
    expect(guard({ 'jack-plate/cup.diameter': 25 }).says).toMatch(/^2\.9 mm of wood/)
    expect(guard({ 'jack-plate/cup.diameter': 24 }).verdict).toBe('snug')
    // A bore of 32.2, and from it half a screw and 3 mm of wood to either side.
    expect(guard({ 'jack-plate/cup.diameter': 32 }).says).toMatch(
      /Take a plate whose screws stand at least 41\.2 mm apart, or a narrower cup\.$/,
    )
  })
  it('its bore is not reamed to the thread: the whole jack goes through it', () => {
    expect(jointIn(plated(), 'jack').checks.map((c) => c.id)).not.toContain('bore')
    expect(jointIn(plated(), 'jack-plate').cures.some((c) => /^Widen the bore to 2\d/.test(c.job))).toBe(true)
  })
  // 21 mm of jack and 1 to go in easily; (34 - 22) / 2 - 1.5 = 4.5 of wood to each screw.
  it('a bore that is not there is made for the whole jack, not for its thread, and leaves the plate’s screws wood', () => {
    const none = changed(drillable(plated()), { 'body/jack.bore': undefined, 'jack/width': 21 }, { 'body/bored.jack': 'none' })
    const card = holeCards(none).find((c) => c.id === 'jack-bore')!
    expect([card.title, card.work, card.bit]).toEqual(['Bore for the jack, under its plate', 'new', 22])
    expect(card.guards.find((g) => g.id === 'plate')!.says).toMatch(/^4\.5 mm of wood would stand between a bore for the jack/)
    expect(holeCards(changed(none, { 'body/jack.bore': 22 })).some((c) => c.id === 'jack-bore')).toBe(false)
  })
})
