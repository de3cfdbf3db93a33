import { expect, test } from './server'

const LISTS: [path: string, words: RegExp][] = [
  ['plan', /String up, stretch, tune/],
  ['wire?tab=wires', /ground/i],
  ['drill', /neck screw/i],
  ['finish?tab=calendar', /coat/i],
  ['setup', /Relief at fret 8/],
]

for (const [path, words] of LISTS)
  test(`${path} on paper: the whole list, no tools, nothing cut off`, async ({ page }) => {
    await page.goto(`/builds/heron/${path}`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('main').getByText(words).locator('visible=true').first()).toBeVisible()
    await expect(page.getByRole('tablist')).toBeHidden()
    await expect(page.getByRole('navigation').first()).toBeHidden()
    // What scrolls on the screen stands at its full height on paper.
    const cut = await page
      .locator('.ws-list, .ws-board')
      .evaluateAll((all) => all.filter((e) => e.scrollHeight > e.clientHeight + 2 && getComputedStyle(e).overflowY !== 'visible').length)
    expect(cut).toBe(0)
    const pdf = await page.pdf({ format: 'A4' })
    expect(pdf.length).toBeGreaterThan(5_000)
  })
