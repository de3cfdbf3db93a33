import jsqr from 'jsqr'
import qrcode from 'qrcode'
import { once } from 'node:events'
import { createServer, request, type IncomingHttpHeaders, type IncomingMessage, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { stripVTControlCharacters } from 'node:util'
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest'
import { createApp } from '../app'
import { open, type OpenDb } from '../db/open'
import { announcement } from './announce'
import { keptPhrase, newPhrase } from './phrase'
import { Sessions } from './sessions'
import { WORDS } from './words'

let opened: OpenDb
let server: Server
let port: number
let days = 0
beforeAll(async () => {
  opened = await open({ dataDir: 'memory://', loadDataDir: new Blob([await readFile(join(inject('template'), 'image'))]) })
})
afterAll(() => opened.close())
beforeEach(async () => {
  days = 0
  const sessions = new Sessions(() => Date.now() + days * 86_400_000)
  server = createServer(createApp({ opened, addresses: ['127.0.0.1'], share: { phrase: await keptPhrase('maple screw lamp'), sessions } }))
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  port = (server.address() as AddressInfo).port
})
afterEach(() => void server.close())

interface Answer {
  status: number
  headers: IncomingHttpHeaders
  body: string
}
/** Asks as a device of the network: another address than that of the machine itself. @param from the last number of its address */
async function device(
  method: string,
  path: string,
  { body, headers = {}, from = 2 }: { body?: string; headers?: Record<string, string>; from?: number } = {},
): Promise<Answer> {
  const asked = request({ host: '127.0.0.1', port, localAddress: `127.0.0.${from}`, method, path, headers: { accept: '*/*', ...headers } })
  asked.end(body)
  const [answer] = (await once(asked, 'response')) as [IncomingMessage]
  let said = ''
  for await (const chunk of answer) said += String(chunk)
  return { status: answer.statusCode!, headers: answer.headers, body: said }
}
const unlock = (phrase: string, from = 2) =>
  device('POST', '/unlock', {
    body: new URLSearchParams({ phrase }).toString(),
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
    from,
  })
const cookieOf = (a: Answer) => a.headers['set-cookie']![0]!

describe('another device on the network', () => {
  it('gets neither the page, nor data, nor pictures, nor may it write, before it has said the phrase', async () => {
    const page = await device('GET', '/', { headers: { accept: 'text/html' } })
    expect(page.status).toBe(401)
    expect(page.body).toContain('action="/unlock"')
    for (const path of [
      '/api/builds',
      '/api/health',
      '/api/news',
      '/api/builds/heron/photos/x',
      '/api/builds/heron/bundle',
      '/builds/heron',
    ])
      expect((await device('GET', path)).status, path).toBe(401)
    const write = await device('POST', '/api/builds', {
      body: JSON.stringify({ name: 'x', handedness: 'right', strings: 6, scale: 648 }),
      headers: { 'content-type': 'application/json' },
    })
    expect(write.status).toBe(401)
    expect(JSON.parse(write.body)).toMatchObject({ detail: expect.stringMatching(/say the pass-phrase/) })
  })
  it('comes in with it, however a thumb writes it, by a cookie no script and no other site can use', async () => {
    const wrong = await unlock('maple screw')
    expect(wrong.status).toBe(401)
    expect(wrong.headers['set-cookie']).toBeUndefined()
    const right = await unlock(' Maple-screw  LAMP ')
    expect(right.status).toBe(303)
    expect(cookieOf(right)).toMatch(/HttpOnly/)
    expect(cookieOf(right)).toMatch(/SameSite=Strict/)
    const cookie = cookieOf(right).split(';')[0]!
    expect((await device('GET', '/api/builds', { headers: { cookie } })).status).toBe(200)
    expect((await device('GET', '/api/builds', { headers: { cookie: `${cookie}x` } })).status).toBe(401)
    days = 31
    expect((await device('GET', '/api/builds', { headers: { cookie } })).status).toBe(401)
  })
  it('may not try for ever; a right phrase does not count as a try, and others are not locked out with it', async () => {
    for (let n = 0; n < 3; n++) expect((await unlock('maple screw lamp')).status).toBe(303)
    for (let n = 0; n < 8; n++) expect((await unlock(`guess ${n}`)).status).toBe(401)
    const locked = await unlock('maple screw lamp')
    expect(locked.status).toBe(429)
    expect(locked.body).toMatch(/Wait a quarter of an hour/)
    expect((await unlock('maple screw lamp', 3)).status).toBe(303)
  })
  it('all together may not either, however many addresses they have', async () => {
    for (let n = 0; n < 60; n++) expect((await unlock(`guess ${n}`, 10 + (n % 20))).status).toBe(401)
    expect((await unlock('guess', 200)).status).toBe(429)
  })
  it('a page under another name is turned away even so', async () => {
    const cookie = cookieOf(await unlock('maple screw lamp')).split(';')[0]!
    expect((await device('GET', '/api/builds', { headers: { cookie, host: 'elsewhere.example' } })).status).toBe(403)
    const foreign = { cookie, origin: 'http://elsewhere.example', 'content-type': 'application/json' }
    expect((await device('POST', '/api/builds', { headers: foreign, body: '{}' })).status).toBe(403)
    expect((await device('POST', '/unlock', { headers: { origin: 'http://elsewhere.example' } })).status).toBe(403)
  })
  it('the machine itself needs no phrase', async () => {
    expect((await device('GET', '/api/builds', { from: 1 })).status).toBe(200)
  })
})

describe('the phrase', () => {
  it('has five words of 128, none of which is like another in its first four letters', () => {
    expect(new Set(WORDS.map((w) => w.slice(0, 4))).size).toBe(128)
    expect(newPhrase().split(' ')).toHaveLength(5)
    expect(new Set(Array.from({ length: 50 }, newPhrase)).size).toBe(50)
  })
})

it('what is shown holds the address and, read by another program, the code is that address', async () => {
  const said = await announcement(4780, { made: 'maple screw lamp' })
  const url = /http:\/\/[\d.]+:4780/.exec(said)?.[0]
  if (!url) return expect(said).toMatch(/is on no network/)
  expect(said).toContain('maple screw lamp')
  // Every character of the code is two rows of modules, black ink on white.
  const rows = said
    .split('\n')
    .filter((l) => l.startsWith('\u001b[47m\u001b[30m'))
    .map((l) => stripVTControlCharacters(l))
  const bits = rows.flatMap((l) => [[...l].map((c) => c !== '█' && c !== '▀'), [...l].map((c) => c !== '█' && c !== '▄')])
  const scale = 4
  const width = bits[0]!.length
  const pixels = new Uint8ClampedArray(bits.length * scale * width * scale * 4).fill(255)
  bits.forEach((row, y) =>
    row.forEach((light, x) => {
      for (let dy = 0; dy < scale; dy++)
        for (let dx = 0; dx < scale; dx++) {
          const at = ((y * scale + dy) * width * scale + x * scale + dx) * 4
          pixels.fill(light ? 255 : 0, at, at + 3)
        }
    }),
  )
  expect(jsqr(pixels, width * scale, bits.length * scale, { inversionAttempts: 'dontInvert' })?.data).toBe(url)
  for (const of of ['own', 'bench'] as const) expect(await announcement(4780, of)).not.toContain('pass-phrase:')
  expect(qrcode.create(url, { errorCorrectionLevel: 'L' }).modules.size).toBe(width - 8)
})
