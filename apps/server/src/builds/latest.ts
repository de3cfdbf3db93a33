import type { Db } from '../db/open'
import type { builds } from '../db/schema'

/** A build as it lies in its table. */
export type Row = typeof builds.$inferSelect

/** Builds held at once; a document takes some hundred kilobytes. [ours] */
const MOST = 200

/** The builds a process wrote last, as they were after that. Each revision of a build is written once, so what is held of it is right. */
class Latest {
  private readonly rows = new Map<string, Row>()

  at(id: string, revision: number): Row | undefined {
    const row = this.rows.get(id)
    return row?.revision === revision ? row : undefined
  }

  keep(row: Row): void {
    this.rows.delete(row.id)
    this.rows.set(row.id, row)
    if (this.rows.size > MOST) this.rows.delete(this.rows.keys().next().value!)
  }
}

const ofEach = new WeakMap<object, Latest>()

/** Those of one database. */
export function latest(db: Db): Latest {
  const there = ofEach.get(db)
  if (there) return there
  const made = new Latest()
  ofEach.set(db, made)
  return made
}
