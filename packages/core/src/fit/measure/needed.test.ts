import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { idleFor } from '../../instrument/idleParts'
import { keyOf } from '../../judge/completed'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec } from '../../parts/slots'
import { anyBuild, everySize, everyTrait, untold } from '../../testing/anyBuild'
import { aPart } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn } from '../kind'
import { measureNext, USUAL_TOOLS } from './measureNext'
import { stakes } from './stakes'

/** Of any build one trait is taken back, and sizes of the same part with it: by themselves the two are seldom open in one joint. */
const lessTold = fc.tuple(anyBuild, fc.nat(), fc.array(fc.nat(), { minLength: 3, maxLength: 8 })).map(([build, trait, sizes]) => {
  const names = everyTrait(build)
  const [slot, name] = names[trait % names.length]!
  const own = everySize(build).filter(([of]) => of === slot)
  return sizes.reduce((now, at) => (own.length ? untold(now, 'sizes', ...own[at % own.length]!) : now), untold(build, 'traits', slot, name))
})

describe('what is asked to be measured while a trait is untold', () => {
  it('is lacked whatever the trait turns out to be: no reading is for nothing', () => {
    let met = 0
    holds(
      fc.property(lessTold, (build) => {
        for (const stake of [...stakes(build, USUAL_TOOLS)].flat()) {
          const kind = JOINT_KINDS.find((k) => k.id === stake.joint)!
          const { missing, untold } = kind.find(build)
          if (!missing.length) continue
          for (const ref of untold)
            for (const [option] of KINDS[slotSpec(ref.slot).kind].traits[ref.trait]!.options) {
              const then = changed(build, {}, { [`${ref.slot}/${ref.trait}`]: option })
              const idle = kind.needs.some((slot) => idleFor(then.parts, slot))
              const lacks = existsIn(kind, then) && !idle ? kind.find(then).missing.map(keyOf) : []
              for (const need of stake.needs) {
                met++
                expect(lacks, `${kind.id}: ${keyOf(need)} where ${keyOf(ref)} is ${option}`).toContain(keyOf(need))
              }
            }
        }
      }),
      200,
    )
    expect(met).toBeGreaterThan(0)
  })
  it('no size of a part that nothing takes is asked for', () => {
    const tailpiece = aPart('tailpiece', { height: 12 })
    const asked = (mount: string) => {
      const build = changed(fullBuild(), {}, { 'bridge/mount': mount })
      return measureNext({ ...build, parts: { ...build.parts, tailpiece } }, USUAL_TOOLS).filter((r) => r.ref.slot === 'tailpiece').length
    }
    expect([asked('post') > 0, asked('two-stud')]).toEqual([true, 0])
  })
  it('where nobody has told how the controls go in, no place on the body is asked that a guard’s own holes would make needless', () => {
    const build = changed(fullBuild(), { 'body/volume.x': undefined, 'body/volume.y': undefined, 'guard/volume.x': undefined })
    const asked = (access: string | undefined) => {
      const b = structuredClone(build)
      if (access) b.parts.body!.traits['access'] = access
      else delete b.parts.body!.traits['access']
      return measureNext(b).map(({ ref }) => keyOf(ref))
    }
    expect([asked('front').includes('guard/volume.x'), asked('front').includes('body/volume.x')]).toEqual([true, false])
    expect([asked('back').includes('guard/volume.x'), asked('back').includes('body/volume.x')]).toEqual([false, true])
    expect(asked(undefined).filter((key) => key.endsWith('/volume.x'))).toEqual([])
  })
})
