import type { Page } from '@playwright/test'
import { copyOf, expect, saved, test } from './server'

const hand = (page: Page) => page.getByRole('region', { name: 'In hand' })
const stack = (page: Page) => page.getByRole('region', { name: 'Stack' })

test('from an empty stack to the calendar: layers laid on, one dragged, one refused, a zone of its own', async ({ page, server }) => {
  const id = await copyOf(server, 'plover')
  await page.goto(`/builds/${id}/parts/body`)
  await page.goto(`/builds/${id}/finish`)
  for (const label of [/^Wipe-on polyurethane/]) {
    await stack(page).getByRole('button', { name: label }).first().click()
    await hand(page).getByRole('button', { name: 'Take it out of the stack' }).click()
    await saved(page)
  }
  await page.getByRole('tab', { name: 'Stack' }).click()
  const lay = async (label: RegExp) => {
    await stack(page).getByRole('region', { name: 'Lay one more' }).getByRole('button', { name: label }).click()
    await saved(page)
  }
  await lay(/^Filler primer/)
  await lay(/^Acrylic clear/)
  await lay(/^Acrylic colour/)
  // Colour goes under the clear: dragged by keys.
  await stack(page)
    .getByRole('button', { name: /^Acrylic colour 3 ×/ })
    .focus()
  for (const key of ['Space', 'ArrowLeft', 'Space']) {
    await page.keyboard.press(key)
    // A hand takes its time between keys; what is lifted moves in between.
    await page.waitForTimeout(250)
  }
  await saved(page)
  await expect(stack(page).getByRole('button', { name: /coats, 0 laid/ })).toHaveText([/Filler primer/, /Acrylic colour/, /Acrylic clear/])
  await expect(stack(page).getByText(/Water dye in the wood: Dye does not go into the wood through acrylic/)).toBeAttached()
  // The neck's back for itself.
  await stack(page).getByRole('button', { name: 'Neck back' }).click()
  await stack(page).getByRole('button', { name: 'Leave it bare' }).click()
  await lay(/^Hard-wax oil/)
  await page.getByRole('tab', { name: 'Weather and calendar' }).click()
  await expect(page.getByText(/Neck back: Dry from/)).toBeVisible()
  await expect(page.getByText(/acrylic clear 1/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Ask the simulated station' }).click()
  await expect(page.getByText(/Hours for filler primer/)).toBeVisible()
})

test('coats counted on the bench view over a reload, the clock runs on, the rub-out counts from the last one', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/finish?tab=choose`)
  await page.getByRole('button', { name: /^Hard-wax oil/ }).click()
  await expect(page.getByText(/Oil-wet rags heat up by themselves/)).toBeVisible()
  await page.getByRole('button', { name: 'Choose this' }).click()
  await saved(page)
  await page.getByRole('tab', { name: 'Stack' }).click()
  await page.getByRole('button', { name: 'Neck back · own' }).click()
  await page.getByRole('button', { name: 'As the whole' }).click()
  await saved(page)
  const tap = async () => {
    await hand(page)
      .getByRole('button', { name: /^Bench view/ })
      .click()
    await page.getByRole('dialog').getByRole('button', { name: 'It is on' }).click()
    await expect(
      page
        .getByRole('dialog')
        .getByText(/dries:|Dry from/)
        .first(),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Back to the bench' }).click()
    await saved(page)
  }
  await tap()
  await tap()
  await page.reload()
  await expect(stack(page).getByRole('button', { name: /^Hard-wax oil .*3 coats, 2 laid/ })).toBeVisible()
  await expect(page.getByRole('contentinfo')).toContainText('Hard-wax oil 2 dries, next coat')
  await expect(page.getByText(/if the coats go on as planned/)).toBeVisible()
  await tap()
  await expect(page.getByText(/counted from the last one as it was laid/)).toBeVisible()
})

test('a strike-through is logged, why and the ways back stand under Trouble, the film is less', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/finish?tab=sanding`)
  const left = page.getByRole('region', { name: 'Sanding' }).getByRole('row', { name: /^P1200/ })
  const before = await left.textContent()
  await hand(page).getByRole('button', { name: 'Through at edges' }).click()
  await saved(page)
  await expect(left).not.toHaveText(before!)
  await expect(hand(page).getByText(/The ways back, with their time and cost, stand under Trouble/)).toBeVisible()
  await page.getByRole('tab', { name: 'Trouble' }).click()
  await page.getByRole('button', { name: /^Sanded through/ }).click()
  await expect(
    hand(page)
      .getByText(/logged: cut through at edges/)
      .first(),
  ).toBeVisible()
  await hand(page)
    .getByRole('button', { name: /^This one: Stop. Dry, colour put back/ })
    .click()
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: /^Sanded through/ }).click()
  await expect(hand(page).getByText(/: Stop. Dry, colour put back/)).toBeVisible()
})

test('the whole instrument tried many times, seen as it comes and stopped', async ({ page }) => {
  await page.goto('/builds/heron/finish?tab=sanding')
  await page.getByRole('button', { name: /Try it 40,000 times/ }).click()
  await expect(page.getByText(/were cut through somewhere/)).toBeVisible()
  await page.getByRole('region', { name: 'Somewhere on the instrument' }).getByRole('button').click()
  await expect(page.getByRole('button', { name: /Try it 40,000 times/ })).toBeVisible()
})

test('a forecast that cannot be read says what is wrong in which row', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/finish?tab=calendar`)
  const file = (text: string) => ({ name: 'week.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await page.getByLabel('Forecast as CSV').setInputFiles(file('time,temperature,humidity\nyesterday,12,60\n'))
  await expect(page.getByText(/Row 2: "yesterday" is no time/)).toBeVisible()
  await page.getByLabel('Forecast as CSV').setInputFiles(file('time;temperature;humidity\n2026-12-01 18:00;12,5;60\n'))
  await expect(page.getByRole('button', { name: 'Tue 1 Dec' })).toBeVisible()
})
