import { createHash } from 'node:crypto'
import { connect, createServer, type Server } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { unlink } from 'node:fs/promises'

/** Longest path a unix socket may have; longer ones go to the temporary folder under the folder's own hash. */
const SOCKET_PATH = 100

export class FolderTaken extends Error {
  constructor(folder: string) {
    super(
      `Another Snug Bolt already has the data folder ${folder} open. Close it first, or start this one with another folder (SNUG_DATA).`,
    )
  }
}

/**
 * Takes the data folder for this process alone: two databases on one folder destroy it. The lock is a listening socket, so
 * it dies with the process however that ends; what a killed process leaves behind answers nobody and is cleared away.
 * @returns release function
 * @throws FolderTaken
 */
export async function takeFolder(folder: string): Promise<() => Promise<void>> {
  const path = socketPath(resolve(folder))
  for (let attempt = 0; ; attempt++) {
    try {
      const server = await listen(path)
      return () => new Promise((done) => server.close(() => done()))
    } catch (e) {
      if ((e as NodeJS.ErrnoException).code !== 'EADDRINUSE' || attempt > 1) throw e
      if (await answers(path)) throw new FolderTaken(folder)
      await unlink(path).catch(() => undefined)
    }
  }
}

function socketPath(folder: string): string {
  const inside = join(folder, 'lock.sock')
  if (inside.length <= SOCKET_PATH) return inside
  return join(tmpdir(), `snug-${createHash('sha256').update(folder).digest('hex').slice(0, 24)}.sock`)
}

const listen = (path: string) =>
  new Promise<Server>((done, fail) => {
    const server = createServer((socket) => socket.end())
    server.once('error', fail)
    server.listen(path, () => {
      server.unref()
      done(server)
    })
  })

const answers = (path: string) =>
  new Promise<boolean>((done) => {
    const socket = connect(path)
    socket.once('connect', () => {
      socket.destroy()
      done(true)
    })
    socket.once('error', () => done(false))
  })
