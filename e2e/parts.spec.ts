import { readFile } from 'node:fs/promises'
import { copyOf, expect, test } from './server'

test('choose a set, see why another part is out, try it, take it, take it back', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  const hand = page.getByRole('region', { name: 'In hand' })
  for (const slot of ['guard', 'bridge']) {
    await page.goto(`/builds/${id}/parts/${slot}`)
    await hand.getByLabel('This slot').selectOption('open')
    await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled()
  }
  await page.getByRole('tab', { name: 'Choose a set' }).click()
  const sets = page.getByRole('region', { name: 'Sets that go together' })
  await expect(sets).toContainText('Open: bridge, pickguard')
  await sets.getByRole('button', { name: 'Find sets' }).click()
  await expect(hand.getByRole('heading', { name: 'Its joints' })).toBeVisible()
  await expect(hand).toContainText('Guard')

  await sets.getByRole('listitem').filter({ hasText: 'chrome, 56 mm' }).getByRole('button', { name: 'Why not this' }).click()
  await expect(hand).toContainText('56 mm and the body’s 74 mm: 18 mm apart')
  await expect(hand).toContainText('Nearest that would do')

  await sets.getByRole('listitem').first().getByRole('button').first().click()
  await hand.getByRole('button', { name: 'Only try it' }).click()
  const trial = page.getByRole('complementary', { name: 'On trial' })
  await expect(trial).toContainText(/Guard openings over the routes: won’t go → /)
  await trial.getByRole('button', { name: 'Keep it' }).click()
  await page.goto(`/builds/${id}/fit/guard-openings`)
  await expect(hand.getByRole('heading', { name: /Guard openings/ })).not.toContainText('won’t go')
  await page.keyboard.press('Control+z')
  await expect(hand.getByRole('heading', { name: /Guard openings/ })).toContainText('won’t go')
})

test('what to measure next settles a verdict', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/parts?tab=measure`)
  const hand = page.getByRole('region', { name: 'In hand' })
  await expect(hand.getByRole('heading', { name: 'Housing width, along the row' })).toBeVisible()
  await expect(hand.getByRole('img', { name: 'can’t tell' })).toBeVisible()
  await hand.getByRole('combobox').selectOption('calipers')
  const field = hand.getByRole('textbox', { name: 'Housing width, along the row' })
  await field.fill('25.3')
  await field.press('Enter')
  await page.goto(`/builds/${id}/fit/tuner-row`)
  await expect(hand.getByRole('heading', { name: /Tuners in a row/ })).toContainText('snug')
})

test('mock-up sheet by keyboard: readings go to their sizes, a change makes only what stood on it stale', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit?tab=mockup`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const list = page.getByRole('region', { name: 'Trial build, in order' })
  const title = (t: string) => expect(hand.getByRole('heading', { level: 2, name: t })).toBeVisible()
  // Every measured step takes the focus; a number and Enter file it and bring the next.
  await title('Pocket width at the mouth')
  await page.keyboard.type('56.7')
  await page.keyboard.press('Enter')
  for (const [name, value] of [
    ['Heel width at the mouth', '56.42'],
    ['Pocket width at the end', '56.52'],
    ['Heel width at the end', '56.2'],
    ['Pocket floor', '0.05'],
  ] as const) {
    await title(name)
    await expect(hand.getByRole('textbox')).toBeFocused()
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  await title('Bare neck into the pocket')
  await page.keyboard.press('Escape')
  await page.keyboard.press(' ')
  await title('Neck axis at the bridge')
  await expect(list.getByRole('img', { name: 'done' }).or(list.getByLabel('done'))).toHaveCount(6)
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  await hand.getByLabel('Heel width, at the pocket mouth', { exact: true }).fill('56.6')
  await page.keyboard.press('Enter')
  await page.goto(`/builds/${id}/fit?tab=mockup`)
  await expect(list).toContainText('re-check only these 1')
  await expect(list.getByLabel('stale: check again')).toHaveCount(1)
  const sheet = page.context().waitForEvent('page')
  await page.getByRole('button', { name: 'Print the sheet' }).click()
  await expect((await sheet).getByRole('heading', { name: 'Trial build: Heron' })).toBeVisible()
})

test('a table of parts: errors by row and column, then a good one; out again as it came', async ({ page, server }) => {
  await page.goto('/builds/heron/parts?tab=stock')
  const list = page.getByRole('region', { name: 'Stash and offers' })
  const total = async () => Number(/(\d+) parts/.exec((await list.getByRole('status').textContent())!)![1])
  await expect(list.getByRole('status')).toContainText(/[1-9]\d* parts/)
  const before = await total()
  const bring = (csv: string) =>
    page.getByLabel('Table of parts').setInputFiles({ name: 'parts.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await bring('kind,name,quantity,pocket.depth\nbody,Good,1,16\nbody,Too deep,1,160\nbodi,Slip,1,16\n')
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByRole('alert')).toContainText('2 cells cannot be; nothing is taken in')
  await expect(sheet.getByRole('row').nth(1)).toContainText('pocket.depth')
  await expect(sheet.getByRole('row').nth(2)).toContainText('"bodi" is not a kind of part')
  await page.keyboard.press('Escape')
  expect(await total()).toBe(before)

  await bring('kind,name,quantity,resistance,trait:taper\npot,Trial pot alpha,3,250k,audio\npot,Trial pot beta,1,500k,linear\n')
  await sheet.getByRole('button', { name: 'Take 2 parts in' }).click()
  await expect(list.getByRole('status')).toContainText(`${before + 2} parts`)
  await list.getByLabel('Search parts').fill('trial alpha')
  await expect(list.getByRole('status')).toContainText('1 parts')
  await expect(list.getByRole('listitem')).toHaveCount(1)
  await page.getByRole('region', { name: 'In hand' }).getByLabel('How many').fill('4')
  await page.keyboard.press('Enter')
  await expect(list.getByRole('listitem').first()).toContainText('4 of 4')
  const coming = page.waitForEvent('download')
  await list.getByRole('link', { name: 'CSV' }).click()
  expect(await readFile(await (await coming).path(), 'utf8')).toContain('Trial pot alpha')
  expect(server).toBeTruthy()
})

test('a guard made to order is checked on arrival, and what was promised makes a claim', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  const hand = page.getByRole('region', { name: 'In hand' })
  await page.goto(`/builds/${id}/parts?tab=paper`)
  await page.getByRole('button', { name: /Order sheet and arrival check/ }).click()
  await hand.getByRole('button', { name: 'Keep this as the order' }).click()
  await expect(hand).toContainText('Revision 1')
  await page.goto(`/builds/${id}/parts/guard`)
  const centre = hand.getByRole('textbox', { name: 'Neck pickup opening, centre' })
  await centre.fill('31')
  await centre.press('Enter')
  await page.goto(`/builds/${id}/parts?tab=paper`)
  await page.getByRole('button', { name: /Order sheet and arrival check/ }).click()
  await expect(hand).toContainText('1 out of tolerance')
  await expect(hand.getByRole('row', { name: /Neck pickup opening, centre/ })).toContainText('fail')

  await page.goto(`/builds/${id}/parts/bridge`)
  await hand.getByRole('combobox', { name: /Studs or outer screws.*how it is known/ }).selectOption('calipers')
  const studs = hand.getByRole('textbox', { name: 'Studs or outer screws, centre to centre' })
  await studs.fill('72')
  await studs.press('Enter')
  await expect(hand.getByRole('alert')).toContainText('promised 74 mm, came 72 mm')
})
