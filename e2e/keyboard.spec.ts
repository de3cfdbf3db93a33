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

test('tabs are one stop: arrows, Home and End walk in them, and the focus stays on the one that is open', async ({ page }) => {
  await page.goto('/builds/heron/wire')
  const tab = (name: string) => page.getByRole('tab', { name, exact: true })
  await expect(tab('Positions')).toHaveAttribute('aria-selected', 'true')
  await tab('Positions').focus()
  for (const [key, name] of [
    ['ArrowRight', 'Wiring'],
    ['ArrowRight', 'Harness'],
    ['ArrowLeft', 'Wiring'],
    ['End', 'What have I got'],
    ['ArrowRight', 'Positions'],
    ['ArrowLeft', 'What have I got'],
    ['Home', 'Positions'],
  ] as const) {
    await page.keyboard.press(key)
    await expect(tab(name)).toHaveAttribute('aria-selected', 'true')
    await expect(tab(name)).toBeFocused()
    await expect(page.locator('[role=tab][tabindex="0"]')).toHaveText(name)
  }
  await page.keyboard.press('Shift+Tab')
  await expect(page.getByRole('tab').and(page.locator(':focus'))).toHaveCount(0)
})

test('letters, numbers and signs pressed alone can be put off; what has keys of its own, and Ctrl Z, stay', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  const row = page.locator('.ws-list [aria-current=true]')
  await expect(row).toBeVisible()
  const inches = page.getByRole('button', { name: /^inches|^in:/ })
  await page.keyboard.press('?')
  const keys = page.getByRole('dialog', { name: 'Keys' })
  await keys.getByRole('checkbox').uncheck()
  await page.keyboard.press('Escape')
  await expect(keys).toHaveCount(0)
  for (const key of ['u', '5', '/', '?', 'l', 'j']) await page.keyboard.press(key)
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(inches).toHaveCount(0)
  await expect(page).toHaveURL(/fit\/pocket-mouth$/)
  const first = await row.textContent()
  await row.focus()
  await page.keyboard.press('ArrowDown')
  await expect(row).not.toHaveText(first!)
  await page.reload()
  await expect(row).toBeVisible()
  await page.keyboard.press('u')
  await expect(inches).toHaveCount(0)
  await page.getByRole('button', { name: /all keys/ }).click()
  await keys.getByRole('checkbox').check()
  await page.keyboard.press('Escape')
  await page.keyboard.press('u')
  await expect(inches).toHaveCount(1)
})

test('the window is called by where one is', async ({ page }) => {
  await page.goto('/')
  await expect(page).toHaveTitle('Shelf · Snug Bolt')
  await page.getByRole('link', { name: /Heron/ }).first().click()
  await expect(page).toHaveTitle('Dry fit · Heron · Snug Bolt')
  await page.keyboard.press('4')
  await expect(page).toHaveTitle('Wire · Heron · Snug Bolt')
  await page.goBack()
  await expect(page).toHaveTitle('Dry fit · Heron · Snug Bolt')
})

test('what is gone by being pressed leaves the focus to what is nearest', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  const hand = page.getByRole('region', { name: 'In hand' })
  const pressed = async (name: string) => {
    const button = hand.getByRole('button', { name, exact: true })
    await button.first().focus()
    await page.keyboard.press('Enter')
  }
  await page.goto(`/builds/${id}/parts/body`)
  await pressed('Forget Pocket depth')
  await expect(hand.getByRole('button', { name: 'Forget Pocket depth', exact: true })).toHaveCount(0)
  await expect(hand.locator(':focus')).toHaveCount(1)
  await walkTo(page, `/builds/${id}/fit/pocket-mouth`)
  await expect(hand.getByRole('heading', { level: 2 })).toContainText('Heel in pocket')
  await pressed('Do it on paper')
  await expect(hand.getByText(/^On paper:/)).toBeVisible()
  await expect(hand.locator(':focus')).toHaveCount(1)
  await pressed('Rub it out')
  await expect(hand.getByText(/^On paper:/)).toHaveCount(0)
  await expect(hand.locator(':focus')).toHaveCount(1)
  // Nothing is left to be taken back: the button is out of use and stays so.
  const undo = page.getByRole('button', { name: 'Undo (Ctrl+Z)' })
  await undo.focus()
  await expect(async () => {
    if (await undo.isEnabled()) await page.keyboard.press('Enter')
    await expect(undo).toBeDisabled({ timeout: 500 })
  }).toPass()
  await expect(page.getByRole('button', { name: 'Redo (Ctrl+Shift+Z)' })).toBeFocused()
})
