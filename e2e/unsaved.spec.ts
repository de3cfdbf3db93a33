import { copyOf, expect, saved, test } from './server'
import { pictureOf } from './telephonePicture'
import type { Page } from '@playwright/test'

const field = (page: Page, label: string) => page.getByRole('region', { name: 'In hand' }).getByLabel(label, { exact: true })
const type = async (page: Page, label: string, value: string) => {
  await field(page, label).fill(value)
  await field(page, label).press('Enter')
}
const POCKET = 'Pocket width, mouth'
const HEEL = 'Heel width, at the pocket mouth'

test('two windows, different sizes: merged without a question, each hears of the other', async ({ page, context, server }) => {
  const id = await copyOf(server, 'heron')
  const other = await context.newPage()
  for (const p of [page, other]) await p.goto(`/builds/${id}/fit/pocket-mouth`)
  await type(page, POCKET, '56.3')
  await saved(page)
  await expect(field(other, POCKET)).toHaveValue('56.3')
  await type(other, HEEL, '56.2')
  await expect(field(page, HEEL)).toHaveValue('56.2')
  for (const p of [page, other]) await expect(p.getByRole('dialog')).toHaveCount(0)
})

test('every station opens and works while the server is away; what was done is sent when it is back', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  await expect(field(page, POCKET)).toHaveValue('56.1')
  // The other stations come by themselves in a quiet moment.
  await page.waitForFunction(() => performance.getEntriesByType('resource').some((e) => e.name.includes('LogStation')))
  await page.route('**/*', (r) => r.abort())
  await type(page, POCKET, '56.3')
  for (const station of ['Parts', 'Drill', 'Wire', 'Finish', 'Set up', 'Plan', 'Log', 'Dry fit']) {
    await page
      .getByRole('navigation', { name: 'Stations' })
      .getByRole('link', { name: new RegExp(`${station}$`) })
      .click()
    await expect(page.locator('.ws-list')).toContainText(/\w/)
    await expect(page.getByText('Fetching the station')).toHaveCount(0)
    await expect(page.getByRole('alert')).toHaveCount(0)
  }
  await expect(page.getByRole('contentinfo')).toContainText('One change not saved yet, kept in this browser')
  await page.unroute('**/*')
  await expect
    .poll(async () => {
      const { build } = (await (await fetch(`${server}/api/builds/${id}`)).json()) as {
        build: { parts: { body: { sizes: Record<string, { value: number }> } } }
      }
      return Object.values(build.parts.body.sizes).some((s) => s.value === 56.3)
    })
    .toBe(true)
})

