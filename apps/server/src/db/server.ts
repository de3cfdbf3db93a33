type Postgres = typeof import('./postgres')

/** What a database server needs is read only where one is used: most have a folder, and it takes as long as a tenth of the start. */
const postgres = (): Promise<Postgres> => import('./postgres')

/** Opens the database a server holds; see there. */
export const openServer: Postgres['openServer'] = async (...args) => (await postgres()).openServer(...args)

/** Does something with a server's database that only one process may do at a time; see there. */
export const alone: Postgres['alone'] = async (...args) => (await postgres()).alone(...args)
