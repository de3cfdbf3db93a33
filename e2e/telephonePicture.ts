import type { Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

/** A telephone's picture of 2400 x 1800 pixels, drawn by the browser itself, with a place written into it as cameras do. */
export async function pictureOf(page: Page): Promise<Buffer> {
  const drawn = await page.evaluate(async () => {
    const canvas = document.createElement('canvas')
    canvas.width = 2400
    canvas.height = 1800
    const pen = canvas.getContext('2d')!
    for (let y = 0; y < 1800; y += 12)
      for (let x = 0; x < 2400; x += 12) {
        pen.fillStyle = `hsl(${(x * y) % 360} 60% ${30 + ((x + y) % 40)}%)`
        pen.fillRect(x, y, 12, 12)
      }
    // As text: a list of a million numbers takes seconds to hand over.
    return canvas.toDataURL('image/jpeg', 0.95).split(',')[1]!
  })
  const bytes = Buffer.from(drawn, 'base64')
  const place = readFileSync(fileURLToPath(new URL('place.exif', import.meta.url)))
  return Buffer.concat([bytes.subarray(0, 2), place, bytes.subarray(2)])
}
