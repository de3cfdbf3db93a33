import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync } from 'node:fs'
import { cp } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'
import { inject } from 'vitest'
import { durable, type WatchedPGlite } from '../db/durable'

const server = join(dirname(fileURLToPath(import.meta.url)), '../..')
const children: ChildProcess[] = []

/** The server as it runs at a person's: built, and a process of its own. */
export async function builtServer() {
  if (!existsSync(join(server, 'dist/main.js'))) await build({ root: server, logLevel: 'error' })
}

/** A data folder with an empty database, ready to be opened. */
export async function emptyFolder(at: string): Promise<string> {
  await cp(join(inject('template'), 'folder', 'database'), join(at, 'database'), { recursive: true })
  return at
}

/** As `durable` makes a new database, but sooner: of one that nothing has been put into. */
export async function fromBlank(at: string): Promise<WatchedPGlite> {
  await cp(join(inject('template'), 'blank'), at, { recursive: true })
  return durable(at)
}

/** A server process on a data folder and a free port, without waiting for anything. */
export function launch(folder: string, env: Record<string, string> = {}): ChildProcess {
  // These live for seconds: the database's program is compiled for a quick start, not for a long life.
  const child = spawn(process.execPath, ['--liftoff-only', '--wasm-lazy-compilation', 'dist/main.js'], {
    cwd: server,
    env: { ...process.env, SNUG_DATA: folder, SNUG_PORT: '0', ...env },
  })
  children.push(child)
  return child
}

/** Resolves with the address it says it is ready at; rejects with what it said when it stops before. */
export function ready(child: ChildProcess): Promise<{ child: ChildProcess; url: string }> {
  return new Promise((done, fail) => {
    let said = ''
    const hear = (chunk: Buffer) => {
      said += chunk.toString()
      const url = /http:\/\/localhost:\d+/.exec(said)?.[0]
      if (url) done({ child, url })
    }
    child.stdout!.on('data', hear)
    child.stderr!.on('data', hear)
    child.once('exit', () => fail(new Error(said)))
  })
}

export const start = (folder: string, env?: Record<string, string>) => ready(launch(folder, env))

/** Resolves with the exit code, null after a signal that it did not handle. */
export const ended = (child: ChildProcess) =>
  child.exitCode !== null || child.signalCode !== null
    ? Promise.resolve(child.exitCode)
    : new Promise<number | null>((done) => child.once('exit', (code) => done(code)))

export async function killed(child: ChildProcess) {
  child.kill('SIGKILL')
  await ended(child)
}

/** For after the tests: nothing is left running. */
export const killAll = () => Promise.all(children.map(killed))
