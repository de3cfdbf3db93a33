import { crc32, deflateSync } from 'node:zlib'

/** A grey PNG of that many pixels; its checksums are right, so that any reader takes it. @param extra a further chunk's name and text */
export function png(width: number, height: number, extra?: [name: string, text: string]): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data])
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)]
    length.writeUInt32BE(data.length)
    sum.writeUInt32BE(crc32(body))
    return Buffer.concat([length, body, sum])
  }
  const head = Buffer.alloc(13)
  head.writeUInt32BE(width, 0)
  head.writeUInt32BE(height, 4)
  head.set([8, 0, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk('IHDR', head),
    ...(extra ? [chunk(extra[0], Buffer.from(extra[1]))] : []),
    chunk('IDAT', deflateSync(Buffer.alloc(Math.min(height, 300) * (width + 1)))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}
