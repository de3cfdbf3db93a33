import type { Page } from '@playwright/test'
import { copyOf, expect, saved, test, walkTo } from './server'

/** A person at the bench, whose acts are counted: a press, a choice, or a number with Enter. */
class Hand {
  acts = 0
  entries = 0
  constructor(readonly page: Page) {}
  readonly board = this.page.getByRole('region', { name: 'The size to read' })
  readonly box = this.page.getByRole('region', { name: 'What came in the box' })

  async press(name: string | RegExp, role: 'button' | 'radio' | 'link' = 'button') {
    await this.page
      .getByRole(role, { name, exact: typeof name === 'string' })
      .first()
      .click()
    this.acts++
  }
  /** From the shelf to the box: a name, an instrument to begin with, and on the shelf with it. */
  async begin(like: RegExp, job = 'kit') {
    await this.page.goto('/')
    await this.page.getByLabel('Name').fill('First')
    this.acts++
    if (job !== 'kit') {
      await this.page.getByLabel('What kind of job').selectOption(job)
      this.acts++
    }
    await this.page.getByRole('radio', { name: like }).check({ force: true })
    this.acts++
    await this.press('Put it on the shelf')
    await expect(this.box.getByRole('heading', { name: 'What came in the box' })).toBeVisible()
  }
  /** Waits till another size is in hand; looked at in every frame, since a round of readings does little else than wait. */
  private async next(before: string) {
    await this.page.waitForFunction(
      (was) => document.querySelector('section[aria-label="The size to read"] h2')?.textContent !== was,
      before,
      { polling: 'raf' },
    )
  }
  /** Reads the size in hand as usual of its kind, by what the drawing says is found. */
  async read() {
    const field = this.board.getByRole('textbox')
    const before = await this.board.getByRole('heading', { level: 2 }).textContent()
    const same = this.board.getByRole('button', { name: /^Same as/ })
    if (await same.isVisible()) {
      await same.click()
      await this.next(before!)
      this.acts++
      this.entries++
      return
    }
    const hint = /[\d.]+$/.exec((await field.getAttribute('placeholder')) ?? '')?.[0]
    const caption = (await this.board.locator('figcaption').textContent()) ?? ''
    const [, low, high] = /(−?[\d.]+)[^\d−]* to (−?[\d.]+)\D* are found/.exec(caption) ?? []
    // What is counted by eye is no reading.
    const counted = /\d to \d+ are found/.test(caption)
    // A bore is a little wider than what goes in, as bores are.
    const middle = [low, high].reduce((sum, at) => sum + Number(at?.replace('−', '-')) / 2, 0)
    const usual = hint ?? String(counted ? Math.round(middle) : middle)
    await field.fill(/bore/.test(before!) ? String(Number(usual) + 0.1) : usual)
    await field.press('Enter')
    await this.next(before!)
    this.acts++
    if (!counted) this.entries++
  }
  /** As a person who looks before the next reading: what the last one told is there. */
  async settled(): Promise<number> {
    const said = await this.page.waitForFunction(
      () => {
        const at = [...document.querySelectorAll('[aria-busy]')].find((e) => /\d+ of \d+ joints? settled/.test(e.textContent))
        return at?.getAttribute('aria-busy') === 'false' && at.textContent
      },
      undefined,
      { polling: 'raf' },
    )
    return Number(/(\d+) of \d+ joint/.exec((await said.jsonValue()) || '')?.[1])
  }
}

/** Readings ten joints may take. Of a set neck and of twelve strings more hang together: their bounds are what they are today. */
const KITS = [
  ['a bolt-on kit, strings through', /Strings through the body/, 'kit', 30],
  ['a set-neck kit', /Set neck/, 'kit', 48],
  ['a twelve-string', /Twelve strings/, 'kit', 45],
  ['a bare body with a donor neck', /Long scale/, 'conversion', 30],
] as const

