import type { Page } from '@playwright/test'
import { row } from './measure'

/** A person has found the field and typed, ms. */
const A_LOOK = 1000
const STATIONS = ['parts', 'fit', 'drill', 'wire', 'finish', 'setup', 'plan', 'log']

/** Tasks over 50 ms on the page's own thread while something is done, and the longest stretch it was busy. */
async function tasksOf(page: Page, act: () => Promise<void>): Promise<number[]> {
  await page.evaluate(() => {
    const w = window as unknown as { tasks: number[]; watcher?: PerformanceObserver }
    w.tasks = []
    w.watcher?.disconnect()
    w.watcher = new PerformanceObserver((list) => list.getEntries().forEach((e) => w.tasks.push(e.duration)))
    w.watcher.observe({ type: 'longtask' })
  })
  await act()
  await page.waitForTimeout(700)
  return page.evaluate(() => (window as unknown as { tasks: number[] }).tasks)
}

/** The same of a page from its first byte. */
async function tasksOfComing(page: Page, address: string): Promise<number[]> {
  await page.goto(address)
  await page.waitForTimeout(2000)
  return page.evaluate(
    () =>
      new Promise<number[]>((done) => {
        const tasks: number[] = []
        new PerformanceObserver((list) => list.getEntries().forEach((e) => tasks.push(e.duration))).observe({
          type: 'longtask',
          buffered: true,
        })
        setTimeout(() => done(tasks), 100)
      }),
  )
}

const told = (name: string, rounds: readonly (readonly number[])[]) => {
  const longest = rounds.map((r) => Math.max(0, ...r)).toSorted((a, b) => a - b)
  row(
    name,
    longest[longest.length >> 1]!,
    `tasks over 50 ms a time: ${rounds.map((r) => r.length).join(' ')}; longest ${longest.at(-1)!.toFixed(0)} ms`,
  )
}

/** What holds the page up: coming to a station from elsewhere, opening one from another, editing a size, turning a knob. 0.00 is no task over 50 ms. */
export async function benchLongTasks(page: Page, url: string): Promise<void> {
  for (const s of STATIONS) {
    const rounds: number[][] = []
    for (let i = 0; i < 3; i++) rounds.push(await tasksOfComing(page, `${url}/builds/heron/${s}`))
    told(`longest task on coming to ${s}`, rounds)
  }
  await page.goto(`${url}/builds/heron/fit`)
  const roll = page.getByRole('navigation', { name: 'Stations' })
  // Each page once, so that what is measured is not the first fetching of its script.
  for (const s of STATIONS) {
    await roll.locator(`a[href$="/${s}"]`).click()
    await page.waitForTimeout(400)
  }
  for (const s of STATIONS) {
    const rounds: number[][] = []
    for (let i = 0; i < 3; i++) {
      await roll.locator(`a[href$="/${s === 'plan' ? 'log' : 'plan'}"]`).click()
      await page.waitForTimeout(400)
      rounds.push(await tasksOf(page, () => roll.locator(`a[href$="/${s}"]`).click()))
    }
    told(`longest task on opening ${s}`, rounds)
  }
  const field = page.locator('.ws-hand [data-size="body/pocket.widthMouth"] input').first()
  const edit = async (value: number) => {
    await field.fill(value.toFixed(2))
    return tasksOf(page, () => field.press('Enter'))
  }
  const atOnce: number[][] = []
  const first: number[][] = []
  const later: number[][] = []
  for (let i = 0; i < 5; i++) {
    // Before a person could have read anything.
    await page.goto(`${url}/builds/heron/fit/pocket-mouth`)
    atOnce.push(await edit(56.1 + 0.05 * i))
    await page.goto(`${url}/builds/heron/fit/pocket-mouth`)
    await field.waitFor()
    await page.waitForTimeout(A_LOOK)
    first.push(await edit(56.11 + 0.05 * i))
    later.push(await edit(56.12 + 0.05 * i))
  }
  told('longest task on an edit of a size while its page still comes', atOnce)
  told('  on the first edit a second after', first)
  told('  on the second edit', later)
  await page.goto(`${url}/builds/heron/wire`)
  const knob = page.getByRole('slider').first()
  await knob.focus()
  const turns: number[][] = []
  for (let i = 0; i < 7; i++) turns.push(await tasksOf(page, () => page.keyboard.press('ArrowDown')))
  told('longest task on a turn of a knob', turns)
}
