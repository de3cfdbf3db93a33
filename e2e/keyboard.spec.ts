import { addressOf, PLACES } from './places'
import { copyOf, expect, test, walkTo } from './server'

test('turning a knob by arrow keys turns the knob and nothing else', async ({ page }) => {
  await page.goto('/builds/heron/wire')
  const hand = page.getByRole('region', { name: 'In hand' })
  const heading = hand.getByRole('heading', { level: 2 })
  await expect(heading).toContainText('Position 1:')
  const knob = hand.getByRole('slider', { name: 'volume' })
  await knob.focus()
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowUp']) await page.keyboard.press(key)
  await expect(knob).toHaveAttribute('aria-valuenow', '9.5')
  await expect(knob).toBeFocused()
  await expect(heading).toContainText('Position 1:')
  await page.keyboard.press('j')
  await expect(heading).toContainText('Position 2:')
})

test('a sheet that closes gives the focus back to where it was', async ({ page }) => {
  await page.goto('/builds/heron/fit')
  const row = page.locator('.ws-list [aria-current=true]')
  await expect(row).toBeVisible()
  await page.keyboard.press('j')
  await expect(row).toBeFocused()
  const title = await row.textContent()
  for (const [key, name] of [
    ['?', 'Keys'],
    ['/', 'Find'],
    ['l', 'Quick log'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(page.getByRole('dialog', { name })).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
    await expect(row).toBeFocused()
    expect(await row.textContent()).toBe(title)
  }
  const find = page.getByRole('button', { name: /find/ })
  await find.click()
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(find).toBeFocused()
})

test('Enter at a joint goes to its first size, and Escape back', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  await expect(page.getByRole('region', { name: 'In hand' }).locator('[data-size]').first()).toBeVisible()
  const row = page.locator('.ws-list [aria-current=true]')
  await row.focus()
  await page.keyboard.press('Enter')
  await expect(page.locator('.ws-hand [data-size] input').first()).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(row).toBeFocused()
})

test('skip links lead past the frame at every station, and its list is one stop', async ({ page }) => {
  await page.goto(addressOf('parts', ''))
  await expect(page.locator('.ws-hand').locator('h2, p').first()).toBeVisible()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'Skip to the list' })).toBeFocused()
  for (const station of Object.keys(PLACES)) {
    await walkTo(page, addressOf(station, ''))
    await expect(page.locator('.ws-hand').locator('h2, p').first()).toBeVisible()
    await page.getByRole('button', { name: 'Skip to the list' }).focus()
    await page.keyboard.press('Enter')
    await expect(page.locator('.ws-list :focus, .ws-list:focus'), station).toHaveCount(1)
    await page.getByRole('button', { name: 'Skip to the thing in hand' }).focus()
    await page.keyboard.press('Enter')
    await expect(page.locator('.ws-hand')).toBeFocused()
    const stops = await page
      .locator('.ws-list li > button')
      .evaluateAll((all) => all.filter((e) => (e as HTMLElement).tabIndex >= 0).length)
    expect(stops, station).toBeLessThanOrEqual(1)
  }
})

test('the finder shows its best hit, however far down the list it stood', async ({ page }) => {
  await page.goto('/builds/heron/parts')
  await expect(page.getByRole('region', { name: 'In hand' }).getByRole('heading').first()).toBeVisible()
  await page.keyboard.press('/')
  await page.keyboard.type('neck s', { delay: 60 })
  const first = page.getByRole('option').first()
  await expect(first).toContainText('Neck screws: Four screws with plate')
  await expect(first).toHaveAttribute('data-selected', 'true')
  await expect(first).toBeInViewport()
})
