import { expect, test, walkTo } from './server'

const LISTS: [path: string, words: RegExp][] = [
  ['plan', /String up, stretch, tune/],
  ['wire?tab=wires', /ground/i],
  ['drill', /neck screw/i],
  ['finish?tab=calendar', /coat/i],
  ['setup', /Relief at fret 8/],
]

test('on paper: the whole list, no tools, nothing cut off', async ({ page }) => {
  for (const [path, words] of LISTS) {
    const address = `/builds/heron/${path}`
    await (page.url().includes('/builds/') ? walkTo(page, address) : page.goto(address))
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('main').getByText(words).locator('visible=true').first(), path).toBeVisible()
    await expect(page.getByRole('tablist')).toBeHidden()
    await expect(page.getByRole('navigation').first()).toBeHidden()
    // What scrolls on the screen stands at its full height on paper.
    const cut = await page
      .locator('.ws-list, .ws-board')
      .evaluateAll((all) => all.filter((e) => e.scrollHeight > e.clientHeight + 2 && getComputedStyle(e).overflowY !== 'visible').length)
    expect(cut, path).toBe(0)
    const pdf = await page.pdf({ format: 'A4' })
    expect(pdf.length, path).toBeGreaterThan(5_000)
    await page.emulateMedia({ media: 'screen' })
  }
})
