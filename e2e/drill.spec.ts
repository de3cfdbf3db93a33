import { readFile } from 'node:fs/promises'
import { measuredByCard } from './photograph'
import { copyOf, expect, saved, test, walkTo } from './server'

test('from pencil lines to the drill sheet, on a left-handed rescue', async ({ page, server }) => {
  const id = await copyOf(server, 'plover')
  await page.goto(`/builds/${id}/drill?tab=axis`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const far = page.getByRole('group', { name: 'near the bridge' })
  // Middles at 152.2 and 150 from the bass edge: the axis 2.2 mm to the treble side there.
  for (const [label, value] of [
    ['pocket’s mouth', '260'],
    ['bass side’s line', '124.2'],
    ['treble side’s line', '180.2'],
    ['bass end', '121'],
    ['treble end', '179'],
  ] as const) {
    await far.getByLabel(label).fill(value)
    await far.getByLabel(label).press('Enter')
  }
  await page.getByRole('button', { name: 'Take it as the axis at the bridge' }).click()
  await expect(hand).toContainText('2.2 ±0.3 mm to the treble side')
  await expect(hand).toContainText(/bass wall at the pocket’s end .* treble wall at the pocket’s mouth/)
  // The window, and a place that hides all old holes, 1.5 mm further back.
  await expect(hand).toContainText('It leaves the rearmost old hole showing; between 685.5 and 687 mm it hides all of them.')
  await page.getByRole('button', { name: 'Show it, drag it' }).click()
  const handle = page.getByRole('slider', { name: 'The bridge’s reference, mm from the nut' })
  await handle.focus()
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowDown')
  await expect(hand).toContainText('Its plate hides the old holes.')
  await saved(page)
  await page.getByRole('tab', { name: 'Holes' }).click()
  const list = page.getByRole('region', { name: 'Hole cards in drilling order' })
  await list.getByRole('button', { name: /Neck screw pilots/ }).click()
  await expect(hand).toContainText('would come out of the board')
  await list.getByRole('button', { name: /Tuner screws, 6/ }).click()
  await hand.getByRole('button', { name: 'At the bench' }).click()
  const bench = page.getByRole('dialog', { name: 'Tuner screws' })
  await expect(bench.getByRole('checkbox').first()).toBeVisible()
  const boxes = await bench.getByRole('checkbox').count()
  for (let i = 0; i <= boxes; i++) await page.keyboard.press('Space')
  await page.keyboard.press('Escape')
  await expect(bench).toHaveCount(0)
  await list.getByRole('button', { name: /Tuner screws, 6/ }).click()
  await expect(hand.getByRole('heading', { level: 2 })).toContainText('done')
  await page.getByRole('tab', { name: 'Paper' }).click()
  await expect(hand).toContainText('LEFT-HANDED, SEEN FROM THE FRONT')
  const sheet = page.context().waitForEvent('page')
  await page.getByRole('button', { name: 'Open it to print' }).click()
  const paper = await sheet
  await expect(paper.getByRole('heading', { name: 'Drill sheet' })).toBeVisible()
  await expect(paper.locator('body')).toContainText('Do not drill.')
  await expect(paper.locator('body')).toContainText('String tree screw')
  await expect(paper.locator('body')).not.toContainText('Tuner screws, from')
})

test('a headstock laid out: drawn, dragged, found, taken', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/drill?tab=head`)
  const posts = page.getByRole('region', { name: 'Posts' })
  await page.getByRole('slider', { name: 'First post from the centre line' }).focus()
  await page.keyboard.press('ArrowUp')
  await expect(posts).toContainText(/0\.1 in/)
  await page.getByRole('button', { name: 'Find the best row' }).click()
  await expect(posts).toContainText('away from the nut')
  // Its bores are there: what is found is tried. A row is taken once they are plugged and said not to be there.
  await expect(page.getByRole('button', { name: 'Take this row' })).toBeDisabled()
  await page.goto(`/builds/${id}/parts/neck`)
  await page.getByRole('button', { name: 'Forget Tuner bore', exact: true }).click()
  await saved(page)
  await page.goto(`/builds/${id}/drill/tuner-bores`)
  await page.getByRole('button', { name: /^Not there/ }).click()
  await saved(page)
  await page.goto(`/builds/${id}/drill?tab=head`)
  await page.getByRole('button', { name: 'Find the best row' }).click()
  await expect(posts).toContainText('away from the nut')
  await page.getByRole('button', { name: 'Take this row' }).click()
  await saved(page)
  await expect(posts).not.toContainText('away from the nut')
})

test('a photograph with a card in it: picked, scaled by the card’s edges, measured into a part', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/drill?tab=photo`)
  await measuredByCard(page, 'P1')
  const [, mm, doubt] = /([\d.]+) ±([\d.]+)/.exec(await page.getByTestId('picture-length').innerText())!
  expect(Math.abs(Number(mm) - 300)).toBeLessThan(Number(doubt))
  expect(Number(doubt)).toBeLessThan(3)
  await page.getByLabel('Goes into').selectOption('body')
  await page.getByLabel('As', { exact: true }).selectOption('mouthToBridge')
  await page.getByRole('button', { name: 'Put it in' }).click()
  await saved(page)
  const { build } = (await (await fetch(`${server}/api/builds/${id}`)).json()) as {
    build: { parts: { body: { sizes: Record<string, { value: number; known: string; doubt: number }> } } }
  }
  expect(build.parts.body.sizes.mouthToBridge).toEqual({ value: Number(mm), doubt: Number(doubt), known: 'photo' })
  await page.reload()
  await expect(page.getByTestId('picture-length').or(page.getByRole('button', { name: 'Measure', exact: true }))).toBeVisible()
  await page
    .getByLabel('Choose a picture')
    .setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('<svg onload="alert(1)"/>') })
  await expect(page.getByRole('alert')).toContainText(/no picture this can read|not taken in/)
})

