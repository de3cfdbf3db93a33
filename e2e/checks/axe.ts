import { expect, type Page } from '@playwright/test'
import type axe from 'axe-core'
import { fileURLToPath } from 'node:url'

const SOURCE = fileURLToPath(import.meta.resolve('axe-core/axe.min.js'))

declare global {
  interface Window {
    axe: typeof axe
  }
}

/** For every page that is opened from now on: read once a page, however often it is asked. */
export const withAxe = (page: Page) => page.addInitScript({ path: SOURCE })

/** Everything that is found, of these rules or of all. */
export const violations = (page: Page, rules?: string[]) =>
  page.evaluate(async (only) => {
    // Of what is well no list is wanted.
    const { violations } = await window.axe.run({ resultTypes: ['violations'], ...(only ? { runOnly: only } : {}) })
    return violations.map((v) => ({ impact: v.impact, says: `${v.id}: ${v.nodes[0]?.html}` }))
  }, rules)

const serious = async (page: Page, rules?: string[]) =>
  (await violations(page, rules)).filter((v) => v.impact === 'serious' || v.impact === 'critical').map((v) => v.says)

export async function byDayAndByNight(page: Page, where: string): Promise<void> {
  expect(await serious(page), where).toEqual([])
  // By night the page is the same but for its colours.
  const dark = page.locator('html[data-theme=dark]')
  await page.getByRole('button', { name: /^Dark/ }).click()
  await expect(dark).toHaveCount(1)
  expect(await serious(page, ['color-contrast']), `${where}, by night`).toEqual([])
  await page.getByRole('button', { name: /^Light/ }).click()
  await expect(dark).toHaveCount(0)
}
