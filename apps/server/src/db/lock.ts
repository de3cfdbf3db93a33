import { randomUUID } from 'node:crypto'
import { mkdtemp, readdir, readlink, realpath, rm, symlink, unlink } from 'node:fs/promises'
import { connect, createServer, type Server } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export class FolderTaken extends Error {
  constructor(folder: string) {
    super(
      `Another Snug Bolt already has the data folder ${folder} open. Close it first, or start this one with another folder (SNUG_DATA).`,
    )
  }
}

/**
 * Takes the data folder for this process alone: two databases on one folder destroy it.
 *
 * Each process that wants it listens on a socket of its own in the folder, which goes silent with the process however that ends.
 * Claims are numbered: `lock.7` names the socket of whoever holds it. The highest number counts, while its socket answers. A
 * folder whose claim is silent is taken by making the next number, which the file system lets only one of many do. Numbers are
 * never reused: a holder that leaves, leaves its number behind, and its successor clears the lower ones away. So a slow starter
 * that looked at an old number finds the next one taken, or, when that was cleared meanwhile, a higher one after its own; then
 * its claim is void.
 * @returns release function
 * @throws FolderTaken
 */
export async function takeFolder(folder: string): Promise<() => Promise<void>> {
  const real = await realpath(folder)
  const alias = await shortPath(real)
  const name = `lock-${randomUUID()}.sock`
  try {
    const server = await listen(join(alias.path, name))
    // The socket was bound by the short way, which is gone by then: it is cleared away by its real one.
    const release = async () => {
      await closed(server)
      await unlink(join(real, name)).catch(() => undefined)
    }
    try {
      await claim(real, alias.path, name, folder)
    } catch (e) {
      await release()
      throw e
    }
    return release
  } finally {
    await alias.drop()
  }
}

async function claim(real: string, short: string, name: string, folder: string): Promise<void> {
  for (;;) {
    const before = await claims(real)
    const highest = before.at(-1)
    if (highest !== undefined && (await holds(real, short, highest))) throw new FolderTaken(folder)
    const mine = (highest ?? 0) + 1
    try {
      await symlink(name, join(real, `lock.${mine}`))
    } catch (e) {
      if ((e as NodeJS.ErrnoException).code === 'EEXIST') continue
      throw e
    }
    if ((await claims(real)).at(-1) !== mine) {
      await unlink(join(real, `lock.${mine}`)).catch(() => undefined)
      continue
    }
    for (const old of before) await clear(real, old)
    return
  }
}

/** Numbers claimed so far, ascending. */
const claims = async (real: string): Promise<number[]> =>
  (await readdir(real))
    .flatMap((f) => /^lock\.(\d+)$/.exec(f)?.[1] ?? [])
    .map(Number)
    .toSorted((a, b) => a - b)

async function holds(real: string, short: string, number: number): Promise<boolean> {
  const socket = await readlink(join(real, `lock.${number}`)).catch(() => undefined)
  return socket !== undefined && answers(join(short, socket))
}

async function clear(real: string, number: number): Promise<void> {
  const socket = await readlink(join(real, `lock.${number}`)).catch(() => undefined)
  if (socket) await unlink(join(real, socket)).catch(() => undefined)
  await unlink(join(real, `lock.${number}`)).catch(() => undefined)
}

/** A unix socket's path may have about a hundred letters: the folder is reached by a short way for the moment of binding. */
async function shortPath(real: string): Promise<{ path: string; drop: () => Promise<void> }> {
  const holder = await mkdtemp(join(tmpdir(), 'snug-'))
  const path = join(holder, 'd')
  await symlink(real, path)
  return { path, drop: () => rm(holder, { recursive: true, force: true }) }
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

const closed = (server: Server) => new Promise<void>((done) => void server.close(() => done()))

/** Only a socket that is not there, or that nobody listens on, is silent; any other trouble counts as an answer. */
const answers = (path: string) =>
  new Promise<boolean>((done) => {
    const socket = connect(path)
    socket.once('connect', () => {
      socket.destroy()
      done(true)
    })
    socket.once('error', (e: NodeJS.ErrnoException) => done(e.code !== 'ECONNREFUSED' && e.code !== 'ENOENT'))
  })
