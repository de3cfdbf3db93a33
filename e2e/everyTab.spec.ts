import { byDayAndByNight, withAxe } from './checks/axe'
import { outOfReach, pastItsWindow } from './checks/reach'
import { unlikeSeen, unnamed } from './checks/spoken'
import { foreignInks, pickedUnseen } from './checks/systemColours'
import { PLACES, throughTabs } from './places'
import { expect, test } from './server'

const FULL = { width: 1280, height: 800 }
const WINDOWS = { 'on a telephone': { width: 390, height: 800 }, 'at 200 %': { width: 640, height: 400 } }

test('the shelf: no serious accessibility finding, by day and by night', async ({ page }) => {
  await withAxe(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await byDayAndByNight(page, 'shelf')
})

// One walk a station: opening a tab takes longer than most of what is looked at there.
for (const station of Object.keys(PLACES))
  test(`${station}, on every tab: no serious accessibility finding by day and by night; in reach on a telephone and at 200 %; in the system’s own colours; to a screen reader; no number that is none`, async ({
    page,
  }) => {
    await withAxe(page)
    await throughTabs(page, station, async (tab) => {
      expect.soft(await unnamed(page), tab).toEqual([])
      expect.soft(await pastItsWindow(page), tab).toEqual([])
      expect.soft(await page.locator('body').innerText(), tab).not.toMatch(/NaN|undefined|Infinity|\[object/)
      await byDayAndByNight(page, tab)
      await page.emulateMedia({ forcedColors: 'active' })
      expect.soft(await foreignInks(page), tab).toEqual([])
      expect.soft(await pickedUnseen(page), tab).toEqual([])
      await page.emulateMedia({ forcedColors: 'none' })
      for (const [where, size] of Object.entries(WINDOWS)) {
        await page.setViewportSize(size)
        expect.soft(await pastItsWindow(page), `${tab} ${where}`).toEqual([])
        expect.soft(await outOfReach(page), `${tab} ${where}`).toEqual([])
      }
      await page.setViewportSize(FULL)
      if (tab === 'wire check') await page.getByLabel(/^Listening sheet/).click()
      expect.soft(await unlikeSeen(page), tab).toEqual([])
    })
  })
