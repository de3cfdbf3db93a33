import type { CDPSession, Page } from '@playwright/test'
import { row } from './measure'

const STATIONS = ['parts', 'fit', 'drill', 'wire', 'finish', 'setup', 'plan', 'log']
/** Times round the bench; a long evening has fewer. [ours] */
const ROUNDS = Number(process.env.ROUNDS ?? 60)
/** By then all that is fetched once and kept is there. */
const SETTLED = 10

interface Held {
  /** What the page holds after all that can be let go was, MB. */
  heap: number
  nodes: number
  listeners: number
}

async function held(wire: CDPSession): Promise<Held> {
  await wire.send('HeapProfiler.collectGarbage')
  const { metrics } = await wire.send('Performance.getMetrics')
  const of = (name: string) => metrics.find((m) => m.name === name)!.value
  return { heap: of('JSHeapUsedSize') / 1e6, nodes: of('Nodes'), listeners: of('JSEventListeners') }
}

/** A long day at one window: every station opened, a thing picked, a size changed, round and round. What grows with the rounds leaks. */
export async function benchDay(page: Page, url: string): Promise<void> {
  const wire = await page.context().newCDPSession(page)
  await wire.send('Performance.enable')
  await wire.send('HeapProfiler.enable')
  await page.goto(`${url}/builds/heron/fit`)
  const roll = page.getByRole('navigation', { name: 'Stations' })
  let before: Held | undefined
  for (let n = 1; n <= ROUNDS; n++) {
    for (const s of STATIONS) {
      await roll.locator(`a[href$="/${s}"]`).click()
      const rows = page.locator('.ws-list li > button')
      await rows
        .first()
        .waitFor({ timeout: 2000 })
        .catch(() => undefined)
      if ((await rows.count()) > 1) await rows.nth(n % 2).click()
    }
    await roll.locator('a[href$="/fit"]').click()
    await page.locator('.ws-list li > button').first().click()
    const field = page.locator('.ws-hand [data-size] input').first()
    await field.fill(String(50 + (n % 20) / 10))
    await field.press('Enter')
    if (n === SETTLED) before = await held(wire)
  }
  const after = await held(wire)
  const rounds = ROUNDS - SETTLED
  const early = (what: string) => `${what} after ${SETTLED}`
  row(`a long day, ${ROUNDS} times round the bench: held at the end`, after.heap, early(before!.heap.toFixed(1)), 'MB')
  row('  more each time', ((after.heap - before!.heap) * 1000) / rounds, '', 'kB')
  row('  elements', after.nodes, early(String(before!.nodes)), '')
  row('  listeners', after.listeners, early(String(before!.listeners)), '')
}
