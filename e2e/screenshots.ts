import { fileURLToPath } from 'node:url'
import { join } from 'node:path'
import { expect, test } from './server'

const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))

const VIEWS: [file: string, path: string][] = [
  ['shelf', '/'],
  ['parts', '/builds/heron/parts'],
  ['dry-fit', '/builds/heron/fit/pocket-mouth'],
  ['drill', '/builds/heron/drill/tuner-screws'],
  ['wire', '/builds/heron/wire'],
  ['wire-harness', '/builds/heron/wire?tab=harness'],
  ['finish', '/builds/heron/finish'],
  ['finish-weather', '/builds/heron/finish?tab=calendar'],
  ['plan', '/builds/heron/plan'],
  ['log', '/builds/heron/log'],
]

test('pictures of the main views', async ({ page }) => {
  const shoot = async (file: string, path: string) => {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.waitForLoadState('networkidle')
    await page.evaluate(() => document.fonts.ready)
    // Curves come when the worker has them, charts when their code is read: until nothing changes any more.
    let before: Buffer | undefined
    await expect(async () => {
      await page.waitForTimeout(1500)
      const now = await page.screenshot({ path: join(folder, `${file}.png`) })
      const still = before?.equals(now)
      before = now
      expect(still).toBe(true)
    }).toPass()
  }
  for (const [file, path] of VIEWS) await shoot(file, path)
  // An instrument read once: turns of its screws, what it would hit, what a pitch says, where its vibrato rests.
  const read = async (path: string, entries: Record<string, string>) => {
    await page.goto(path)
    for (const [label, value] of Object.entries(entries)) {
      await page.getByRole('textbox', { name: label }).fill(value)
      await page.keyboard.press('Enter')
    }
    await expect(page.getByText('saving…')).toHaveCount(0)
  }
  await read('/builds/heron/setup/relief', { 'Relief at fret 8': '0.22' })
  await read('/builds/heron/setup/action', { 'Action at fret 12, bass': '1.9', 'Action at fret 12, treble': '1.75' })
  await shoot('set-up', '/builds/heron/setup/action')
  await read('/builds/heron/setup?tab=buzz', { 'fret 14': '0.16', 'Depth of a pluck, mm: 0.5 light, 0.8 usual, 1.5 hard': '1.2' })
  await shoot('set-up-buzz', '/builds/heron/setup?tab=buzz')
  await read('/builds/heron/setup?tab=intonation', { 'String 6, cents': '6', 'String 4, cents': '-4', 'String 1, cents': '3' })
  await shoot('set-up-pitch', '/builds/heron/setup?tab=intonation')
  await shoot('set-up-balance', '/builds/heron/setup?tab=vibrato')
  // A heavy peel about to be levelled.
  await page.goto('/builds/heron/finish?tab=sanding')
  await page.getByLabel('It looks').selectOption('relief')
  await page.getByRole('button', { name: /Try it 40,000 times/ }).click()
  await expect(page.getByText(/Of 40,000 instruments/)).toBeVisible()
  await page.screenshot({ path: join(folder, 'finish-sanding.png') })
  // An evening: what to do of it, one step at the bench, and the book it all ends in.
  await shoot('plan-tonight', '/builds/plover/plan?tab=tonight')
  await page.getByRole('button', { name: 'Bench view' }).click()
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(folder, 'plan-bench.png') })
  await page.goto('/builds/heron/log?tab=handover')
  const opened = page.context().waitForEvent('page')
  await page.getByRole('button', { name: 'Build book', exact: true }).click()
  const book = await opened
  await book.setViewportSize({ width: 1280, height: 800 })
  await expect(book.getByRole('heading', { name: 'What it is made of' })).toBeVisible()
  await book.screenshot({ path: join(folder, 'build-book.png') })
  await book.close()
  // A set chosen for three slots that are left open.
  for (const slot of ['guard', 'bridge', 'tuners']) {
    await page.goto(`/builds/heron/parts/${slot}`)
    await page.getByLabel('This slot').selectOption(slot === 'tuners' ? 'preferred' : 'open')
    await expect(page.getByText('saving…')).toHaveCount(0)
  }
  await page.goto('/builds/heron/parts?tab=choose')
  await page.getByRole('button', { name: 'Find sets' }).click()
  await expect(page.getByRole('heading', { name: 'Its joints' })).toBeVisible()
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(folder, 'parts-choose.png') })
  await page.keyboard.press('Escape')
  await page.goto('/')
  await page.keyboard.press('t')
})

test('pictures of the first hour, from a blank build', async ({ page }) => {
  const guide = fileURLToPath(new URL('../docs/guide/', import.meta.url))
  await page.goto('/')
  await page.getByLabel('Name').fill('First')
  await page.getByRole('radio', { name: /Strings through the body/ }).check({ force: true })
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await page.getByRole('radio', { name: 'on its way' }).first().click()
  for (const part of ['Nut', 'Strings']) await page.getByRole('button', { name: part, exact: true }).first().click()
  await expect(page.getByRole('region', { name: 'on its way' }).getByRole('button')).toHaveCount(2)
  await page.waitForTimeout(600)
  await page.screenshot({ path: join(guide, 'box.png') })
  await page.getByRole('button', { name: 'All here: measure' }).first().click()
  await expect(page.getByRole('region', { name: 'The size to read' }).getByRole('textbox')).toBeVisible()
  await page.waitForTimeout(600)
  await page.screenshot({ path: join(guide, 'measure.png') })
})
