import { copyOf, expect, test } from './server'

test('keyboard only: to a joint, its size, a cure, a step, the log', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/parts`)
  await expect(page.getByRole('region', { name: 'In hand' }).getByRole('heading').first()).toBeVisible()
  await page.keyboard.press('2')
  await expect(page).toHaveURL(/\/fit/)
  const list = page.getByRole('region', { name: 'Joints by verdict' })
  await expect(list).toBeVisible()
  await page.keyboard.press('j')
  await expect(list.locator('[aria-current=true]')).toContainText('Heel in pocket, at the mouth')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'In hand' }).locator(':focus')).toHaveCount(1)
  await page.keyboard.press('Escape')
  // The ranking follows the joints a moment later; until then the first open joint is asked for.
  await expect(page.getByRole('contentinfo')).toContainText('Measure housing width')
  await page.keyboard.press('m')
  await expect(page.locator('[data-size="tuners/housing.width"] input')).toBeFocused()
  await page.keyboard.type('25.3')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('contentinfo').getByRole('status')).toContainText('Housing width')
  await page.keyboard.press('Escape')
  await page.keyboard.press('7')
  await expect(page).toHaveURL(/\/plan/)
  await expect(page.getByRole('region', { name: 'Steps in order' })).toBeVisible()
  await page.keyboard.press(' ')
  await expect(page.getByRole('contentinfo').getByRole('status')).toContainText('Done: ')
  await page.keyboard.press('l')
  await page.keyboard.type('pocket width mouth 56.14 calipers')
  await expect(page.getByRole('dialog')).toContainText('Understood: Body: pocket width, mouth 56.14 mm, calipers')
  await page.keyboard.press('Control+Enter')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page.keyboard.press('8')
  await expect(page.getByRole('region', { name: /log/i }).first()).toContainText('pocket width mouth 56.14')
})

test('a left-handed build is drawn mirrored', async ({ page, server }) => {
  const make = async (handedness: 'right' | 'left') => {
    const bundle = (await (await fetch(`${server}/api/builds/heron/bundle`)).json()) as { build: { handedness: string } }
    bundle.build.handedness = handedness
    const answer = await fetch(`${server}/api/import`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(bundle),
    })
    return ((await answer.json()) as { id: string }).id
  }
  const pinAt = async (id: string) => {
    await page.goto(`/builds/${id}/fit`)
    const pin = page.locator('[data-pin="pot-tone"]')
    await expect(pin).toBeVisible()
    const transform = (await pin.getAttribute('transform'))!
    const [x, y] = /translate\(([-\d.]+) ([-\d.]+)\)/.exec(transform)!.slice(1).map(Number) as [number, number]
    const middle = Number(await page.locator('[aria-label="Long view"] line.mk-centre').first().getAttribute('y1'))
    return { x, off: y - middle }
  }
  const right = await pinAt(await make('right'))
  const left = await pinAt(await make('left'))
  expect(left.x).toBeCloseTo(right.x, 0)
  expect(Math.abs(right.off)).toBeGreaterThan(20)
  expect(left.off).toBeCloseTo(-right.off, 0)
})

test('flip and side view, inches, folding: by key and button', async ({ page }) => {
  await page.goto('/builds/heron/fit')
  const view = page.getByRole('region', { name: 'Long view' })
  await expect(view).toContainText('from the front')
  await page.keyboard.press('f')
  await expect(view).toContainText('from the back')
  await page.keyboard.press('v')
  await expect(view).toContainText('from the side')
  await page.keyboard.press('u')
  await expect(view).toContainText('inches')
  const tall = (await view.boundingBox())!.height
  await page.getByRole('button', { name: 'Fold the long view' }).click()
  await expect(async () => expect((await view.boundingBox())!.height).toBeLessThan(tall / 2)).toPass()
})

test('on a telephone nothing lies on anything: step, log and meter check', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 })
  for (const station of ['plan', 'log', 'wire', 'fit', 'parts?tab=stock']) {
    await page.goto(`/builds/heron/${station}`)
    const workspace = page.locator('.workspace')
    await expect(workspace.locator('.ws-hand')).toContainText(/\w/)
    await expect(workspace.locator('.ws-list')).toContainText(/\w/)
    // Pieces stand one under the other, each at least as high as what it holds.
    const pieces = await workspace.evaluate((w) =>
      ['.ws-long', '.ws-hand', '.ws-list', '.ws-loupe'].map((c) => {
        const e = w.querySelector(c)!
        const box = e.getBoundingClientRect()
        return { top: box.top, bottom: box.bottom, spill: c === '.ws-hand' || c === '.ws-list' ? e.scrollHeight - e.clientHeight : 0 }
      }),
    )
    pieces.forEach((p, i) => {
      if (i > 0) expect(p.top, station).toBeGreaterThanOrEqual(pieces[i - 1]!.bottom - 1)
      expect(p.spill, station).toBeLessThanOrEqual(1)
    })
  }
})
