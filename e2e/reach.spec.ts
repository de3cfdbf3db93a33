import type { Page } from '@playwright/test'
import { addressOf, PLACES, throughTabs } from './places'
import { expect, test, walkTo } from './server'

/** What is to be pressed or typed in, and cannot be brought before the finger; and whether the page is wider than its window. */
const outOfReach = (page: Page) =>
  page.evaluate(() => {
    const bad: string[] = []
    if (document.documentElement.scrollWidth > innerWidth) bad.push(`the page is ${document.documentElement.scrollWidth} wide`)
    const within = (x: number, most: number) => Math.min(Math.max(x, 1), most - 1)
    for (const e of document.querySelectorAll<HTMLInputElement>('button, a[href], input, select, textarea, [role=slider]')) {
      const style = getComputedStyle(e)
      if (!e.checkVisibility({ opacityProperty: true, visibilityProperty: true }) || style.pointerEvents === 'none') continue
      e.scrollIntoView({ block: 'center', inline: 'center' })
      const box = e.getBoundingClientRect()
      // Only read out, such as the links that lead past the frame.
      if (box.width <= 2 || box.height <= 2 || style.clipPath !== 'none') continue
      const at = { x: within(box.x + box.width / 2, innerWidth), y: within(box.y + box.height / 2, innerHeight) }
      const hit = document.elementFromPoint(at.x, at.y)
      const label = hit?.closest('label')
      if (!hit || !(e.contains(hit) || hit.contains(e) || (label && [...(e.labels ?? [])].includes(label))))
        bad.push(
          `“${(e.getAttribute('aria-label') ?? e.innerText) || e.name}” at ${Math.round(box.x)},${Math.round(box.y)} lies under ${hit?.outerHTML.slice(0, 90)}`,
        )
    }
    return bad
  })

/** Inks of drawings that are none of the system's own colours. */
const foreignInks = (page: Page) =>
  page.evaluate(() => {
    const probe = document.createElement('i')
    probe.style.setProperty('forced-color-adjust', 'none')
    document.body.append(probe)
    const own = new Set(['none', 'rgba(0, 0, 0, 0)'])
    for (const name of [
      'Canvas',
      'CanvasText',
      'Highlight',
      'HighlightText',
      'LinkText',
      'GrayText',
      'ButtonText',
      'ButtonFace',
      'ButtonBorder',
    ]) {
      probe.style.color = name
      own.add(getComputedStyle(probe).color)
    }
    probe.remove()
    const found = new Set<string>()
    for (const e of document.querySelectorAll(
      'svg:not([data-shows-colour]) :is(path, circle, rect, line, polygon, polyline, ellipse, text)',
    )) {
      const { fill, stroke } = getComputedStyle(e)
      for (const ink of [fill, stroke]) if (!own.has(ink) && !ink.startsWith('url')) found.add(`${e.outerHTML.slice(0, 100)} is ${ink}`)
    }
    return [...found].slice(0, 5)
  })

/** What is picked and is not told from what is not by a line round it. */
const pickedUnseen = (page: Page) =>
  page.evaluate(() => {
    const line = (e: Element) => parseFloat(getComputedStyle(e).outlineWidth)
    const picked = [...document.querySelectorAll('[role=tab][aria-selected=true], li > button[aria-current=true], [aria-pressed=true]')]
    const others = [...document.querySelectorAll('[role=tab][aria-selected=false], li > button:not([aria-current]), [aria-pressed=false]')]
    return [
      ...picked.filter((e) => line(e) < 3).map((e) => `picked: ${e.outerHTML.slice(0, 100)}`),
      ...others.filter((e) => e !== document.activeElement && line(e) >= 3).map((e) => `not picked: ${e.outerHTML.slice(0, 100)}`),
    ].slice(0, 5)
  })

/** What a screen reader is led by and has no name, and headings that leave a level out. */
const unnamed = (page: Page) =>
  page.evaluate(() => {
    const bad: string[] = []
    const one = (selector: string) => {
      const count = document.querySelectorAll(selector).length
      if (count !== 1) bad.push(`${count} of ${selector}`)
    }
    for (const landmark of ['h1', 'main', 'footer', 'nav[aria-label=Stations]', '[role=tablist][aria-label]', '[aria-label="In hand"]'])
      one(landmark)
    const named = (e: Element) =>
      e.getAttribute('aria-label') ?? e.getAttribute('aria-labelledby') ?? e.querySelector('caption, legend, title')?.textContent
    for (const e of document.querySelectorAll('table, fieldset, [role=img], [role=group], [role=tablist], [role=slider], dialog'))
      if (!named(e)) bad.push(`no name: ${e.outerHTML.slice(0, 110)}`)
    for (const e of document.querySelectorAll('table')) if (!e.querySelector('th')) bad.push(`no headings: ${e.outerHTML.slice(0, 110)}`)
    let level = 0
    for (const h of document.querySelectorAll('h1, h2, h3, h4, h5')) {
      const mine = Number(h.tagName[1])
      if (mine > level + 1) bad.push(`${h.tagName} “${h.textContent}” after H${level}`)
      level = mine
    }
    return bad.slice(0, 8)
  })

const FULL = { width: 1280, height: 800 }
const WINDOWS = { 'on a telephone': { width: 390, height: 800 }, 'at 200 %': { width: 640, height: 400 } }

for (const station of Object.keys(PLACES))
  test(`${station}, on every tab: in reach on a telephone and at 200 %, in the system’s own colours, and to a screen reader`, async ({
    page,
  }) => {
    await throughTabs(page, station, async (tab) => {
      expect.soft(await unnamed(page), tab).toEqual([])
      await page.emulateMedia({ forcedColors: 'active' })
      expect.soft(await foreignInks(page), tab).toEqual([])
      expect.soft(await pickedUnseen(page), tab).toEqual([])
      await page.emulateMedia({ forcedColors: 'none' })
      for (const [where, size] of Object.entries(WINDOWS)) {
        await page.setViewportSize(size)
        expect.soft(await outOfReach(page), `${tab} ${where}`).toEqual([])
      }
      await page.setViewportSize(FULL)
    })
  })

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

for (const station of Object.keys(PLACES))
  test(`${station}: a thing in hand has an address of its own, and the way back leads where one was`, async ({ page, context }) => {
    await page.goto(addressOf(station, ''))
    await expect(inHand(page)).toBeVisible()
    const [, second] = PLACES[station]!
    // Back from a tab to the one before.
    await walkTo(page, addressOf(station, ''))
    const tabs = page.locator('[role=tab]')
    const first = (await page.locator('[role=tab][aria-selected=true]').textContent())!
    const other = tabs.filter({ hasNotText: first }).first()
    await other.click()
    await expect(other).toHaveAttribute('aria-selected', 'true')
    await page.goBack()
    await expect(page.locator('[role=tab][aria-selected=true]')).toHaveText(first)
    expect(second).toBeDefined()

    if ((await rows(page).count()) < 3) return
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
  await rows(page).nth(3).click()
  await expect(back).toBeVisible()
  await back.click()
  await expect(back).toHaveCount(0)
  await expect(page).toHaveURL(/\/fit\//)
})
