import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { createServer, get, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { once } from 'node:events'
import pg from 'pg'
import { createApp } from '../app'
import { addBench } from '../benches/store'
import { NewsHub } from '../news/hub'
import { makeCluster, type Cluster } from '../testing/cluster'
import { newDatabase } from '../testing/newDatabase'
import { ended, killAll, launch, ready, builtServer } from '../testing/serverProcess'
import { standOf } from '../backup/migrations'
import { MIGRATIONS } from './open'
import { openServer } from './postgres'

const here = inject('postgres') !== ''

/** One process as it would run, in this one: on a database, with its own ears. */
async function processOn(url: string) {
  const opened = await openServer(url)
  const hub = new NewsHub()
  await opened.listen(hub.pass, hub.missed)
  const server = createServer(createApp({ opened, hub, benches: true }))
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  const close = async () => {
    await closed(server)
    await opened.close()
  }
  return { base, db: opened.db, close }
}
async function closed(server: Server) {
  const done = once(server, 'close')
  server.close()
  server.closeAllConnections()
  await done
}
async function signedIn(base: string, bench: string, phrase: string): Promise<string> {
  const answer = await fetch(`${base}/sign-in`, { method: 'POST', body: new URLSearchParams({ bench, phrase }), redirect: 'manual' })
  expect(answer.status).toBe(303)
  return answer.headers.get('set-cookie')!.split(';')[0]!
}
const asked = async (base: string, cookie: string, path: string, body?: object) => {
  const headers = { cookie, 'content-type': 'application/json' }
  const answer = await fetch(`${base}/api${path}`, body ? { method: 'POST', headers, body: JSON.stringify(body) } : { headers })
  return { status: answer.status, body: (await answer.json().catch(() => undefined)) as Record<string, unknown> }
}
const WANTED = { name: 'Trial build', handedness: 'right', strings: 6, scale: 647.7 }

/** The lines of news one is told, and when its line ends. */
function listen(base: string, cookie: string) {
  const heard: object[] = []
  const asking = get(`${base}/api/news`, { headers: { cookie } })
  const ends = new Promise<void>((done) => asking.once('close', done))
  const begun = once(asking, 'response').then(([answer]) => {
    answer.setEncoding('utf8')
    answer.on('data', (text: string) => heard.push(...[...text.matchAll(/data: (.*)\n/g)].map((m) => JSON.parse(m[1]!) as object)))
    answer.on('error', () => undefined)
  })
  asking.on('error', () => undefined)
  return { heard, ends, begun, stop: () => asking.destroy() }
}

describe.skipIf(!here)('several processes on one database server', () => {
  let url: string
  let one: Awaited<ReturnType<typeof processOn>>
  let two: Awaited<ReturnType<typeof processOn>>
  beforeAll(async () => {
    url = await newDatabase(false)
    // Both bring it up to date at the same time; one does it, the other waits.
    ;[one, two] = await Promise.all([processOn(url), processOn(url)])
    await addBench(one.db, 'Anna', 'maple screw lamp')
    await addBench(one.db, 'Ben', 'walnut glue clamp')
  })
  afterAll(async () => {
    await one?.close()
    await two?.close()
  })

  it('bring it up to date once', async () => {
    expect(await standOf(two.db, MIGRATIONS)).toMatchObject({ behind: false })
  })

  it('know who is signed in at any of them, and tell the windows at all of them what one wrote, and only those of that bench', async () => {
    const anna = await signedIn(one.base, 'Anna', 'maple screw lamp')
    const ben = await signedIn(two.base, 'Ben', 'walnut glue clamp')
    const [annas, bens] = [listen(two.base, anna), listen(two.base, ben)]
    await Promise.all([annas.begun, bens.begun])
    const { id } = (await asked(one.base, anna, '/builds', WANTED)).body as { id: string }
    await asked(one.base, anna, `/builds/${id}/changes`, { revision: 0, label: 'Budget', edits: [{ path: ['budget'], to: 460 }] })
    await asked(one.base, anna, `/builds/${id}/log`, { kind: 'note', text: 'hm' })
    await expect
      .poll(() => annas.heard, { timeout: 5000 })
      .toEqual([
        { build: id, revision: 0 },
        { build: id, revision: 1 },
        { build: id, log: true },
      ])
    expect(bens.heard).toEqual([])
    expect((await asked(two.base, anna, `/builds/${id}`)).body).toMatchObject({ revision: 1, build: { budget: 460 } })
    annas.stop()
    bens.stop()
  })

  it('all know at once that a build was handed over, and that somebody signed out', async () => {
    const anna = await signedIn(one.base, 'Anna', 'maple screw lamp')
    const ben = await signedIn(two.base, 'Ben', 'walnut glue clamp')
    const { id } = (await asked(one.base, anna, '/builds', WANTED)).body as { id: string }
    // Both have just been asked whose it is, and who that is.
    for (const { base } of [one, two]) expect((await asked(base, anna, `/builds/${id}`)).status).toBe(200)
    await asked(one.base, anna, `/builds/${id}/hand-over`, { to: 'Ben' })
    for (const { base } of [one, two]) {
      await expect.poll(async () => (await asked(base, anna, `/builds/${id}`)).status, { timeout: 5000 }).toBe(404)
      expect((await asked(base, ben, `/builds/${id}`)).status).toBe(200)
    }
    await fetch(`${one.base}/sign-out`, { method: 'POST', headers: { cookie: ben }, redirect: 'manual' })
    await expect.poll(async () => (await asked(two.base, ben, '/builds')).status, { timeout: 5000 }).toBe(401)
  })

  it('take changes of one build one after the other: each revision once, whoever is sooner, and what was answered is there', async () => {
    const anna = await signedIn(one.base, 'Anna', 'maple screw lamp')
    const { id } = (await asked(one.base, anna, '/builds', WANTED)).body as { id: string }
    const writer = async (base: string, size: string) => {
      let now = { revision: 0, build: { name: WANTED.name } }
      let taken = 0
      for (let n = 1; taken < 40; n++) {
        const answer = await asked(base, anna, `/builds/${id}/changes`, {
          revision: now.revision,
          label: `${size} ${n}`,
          edits: [{ path: ['name'], from: now.build.name, to: `${size} ${n}` }],
        })
        expect([200, 409]).toContain(answer.status)
        if (answer.status === 200) taken++
        now = (answer.status === 200 ? answer.body : answer.body.current) as typeof now
      }
    }
    await Promise.all([writer(one.base, 'one'), writer(two.base, 'two'), writer(one.base, 'three')])
    const { rows } = await onIt(
      url,
      `select count(*)::int as n, count(distinct revision)::int as d, max(revision) as most from events where build_id = '${id}'`,
    )
    expect(rows).toEqual([{ n: 120, d: 120, most: 120 }])
    const state = (await asked(two.base, anna, `/builds/${id}`)).body
    expect(state.revision).toBe(120)
  })
})

async function onIt(url: string, query: string) {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  const { rows } = await client.query(query)
  await client.end()
  return { rows: rows as object[] }
}

describe.skipIf(!here)('a database server that goes away', () => {
  let cluster: Cluster
  beforeAll(async () => {
    cluster = await makeCluster()
  })
  afterAll(() => cluster.remove())

  it('is a clear sentence meanwhile; when it is back all that was answered is there, and news come again', async () => {
    const one = await processOn(cluster.url('postgres'))
    await addBench(one.db, 'Anna', 'maple screw lamp')
    const anna = await signedIn(one.base, 'Anna', 'maple screw lamp')
    const { id } = (await asked(one.base, anna, '/builds', WANTED)).body as { id: string }
    const window = listen(one.base, anna)
    await window.begun
    await cluster.kill()
    const away = await asked(one.base, anna, `/builds/${id}`)
    expect(away.status).toBe(503)
    expect(away.body.detail).toMatch(/The database does not answer just now/)
    await cluster.start()
    await expect.poll(async () => (await asked(one.base, anna, `/builds/${id}`)).status, { timeout: 20_000 }).toBe(200)
    // The window's line is ended, so that it asks for everything anew; then it hears again.
    await window.ends
    const again = listen(one.base, anna)
    await again.begun
    await asked(one.base, anna, `/builds/${id}/changes`, { revision: 0, label: 'Budget', edits: [{ path: ['budget'], to: 460 }] })
    await expect.poll(() => again.heard, { timeout: 10_000 }).toEqual([{ build: id, revision: 1 }])
    again.stop()
    await one.close()
  })

  it('or was never there, is told at the start, without the password', async () => {
    const refused = (await newPortOf(cluster)).replace('snug@', 'snug:s3cret@')
    await expect(openServer(refused)).rejects.toThrow(/nothing answers there; is the database server running/)
    await expect(openServer(refused)).rejects.not.toThrow(/s3cret/)
    await expect(openServer(cluster.url('none'))).rejects.toThrow(/has no database of that name; make one with createdb/)
    await expect(openServer('postgres://[')).rejects.toThrow(/DATABASE_URL is not written as such addresses are/)
  })

  it('with the built server: it starts on one, says how a bench is made, and stops when asked', async () => {
    await builtServer()
    const child = launch('/nonexistent', { DATABASE_URL: await newDatabase(false) })
    const { url } = await ready(child)
    expect((await fetch(`${url}/api/health`)).status).toBe(200)
    expect((await fetch(`${url}/api/builds`)).status).toBe(401)
    child.kill('SIGTERM')
    expect(await ended(child)).toBe(0)
    await killAll()
  })
})

/** An address at which nothing listens. */
async function newPortOf(cluster: Cluster): Promise<string> {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  await closed(server)
  return Object.assign(new URL(cluster.url('postgres')), { port: String(port) }).href
}
