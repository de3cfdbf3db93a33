import { createServer, type RequestListener, type Server } from 'node:http'
import type { Socket } from 'node:net'

/** Longest, ms, that a request may take to say what it wants, and to arrive as a whole: a build with its pictures over a slow line. [ours] */
const HEADERS = 10_000
const WHOLE = 300_000

/** A server that waits for nobody for ever, and answers also what is not even a request with a sentence. */
export function listener(app: RequestListener, { headers = HEADERS, whole = WHOLE, look = 2000 } = {}): Server {
  const server = createServer({ headersTimeout: headers, requestTimeout: whole, connectionsCheckingInterval: look }, app)
  server.on('clientError', refuse)
  return server
}

function refuse(error: NodeJS.ErrnoException, socket: Socket): void {
  if (!socket.writable) return
  const slow = error.code === 'ERR_HTTP_REQUEST_TIMEOUT'
  const status = slow ? 408 : 400
  const body = JSON.stringify({
    title: slow ? 'Too slow' : 'Not understood',
    status,
    detail: slow ? 'The request took too long to arrive. Nothing was changed.' : 'That is not a request a server can read.',
  })
  socket.end(
    `HTTP/1.1 ${status} ${slow ? 'Request Timeout' : 'Bad Request'}\r\ncontent-type: application/problem+json\r\ncontent-length: ${body.length}\r\nconnection: close\r\n\r\n${body}`,
  )
}
