import 'reflect-metadata'
import { createServer } from 'node:http'
import { join, dirname } from 'node:path'
import { fileURLToPath } from 'node:url'
import { pino } from 'pino'
import { createApp } from './app'
import { openFolder } from './db/open'
import { fillDemo } from './demoFill'

/** Starts the server: SNUG_DATA is the data folder, SNUG_PORT the port, SNUG_DEMO=1 fills the demo builds. */
async function main() {
  const here = dirname(fileURLToPath(import.meta.url))
  const folder = process.env.SNUG_DATA ?? 'data'
  const port = Number(process.env.SNUG_PORT ?? 4780)
  const logger = pino({ level: process.env.SNUG_LOG ?? 'warn' })
  const opened = await openFolder(folder)
  if (process.env.SNUG_DEMO === '1') await fillDemo(opened.db)
  const server = createServer(createApp({ db: opened.db, web: join(here, '../../web/dist'), logger }))
  await new Promise<void>((done, fail) => {
    server.once('error', fail)
    // Bound to this machine alone.
    server.listen(port, '127.0.0.1', done)
  })
  const address = server.address()
  process.stdout.write(`Snug Bolt is ready at http://localhost:${typeof address === 'object' && address ? address.port : port}\n`)
  let stopping = false
  const stop = () => {
    if (stopping) return
    stopping = true
    server.close(() => void opened.close().then(() => process.exit(0)))
    server.closeIdleConnections()
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
}

main().catch((error: NodeJS.ErrnoException) => {
  const sentence = error.code === 'EADDRINUSE' ? 'That port is taken. Start with another one, for example SNUG_PORT=4781.' : error.message
  process.stderr.write(`Snug Bolt could not start: ${sentence}\n`)
  process.exit(1)
})
