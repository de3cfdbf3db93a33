import type { Build } from '../document/build'
import type { Cure } from './joint'

export type Plan = NonNullable<Cure['plan']>

const TRIED = 'on-paper'

/** The build with one more job done on paper; all else is read through, so that whoever watches the build sees what is really read. */
export function onPaper(build: Build, plan: Plan): Build {
  let jobs: Build['jobs'] | undefined
  return new Proxy(build, {
    get(target, key) {
      if (key !== 'jobs') return Reflect.get(target, key) as unknown
      return (jobs ??= { ...target.jobs, [TRIED]: { ...plan, text: '' } })
    },
  })
}
