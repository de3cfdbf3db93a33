import { fileURLToPath } from 'node:url'
import { join } from 'node:path'
import { expect, test } from './server'

const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))

const VIEWS: [file: string, path: string][] = [
  ['shelf', '/'],
  ['parts', '/builds/heron/parts'],
  ['dry-fit', '/builds/heron/fit/pocket-mouth'],
  ['drill', '/builds/heron/drill/tuner-screws'],
  ['drill-paper', '/builds/heron/drill/body-front?tab=templates'],
  ['wire', '/builds/heron/wire'],
  ['wire-harness', '/builds/heron/wire?tab=harness'],
  ['finish', '/builds/heron/finish'],
  ['finish-colours', '/builds/heron/finish?tab=colour'],
  ['finish-weather', '/builds/heron/finish?tab=calendar'],
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
  // A headstock laid out.
  await page.goto('/builds/heron/drill?tab=head')
  await page.getByRole('button', { name: 'Find the best row' }).click()
  await expect(page.getByRole('button', { name: 'Take this row' })).toBeEnabled()
  await page.screenshot({ path: join(folder, 'drill-headstock.png') })
  // A heavy peel about to be levelled, and the coat whose turn it is beside the can.
  await page.goto('/builds/heron/finish?tab=sanding')
  await page.getByLabel('It looks').selectOption('relief')
  await page.getByRole('button', { name: /Try it 40,000 times/ }).click()
  await expect(page.getByText(/Of 40,000 instruments/)).toBeVisible()
  await page.screenshot({ path: join(folder, 'finish-sanding.png') })
  await page.goto('/builds/plover/finish')
  await page
    .getByRole('button', { name: /^It is on: Wipe-on/ })
    .first()
    .click()
  await expect(page.getByText('saving…')).toHaveCount(0)
  await page.getByRole('button', { name: /^Bench view/ }).click()
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(folder, 'finish-bench.png') })
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
  // A kit just begun: its box, and its measuring round in a dusty hand.
  const answer = await page.request.post('/api/builds', {
    data: { name: 'Grebe', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-through' },
  })
  const { id } = (await answer.json()) as { id: string }
  await page.goto(`/builds/${id}/parts?tab=box`)
  await page.getByRole('button', { name: 'It is all here' }).click()
  await shoot('box', `/builds/${id}/parts/pickup-neck?tab=box`)
  await page.setViewportSize({ width: 390, height: 844 })
  await shoot('measure-phone', `/builds/${id}/parts?tab=measure`)
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.keyboard.press('Escape')
  await page.goto('/')
  await page.keyboard.press('t')
})
