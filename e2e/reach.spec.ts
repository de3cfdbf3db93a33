import type { Page } from '@playwright/test'
import { addressOf, PLACES } from './places'
import { copyOf, expect, test, walkTo } from './server'

test('where motion is not wanted, nothing moves', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  for (const station of Object.keys(PLACES)) {
    await walkOrGo(page, station)
    const moving = await page.evaluate(() =>
      [...document.querySelectorAll('*')]
        .filter((e) =>
          getComputedStyle(e)
            .transitionDuration.split(', ')
            .some((d) => parseFloat(d) > 0.001),
        )
        .map((e) => e.outerHTML.slice(0, 100)),
    )
    expect(moving, station).toEqual([])
    const running = await page.evaluate(() =>
      document
        .getAnimations()
        .filter((a) => Number(a.effect?.getComputedTiming().duration) > 1)
        .map((a) => a.playState),
    )
    expect(running, station).toEqual([])
  }
})

async function walkOrGo(page: Page, station: string): Promise<void> {
  const path = addressOf(station, '')
  await (page.url().includes('/builds/') ? walkTo(page, path) : page.goto(path))
  await expect(page.locator('.ws-hand').locator('h2, h3, p').first()).toBeVisible()
}

const inHand = (page: Page) => page.locator('.ws-hand').locator('h2, h3, p').first()
const rows = (page: Page) => page.locator('.ws-list li > button')

test('a thing in hand has an address of its own at every station, and the way back leads where one was', async ({ page, context }) => {
  const picked = page.locator('[role=tab][aria-selected=true]')
  for (const station of Object.keys(PLACES)) {
    await walkOrGo(page, station)
    // Back from a tab to the one before.
    const first = (await picked.textContent())!
    const other = page.locator('[role=tab]').filter({ hasNotText: first }).first()
    await other.click()
    await expect(other).toHaveAttribute('aria-selected', 'true')
    await page.goBack()
    await expect(picked).toHaveText(first)

    if ((await rows(page).count()) < 3) continue
    await rows(page).nth(2).click()
    await expect(page).toHaveURL(new RegExp(`/${station}/.+`))
    await expect(rows(page).nth(2)).toHaveAttribute('aria-current', 'true')
    const [address, named] = [page.url(), await inHand(page).textContent()]
    // By the address, in a window that was never there.
    const fresh = await context.newPage()
    await fresh.goto(address)
    await expect(inHand(fresh)).toHaveText(named!)
    await expect(rows(fresh).and(fresh.locator('[aria-current=true]'))).toBeInViewport()
    await fresh.close()
    // Away and back.
    await page.getByRole('navigation', { name: 'Stations' }).locator('a:not([aria-current])').first().click()
    await expect(page).not.toHaveURL(address)
    await page.goBack()
    await expect(page).toHaveURL(address)
    await expect(inHand(page)).toHaveText(named!)
  }
})

test('on a telephone the way back closes what lies over the list, and stays at the station', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 })
  await page.goto('/builds/heron/fit')
  await rows(page).nth(2).click()
  const back = page.getByRole('button', { name: 'Back to the list' })
  await expect(back).toBeVisible()
  const named = await inHand(page).textContent()
  await page.goBack()
  await expect(back).toHaveCount(0)
  await expect(page).toHaveURL(/\/fit\//)
  await expect(rows(page).nth(2)).toBeInViewport()
  await expect(inHand(page)).toHaveText(named!)
  // One thing after another over the list is one place to come back from.
  await rows(page).nth(3).click()
  await expect(back).toBeVisible()
  const third = await inHand(page).textContent()
  await page.keyboard.press('j')
  await expect(inHand(page)).not.toHaveText(third!)
  await expect(back).toBeVisible()
  await page.goBack()
  await expect(back).toHaveCount(0)
  await expect(page).toHaveURL(/\/fit\//)
  await expect(inHand(page)).toHaveText(third!)
  await rows(page).nth(3).click()
  await back.click()
  await expect(back).toHaveCount(0)
  await expect(page).toHaveURL(/\/fit\//)
})

test('of rings that overlap on a telephone the nearest to the finger takes it', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.setViewportSize({ width: 390, height: 800 })
  await page.goto(`/builds/${id}/drill?tab=outline`)
  await expect(page.locator('.handle').first()).toBeVisible()
  const under = await page.evaluate(() => {
    const middle = (g: Element) => {
      const box = g.querySelector('.handle-ring')!.getBoundingClientRect()
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 }
    }
    const rings = [...document.querySelectorAll('.handle')]
    rings[0]!.scrollIntoView({ block: 'center' })
    for (const ring of rings) {
      const at = middle(ring)
      const over = document.elementFromPoint(at.x, at.y)?.closest('.handle')
      const alone = rings.every((r) => r === ring || Math.hypot(middle(r).x - at.x, middle(r).y - at.y) > 4)
      if (over && over !== ring && alone) return { name: ring.getAttribute('aria-label')!, over: over.getAttribute('aria-label')!, ...at }
    }
    return undefined
  })
  expect(under).toBeDefined()
  const value = (name: string) => page.getByRole('slider', { name, exact: true }).getAttribute('aria-valuenow')
  const before = [await value(under!.name), await value(under!.over)]
  await page.mouse.move(under!.x, under!.y)
  await page.mouse.down()
  await page.mouse.move(under!.x, under!.y - 12, { steps: 4 })
  await page.mouse.up()
  await expect.poll(() => value(under!.name)).not.toBe(before[0])
  expect(await value(under!.over)).toBe(before[1])
})
