import { copyOf, expect, saved, test } from './server'

test('a finish chosen among all of them, its coats counted over a reload, the rub-out counted from the last one', async ({
  page,
  server,
}) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/finish?tab=choose`)
  await page.getByRole('button', { name: /^Hard-wax oil/ }).click()
  await expect(page.getByText(/Oil-wet rags heat up by themselves/)).toBeVisible()
  await page.getByRole('button', { name: 'Choose this' }).click()
  await saved(page)
  await page.getByRole('tab', { name: 'Coats' }).click()
  for (const n of [1, 2]) {
    await page.getByRole('button', { name: `It is on: Hard-wax oil ${n}` }).click()
    await saved(page)
  }
  await page.reload()
  await expect(page.getByText(/if the coats go on as planned/)).toBeVisible()
  await page.getByRole('button', { name: 'It is on: Hard-wax oil 3' }).click()
  await saved(page)
  await expect(page.getByText(/counted from the last coat as it was laid/)).toBeVisible()
})
