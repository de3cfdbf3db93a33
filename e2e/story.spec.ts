import { readFile } from 'node:fs/promises'
import { copyOf, expect, saved, test } from './server'

test('the story of Heron, from a neck that will not go in to a ticked step, all there again after a reload', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  const hand = page.getByRole('region', { name: 'In hand' })
  const title = (text: RegExp) => hand.getByRole('heading', { name: text })
  await page.goto(`/builds/${id}/fit/pocket-mouth`)

  await test.step('the neck will not go into the pocket: cured on paper', async () => {
    await expect(title(/Heel in pocket, at the mouth/)).toContainText('tight')
    await expect(hand).toContainText('0.35 mm too narrow')
    await hand.getByRole('button', { name: 'Do it on paper' }).first().click()
    await expect(title(/Heel in pocket, at the mouth/)).toContainText('snug')
    await expect(page.getByRole('contentinfo').getByRole('status')).toContainText('heel in pocket, at the mouth: tight → snug')
  })

  await test.step('the pots are too long: packed with inner nuts', async () => {
    for (const pot of ['Volume', 'Tone']) {
      await page.getByRole('button', { name: new RegExp(`${pot} pot in guard`) }).click()
      await expect(title(new RegExp(`${pot} pot in guard`))).toContainText('tight')
      await hand.getByRole('button', { name: 'Do it on paper' }).first().click()
      await expect(title(new RegExp(`${pot} pot in guard`))).toContainText('snug')
    }
  })

  await test.step('a true-size template', async () => {
    await page.keyboard.press('3')
    await page.getByRole('tab', { name: 'Paper' }).click()
    const coming = page.waitForEvent('download')
    await hand.getByRole('button', { name: 'SVG' }).click()
    const svg = await readFile(await (await coming).path(), 'utf8')
    expect(svg).toMatch(/<svg[^>]*width="[\d.]+mm"/)
    expect(svg).toContain('100 mm')
  })

  await test.step('what the meter will read and what is heard', async () => {
    await page.keyboard.press('4')
    await expect(page.getByRole('region', { name: 'Positions' })).toContainText('bridge, both coils in series')
    await expect(hand).toContainText(/Peak at \d+ ?Hz/)
    await expect(hand).toContainText(/expected 8\.\d\d k/)
    await hand.getByRole('textbox', { name: /Meter at the jack/ }).fill('4.1k')
    await page.keyboard.press('Enter')
    await expect(hand).toContainText(/below the expected/)
  })

  await test.step('coat dates, then turns of the saddle screws', async () => {
    await page.keyboard.press('Escape')
    await saved(page)
    await page.goto(`/builds/${id}/finish`)
    await expect(hand).toContainText(/cans? of 400/)
    await expect(page.getByText(/rub out from/i).first()).toBeVisible()
    await saved(page)
    await page.goto(`/builds/${id}/setup/action`)
    await hand.getByLabel('Action at fret 12, bass').fill('2.1')
    await hand.getByLabel('Action at fret 12, treble').fill('5/64')
    await page.keyboard.press('Enter')
    await expect(hand).toContainText(/turn/)
  })

  await test.step('a step ticked in order, and one out of order', async () => {
    await saved(page)
    await page.goto(`/builds/${id}/plan`)
    const steps = page.getByRole('region', { name: 'Steps in order' })
    await steps.getByRole('button', { name: 'Drill: neck screw pilots in the heel' }).first().click()
    await expect(title(/neck screw pilots in the heel/i)).toBeVisible()
    await hand.getByRole('button', { name: 'Done', exact: true }).click()
    await expect(hand.getByRole('alert')).toContainText('Out of order')
    await hand.getByRole('button', { name: 'Not yet' }).click()
    await steps
      .getByRole('button', { name: /Shave .* off the treble wall/ })
      .first()
      .click()
    await hand.getByRole('button', { name: 'Done', exact: true }).click()
    await expect(hand.getByRole('button', { name: 'Not done after all' })).toBeVisible()
  })

  await test.step('closed and opened again, everything is there', async () => {
    await saved(page)
    await page.goto('about:blank')
    await page.goto(`/builds/${id}/plan`)
    await page
      .getByRole('button', { name: /Shave .* off the treble wall/ })
      .first()
      .click()
    await expect(hand.getByRole('button', { name: 'Not done after all' })).toBeVisible()
    await saved(page)
    await page.goto(`/builds/${id}/setup/action`)
    await expect(hand.getByLabel('Action at fret 12, bass')).toHaveValue('2.1')
    await saved(page)
    await page.goto(`/builds/${id}/fit/pocket-mouth`)
    await expect(title(/Heel in pocket, at the mouth/)).toContainText('snug')
  })
})

test('a person’s own measured pocket and heel give the verdict and the amount', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const pocket = hand.getByLabel('Pocket width, mouth', { exact: true })
  const heading = hand.getByRole('heading', { name: /Heel in pocket, at the mouth/ })
  await pocket.fill('56.8')
  await pocket.press('Enter')
  await expect(heading).toContainText('snug')
  await pocket.fill('55.3')
  await pocket.press('Enter')
  await expect(heading).toContainText('won’t go')
  await pocket.fill('2 13/64 in')
  await pocket.press('Enter')
  await expect(pocket).toHaveValue('55.96')
  await expect(heading).toContainText('tight')
  await expect(hand).toContainText(/Shave \d\.\d+ mm off the treble wall.* near the mouth, then try; not more than \d\.\d+ mm in all/)
})

test('undo, redo, and a change on trial that is dropped', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const pocket = hand.getByLabel('Pocket width, mouth', { exact: true })
  await pocket.fill('56.7')
  await pocket.press('Enter')
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled()
  await page.keyboard.press('Control+z')
  await expect(pocket).toHaveValue('56.1')
  await page.keyboard.press('Control+Shift+z')
  await expect(pocket).toHaveValue('56.7')

  // By key: what to read comes a moment later and moves the box.
  await hand.getByLabel('only try it out').press('Space')
  await expect(hand.getByLabel('only try it out')).toBeChecked()
  await pocket.fill('57')
  await pocket.press('Enter')
  const trial = page.getByRole('complementary', { name: 'On trial' })
  await expect(trial).toContainText('57')
  await expect(hand).toContainText('On trial')
  await trial.getByRole('button', { name: 'Drop it' }).click()
  await expect(pocket).toHaveValue('56.7')
})
