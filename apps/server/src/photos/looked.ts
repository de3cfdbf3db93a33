import { imageSize } from 'image-size'
import { HttpProblem } from '../http/problem'
import { stripped } from './stripped'

/** Pixels a picture may have: what a browser can still work on. */
const MEGAPIXELS = 40

const TYPES = { jpg: 'image/jpeg', png: 'image/png' } as const

export interface Looked {
  type: 'image/jpeg' | 'image/png'
  width: number
  height: number
  /** The picture as it is kept: without place, time and camera. */
  bytes: Uint8Array
}

/** What a picture is, by its own bytes and not by what the sender calls it. */
export function looked(bytes: Uint8Array): Looked {
  let seen: { type?: string; width?: number; height?: number; orientation?: number }
  try {
    seen = imageSize(bytes)
  } catch {
    throw broken()
  }
  const type = TYPES[seen.type as keyof typeof TYPES]
  const { width = 0, height = 0, orientation } = seen
  if (!type) throw new HttpProblem(422, `A ${seen.type ?? 'file of that kind'} is not taken in: a JPEG or a PNG is wanted.`)
  if (width < 100 || height < 100)
    throw new HttpProblem(422, `A picture of ${width} x ${height} pixels shows too little to measure; 100 each way are the least.`)
  if (width * height > MEGAPIXELS * 1e6)
    throw new HttpProblem(
      422,
      `A picture of ${width} x ${height} pixels, ${Math.round((width * height) / 1e6)} million, is too large: at most ${MEGAPIXELS} million. Save it smaller and try again.`,
    )
  const kept = stripped(type, bytes, orientation)
  if (!kept) throw broken()
  return { type, width, height, bytes: kept }
}

const broken = () =>
  new HttpProblem(422, 'That is no picture this can read, or it is broken: a JPEG or a PNG is wanted. Nothing was taken in.')
