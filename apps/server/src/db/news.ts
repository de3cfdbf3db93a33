import { sql } from 'drizzle-orm'
import { CHANNEL } from './channel'
import type { Db } from './connect'

/**
 * What other windows hear of: a build came, got a new revision or log entry, was put away, brought back or handed to another bench; or the
 * stock changed; and the server itself, that who is signed in at a bench has changed.
 */
export type News = { build: string; revision?: number; away?: boolean; log?: true; handed?: string } | { stock: true } | { signedIn: true }

/** Longest, ms, that news waits for other news to go with. [ours] */
const TOGETHER = 20

interface Told {
  news: News
  /** Whose news it is; of a build, its own bench's where nothing is said. */
  bench?: string
}

/**
 * News of what is written, through the database to every process that listens. Told after the write is done, and several at once: a
 * database server lets only one at a time end a transaction that tells something.
 */
class Teller {
  private waiting: Told[] = []
  private timer: NodeJS.Timeout | undefined
  private going: Promise<unknown> = Promise.resolve()

  constructor(private readonly db: Pick<Db, 'execute'>) {}

  tell(told: Told): void {
    this.waiting.push(told)
    this.timer ??= setTimeout(() => this.send(), TOGETHER)
  }

  /** One after the other, on however many connections: put away and brought back must not be heard the other way round. */
  send(): Promise<unknown> {
    clearTimeout(this.timer)
    this.timer = undefined
    this.going = this.going.then(() => this.pass())
    return this.going
  }

  private async pass(): Promise<void> {
    const list = this.waiting
    this.waiting = []
    if (!list.length) return
    // What tells of a write does not wait for the disk as the write did: nothing is lost with it.
    const told = sql`select pg_notify(${CHANNEL}, json_build_object('bench', coalesce(t.n->>'bench', b.bench_id), 'news', t.n->'news')::text)
              from jsonb_array_elements(${JSON.stringify(list)}::jsonb) with ordinality as t(n, place)
              join (select set_config('synchronous_commit', 'off', true)) as now(waits) on waits = 'off'
              left join builds b on b.id = t.n->'news'->>'build'
              order by t.place`
    try {
      await this.db.execute(told)
    } catch {
      // A database that is away tells every window so by being away: they ask anew when it is back.
    }
  }
}

const tellers = new WeakMap<object, Teller>()
function tellerOf(db: Db): Teller {
  const there = tellers.get(db)
  if (there) return there
  const made = new Teller(db)
  tellers.set(db, made)
  return made
}

/** Once what it is about is written. @param bench whose news it is; of a build, its own bench's where nothing is said */
export function tell(db: Db, news: News, bench?: string): void {
  // Part of a larger transaction, which is not done yet: whoever began it tells what is to be told.
  if ('rollback' in db) return
  tellerOf(db).tell({ news, ...(bench === undefined ? {} : { bench }) })
}

/** Before the database is closed: what was told is on its way. */
export const allTold = (db: Db): Promise<unknown> => tellerOf(db).send()
