import { copyOf, expect, saved, test } from './server'

test.describe('on a telephone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('tonight’s set, ticked step by step in the bench view by touch', async ({ page, server }) => {
    const id = await copyOf(server, 'heron')
    await page.goto(`/builds/${id}/plan?tab=tonight`)
    await expect(page.getByText(/\d+ of \d+ minutes/)).toBeVisible()
    await page.getByRole('button', { name: 'Bench view' }).tap()
    const bench = page.getByRole('dialog')
    const first = await bench.getByRole('heading', { level: 2 }).textContent()
    const box = await bench.getByRole('button', { name: /Done, next/ }).boundingBox()
    // Big enough for a knuckle.
    expect(box!.height).toBeGreaterThanOrEqual(72)
    await bench.getByRole('button', { name: /Done, next/ }).tap()
    await expect(bench.getByRole('heading', { level: 2 })).not.toHaveText(first!)
    await bench.getByRole('button', { name: /close/ }).tap()
    await saved(page)
    await page.goto(`/builds/${id}/plan`)
    await expect(page.getByRole('button', { name: new RegExp(first!.slice(0, 20)) }).getByLabel('done')).toBeVisible()
  })
})

test('out of order and back: the risk is said first, ticked all the same, taken back', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/plan/sand`)
  const hand = page.getByRole('region', { name: 'In hand' })
  await hand.getByRole('button', { name: 'Done' }).click()
  await expect(hand.getByRole('alert')).toContainText('Out of order')
  await expect(hand.getByRole('alert')).toContainText('Way back')
  await hand.getByRole('button', { name: 'It is done all the same' }).click()
  await hand.getByRole('button', { name: 'Not done after all' }).click()
  await expect(hand.getByRole('button', { name: 'Done', exact: true })).toBeVisible()
  await saved(page)
})

test('ahead: when it is done by chance, and what may slip', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/plan?tab=ahead`)
  await expect(page.getByText(/as likely before as after/)).toBeVisible()
  await expect(page.getByText('May slip first')).toBeVisible()
})

test('an entry as people say it is understood before it is filed, a near miss offers the nearest', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/log`)
  const text = page.getByLabel(/^What happened/)
  await text.fill('relief 0.3')
  await expect(page.getByText(/Understood: Relief: 0.3 mm/)).toBeVisible()
  await page.getByRole('button', { name: 'Write it and enter it' }).click()
  await saved(page)
  await text.fill('heel width is 56.3')
  await expect(page.getByText(/Not certain which is meant/)).toBeVisible()
  await page
    .getByRole('button', { name: /^This one/ })
    .first()
    .click()
  await saved(page)
  await page.goto(`/builds/${id}/setup/relief`)
  await expect(page.getByRole('region', { name: 'In hand' }).getByLabel('Relief at fret 8')).toHaveValue('0.3')
})

test('the build book is opened, and saved as PDF with the care sheet', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/log`)
  const book = page.context().waitForEvent('page')
  await page.getByRole('button', { name: 'Build book', exact: true }).click()
  const opened = await book
  await expect(opened.getByRole('heading', { name: 'What it is made of' })).toBeVisible()
  await expect(opened.getByText('Bridge parcel moved back a week by the seller')).toBeVisible()
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'PDF of the care sheet' }).click()
  expect((await saving).suggestedFilename()).toBe('care-sheet.pdf')
})
