import { copyOf, expect, saved, test } from './server'

test('from a wiring to the soldering list: chosen, its choice made, the list as PDF', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/wire?tab=wiring`)
  await expect(page.getByRole('heading', { name: /Three pickups, five positions/ })).toBeVisible()
  await page.getByLabel('Humbuckers in between').selectOption('whole')
  await saved(page)
  await page.getByRole('tab', { name: 'Positions' }).click()
  await expect(page.getByRole('button', { name: /middle ‖ bridge, both coils in series/ })).toBeVisible()
  await page.getByRole('tab', { name: 'Wire list' }).click()
  const [pdf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF' }).click()])
  expect(pdf.suggestedFilename()).toBe('wire-list-and-soldering-order.pdf')
})

test('a harness seen from the playing side; a wire added by clicking two lugs, undone', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/wire?tab=harness`)
  await page.getByLabel('Harness seen from the').selectOption('playing')
  await expect(page.getByText('Harness, from the playing side').first()).toBeVisible()
  for (const lug of ['volume.3', 'jack.tip']) await page.locator(`circle[data-thing="${lug}"]`).click({ force: true })
  await page.getByRole('button', { name: 'Add this wire' }).click()
  await expect(page.getByText(/^added: volume, lug 3 to jack, tip/)).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByText(/^added: volume/)).toHaveCount(0)
})

test('readings that point to tip and sleeve in each other’s place: it is named', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/wire?tab=check`)
  const line = (text: string | RegExp) => page.getByRole('listitem').filter({ hasText: text })
  await line(/Meter from the tip to the strings/)
    .getByRole('textbox')
    .fill('0.2')
  await line(/Meter from the tip to the strings/)
    .getByRole('textbox')
    .press('Enter')
  await expect(line(/Meter from the tip to the strings/)).toContainText('not as it should')
  await saved(page)
  await page.getByRole('tab', { name: 'Find a fault' }).click()
  await expect(page.getByRole('region', { name: 'Suspects' }).getByRole('listitem').first()).toContainText(
    'Tip and sleeve are in each other’s place',
  )
})

test('a round of the trainer by keyboard', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/wire?tab=trainer`)
  const first = page.getByRole('button', { name: /^Do it, .* min: Meter from tip to sleeve in position 1, knobs at 10\.$/ })
  await first.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 test done.')).toBeVisible()
  // Arrows walk through the faults; none is named before it is said.
  const fault = page.getByLabel('It is')
  await fault.focus()
  await page.keyboard.press('ArrowDown')
  const one = await fault.inputValue()
  await page.keyboard.press('ArrowDown')
  expect(new Set(['', one, await fault.inputValue()]).size).toBe(3)
  await page.keyboard.press('Enter')
  await expect(page.getByText(/of 10 points/)).toBeVisible()
})

test('a body without a panel: the order of feeding, far before near, the selector last', async ({ page, server }) => {
  const id = await copyOf(server, 'dunlin')
  await page.goto(`/builds/${id}/wire?tab=wires`)
  await expect(page.getByRole('heading', { name: 'Into the body' })).toBeVisible()
  const turns = page.getByRole('listitem').filter({ hasText: /^\d+\. the / })
  await expect(turns.last()).toContainText('the selector')
})

test('at the bench: a wire ticked, a meter’s log read into the check, what was heard noted; all of it is there after a reload', async ({
  page,
  server,
}) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/wire?tab=wires`)
  await page.getByRole('checkbox', { name: 'Wire 1 soldered and checked' }).click()
  await saved(page)
  await page.goto(`/builds/${id}/wire?tab=check`)
  await expect(page.getByText(/^0 of \d+ done/)).toBeVisible()
  await page
    .getByLabel('Choose a meter’s log')
    .setInputFiles({ name: 'meter.csv', mimeType: 'text/csv', buffer: Buffer.from('time,value\n10:01,8.20k\n10:02,0.3\n') })
  await expect(page.getByText('2 readings taken from meter.csv.')).toBeVisible()
  await expect(page.getByText(/^2 of \d+ done/)).toBeVisible()
  await page.getByLabel(/^Listening sheet/).click()
  await page.getByRole('button', { name: /position 2, strum, not tried/ }).click()
  await saved(page)
  await page.reload()
  await page.getByLabel(/^Listening sheet/).click()
  await expect(page.getByRole('button', { name: /position 2, strum, as it should be/ })).toBeVisible()
  await page.goto(`/builds/${id}/wire?tab=wires`)
  await expect(page.getByRole('checkbox', { name: 'Wire 1 soldered and checked' })).toBeChecked()
})

test('a bass begun from its starting set: two volumes mix its pickups without a selector; a bridge on posts asks for its tailpiece', async ({
  page,
  server,
}) => {
  const wanted = { name: 'Low', handedness: 'right', strings: 4, scale: 863.6, start: 'bass' }
  const made = await page.request.post(`${server}/api/builds`, { data: wanted, headers: { origin: server } })
  const { id } = (await made.json()) as { id: string }
  await page.goto(`/builds/${id}/wire`)
  await expect(page.getByRole('button', { name: /neck ‖ bridge/ })).toBeVisible()
  for (const knob of ['Bridge volume', 'Neck volume', 'Tone']) await expect(page.getByText(knob, { exact: true })).toBeVisible()
  await page.goto(`/builds/${id}/parts/tailpiece`)
  await expect(page.getByText(/This slot is empty\. Leave it so if the instrument has none\./)).toBeVisible()
  await page.goto(`/builds/${id}/parts/bridge`)
  await page.getByText(/^What it is/).click()
  await page.getByLabel('Mount', { exact: true }).selectOption('post')
  await saved(page)
  await page.goto(`/builds/${id}/parts/tailpiece`)
  await expect(page.getByText(/This slot is empty: strings over a bridge on posts go on to it\./)).toBeVisible()
})
