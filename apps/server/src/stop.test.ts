import { once } from 'node:events'
import { mkdtemp, rm } from 'node:fs/promises'
import { connect, type Socket } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { builtServer, emptyFolder, ended, killAll, start } from './testing/serverProcess'

let home: string
beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'snug-stop-'))
  await builtServer()
})
afterAll(async () => {
  await killAll()
  await rm(home, { recursive: true, force: true })
})

/** A server with a request on it that never ends: half of its head has been sent. */
async function heldOpen(name: string) {
  const { child, url } = await start(await emptyFolder(join(home, name)))
  const socket = connect(Number(new URL(url).port), '127.0.0.1')
  await once(socket, 'connect')
  socket.on('error', () => undefined)
  socket.write('POST /api/builds HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 100\r\n\r\n{')
  await sleep(100)
  return { child, url, socket }
}

const read = async (socket: Socket) => {
  let said = ''
  for await (const chunk of socket) said += String(chunk)
  return said
}

describe('stopping', () => {
  it('ends in order although a request never ends, and the folder opens again', async () => {
    const { child } = await heldOpen('once')
    child.kill('SIGINT')
    // It handled the signal and closed its database: code 0, not a death by signal.
    expect(await ended(child)).toBe(0)
    const again = await start(join(home, 'once'))
    expect((await fetch(`${again.url}/api/health`)).status).toBe(200)
  })
  it('ends in order when it is asked to as soon as it says that it is ready', async () => {
    const { child } = await start(await emptyFolder(join(home, 'at once')))
    child.kill('SIGTERM')
    expect(await ended(child)).toBe(0)
  })
  it('at once at the second signal', async () => {
    const { child } = await heldOpen('twice')
    child.kill('SIGINT')
    await sleep(200)
    expect(child.exitCode).toBeNull()
    child.kill('SIGINT')
    expect(await ended(child)).toBe(1)
  })
})

describe('what is not a request', () => {
  it('is answered in the words of every other error', async () => {
    const { url } = await start(await emptyFolder(join(home, 'line')))
    const socket = connect(Number(new URL(url).port), '127.0.0.1')
    socket.write('NONSENSE\r\n\r\n')
    const said = await read(socket)
    expect(said).toMatch(/^HTTP\/1.1 400 /)
    expect(said).toMatch(/content-type: application\/problem\+json/)
    expect(said).toMatch(/"detail":"That is not a request a server can read."/)
    expect((await fetch(`${url}/api/health`)).status).toBe(200)
  })
})

describe('the built interface', () => {
  it('a piece of an older one is not there, in the words of every other error, and no page under its name', async () => {
    const { url } = await start(await emptyFolder(join(home, 'pieces')))
    const gone = await fetch(`${url}/assets/DrillStation-00000000.js`)
    expect(gone.status).toBe(404)
    expect(gone.headers.get('content-type')).toMatch(/^application\/problem\+json/)
    const posted = await fetch(`${url}/builds/heron`, { method: 'POST' })
    expect(posted.status).toBe(404)
    expect(posted.headers.get('content-type')).toMatch(/^application\/problem\+json/)
  })
})

describe('of several starters at one moment', () => {
  it('exactly one gets the folder, each as a process of its own, over a lock left by a killed one', async () => {
    const folder = await emptyFolder(join(home, 'race'))
    for (let round = 0; round < 3; round++) {
      const tries = await Promise.allSettled([1, 2, 3].map(() => start(folder)))
      const got = tries.flatMap((t) => (t.status === 'fulfilled' ? [t.value] : []))
      expect(got).toHaveLength(1)
      for (const t of tries) if (t.status === 'rejected') expect(String(t.reason)).toMatch(/already has the data folder/)
      got[0]!.child.kill('SIGKILL')
      await ended(got[0]!.child)
    }
  })
})