test('a template as PDF for the paper chosen, and as DXF in millimetres', async ({ page }) => {
  await page.goto('/builds/heron/drill/head-back?tab=templates')
  await page.getByLabel('Paper').selectOption('letter')
  const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF to print' }).click()])
  expect(pdf.suggestedFilename()).toBe('heron-head-back.pdf')
  const bytes = await readFile(await pdf.path())
  expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
  const [dxf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'DXF' }).click()])
  const text = await readFile(await dxf.path(), 'utf8')
  expect(text).toContain('$INSUNITS')
  // Six post bores and six screws.
  expect(text.match(/^CIRCLE$/gm)).toHaveLength(12)
})

test('an outline from a file: read, laid to its datum, kept; a broken one says why', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/drill?tab=outline`)
  await page.getByText('An outline from a file').click()
  const choose = (name: string, text: string) =>
    page.getByLabel('Choose an outline').setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) })
  await choose('open.svg', '<svg width="400mm" viewBox="0 0 400 300"><path d="M20 20H300V200H60V120"/></svg>')
  await expect(page.getByRole('alert')).toContainText('The outline is open')
  await choose('body.svg', '<svg width="400mm" viewBox="0 0 400 300"><path d="M20 150A180 140 0 0 1 380 150A180 140 0 0 1 20 150Z"/></svg>')
  await expect(page.getByText('360.0 x 280.0 mm')).toBeVisible()
  await page.getByLabel('From its left end to the pocket’s mouth, mm').fill('20')
  await page.getByLabel('From its left end to the pocket’s mouth, mm').press('Enter')
  await page.getByRole('button', { name: 'Take it as the outline' }).click()
  await saved(page)
  const { build } = (await (await fetch(`${server}/api/builds/${id}`)).json()) as {
    build: { parts: { body: { outline: { x: number; bass: number; treble: number }[] } } }
  }
  // Half-way along, 160 mm behind the mouth, it is 140 wide to either side.
  const before = build.parts.body.outline.find((r) => r.x === 160)!.bass
  expect(before).toBeCloseTo(140, 0)
  // By key, on the drawing: the treble side half a millimetre wider, and the field says so.
  const ring = page.getByRole('slider', { name: /^treble side, 160 mm along/ })
  await ring.press('ArrowUp')
  await expect(page.getByLabel(/^treble side, row \d+, mm$/).nth(build.parts.body.outline.findIndex((r) => r.x === 160))).toHaveValue(
    String(build.parts.body.outline.find((r) => r.x === 160)!.treble + 0.5),
  )
})

test('a hole that is not there is nobody’s to measure: it is drilled, ticked off, read, and then judged', async ({ page, server }) => {
  const bundle = (await (await fetch(`${server}/api/builds/heron/bundle`)).json()) as {
    build: { parts: { neck: { sizes: Record<string, unknown>; traits: Record<string, string> } } }
  }
  const { neck } = bundle.build.parts
  delete neck.sizes['tuner.bore']
  neck.traits['bored.tuners'] = 'none'
  const sent = await fetch(`${server}/api/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: server },
    body: JSON.stringify(bundle),
  })
  const { id } = (await sent.json()) as { id: string }
  const hand = page.getByRole('region', { name: 'In hand' })
  await page.goto(`/builds/${id}/fit/tuner-bore`)
  await expect(hand).toContainText('Not made yet: tuner bore (neck); the cards under Drill say how.')
  await walkTo(page, `/builds/${id}/drill/tuner-bores`)
  await expect(hand).toContainText('Through')
  await hand.getByRole('button', { name: 'Done', exact: true }).click()
  await walkTo(page, `/builds/${id}/fit/tuner-bore`)
  await expect(hand).toContainText('Not known yet: tuner bore (neck).')
  await hand.getByLabel('Tuner bore', { exact: true }).fill('10')
  await hand.getByLabel('Tuner bore', { exact: true }).press('Enter')
  await expect(hand).not.toContainText('Not known yet')
  await saved(page)
})
