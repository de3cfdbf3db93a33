import { expect, test } from './server'

/** A table of ten thousand offers. */
const TABLE = `kind,name,holding,seller,price,days promised,resistance,bushing.diameter,bushing.length,trait:taper\n${Array.from(
  { length: 10_000 },
  (_, i) => `pot,Heap pot ${i},offer,Quayside Electrics,6.50,4,500k,9.4,${(6 + (i % 40) / 10).toFixed(1)},audio`,
).join('\n')}`

test('ten thousand offers: taken in, searched, scrolled to the last, with few rows on the page at any time', async ({ page }) => {
  test.slow()
  await page.goto('/builds/heron/parts?tab=stock')
  const list = page.getByRole('region', { name: 'Stash and offers' })
  await expect(list.getByRole('status')).toContainText(/[1-9]\d* parts/)
  await page.getByLabel('Table of parts').setInputFiles({ name: 'heap.csv', mimeType: 'text/csv', buffer: Buffer.from(TABLE) })
  await page.getByRole('dialog').getByRole('button', { name: 'Take 10000 parts in' }).click()
  await expect(list.getByRole('status')).toContainText(/100\d\d parts/, { timeout: 30_000 })

  await list.getByLabel('Search parts').fill('heap 777')
  // 777, 7770 to 7779, and 1777, 2777 … 9777 but for 7777, which is counted already.
  await expect(list.getByRole('status')).toContainText('19 parts')
  await expect(list.getByRole('listitem').first()).toContainText(/Heap pot \d?777/)
  await list.getByLabel('Search parts').fill('heap')
  await expect(list.getByRole('status')).toContainText('10000 parts')

  const rows = page.getByTestId('stock-rows')
  expect(await list.getByRole('listitem').count()).toBeLessThan(60)
  await rows.evaluate((e) => (e.scrollTop = e.scrollHeight))
  await expect(async () => {
    await rows.evaluate((e) => (e.scrollTop = e.scrollHeight))
    await expect(list.getByRole('listitem').last()).toContainText('Heap pot', { timeout: 500 })
    expect(await rows.evaluate((e) => e.scrollHeight - e.scrollTop - e.clientHeight)).toBeLessThan(4)
  }).toPass({ timeout: 20_000 })
  expect(await list.getByRole('listitem').count()).toBeLessThan(60)
})

test('what one window puts into the stash, another shows', async ({ page, context, server }) => {
  const other = await context.newPage()
  await other.goto('/builds/heron/parts?tab=stock')
  await other.getByRole('region', { name: 'Stash and offers' }).getByLabel('Search parts').fill('lone nut')
  await expect(other.getByRole('region', { name: 'Stash and offers' }).getByRole('status')).toContainText('0 parts')
  const item = {
    part: { kind: 'nut', name: 'Lone nut', state: 'in hand', sizes: {}, traits: {} },
    holding: 'stash',
    quantity: 1,
    reserved: {},
  }
  const put = await page.request.post(`${server}/api/stock`, { data: item })
  expect(put.status()).toBe(201)
  await expect(other.getByRole('region', { name: 'Stash and offers' }).getByRole('status')).toContainText('1 part')
})
