import { copyOf, expect, test } from './server'

test('a station that fails leaves the others alive', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  const broken = `export default () => { throw new Error('no such hole') }`
  await page.route('**/assets/DrillStation-*.js', (r) => r.fulfill({ contentType: 'text/javascript', body: broken }))
  await page.goto(`/builds/${id}/drill`)
  const trouble = page.getByRole('alert')
  await expect(trouble.getByRole('heading', { name: 'Drill cannot be worked out' })).toBeVisible()
  await expect(page.getByText('no such hole')).toBeHidden()
  const [download] = await Promise.all([page.waitForEvent('download'), trouble.getByRole('link', { name: 'Save it as a bundle' }).click()])
  expect(download.suggestedFilename()).toMatch(/\.json$/)
  for (const [station, region] of [
    ['Wire', 'In hand'],
    ['Plan', 'Steps in order'],
  ] as const) {
    await page
      .getByRole('navigation', { name: 'Stations' })
      .getByRole('link', { name: new RegExp(station) })
      .click()
    await expect(page.getByRole('region', { name: region })).toBeVisible()
    await expect(trouble).toHaveCount(0)
  }
})

test('a station that does not arrive is fetched with the page again', async ({ page }) => {
  await page.route('**/assets/DrillStation-*.js', (r) => r.abort())
  await page.goto('/builds/heron/drill')
  await expect(page.getByRole('heading', { name: 'Drill could not be fetched' })).toBeVisible()
  await page.unroute('**/assets/DrillStation-*.js')
  await page.getByRole('button', { name: 'Load the page again' }).click()
  await expect(page.getByRole('region', { name: 'In hand' })).toBeVisible()
})

test('a shelf that does not arrive is fetched with the page again', async ({ page }) => {
  await page.route('**/assets/Shelf-*.js', (r) => r.abort())
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'The shelf could not be fetched' })).toBeVisible()
  await page.unroute('**/assets/Shelf-*.js')
  await page.getByRole('button', { name: 'Load the page again' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Snug Bolt' })).toBeVisible()
})
