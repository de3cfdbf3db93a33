import autocannon from 'autocannon'
import { execFileSync } from 'node:child_process'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { makeCluster, programs } from '../../apps/server/src/testing/cluster'
import { row } from './measure'
import { started } from './started'

/** Seconds each load lasts: LONG=600 as docs/reliability.md has it. */
const LASTS = Number(process.env.LONG ?? 15)

/** Loads that begin one after the other within a second; each stays with one process. [ours] */
const GROUPS = 200

interface Writer {
  cookie: string
  url: string
  build: string
  revision: number
}

/** The server as it runs at a shop: benches that sign in and each change a build of theirs once a second. */
export async function benchServer(): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'snug-bench-server-'))
  try {
    await onFolder(folder, 10)
    if (programs()) await onServer(200)
    else row('PostgreSQL', 0, 'there is none on this machine')
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

async function onFolder(folder: string, benches: number): Promise<void> {
  const env = { SNUG_DATA: folder }
  const phrases = add(env, benches)
  const one = await started(env, '--benches')
  await load('PGlite, one process', await writers([one.url], phrases))
  await one.stop()
}

async function onServer(benches: number): Promise<void> {
  const cluster = await makeCluster()
  const env = { DATABASE_URL: cluster.url('postgres'), SNUG_DATA: '/nonexistent' }
  try {
    const phrases = add(env, benches)
    const both = [await started(env, '--benches'), await started(env, '--benches')]
    await load(
      'PostgreSQL, two processes',
      await writers(
        both.map((p) => p.url),
        phrases,
      ),
    )
    for (const p of both) await p.stop()
  } finally {
    await cluster.remove()
  }
}

/** Makes benches. @returns the pass-phrase of each, by name */
function add(env: Record<string, string>, count: number): [string, string][] {
  const names = Array.from({ length: count }, (_, n) => `Bench ${n}`)
  const said = execFileSync(process.execPath, ['apps/server/dist/benches.js', 'add', ...names], {
    cwd: '..',
    env: { ...process.env, ...env },
    encoding: 'utf8',
  })
  return said
    .trim()
    .split('\n')
    .map((line) => line.split(' signs in with: ') as [string, string])
}

/** Signs every bench in, at one process after the other, and gives it a whole instrument to work on. */
async function writers(urls: string[], phrases: [string, string][]): Promise<Writer[]> {
  const made: Writer[] = []
  for (const [n, [bench, phrase]] of phrases.entries()) {
    const url = urls[n % urls.length]!
    const signed = await fetch(`${url}/sign-in`, { method: 'POST', body: new URLSearchParams({ bench, phrase }), redirect: 'manual' })
    const cookie = signed.headers.get('set-cookie')!.split(';')[0]!
    const answer = await fetch(`${url}/api/builds/example`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json' },
      body: '{}',
    })
    made.push({ url, cookie, build: ((await answer.json()) as { id: string }).id, revision: 0 })
  }
  return made
}

async function load(name: string, all: Writer[]): Promise<void> {
  // Somebody's change comes every few milliseconds, not everybody's at the same stroke of the second.
  const groups = Array.from({ length: Math.min(GROUPS, all.length) }, (_, n) => all.filter((_w, i) => i % GROUPS === n))
  const results = await Promise.all(
    groups.map(async (some, n) => {
      await new Promise((done) => setTimeout(done, (n * 1000) / groups.length))
      return cannon(some)
    }),
  )
  const latencies = results.flatMap((r) => r.latencies).toSorted((a, b) => a - b)
  const at = (share: number) => latencies[Math.min(latencies.length - 1, Math.floor(share * latencies.length))]!
  const bad = results.reduce((sum, r) => sum + r.bad, 0)
  row(
    `${name}: ${all.length} benches, one change a second each, ${LASTS} s, median`,
    at(0.5),
    `${latencies.length} answered, ${bad} not taken`,
  )
  row('  p95', at(0.95))
  row('  p99', at(0.99))
  row('  longest', at(1))
}

/** Each connection is one bench: its next change is made on what the last one was answered with. */
async function cannon(all: Writer[]): Promise<{ latencies: number[]; bad: number }> {
  let next = 0
  let bad = 0
  const latencies: number[] = []
  const options: autocannon.Options = {
    url: all[0]!.url,
    connections: all.length,
    overallRate: all.length,
    duration: LASTS,
    setupClient: (client) => {
      const writer = all[next++ % all.length]!
      client.setRequests([
        {
          method: 'POST',
          path: `/api/builds/${writer.build}/changes`,
          headers: { cookie: writer.cookie, 'content-type': 'application/json', prefer: 'return=minimal' },
          setupRequest: (request) => ({
            ...request,
            body: JSON.stringify({
              revision: writer.revision,
              label: 'Budget',
              edits: [{ path: ['budget'], from: writer.revision ? writer.revision : 460, to: writer.revision + 1 }],
            }),
          }),
          onResponse: (status, body) => {
            if (status === 200) writer.revision = (JSON.parse(body) as { revision: number }).revision
            else bad++
          },
        },
      ])
    },
  }
  await new Promise<void>((done, fail) => {
    const run = autocannon(options, (e) => (e ? fail(e as Error) : done()))
    run.on('response', (_client, _status, _bytes, time) => void latencies.push(time))
  })
  return { latencies, bad }
}
