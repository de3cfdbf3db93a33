import { copyOf, expect, saved, test } from './server'

test('the side view: ask for a goal, drag and step the rings, drop it; then keep the least shim', async ({ page, server }) => {
  const id = await copyOf(server, 'plover')
  await page.goto(`/builds/${id}/fit/bridge-height`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const heading = hand.getByRole('heading', { name: /Neck angle/ })
  const trial = page.getByRole('complementary', { name: 'On trial' })
  await expect(heading).toContainText('will not do')

  await hand.getByRole('button', { name: 'Bridge mid-range' }).click()
  await expect(trial).toContainText('Neck angle and bridge height: will not do →')
  await expect(heading).toContainText('good')
  const tilt = page.getByRole('slider', { name: 'Tilt added to the neck' })
  const before = Number(await tilt.getAttribute('aria-valuenow'))
  expect(before).toBeGreaterThan(0.3)

  // By the arrow keys, a hundredth of a degree at a time; the list beside it stays where it is.
  await tilt.focus()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  // It stands on whole hundredths, wherever it began.
  await expect(async () => expect(Math.abs(Number(await tilt.getAttribute('aria-valuenow')) - before - 0.02)).toBeLessThan(0.0051)).toPass()
  await expect(heading).toBeVisible()

  // By the pointer: the saddle up.
  const saddle = page.getByRole('slider', { name: 'Saddle height above the body' })
  const from = Number(await saddle.getAttribute('aria-valuenow'))
  const box = (await saddle.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 6, { steps: 4 })
  await page.mouse.up()
  await expect(async () => expect(Number(await saddle.getAttribute('aria-valuenow'))).toBeGreaterThan(from + 0.3)).toPass()
  await expect(hand.getByRole('row', { name: /Saddles on trial at/ })).toContainText(/mm, action \d/)
  await expect(trial).toContainText(/saddles at \d/)
  await hand.getByRole('button', { name: 'let the action decide' }).click()
  await expect(hand.getByRole('row', { name: /Saddles on trial at/ })).toContainText('as the action asks')

  await trial.getByRole('button', { name: 'Drop it' }).click()
  await expect(heading).toContainText('will not do')
  await hand.getByRole('button', { name: 'Least shim' }).click()
  await trial.getByRole('button', { name: 'Keep it' }).click()
  await saved(page)
  await page.reload()
  await expect(hand).toContainText('On paper: Tapered shim')
  await page.goto(`/builds/${id}/plan`)
  await expect(page.getByRole('region', { name: /order|run sheet|steps/i }).first()).toContainText('Tapered shim')
})

test('a break angle is a goal where it is known what holds the strings', async ({ page, server }) => {
  const id = await copyOf(server, 'dunlin')
  await page.goto(`/builds/${id}/fit/bridge-height`)
  const hand = page.getByRole('region', { name: 'In hand' })
  await hand.getByRole('textbox', { name: 'Degrees' }).fill('12')
  await page.keyboard.press('Enter')
  await hand.getByRole('button', { name: 'Break of at least 12°' }).click()
  await expect(hand.getByRole('row', { name: 'Strings over the saddles' })).toContainText('12.0°')
})

test('a guard off its routes: the least filing, the gap it leaves, the other school; on paper it goes', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/guard-openings`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const heading = hand.getByRole('heading', { name: /Guard openings/ })
  await expect(heading).toContainText('won’t go')
  await expect(hand).toContainText('No shift cures it')
  await expect(hand).toContainText(/A gap of \d(\.\d)? mm will show beside the neck cover/)
  await expect(hand).toContainText('open the body’s neck route')
  await expect(hand.getByRole('row', { name: /^neck / })).toContainText('neck side')
  await hand.getByRole('button', { name: 'Do it on paper' }).first().click()
  await expect(heading).toContainText('snug')
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(heading).toContainText('won’t go')
})

test('a lead too short to lay the guard beside the body; a new one settles it', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/leads`)
  const hand = page.getByRole('region', { name: 'In hand' })
  await expect(hand.getByRole('heading', { name: /Leads, opened/ })).toContainText('needs work')
  await expect(hand).toContainText('with the guard turned over beside the body')
  const lead = hand.getByRole('textbox', { name: 'Lead from controls to string ground, as cut' })
  await lead.fill('330')
  await lead.press('Enter')
  await expect(hand.getByRole('heading', { name: /Leads, opened/ })).toContainText('good')
})

test('controls on a plate of their own: laid where its route is covered, its holes and its harness named by it', async ({
  page,
  server,
}) => {
  const post = async (path: string, body: object) =>
    (await (
      await fetch(`${server}/api/${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: server },
        body: JSON.stringify(body),
      })
    ).json()) as { id: string }
  const begun = await post('builds', { name: 'Wren', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-plate' })
  const bundle = (await (await fetch(`${server}/api/builds/${begun.id}/bundle`)).json()) as {
    build: {
      parts: Record<string, { traits: Record<string, string>; sizes: Record<string, { value: number; doubt: number; known: string }> }>
    }
  }
  // Read as it was begun, but laid 20 mm too far back.
  const { body, 'control-plate': plate, bridge } = bundle.build.parts
  for (const { sizes } of [body!, plate!, bridge!, bundle.build.parts['pot-volume']!, bundle.build.parts['pot-tone']!])
    for (const [name, size] of Object.entries(sizes))
      sizes[name] = { ...size, doubt: Math.min(0.05, Math.abs(size.value) / 100), known: 'calipers' }
  body!.sizes['plate.x']!.value += 20
  plate!.traits.ends = 'round'
  const { id } = await post('import', bundle)

  await page.goto(`/builds/${id}/fit/plate-cover`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const heading = hand.getByRole('heading', { name: /Control plate over its route/ })
  await expect(heading).toContainText('won’t go')
  await expect(hand).toContainText('The route shows 7 mm beyond the plate at its front end.')
  await expect(hand).toContainText('Lay the plate 20 mm further towards the neck.')
  await hand.getByRole('button', { name: 'Do it on paper' }).first().click()
  await saved(page)
  await expect(hand).not.toContainText('The route shows')

  await page.goto(`/builds/${id}/drill/pot-holes`)
  await expect(hand.getByRole('heading', { name: /Pot holes in the control plate/ })).toBeVisible()
  await page.goto(`/builds/${id}/plan`)
  await expect(page.getByText('Solder the harness on the control plate, in wire-list order').first()).toBeVisible()
})
