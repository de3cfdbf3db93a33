import type { Build } from '../document/build'
import { doneTo } from '../document/inPlace'
import { isThrough, traitAt } from '../document/read'
import { takenPart } from '../instrument/idleParts'
import { woodNamed } from '../parts/woods'
import { capital, those } from '../quantity/words'
import { before, parcelsOf } from './reasons'
import { step, type Step } from './step'

export const TRIAL = 'trial-build'

/** What lies on the wood at the trial build: what will not go of it has to go first. */
const LAID_ON = ['body', 'neck', 'bridge', 'tailpiece', 'guard', 'control-plate', 'jack-plate'] as const

/** What there is to lie on the wood. */
const laidOn = (build: Build): string =>
  those(
    ['neck', build.parts.neck && !isThrough(build)],
    ['bridge', build.parts.bridge],
    ['tailpiece', takenPart(build, 'tailpiece')],
    ['guard', build.parts.guard],
    ['control plate', takenPart(build, 'control-plate')],
    ['controls', true],
  )

/** What comes after it that wants all cutting done. */
function comesBefore(build: Build): string {
  const surface = traitAt(build, 'body', 'surface')
  if (surface === undefined) return 'before any coat'
  if (surface === 'raw') return 'before any finish'
  return build.finish.system === 'none' ? 'before it is put together for good' : 'before a new coat'
}

/** Everything together once, all wood cut and every hole drilled that is drilled before the finish; then apart again. */
export function trialStep(build: Build, earlier: readonly Step[]): Step {
  const hard = build.parts.body ? woodNamed(traitAt(build, 'body', 'wood'))?.hard : true
  const cures = earlier.filter(
    (s) =>
      s.station === 'fit' &&
      (s.stage === 'wood' || (s.stage === 'hardware' && s.need === 'must' && LAID_ON.some((slot) => s.slots?.includes(slot)))),
  )
  return step({
    id: TRIAL,
    title: 'Trial build: everything in its place once, then apart again',
    why: `${capital(laidOn(build))} in their places, ${comesBefore(build)}.${hard ? '' : `${hard === false ? ' Soft wood: p' : ' P'}adding under the body, no watch, no belt buckle.`}`,
    station: 'fit',
    stage: 'trial',
    slot: 'neck',
    minutes: 60,
    times: [30, 120],
    ...doneTo(build, LAID_ON),
    befores: [
      ...parcelsOf(['body', 'neck', 'bridge', 'guard', 'control-plate'], earlier),
      ...earlier.filter((s) => s.id === 'place').map((s) => before(s.id, 'curesBeforeTrial')),
      ...cures.filter((s) => s.id !== 'neck-on').map((s) => before(s.id, 'curesBeforeTrial')),
      ...earlier.filter((s) => s.station === 'drill' && s.stage === 'wood').map((s) => before(s.id, 'holesBeforeTrial')),
    ],
  })
}
