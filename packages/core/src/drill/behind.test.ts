import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { onAPlate } from '../testing/onAPlate'
import { holeCards } from './holes'

/** Holes that go right through into something, where the controls are. */
const THROUGH = /^(pot-holes|toggle-hole|switch-slot|jack-hole|jack-bore)/
const FAR_FACE = /both faces|clamped behind/
const textOf = (build: Build, id: string): string => {
  const c = holeCards(build).find((c) => c.id === id)!
  return [c.says, ...c.steps, ...c.mind].join('\n')
}
const bored = (build: Build, size: number | undefined, access: string) =>
  changed(drillable(build), { 'body/jack.bore': size }, { 'body/bored.jack': size === undefined ? 'none' : 'yes', 'body/access': access })

describe('what lies behind a hole', () => {
  it('no tool comes from behind into the rim, nor through a top: only off the instrument are there two faces', () => {
    let met = { inWood: 0, off: 0 }
    for (const make of everyMake())
      for (const access of ['front', 'back', 'sound-hole'])
        for (const made of ['yes', 'none']) {
          const carriers = (['body', 'guard', 'control-plate'] as const).filter((slot) => make.parts[slot])
          const traits = Object.fromEntries(
            carriers.flatMap((slot) => ['jack', 'controls', 'toggle', 'slot'].map((of) => [`${slot}/bored.${of}`, made])),
          )
          // A size that is told is of a hole that is there.
          const gone = Object.fromEntries(
            carriers.flatMap((slot) =>
              ['pot.hole', 'switch.hole', 'switch.slot', 'jack.hole', 'jack.bore'].map((of) => [`${slot}/${of}`, undefined]),
            ),
          )
          for (const c of holeCards(changed(drillable(make), made === 'none' ? gone : {}, { ...traits, 'body/access': access }))) {
            if (!THROUGH.test(c.id) || !c.steps.length) continue
            const text = [...c.steps, ...c.mind].join('\n')
            const inWood = c.side === 'front' || c.side === 'rim'
            if (inWood) {
              met = { ...met, inWood: met.inWood + 1 }
              expect(text, `${c.id} ${access}`).not.toMatch(FAR_FACE)
            } else if (FAR_FACE.test(text)) met = { ...met, off: met.off + 1 }
          }
        }
    expect(met.inWood).toBeGreaterThan(20)
    expect(met.off).toBeGreaterThan(0)
  })
  it('a jack in the rim: scrap in the route where there is one, none in a hollow', () => {
    expect(textOf(bored(fullBuild(), undefined, 'front'), 'jack-bore')).toMatch(
      /^mark, punch; a block of scrap wedged in the route, flat against the wood where it comes out$/m,
    )
    expect(textOf(bored(fullBuild(), undefined, 'front'), 'jack-bore')).toMatch(/^9\.8 mm from outside, /m)
    expect(textOf(bored(fullBuild(), undefined, 'sound-hole'), 'jack-bore')).toMatch(/^mark, punch; nothing can be held behind it/m)
  })
  it('one hole is spoken of as one', () => {
    const small = textOf(bored(fullBuild(), 9.2, 'front'), 'jack-bore')
    expect(small).toMatch(/^The hole is 9\.2 mm and what goes through 9\.5: open it by 0\.6 mm, to 9\.8\.$/m)
    expect(small).toMatch(/^From outside alone a reamer leaves a cone/m)
    expect(textOf(drillable(onAPlate()), 'pot-holes')).toMatch(/^The holes are /)
  })
})