test('the same size in both: asked once, with both values', async ({ page, context, server }) => {
  const id = await copyOf(server, 'heron')
  const other = await context.newPage()
  for (const p of [page, other]) await p.goto(`/builds/${id}/fit/pocket-mouth`)
  await expect(field(page, POCKET)).toHaveValue('56.1')
  await page.route('**/changes', (r) => r.abort())
  await type(page, POCKET, '56.3')
  await expect(page.getByRole('contentinfo')).toContainText('One change not saved yet')
  await type(other, POCKET, '56.2')
  await saved(other)
  await page.unroute('**/changes')
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('56.3')
  await expect(dialog).toContainText('56.2')
  // Each with when it was taken.
  await expect(dialog.getByText(/^\w{3} \d+ \w{3}, \d\d:\d\d$/)).toHaveCount(2)
  await dialog.getByRole('button', { name: 'Put mine on top' }).click()
  await expect(field(other, POCKET)).toHaveValue('56.3')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test('what was typed while the server was away is there after a reload, and saved when it answers', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  await expect(field(page, POCKET)).toHaveValue('56.1')
  await page.route('**/changes', (r) => r.abort())
  await type(page, POCKET, '56.3')
  await expect(page.getByRole('contentinfo')).toContainText('One change not saved yet, kept in this browser')
  await page.reload()
  await expect(field(page, POCKET)).toHaveValue('56.3')
  // Another build meanwhile shows its own sizes.
  await page.goto('/builds/plover/fit')
  await page.unroute('**/changes')
  await page.reload()
  await expect
    .poll(async () => {
      const answer = (await (await fetch(`${server}/api/builds/${id}`)).json()) as {
        build: { parts: { body: { sizes: Record<string, { value: number }> } } }
      }
      return answer.build.parts.body.sizes['pocket.widthMouth']!.value
    })
    .toBe(56.3)
})

test('what is written into the log while the server is away waits, also over a reload, and is there once it answers', async ({
  page,
  server,
}) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/log`)
  const words = page.getByRole('textbox', { name: 'What happened' }).first()
  await page.route('**/log', (r) => (r.request().method() === 'POST' ? r.abort() : r.continue()))
  await words.fill('Pocket eased by lamp light')
  await page.getByRole('button', { name: 'Write it down' }).first().click()
  await expect(words).toHaveValue('')
  const waits = page.getByRole('list', { name: 'Waits for the server' })
  await expect(waits).toContainText('Pocket eased by lamp light')
  await page.reload()
  await expect(waits).toContainText('Pocket eased by lamp light')
  await page.unroute('**/log')
  await page.reload()
  await expect(page.getByRole('button', { name: /Pocket eased by lamp light/ })).toHaveCount(1)
  await expect(waits).toHaveCount(0)
})

test('a picture taken while the server is away waits with its words, also over a reload, and is there once it answers; one refused is given back', async ({
  page,
  server,
}) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/log`)
  const taken = await pictureOf(page)
  const write = async (text: string) => {
    await page.getByLabel('Picture for the log').setInputFiles({ name: 'pocket.jpg', mimeType: 'image/jpeg', buffer: taken })
    await expect(page.getByAltText(/Picture to go along/)).toBeVisible()
    await page.getByLabel(/^What happened/).fill(text)
    await page.getByRole('button', { name: 'Write it down', exact: true }).click()
    await expect(page.getByAltText(/Picture to go along/)).toHaveCount(0)
  }
  const waits = page.getByRole('list', { name: 'Waits for the server' })
  await page.route(/photos/, (r) => (r.request().method() === 'POST' ? r.abort() : r.continue()))
  await write('Pocket floor before easing')
  await page.reload()
  await expect(waits).toContainText('waits with its picture')
  await page.unroute(/photos/)
  await page.reload()
  await page.getByRole('button', { name: /Pocket floor before easing/ }).click()
  const shown = page.getByAltText('Picture: Pocket floor before easing')
  await expect(shown).toBeVisible()
  await expect(waits).toHaveCount(0)
  // It lies within its pane, and on nothing beside it.
  const [pane, box] = await Promise.all([page.locator('.ws-loupe').boundingBox(), shown.boundingBox()])
  expect(box!.y + box!.height).toBeLessThanOrEqual(pane!.y + pane!.height)
  expect(box!.width / box!.height).toBeCloseTo(2400 / 1800, 1)

  await page.route(/photos/, (r) => (r.request().method() === 'POST' ? r.abort() : r.continue()))
  await write('One too many')
  await page.unroute(/photos/)
  const detail = 'A build keeps at most 80 pictures.'
  await page.route(/photos/, (r) => (r.request().method() === 'POST' ? r.fulfill({ status: 422, json: { detail } }) : r.continue()))
  await page.reload()
  await expect(waits).toContainText(`Its picture was not taken: ${detail}`)
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the picture' }).click()
  expect((await saving).suggestedFilename()).toBe('pocket.jpg')
  if (process.env.LOOK) await page.screenshot({ path: process.env.LOOK })
  await page.getByRole('button', { name: 'Send the words alone' }).click()
  await expect(page.getByRole('button', { name: /One too many/ })).toHaveCount(1)
  await expect(waits).toHaveCount(0)
})
