import { addDays } from '@snug/core'
import { heron } from '@snug/demo'
import type { Db } from '../db/open'
import { insertBuild, type BuildState } from './store'

/** A finished-looking build to look round in: a copy of a demo build with an id of its own, thrown away as freely as it was made. */
export function exampleBuild(db: Db, bench: string): Promise<BuildState> {
  const today = new Date().toISOString().slice(0, 10)
  return insertBuild(db, bench, { ...heron(today, addDays(today, 83), addDays(today, 11)), name: 'Heron, an example' }, [])
}
