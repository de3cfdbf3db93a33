import { sql, type SQL } from 'drizzle-orm'
import { CHANNEL } from './channel'
import type { Db } from './open'

/** What other windows hear of: a build came, got a new revision or log entry, was put away, brought back or handed to another bench; or the stock changed; and the
 * server itself, that who is signed in at a bench has changed. */
export type News = { build: string; revision?: number; away?: boolean; log?: true; handed?: string } | { stock: true } | { signedIn: true }

/** News on its way through the database, which passes it to every process that listens; it goes out with the transaction it is told in. */
export const tell = (db: Pick<Db, 'execute'>, bench: string, news: News): Promise<unknown> =>
  db.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify({ bench, news })})`)

/** The same as a piece of a statement. @param bench whose news it is, as a column or a value */
export const telling = (bench: SQL, news: News): SQL =>
  sql`pg_notify(${CHANNEL}, json_build_object('bench', ${bench}, 'news', ${JSON.stringify(news)}::json)::text)`

/** The same, for whoever's build it is. */
export const tellOf = (db: Pick<Db, 'execute'>, build: string, news: Omit<Extract<News, { build: string }>, 'build'>): Promise<unknown> =>
  db.execute(sql`select ${telling(sql`bench_id`, { build, ...news })} from builds where id = ${build}`)
