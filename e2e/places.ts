import type { Page } from '@playwright/test'
import { expect, walkTo } from './server'

/** Every station with every tab of it; the first is the one that opens. */
export const PLACES: Record<string, readonly string[]> = {
  parts: ['', 'box', 'measure', 'stock', 'choose', 'money', 'paper'],
  fit: ['', 'mockup'],
  drill: ['', 'axis', 'head', 'outline', 'photo', 'templates', 'tools'],
  wire: ['', 'wiring', 'harness', 'wires', 'check', 'fault', 'trainer', 'found'],
  finish: ['', 'choose', 'colour', 'calendar', 'sanding', 'cards', 'trouble'],
  setup: ['', 'buzz', 'nut', 'intonation', 'vibrato', 'pickups', 'strings', 'trouble'],
  plan: ['', 'tonight', 'ahead', 'bench'],
  log: ['', 'changes', 'handover'],
}

export const addressOf = (station: string, tab: string, build = 'heron'): string => `/builds/${build}/${station}${tab ? `?tab=${tab}` : ''}`

/** Opens every tab of a station, one after the other, and looks at each once it is there. */
export async function throughTabs(page: Page, station: string, look: (tab: string) => Promise<void>): Promise<void> {
  const picked = page.locator('[role=tab][aria-selected=true]')
  let before = ''
  for (const tab of PLACES[station]!) {
    const path = addressOf(station, tab)
    await (tab ? walkTo(page, path) : page.goto(path))
    await expect(page.locator('.ws-hand').locator('h2, h3, p').first()).toBeVisible()
    // What was open stays until what was asked for is there.
    await expect(picked).not.toHaveText(before)
    before = (await picked.textContent())!
    await look(`${station} ${tab}`.trim())
  }
  // None is left out: a tab that is new belongs into the list above.
  await expect(page.getByRole('tab')).toHaveCount(PLACES[station]!.length)
}
