import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { openFolder } from '../db/open'
import { openServer } from '../db/server'
import { digests, eachRow, fill, isEmpty } from './tables'

/** A move that would lose something or was not exact. */
export class BadMove extends Error {}

/**
 * Copies everything from a data folder into a database server, or back, and compares the two row by row. The place it comes from is
 * left as it is; the place it goes to must be empty.
 * @returns rows by table
 * @throws BadMove, FolderTaken, BadServer
 */
export async function move(to: 'server' | 'folder', folder: string, url: string): Promise<Record<string, number>> {
  if (to === 'server' && !existsSync(join(folder, 'database'))) throw new BadMove(`There is no database in ${folder} (SNUG_DATA).`)
  const local = await openFolder(folder)
  try {
    const server = await openServer(url)
    try {
      const [from, into] = to === 'server' ? [local.db, server.db] : [server.db, local.db]
      if (!(await isEmpty(into)))
        throw new BadMove(
          to === 'server'
            ? 'The database DATABASE_URL names holds something already. Make a new one (createdb) and name that. Nothing was changed.'
            : `The data folder ${folder} holds something already. Name an empty one (SNUG_DATA). Nothing was changed.`,
        )
      await fill(into, (put) => eachRow(from, put))
      const [a, b] = [await digests(from), await digests(into)]
      if (JSON.stringify(a) !== JSON.stringify(b))
        throw new BadMove(
          'What arrived is not the same as what was sent; somebody was writing meanwhile. Do not use it: stop Snug Bolt everywhere and move again into an empty place.',
        )
      return Object.fromEntries(Object.entries(a).map(([table, { rows }]) => [table, rows]))
    } finally {
      await server.close()
    }
  } finally {
    await local.close()
  }
}
