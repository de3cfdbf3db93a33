import { drizzle } from 'drizzle-orm/pglite'
import type { Client } from './living'
import * as schema from './schema'

export const connect = (client: Client) => drizzle({ client: client as never, schema })

/** What every query goes through, whichever kind of database it is. */
export type Db = ReturnType<typeof connect>
