import { sql } from 'drizzle-orm'
import { CHANNEL } from './channel'
import type { Db } from './open'

/** What other windows hear of: a build came, got a new revision or log entry, was put away, brought back or handed to another bench; or the stock changed. */
export type News = { build: string; revision?: number; away?: boolean; log?: true; handed?: string } | { stock: true }

/** News on its way through the database, which passes it to every process that listens; it goes out with the transaction it is told in. */
export const tell = (db: Pick<Db, 'execute'>, bench: string, news: News): Promise<unknown> =>
  db.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify({ bench, news })})`)

/** The same, for whoever's build it is. */
export const tellOf = (db: Pick<Db, 'execute'>, build: string, news: Omit<Extract<News, { build: string }>, 'build'>): Promise<unknown> =>
  db.execute(
    sql`select pg_notify(${CHANNEL}, json_build_object('bench', bench_id, 'news', ${JSON.stringify({ build, ...news })}::json)::text) from builds where id = ${build}`,
  )
