import { describe, expect, it } from 'vitest'
import { bundled, USUAL_TOOLS } from '../fit/measure/measureNext'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holeStakes, isHole } from './stakes'

describe('what to measure next knows holes', () => {
  const build = changed(drillable(fullBuild()), { 'springs/screw.length': undefined, 'springs/screw.root': undefined })
  it('a hole that waits for sizes asks for them, all at once, and they settle it', () => {
    const [stake] = holeStakes(build, USUAL_TOOLS)
    expect(stake!.needs.map((r) => `${r.slot}/${r.size}`)).toEqual(['springs/screw.length', 'springs/screw.root'])
    const [bundle] = bundled(holeStakes(build, USUAL_TOOLS))
    expect(bundle!.settles).toEqual(['hole:claw-screws'])
    expect(bundle!.settles.every(isHole)).toBe(true)
  })
  it('one that nobody has looked for asks for no size yet, and one that is known for none', () => {
    const unsaid = structuredClone(build)
    delete unsaid.parts.body!.traits['bored.claw']
    expect(holeStakes(unsaid, USUAL_TOOLS)).toEqual([])
    expect(holeStakes(drillable(fullBuild()), USUAL_TOOLS)).toEqual([])
  })
})
