import exifr from 'exifr'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { copyOf, expect, saved, test } from './server'
import { pictureOf } from './telephonePicture'

test('a picture is written down, made small, without its place, and stays with its entry', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/log`)
  const taken = await pictureOf(page)
  expect(await exifr.gps(taken)).toMatchObject({ latitude: 51.5 })
  await page.getByLabel('Picture for the log').setInputFiles({ name: 'pocket.jpg', mimeType: 'image/jpeg', buffer: taken })
  await expect(page.getByAltText(/Picture to go along/)).toBeVisible()
  await page.getByLabel(/^What happened/).fill('Before the strip-down')
  await page.getByRole('button', { name: 'Write it down', exact: true }).click()
  const shown = page.getByAltText('Picture: Before the strip-down')
  await expect(shown).toBeVisible()
  await expect.poll(() => shown.evaluate((i: HTMLImageElement) => [i.naturalWidth, i.naturalHeight])).toEqual([1800, 1350])
  const kept = Buffer.from(await (await fetch(`${server}${await shown.getAttribute('src')}`)).arrayBuffer())
  expect(kept.length).toBeLessThan(0.75 * taken.length)
  expect(await exifr.gps(kept)).toBeUndefined()
})

test('a small picture goes as it is, and its place is taken out by the server', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/log`)
  const small = await page.evaluate(async () => {
    const canvas = document.createElement('canvas')
    canvas.width = canvas.height = 300
    canvas.getContext('2d')!.fillRect(20, 20, 90, 200)
    const blob = await new Promise<Blob>((done) => canvas.toBlob((b) => done(b!), 'image/jpeg'))
    return [...new Uint8Array(await blob.arrayBuffer())]
  })
  const place = readFileSync(fileURLToPath(new URL('place.exif', import.meta.url)))
  const buffer = Buffer.concat([Buffer.from(small.slice(0, 2)), place, Buffer.from(small.slice(2))])
  await page.getByLabel('Picture for the log').setInputFiles({ name: 'knob.jpg', mimeType: 'image/jpeg', buffer })
  await page.getByRole('button', { name: 'Write it down', exact: true }).click()
  const shown = page.getByAltText('Picture: A picture')
  await expect(shown).toBeVisible()
  const kept = Buffer.from(await (await fetch(`${server}${await shown.getAttribute('src')}`)).arrayBuffer())
  // Byte for byte what the browser drew: only the place is gone.
  expect(Buffer.compare(kept, Buffer.from(small))).toBe(0)
})

test('five thousand entries scroll, and a word finds one of them', async ({ page, server }) => {
  const bundle = (await (await fetch(`${server}/api/builds/heron/bundle`)).json()) as object
  const log = Array.from({ length: 5000 }, (_, i) => ({
    id: `e${i}`,
    at: new Date(Date.UTC(2025, 0, 1) + i * 3_600_000).toISOString(),
    kind: 'note',
    text: i === 17 ? 'the shim of walnut' : `entry number ${i}`,
  }))
  const answer = await fetch(`${server}/api/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...bundle, log }),
  })
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`/builds/${id}/log`)
  const rows = page.getByTestId('log-rows')
  await expect(rows.getByText('entry number 4999')).toBeVisible()
  expect(await rows.getByRole('button').count()).toBeLessThan(60)
  await rows.evaluate((e) => e.scrollTo(0, e.scrollHeight))
  await expect(rows.getByText('entry number 0', { exact: true })).toBeVisible()
  expect(await rows.getByRole('button').count()).toBeLessThan(60)
  await page.getByLabel('Search the log').fill('walnut shim')
  await expect(rows.getByRole('button')).toHaveCount(1)
  await expect(rows.getByText('the shim of walnut')).toBeVisible()
})

test('an earlier state is looked at and brought back, and that can be taken back too', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/plan/solder`)
  const hand = page.getByRole('region', { name: 'In hand' })
  await page.goto(`/builds/${id}/setup/relief`)
  for (const value of ['0.31', '0.22']) {
    await hand.getByLabel('Relief at fret 8').fill(value)
    await page.keyboard.press('Enter')
    await saved(page)
  }
  await page.goto(`/builds/${id}/log?tab=changes`)
  const rows = page.getByTestId('change-rows').getByRole('button')
  await expect(rows).toHaveCount(2)
  await rows.nth(1).click()
  await expect(hand.getByRole('region', { name: 'What it did' })).toContainText('0.31')
  await expect(hand.getByRole('region', { name: 'What going back there would change' })).toContainText('0.22')
  await hand.getByRole('button', { name: /Bring it back/ }).click()
  await expect(rows).toHaveCount(3)
  await page.goto(`/builds/${id}/setup/relief`)
  await expect(hand.getByLabel('Relief at fret 8')).toHaveValue('0.31')
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(hand.getByLabel('Relief at fret 8')).toHaveValue('0.22')
})

test('handed over with its known faults, and taken in again', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/log?tab=handover`)
  const hand = page.getByRole('region', { name: 'In hand' })
  await hand.getByLabel('Who it goes to').fill('its player')
  await hand.getByRole('button', { name: /^Handed over/ }).click()
  await expect(hand.getByText(/to its player, with \d+ known to be open/)).toBeVisible()
  await hand.getByLabel(/next test showed/).fill('a dead note at fret 14')
  await hand.getByRole('button', { name: 'Take it in again' }).click()
  await expect(hand.getByText(/Taken in again on .*: a dead note at fret 14/)).toBeVisible()
  await saved(page)
})
