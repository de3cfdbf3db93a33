import express from 'express'
import { once } from 'node:events'
import type { Server } from 'node:http'
import { connect, type AddressInfo, type Socket } from 'node:net'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { listener } from './listener'

let server: Server
const sockets: Socket[] = []
beforeEach(async () => {
  const app = express().use(express.json())
  app.all('/{*path}', (_req, res) => void res.json({ ok: true }))
  server = listener(app, { headers: 150, whole: 400, look: 50 })
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
})
afterEach(() => {
  for (const socket of sockets) socket.destroy()
  server.close()
})

function caller(): Socket {
  const socket = connect((server.address() as AddressInfo).port, '127.0.0.1')
  socket.on('error', () => undefined)
  sockets.push(socket)
  return socket
}
/** All that is said until the line is closed. */
async function heard(socket: Socket): Promise<string> {
  let said = ''
  socket.on('data', (chunk: Buffer) => (said += chunk.toString()))
  await once(socket, 'close')
  return said
}

describe('who is slow on purpose', () => {
  it('with the head of a request, or its body, is told so and let go', async () => {
    const head = caller()
    head.write('GET /api/builds HTTP/1.1\r\nHost: localhost\r\nX-Slow: ')
    const body = caller()
    body.write('POST /api/builds HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 5000\r\n\r\n{"name":')
    for (const said of await Promise.all([heard(head), heard(body)])) {
      expect(said).toMatch(/^HTTP\/1\.1 408 /)
      expect(said).toMatch(/took too long to arrive\. Nothing was changed\./)
    }
  })
  it('a hundred of them hold nobody else up', async () => {
    for (let n = 0; n < 100; n++) caller().write('POST /api/builds HTTP/1.1\r\nHost: localhost\r\nContent-Length: 9\r\n\r\n{')
    const { port } = server.address() as AddressInfo
    expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200)
  })
  it('what is no request at all is answered with a sentence', async () => {
    const socket = caller()
    socket.write('BREW coffee\r\n\r\n')
    expect(await heard(socket)).toMatch(/^HTTP\/1\.1 400 [\s\S]*not a request a server can read/)
  })
})
