import 'reflect-metadata'
import { resolve } from 'node:path'
import { MIGRATIONS, openFolder } from '../db/open'
import { backUp } from './backup'
import { restore } from './restore'

const rows = (counts: Record<string, number>): string =>
  Object.entries(counts)
    .map(([table, n]) => `${n} ${table.replaceAll('_', ' ')}`)
    .join(', ') || 'nothing'

/** `backup FILE` writes the data folder into a file; `restore FILE [--replace]` makes a data folder of one. SNUG_DATA names the folder. */
async function main([act, file, ...more]: string[]): Promise<void> {
  const folder = process.env.SNUG_DATA ?? 'data'
  const now = new Date()
  if (act === 'backup') {
    const to = resolve(file ?? `snug-bolt-${now.toISOString().slice(0, 10)}.ndjson.gz`)
    const opened = await openFolder(folder)
    try {
      process.stdout.write(`${rows(await backUp(opened.db, MIGRATIONS, to, now))} written to ${to}\n`)
    } finally {
      await opened.close()
    }
  } else if (act === 'restore' && file) {
    const { counts, aside } = await restore(resolve(file), folder, { replace: more.includes('--replace') })
    process.stdout.write(`${rows(counts)} brought back into ${folder}${aside ? `; what was there lies in ${aside}` : ''}\n`)
  } else throw new Error('Say "npm run backup -- FILE", or "npm run restore -- FILE [--replace]".')
}

main(process.argv.slice(2)).then(
  () => process.exit(0),
  (error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`)
    process.exit(1)
  },
)