for (const [what, like, job, entries] of KITS) {
  test(`the first hour with ${what}: the box listed, every station shows something before any reading`, async ({ page }) => {
    const hand = new Hand(page)
    await hand.begin(like, job)
    if (job === 'kit') await hand.press('It is all here')
    // Three parts are on their way, one is not on it.
    await hand.press('on its way', 'radio')
    for (const part of ['Nut', 'Strings', 'Knobs']) await hand.press(part)
    await hand.press('not on this instrument', 'radio')
    await hand.press('Tone pot')
    expect(hand.acts).toBeLessThanOrEqual(12)
    await expect(page.getByRole('region', { name: 'on its way' }).getByRole('button')).toHaveCount(3)
    await page.keyboard.press('Control+z')
    await expect(page.getByRole('region', { name: 'in the box' }).getByRole('button', { name: 'Tone pot', exact: true })).toBeVisible()
    await saved(page)
    const id = new URL(page.url()).pathname.split('/')[2]!
    // What was said is kept: read anew once, then round the stations.
    await page.reload()
    for (const [station, says] of [
      ['fit', /Heel in pocket/],
      ['drill', /screws|strap/i],
      ['wire', /bridge|neck/i],
      ['finish', /lacquer/i],
      ['setup', /action|relief/i],
      ['plan', /Trial build/],
    ] as const) {
      await walkTo(page, `/builds/${id}/${station}`)
      await expect(page.locator('.ws-list')).toContainText(says)
    }
  })

  test(`the first hour with ${what}: a verdict from readings of one's own in eight acts, then ten joints`, async ({ page }) => {
    const hand = new Hand(page)
    await hand.begin(like, job)
    await hand.press(job === 'kit' ? 'All here: measure' : 'Measure it')
    await expect(hand.board.getByRole('textbox')).toBeVisible()
    const before = await hand.settled()
    while ((await hand.settled()) <= before && hand.acts < 12) await hand.read()
    expect(hand.acts).toBeLessThanOrEqual(job === 'kit' ? 8 : 9)
    while ((await hand.settled()) < 10 && hand.entries <= entries) await hand.read()
    await expect.poll(() => hand.settled()).toBeGreaterThanOrEqual(10)
    expect(hand.entries).toBeLessThanOrEqual(entries)
    await saved(page)
  })
}

test('on a telephone: the round from its start to a settled joint, nothing off the screen, nothing sideways', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const hand = new Hand(page)
  await hand.begin(/Strings through the body/)
  await hand.press('All here: measure')
  await expect(hand.board.getByRole('textbox')).toBeInViewport()
  const before = await hand.settled()
  for (let i = 0; i < 8 && (await hand.settled()) <= before; i++) {
    await expect(hand.board.getByRole('textbox')).toBeInViewport()
    await expect(hand.board.getByRole('button', { name: /Can’t get at it/ })).toBeInViewport()
    await hand.read()
  }
  await expect(hand.board.getByRole('status')).toBeInViewport()
  await expect(hand.board.getByRole('status')).toContainText(/snug|loose|tight|won’t go/)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('on a telephone: a joint from far down the list opens over it, and goes away again', async ({ page, server }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/builds/${await copyOf(server, 'heron')}/fit`)
  const list = page.locator('.ws-list')
  const row = list.getByRole('listitem').nth(25).getByRole('button')
  await row.scrollIntoViewIfNeeded()
  const title = (await row.locator('.font-bold').textContent())!
  await row.click()
  const heading = page.getByRole('region', { name: 'In hand' }).getByRole('heading', { level: 2 })
  await expect(heading).toBeInViewport()
  await expect(heading).toContainText(title.trim())
  await page.getByRole('button', { name: 'Back to the list' }).click()
  await expect(row).toBeInViewport()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('a build copied whole: another on the shelf with the same parts', async ({ page, server }) => {
  await page.goto('/')
  const row = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: /^Plover/ }) })
    .first()
  await row.getByRole('button', { name: 'Copy' }).click()
  await expect
    .poll(async () => ((await (await fetch(`${server}/api/builds`)).json()) as { name: string }[]).map((b) => b.name))
    .toContain('Plover, a copy')
  const all = (await (await fetch(`${server}/api/builds`)).json()) as { name: string; parts: number }[]
  expect(all.find((b) => b.name === 'Plover, a copy')!.parts).toBe(all.find((b) => b.name === 'Plover')!.parts)
})

test('an example to look round in, where the shelf is empty', async ({ page, server }) => {
  const builds = (await (await fetch(`${server}/api/builds`)).json()) as { id: string }[]
  await page.route('**/api/builds', (route) => (route.request().method() === 'GET' ? route.fulfill({ json: [] }) : route.continue()))
  await page.goto('/')
  await expect(page.getByText('The shelf is empty.')).toBeVisible()
  await page.getByRole('button', { name: 'Open an example' }).click()
  await expect(page.getByRole('banner').getByText('Heron, an example')).toBeVisible()
  const id = new URL(page.url()).pathname.split('/')[2]!
  expect(builds.map((b) => b.id)).not.toContain(id)
})
