import { fileURLToPath } from 'node:url'
import { join } from 'node:path'
import { expect, test } from './server'

const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))

const VIEWS: [file: string, path: string][] = [
  ['shelf', '/'],
  ['parts', '/builds/heron/parts'],
  ['dry-fit', '/builds/heron/fit/pocket-mouth'],
  ['drill', '/builds/heron/drill'],
  ['wire', '/builds/heron/wire'],
  ['finish', '/builds/heron/finish'],
  ['set-up', '/builds/heron/setup/action'],
  ['plan', '/builds/heron/plan'],
  ['log', '/builds/heron/log'],
]

test('pictures of the main views', async ({ page }) => {
  const shoot = async (file: string, path: string) => {
    await page.goto(path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.waitForLoadState('networkidle')
    await page.evaluate(() => document.fonts.ready)
    await page.waitForTimeout(600)
    await page.screenshot({ path: join(folder, `${file}.png`) })
  }
  for (const [file, path] of VIEWS) await shoot(file, path)
  await page.keyboard.press('t')
  await shoot('dry-fit-dark', '/builds/heron/fit/guard-openings')
})
