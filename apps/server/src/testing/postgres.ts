import type { TestProject } from 'vitest/node'
import pg from 'pg'
import { openServer } from '../db/postgres'
import { makeCluster, programs } from './cluster'

declare module 'vitest' {
  export interface ProvidedContext {
    /** Address of a PostgreSQL to make databases on, with an empty one in it that is copied; '' where this machine has none. */
    postgres: string
  }
}

export const EMPTY = 'snug_empty'

/** One PostgreSQL for all tests of it. @public */
export default async function setup(project: TestProject) {
  if (!programs()) return project.provide('postgres', '')
  // What becomes of it when the power goes is asked of another one.
  const cluster = await makeCluster({ settings: { fsync: 'off' } })
  const admin = new pg.Client({ connectionString: cluster.url('postgres') })
  await admin.connect()
  await admin.query(`create database ${EMPTY}`)
  await admin.end()
  await (await openServer(cluster.url(EMPTY))).close()
  project.provide('postgres', cluster.url('postgres'))
  return () => cluster.remove()
}
