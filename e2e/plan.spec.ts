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
  await page.goto(`/builds/${id}/log?tab=handover`)
  const book = page.context().waitForEvent('page')
  await page.getByRole('button', { name: 'Build book', exact: true }).click()
  const opened = await book
  await expect(opened.getByRole('heading', { name: 'What it is made of' })).toBeVisible()
  await expect(opened.getByText('Bridge parcel moved back a week by the seller')).toBeVisible()
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'PDF of the care sheet' }).click()
  expect((await saving).suggestedFilename()).toBe('care-sheet.pdf')
})

test('hours and bench: three builds with their days, and a day off moves the plan', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/plan?tab=bench`)
  const bench = page.getByRole('region', { name: 'On this bench' })
  await expect(bench.getByRole('row')).not.toHaveCount(1)
  await expect(bench.getByText('Next, of all of them')).toBeVisible()
  const resting = bench.getByLabel('Dunlin is').first()
  await resting.click()
  await expect(bench.getByText('rests').first()).toBeVisible()
  const hand = page.getByRole('region', { name: 'In hand' })
  await hand.getByLabel('Nothing final begun after').fill('21:00')
  await hand.getByLabel('Friday').fill('90')
  await page.keyboard.press('Enter')
  await saved(page)
  await page.reload()
  await expect(hand.getByLabel('Nothing final begun after')).toHaveValue('21:00')
  await expect(hand.getByLabel('Friday')).toHaveValue('90')
})

test('somebody comes for a step on a day, and a late part is settled for with its reason', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/plan/close-guard`)
  const hand = page.getByRole('region', { name: 'In hand' })
  await expect(hand.getByText(/Better after “Bushings and studs, /)).toBeVisible()
  await hand.getByText('Somebody comes for it').click()
  await hand.getByLabel('Who').fill('a neighbour')
  await hand.getByLabel('On', { exact: true }).fill('2027-02-01')
  await hand.getByRole('button', { name: 'Book' }).click()
  await expect(hand.getByText(/a neighbour comes for it on Mon 1 Feb/)).toBeVisible()
  await expect(hand.getByText(/falls on Mon 1 Feb/)).toBeVisible()
  await page.goto(`/builds/${id}/plan/arrive-bridge`)
  await hand.getByText(/wait or settle/).click()
  await hand.getByLabel('Why, in a few words').fill('the gift is due')
  await hand.getByRole('button', { name: /This way Put another on for now/ }).click()
  await saved(page)
  await page.goto(`/builds/${id}/plan?tab=ahead`)
  await expect(page.getByText(/Put another on for now/).first()).toBeVisible()
  await expect(page.getByText('the gift is due')).toBeVisible()
})

test('an upgrade: all is in place, one part is another one, and only its work stands in the plan', async ({ page, server }) => {
  const made = await fetch(`${server}/api/builds`, {
    method: 'POST',
    headers: { origin: server, 'content-type': 'application/json' },
    body: JSON.stringify({
      name: 'Old friend',
      handedness: 'right',
      strings: 6,
      scale: 647.7,
      start: 'bolt-guard-vibrato',
      job: 'upgrade',
    }),
  })
  const { id } = (await made.json()) as { id: string }
  await page.goto(`/builds/${id}/plan`)
  const steps = page.getByRole('region', { name: 'Steps in order' })
  await expect(steps.getByText('Say under Parts what is changed')).toBeVisible()
  await expect(steps.getByText(/Solder |then drill:|then cut:/)).toHaveCount(0)
  await page.goto(`/builds/${id}/parts?tab=box`)
  const board = page.getByRole('region', { name: 'What is changed' })
  await board.getByRole('button', { name: 'Bridge pickup', exact: true }).click()
  await expect(board.getByRole('region', { name: 'another one, still to be bought' })).toContainText('Bridge pickup')
  await page.goto(`/builds/${id}/plan`)
  await expect(steps.getByText('Solder bridge pickup into the harness that is there', { exact: true })).toBeVisible()
  await expect(steps.getByText('Guard on and closed', { exact: true })).toBeVisible()
  await expect(steps.getByText(/tuner bores|Screw the neck on|Trial build/)).toHaveCount(0)
  // What is there already is told so under Drill, and the pickup’s own route is asked for.
  await page.goto(`/builds/${id}/drill/stud-bores`)
  await expect(page.getByRole('region', { name: 'In hand' })).toContainText('nothing is drilled')
})
