import 'reflect-metadata'
import type { Server } from 'node:http'
import { join, dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { createApp } from './app'
import { compactAll } from './builds/compact'
import { bringUpToDate } from './builds/upgrade'
import { backUpBefore, backUpDaily } from './backup/backup'
import { anyBench } from './benches/store'
import { MIGRATIONS, openFolder, type Db } from './db/open'
import { openServer } from './db/server'
import { fillDemo } from './demoFill'
import { listener } from './http/listener'
import { NewsHub } from './news/hub'
import { ownAddresses } from './share/addresses'
import { announcement } from './share/announce'
import { keptPhrase, LEAST, newPhrase } from './share/phrase'

/**
 * Starts the server: SNUG_DATA is the data folder, SNUG_PORT the port, SNUG_DEMO=1 fills the demo builds. With --share other devices on
 * the network come in by a pass-phrase: SNUG_PHRASE, or one made here. With --benches every bench signs in and has what is its own; so
 * it is too where DATABASE_URL names a database server, which several of these processes may share. SNUG_HOSTS are further names it is
 * reached by, with commas between.
 */
async function main() {
  const here = dirname(fileURLToPath(import.meta.url))
  const folder = process.env.SNUG_DATA ?? 'data'
  const url = process.env.DATABASE_URL
  const port = Number(process.env.SNUG_PORT ?? 4780)
  const logger = pino({ level: process.env.SNUG_LOG ?? 'warn' })
  const sharing = process.argv.includes('--share')
  const benches = url !== undefined || process.argv.includes('--benches')
  const chosen = process.env.SNUG_PHRASE
  if (sharing && !benches && chosen !== undefined && chosen.trim().length < LEAST)
    throw new Error(`a pass-phrase of your own (SNUG_PHRASE) has at least ${LEAST} letters`)
  const beforeIt = (db: Db, migrations: string) => backUpBefore(db, migrations, folder, new Date())
  const opened = url === undefined ? await openFolder(folder, undefined, beforeIt) : await openServer(url, beforeIt)
  for (const id of await bringUpToDate(opened.db)) logger.error(`The build ${id} could not be brought up to date and was left as it is.`)
  if (process.env.SNUG_DEMO === '1') await fillDemo(opened.db)
  else
    daily(
      async () => {
        await backUpDaily(opened.db, MIGRATIONS, folder, new Date())
        await compactAll(opened.db)
      },
      (e) => logger.error(e, 'No backup could be made today.'),
    )
  const hub = new NewsHub()
  await opened.listen(hub.pass, hub.missed)
  const phrase = sharing && !benches ? (chosen ?? newPhrase()) : undefined
  const share = phrase === undefined ? {} : { share: { phrase: await keptPhrase(phrase) } }
  const addresses = [...(sharing ? ownAddresses() : []), ...(process.env.SNUG_HOSTS ?? '').split(',').filter(Boolean)]
  const server = listener(createApp({ opened, hub, web: join(here, '../../web/dist'), logger, addresses, benches, ...share }))
  await new Promise<void>((done, fail) => {
    server.once('error', fail)
    // Bound to this machine alone, unless it is to be shared.
    server.listen(port, sharing ? '0.0.0.0' : '127.0.0.1', done)
  })
  // Who is told that it is ready may stop it at once.
  stopOnSignal(server, opened.close)
  const address = server.address()
  const at = typeof address === 'object' && address ? address.port : port
  process.stdout.write(`Snug Bolt is ready at http://localhost:${at}\n`)
  if (benches && !(await anyBench(opened.db))) process.stdout.write('No bench can sign in yet. Make one: npm run benches -- add "Name"\n')
  if (sharing) process.stdout.write(await announcement(at, benches ? 'bench' : chosen === undefined ? { made: phrase! } : 'own'))
}

/** Once at the start, and again when a new day has begun; a backup that fails holds nothing up. */
function daily(act: () => Promise<void>, failed: (e: unknown) => void): void {
  const turn = () => void act().catch(failed)
  setTimeout(turn, 10_000).unref()
  setInterval(turn, 3_600_000).unref()
}

/** Longest wait, ms, for requests under way when asked to stop. */
const PATIENCE = 2000

/** The first signal lets requests under way end; what has not ended in two seconds is cut off. The second stops at once. */
function stopOnSignal(server: Server, close: () => Promise<void>) {
  let stopping = false
  const stop = () => {
    if (stopping) process.exit(1)
    stopping = true
    server.close(() => void close().finally(() => process.exit(0)))
    server.closeIdleConnections()
    setTimeout(() => server.closeAllConnections(), PATIENCE)
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
}

main().catch((error: unknown) => {
  const { code, message } = error as NodeJS.ErrnoException
  const sentence =
    code === 'EADDRINUSE'
      ? 'That port is taken. Start with another one, for example SNUG_PORT=4781.'
      : message || 'the database could not be opened, and did not say why'
  process.stderr.write(`Snug Bolt could not start: ${sentence}\n`)
  process.exit(1)
})
