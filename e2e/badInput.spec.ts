import { copyOf, expect, test } from './server'

test('what cannot be is said in a sentence and the old value stays', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.goto(`/builds/${id}/fit/pocket-mouth`)
  const hand = page.getByRole('region', { name: 'In hand' })
  const pocket = hand.getByLabel('Pocket width, mouth', { exact: true })
  for (const [typed, sentence] of [
    ['', /No length was entered/],
    ['-3', /cannot be right; allowed is 40 mm to 90 mm/],
    ['5 m', /5000 mm cannot be right/],
    ['wide', /"wide" is not a length/],
    ['56 furlongs', /"furlongs" is not a unit/],
  ] as const) {
    await pocket.fill(typed)
    await pocket.press('Enter')
    await expect(hand.getByRole('alert')).toContainText(sentence)
    await pocket.press('Escape')
    await expect(pocket).toHaveValue('56.1')
  }
})

test('files that are no bundle are refused with a sentence, and a good one comes in whole', async ({ page, server }) => {
  await page.goto('/')
  const builds = page.getByRole('region', { name: 'Builds on the shelf' }).getByRole('listitem')
  await expect(builds.first()).toBeVisible()
  const count = await builds.count()
  const bring = (name: string, text: string) =>
    page.getByLabel('Bundle file').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
  for (const [text, sentence] of [
    ['{"format":', /not JSON/],
    ['{"drawing":1}', /not a build bundle/],
    ['{"format":"snug-bolt-build","version":7}', /reads up to version/],
    [`"${'x'.repeat(10.5e6)}"`, /at most 10 MB/],
  ] as const) {
    await bring('file.json', text)
    await expect(page.getByText(sentence)).toBeVisible()
    await expect(builds).toHaveCount(count)
  }
  const bundle = await (await fetch(`${server}/api/builds/heron/bundle`)).text()
  await bring('heron.json', bundle)
  await expect(page).toHaveURL(/\/builds\/heron-/)
  await expect(page.getByRole('heading', { level: 1, name: 'Heron' })).toBeVisible()
})
