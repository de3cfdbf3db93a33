import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { anyBuild, untold } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import fc from 'fast-check'
import { holeCards } from './holes'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!
const ARCHED = /front is arched/

describe('holes in an arched front', () => {
  const gone = { 'body/pocket.widthMouth': undefined, 'body/pocket.length': undefined, 'body/pocket.depth': undefined }
  const pocket = (sizes: Record<string, number>, top: string) =>
    changed(
      drillable(fullBuild()),
      { ...gone, 'bridge/height.min': 9, 'bridge/height.max': 15, 'body/pocket.widthEnd': 56, ...sizes },
      { 'body/routed.pocket': 'none', 'body/top': top },
    )
  it('a front that carries the bridge 4 mm higher takes a pocket 4 mm less deep', () => {
    const [flat, arched] = [card(pocket({}, 'flat'), 'route-pocket'), card(pocket({ 'body/arch.bridge': 4 }, 'arched'), 'route-pocket')]
    expect(arched.work).toBe('new')
    expect(arched.depth).toBeCloseTo(flat.depth! - 4, 6)
    expect(arched.mind[0]).toMatch(/depth counted from the wood at the pocket’s mouth/)
  })
  it('how deep waits for how high it rises, and for how the front is made at all', () => {
    const waits = card(pocket({}, 'arched'), 'route-pocket')
    expect([waits.stands, waits.missing]).toEqual(['waiting', [{ slot: 'body', size: 'arch.bridge' }]])
    expect(card(untold(pocket({}, 'flat'), 'traits', 'body', 'top'), 'route-pocket').untold).toEqual([{ slot: 'body', trait: 'top' }])
  })
  it('each new hole in it says how the tool is kept level, and no other does', () => {
    let said = 0
    holds(
      fc.property(anyBuild, fc.constantFrom('flat', 'arched'), (any, top) => {
        if (!any.parts.body) return
        const { body } = any.parts
        const bare = { ...body, traits: { ...body.traits, top }, sizes: { thickness: body.sizes.thickness! } }
        const build = drillable({ ...any, parts: { ...any.parts, body: bare } })
        for (const c of holeCards(build)) {
          const must = top === 'arched' && c.side === 'front' && c.work === 'new' && c.steps.length > 0
          expect(
            c.mind.some((m) => ARCHED.test(m)),
            c.id,
          ).toBe(must)
          said += Number(must)
        }
      }),
      200,
    )
    expect(said).toBeGreaterThan(10)
  })
  it('the studs of a bridge are drilled square to the bench', () => {
    const none = { 'body/studBore': undefined, 'body/studBoreDepth': undefined, 'body/studSpacing': undefined }
    const c = card(changed(drillable(fullBuild()), none, { 'body/top': 'arched', 'body/bored.studs': 'none' }), 'stud-bores')
    expect(c.mind[0]).toMatch(/square to the bench and not to the slope/)
  })
})
