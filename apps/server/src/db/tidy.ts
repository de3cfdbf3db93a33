import type { Client } from './living'

/** After so many writes a quiet moment is used, and after so many more none is waited for. [ours] */
const SOON = 200
const NOW = 2000
const QUIET = 5000

/**
 * Every change of a build leaves its old document behind in the table. The room is given back when nobody is writing.
 * @returns to be told of each write
 */
export function tidier(client: Client, quiet = QUIET): { wrote: () => void; tidy: () => Promise<void>; stop: () => void } {
  let writes = 0
  let timer: NodeJS.Timeout | undefined
  const tidy = async () => {
    writes = 0
    // Each by itself: several statements at once would be a transaction, in which nothing can be given back.
    // A database that is away or full tidies another time.
    for (const table of ['builds', 'stock', 'log_entries']) await client.exec(`VACUUM ${table}`).catch(() => undefined)
  }
  return {
    wrote: () => {
      writes++
      if (writes < SOON) return
      clearTimeout(timer)
      if (writes >= NOW) void tidy()
      else timer = setTimeout(() => void tidy(), quiet).unref()
    },
    tidy,
    stop: () => clearTimeout(timer),
  }
}
