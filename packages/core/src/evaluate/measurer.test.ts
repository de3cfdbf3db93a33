import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../document/build'
import { USUAL_TOOLS } from '../fit/measure/measureNext'
import { stakes, type Stake } from '../fit/measure/stakes'
import { START_IDS, STARTING_SETS } from '../parts/starting/sets'
import { anAct } from '../testing/edits'
import { changed } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { measurer } from './measurer'

/** Nothing of it is read yet: what measuring is for. */
const begun: readonly Build[] = START_IDS.map((start) => {
  const { strings, scale } = STARTING_SETS[start]
  return newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-24')
})
/** As it comes from another thread. */
const sent = <T>(x: T): T => structuredClone(x)
const plainly = (build: Build): Stake[][] => [...stakes(build, USUAL_TOOLS)]

describe('what there is to be gained, for one version after another', () => {
  it('is what it is for each alone, whatever a person does', () => {
    holds(
      fc.property(fc.constantFrom(...begun), fc.array(anAct, { minLength: 2, maxLength: 5 }), (first, acts) => {
        const next = measurer()
        let build = first
        expect([...next(sent(build), USUAL_TOOLS)].flat().length).toBeGreaterThan(0)
        for (const act of acts) build = act(build)
        expect([...next(sent(build), USUAL_TOOLS)]).toEqual(plainly(build))
      }),
      30,
    )
  })
  it('a reading has those joints tried anew that read it, and leaves the others the very objects they were', () => {
    const next = measurer()
    const before = [...next(sent(begun[0]!), USUAL_TOOLS)]
    const after = [...next(sent(changed(begun[0]!, { 'body/pocket.widthMouth': 56.2 })), USUAL_TOOLS)]
    const moved = after.flatMap((s, i) => (s === before[i] ? [] : [[...s, ...before[i]!]]))
    expect(moved.length).toBeGreaterThan(0)
    expect(moved.length).toBeLessThan(5)
    expect(moved.flat().some((s) => s.joint === 'pocket-mouth')).toBe(true)
  })
  it('other tools are other gains', () => {
    const next = measurer()
    const gains = (tools: Parameters<typeof next>[1]) => [...next(begun[0]!, tools)].flat()
    for (const tools of [[], USUAL_TOOLS, ['rule']] as const) expect(gains(tools)).toEqual([...stakes(begun[0]!, tools)].flat())
    expect(gains(USUAL_TOOLS).length).toBeGreaterThan(gains([]).length)
  })
})
