import { eq } from 'drizzle-orm'
import type { Db } from '../db/open'
import { builds } from '../db/schema'

/** Longest it is not asked again whose a build is, ms; that one was handed over is heard sooner. [ours] */
const HOLDS = 30_000
const MOST = 20_000

/** Whose builds are, asked once in a while and not at every request: what is handed over is told through the database. */
export class Owners {
  private readonly held = new Map<string, { bench: string; until: number }>()

  constructor(private readonly db: Db) {}

  async of(build: string): Promise<string | undefined> {
    const held = this.held.get(build)
    if (held && held.until > Date.now()) return held.bench
    const [row] = await this.db.select({ bench: builds.benchId }).from(builds).where(eq(builds.id, build))
    if (this.held.size >= MOST) this.held.clear()
    if (row) this.held.set(build, { bench: row.bench, until: Date.now() + HOLDS })
    return row?.bench
  }

  /** @param build without it, all of them */
  forget = (build?: string): void => {
    if (build === undefined) this.held.clear()
    else this.held.delete(build)
  }
}
