import type * as Postgres from './postgres'

/** What a database server needs is read only where one is used: most have a folder, and it takes as long as a tenth of the start. */
const postgres = () => import('./postgres')

/** Opens the database a server holds; see there. */
export const openServer: typeof Postgres.openServer = async (...args) => (await postgres()).openServer(...args)

/** Does something with a server's database that only one process may do at a time; see there. */
export const alone: typeof Postgres.alone = async (...args) => (await postgres()).alone(...args)
