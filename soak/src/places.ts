import { execFileSync, type ChildProcess } from 'node:child_process'
import { join } from 'node:path'
import { makeCluster, programs, type Cluster } from '../../apps/server/src/testing/cluster'
import { emptyFolder, ended, launch, ready } from '../../apps/server/src/testing/serverProcess'
import type { Door } from './writers'

/** A Snug Bolt with everything it stands on, that can be cut down at any moment. */
export interface Place {
  name: string
  /** Starts everything that is not running. */
  start: () => Promise<Door>
  /** One more process that serves, on the same database. */
  another?: () => Promise<Door>
  /** Every process stops where it is, as if no time passed for it. */
  freeze: () => void
  /** Every process is gone at once, without a word. */
  kill: () => Promise<void>
}

const gone = async (child: ChildProcess | undefined) => {
  child?.kill('SIGKILL')
  if (child) await ended(child)
}

/** On a data folder. @param environment of its processes */
export async function folderPlace(home: string, environment: Record<string, string> = {}): Promise<Place> {
  const data = await emptyFolder(join(home, 'data'))
  let child: ChildProcess | undefined
  return {
    name: 'PGlite',
    start: async () => {
      child = launch(data, environment)
      return { url: (await ready(child)).url }
    },
    freeze: () => void child?.kill('SIGSTOP'),
    kill: () => gone(child),
  }
}

export const hasPostgres = (): boolean => programs() !== undefined

/** On a database server in a folder, with one process that serves. @param settings of the database server */
export async function serverPlace(home: string, settings: Record<string, string> = {}): Promise<Place> {
  let cluster: Cluster | undefined
  let children: ChildProcess[] = []
  const serving = async () => {
    const child = launch(join(home, 'none'), { DATABASE_URL: cluster!.url('postgres') })
    children.push(child)
    return (await ready(child)).url
  }
  let cookie: string | undefined
  return {
    name: 'PostgreSQL',
    start: async () => {
      if (cluster) await cluster.start()
      else cluster = await makeCluster({ at: join(home, 'postgres'), settings })
      if (!cookie) addBench({ DATABASE_URL: cluster.url('postgres') })
      const url = await serving()
      cookie ??= await signedIn(url)
      return { url, cookie }
    },
    another: async () => ({ url: await serving(), ...(cookie ? { cookie } : {}) }),
    freeze: () => {
      for (const child of children) child.kill('SIGSTOP')
      cluster?.freeze()
    },
    kill: async () => {
      await Promise.all(children.map(gone))
      children = []
      await cluster?.kill()
    },
  }
}

let phrase = ''
function addBench(env: Record<string, string>): void {
  const cli = join(import.meta.dirname, '../../apps/server/dist/benches.js')
  const said = execFileSync(process.execPath, [cli, 'add', 'Soak'], { env: { ...process.env, ...env }, encoding: 'utf8' })
  phrase = said.trim().split(': ')[1]!
}

async function signedIn(url: string): Promise<string> {
  const body = new URLSearchParams({ bench: 'Soak', phrase })
  const answer = await fetch(`${url}/sign-in`, { method: 'POST', body, redirect: 'manual' })
  if (answer.status !== 303) throw new Error(`could not sign in: ${answer.status}`)
  return answer.headers.get('set-cookie')!.split(';')[0]!
}
