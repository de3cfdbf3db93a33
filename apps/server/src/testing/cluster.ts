import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { chownSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'

const DEBIAN = '/usr/lib/postgresql'

/** Where the programs of a PostgreSQL are on this machine; the newest. */
export function programs(): string | undefined {
  const [newest] = existsSync(DEBIAN) ? readdirSync(DEBIAN).toSorted((a, b) => Number(b) - Number(a)) : []
  return newest === undefined ? undefined : join(DEBIAN, newest, 'bin')
}

export interface Cluster {
  /** Address of one of its databases. */
  url: (database: string) => string
  /** Ends it as power loss or the kernel would: every process at once, without a word. */
  kill: () => Promise<void>
  /** Every process of it stops where it is. */
  freeze: () => void
  /** Starts it again where it lies. */
  start: () => Promise<void>
  remove: () => Promise<void>
  folder: string
}

/**
 * A PostgreSQL of one's own in a folder of its own, which nobody else reaches. It writes as at a person's, synced before it answers, unless
 * `fsync` is off.
 */
export async function makeCluster({ at, settings = {} }: { at?: string; settings?: Record<string, string> } = {}): Promise<Cluster> {
  const bin = programs()
  if (!bin) throw new Error(`There is no PostgreSQL under ${DEBIAN}.`)
  const folder = at ?? mkdtempSync(join(tmpdir(), 'snug-postgres-'))
  mkdirSync(folder, { recursive: true })
  const who = owner()
  if (who) chownSync(folder, who.uid, who.gid)
  const data = join(folder, 'data')
  const hasty = settings.fsync === 'off' ? ['--no-sync'] : []
  execFileSync(join(bin, 'initdb'), ['-D', data, '-U', 'snug', '-A', 'trust', '-E', 'UTF8', '--locale=C.UTF-8', ...hasty], {
    ...who,
    stdio: 'ignore',
  })
  const port = await freePort()
  const url = (database: string) => `postgres://snug@127.0.0.1:${port}/${database}`
  let server: ChildProcess | undefined
  const options = Object.entries({ listen_addresses: '127.0.0.1', port: String(port), unix_socket_directories: '', ...settings })
  const start = async () => {
    server = spawn(join(bin, 'postgres'), ['-D', data, ...options.flatMap(([k, v]) => ['-c', `${k}=${v}`])], {
      ...who,
      stdio: 'ignore',
    })
    for (let tries = 0; ; tries++) {
      const client = new pg.Client({ connectionString: url('postgres') })
      client.on('error', () => undefined)
      try {
        await client.connect()
        await client.end()
        return
      } catch (e) {
        if (tries > 300) throw e
        await new Promise((done) => setTimeout(done, 100))
      }
    }
  }
  const kill = async () => {
    if (!server?.pid || server.exitCode !== null || server.signalCode !== null) return
    const ended = once(server, 'exit')
    const all = stopped(server.pid)
    for (const pid of all) signal(pid, 'SIGKILL')
    await ended
    while (all.some(runs)) await new Promise((done) => setTimeout(done, 5))
  }
  const freeze = () => void (server?.pid && stopped(server.pid))
  await start()
  const remove = async () => {
    await kill()
    rmSync(folder, { recursive: true, force: true })
  }
  return { url, kill, freeze, start, remove, folder }
}

/** The server and all its helpers, each of which is a group of its own, stopped where they are. The first makes no new one meanwhile. */
function stopped(pid: number): number[] {
  signal(pid, 'SIGSTOP')
  const helpers = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').split(/\s+/).filter(Boolean).map(Number)
  for (const helper of helpers) signal(helper, 'SIGSTOP')
  return [...helpers, pid]
}

function signal(pid: number, name: NodeJS.Signals): void {
  try {
    process.kill(pid, name)
  } catch {
    // Gone by itself.
  }
}

/** Is it there, and not only its name, which its parent has not asked after yet? */
function runs(pid: number): boolean {
  try {
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'))
  } catch {
    return false
  }
}

/** PostgreSQL refuses to run as the one who may do everything; Debian's package brings a user for it. */
function owner(): { uid: number; gid: number } | undefined {
  if (process.getuid?.() !== 0) return undefined
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }))
  return { uid: id('-u'), gid: id('-g') }
}

async function freePort(): Promise<number> {
  const server = createServer()
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  server.close()
  await once(server, 'close')
  return port
}
