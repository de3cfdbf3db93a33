import { rm } from 'node:fs/promises'
import { test as base, type Page } from '@playwright/test'
import { violations, withAxe } from './checks/axe'
import { emptyFolder, expect, newBench, saved, startServer } from './server'

const test = base.extend<{ home: string; benches: { url: string; phrases: Record<string, string> } }>({
  // biome-ignore lint/correctness/noEmptyPattern: the runner reads from the pattern what a fixture needs
  home: async ({}, use) => {
    const home = await emptyFolder()
    await use(home)
    await rm(home, { recursive: true, force: true })
  },
  benches: async ({ home }, use) => {
    const phrases = Object.fromEntries(['Anna', 'Ben'].map((name) => [name, newBench(home, name)]))
    const { url, child } = await startServer(home, ['--benches'])
    await use({ url, phrases })
    child.kill('SIGKILL')
  },
})

async function signIn(page: Page, { url, phrases }: { url: string; phrases: Record<string, string> }, name: string) {
  await page.goto(url)
  await page.getByLabel('Name of your bench').fill(name)
  await page.getByLabel('Its pass-phrase').fill(phrases[name]!)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText(name, { exact: true })).toBeVisible()
}

test('two benches: a build is shown by a link, looked at and tried with, then handed over, with everything that belongs to it', async ({
  browser,
  benches,
}) => {
  const page = await (await browser.newContext()).newPage()
  await withAxe(page)
  await page.goto(benches.url)
  expect(await violations(page)).toEqual([])
  await page.getByLabel('Name of your bench').fill('Anna')
  await page.getByLabel('Its pass-phrase').fill('wrong altogether')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toHaveText('That bench and that pass-phrase do not belong together.')
  await signIn(page, benches, 'Anna')
  await page.getByRole('button', { name: 'Open an example' }).click()
  await page.getByRole('link', { name: 'Log' }).click()
  await page.getByRole('textbox', { name: 'What happened' }).first().fill('Pocket is square to the string line')
  await page.getByRole('button', { name: 'Write it down' }).first().click()
  await expect(page.getByRole('button', { name: /Pocket is square/ })).toBeVisible()
  await saved(page)
  await page.getByRole('link', { name: 'Shelf' }).click()
  await page.getByRole('button', { name: 'Show or hand over' }).click()
  await page.getByRole('button', { name: 'Make a link' }).click()
  const address = await page.getByRole('textbox', { name: /^Link made/ }).inputValue()

  const guest = await (await browser.newContext()).newPage()
  await guest.goto(`${address}/fit`)
  await expect(guest.getByText('to look at', { exact: true })).toBeVisible()
  await expect(guest.getByRole('heading', { name: 'Heron, an example' })).toBeVisible()
  await guest.goto(`${address}/log`)
  await expect(guest.getByRole('button', { name: /Pocket is square/ })).toBeVisible()
  // Trying is free: it is computed, and gone after a reload.
  await guest.goto(`${address}/parts/body`)
  const pocket = guest.getByRole('region', { name: 'In hand' }).getByLabel('Pocket width, mouth', { exact: true })
  const before = await pocket.inputValue()
  await pocket.fill('57.4')
  await pocket.press('Enter')
  await expect(guest.getByText('What you tried is not kept.')).toBeVisible()
  await guest.getByRole('button', { name: 'As it is' }).click()
  await expect(pocket).toHaveValue(before)
  const refused = await guest.evaluate(
    async (at) => (await fetch(at, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' })).status,
    `${new URL(address).pathname.replace('/builds', '/api/builds')}/undo`,
  )
  expect(refused).toBe(401)

  const ben = await (await browser.newContext()).newPage()
  await signIn(ben, benches, 'Ben')
  await expect(ben.getByText('The shelf is empty.')).toBeVisible()
  await page.getByRole('combobox', { name: 'To' }).selectOption('Ben')
  await page.getByRole('button', { name: 'Hand it over' }).click()
  await page.getByRole('button', { name: /^Yes, Heron, an example goes to Ben/ }).click()
  await expect(page.getByText('The shelf is empty.')).toBeVisible()
  // Ben's window hears of it without being asked.
  await ben.getByRole('link', { name: /Heron, an example/ }).click()
  await ben.getByRole('link', { name: 'Log' }).click()
  await expect(ben.getByRole('button', { name: /Handed from Anna to Ben/ })).toBeVisible()
  await guest.reload()
  await expect(guest.getByText(/leads nowhere any more/)).toBeVisible()
  await ben.getByRole('link', { name: 'Shelf' }).click()
  await ben.getByRole('button', { name: 'Sign out' }).click()
  await expect(ben.getByRole('button', { name: 'Sign in' })).toBeVisible()
})

test('another device: the phrase lets it in, a wrong one does not', async ({ page, home }) => {
  process.env.SNUG_PHRASE = 'maple screw lamp'
  const { child, said } = await startServer(home, ['--share'])
  try {
    await expect.poll(said).toMatch(/reach it at|on no network/)
    const address = /reach it at (http:\S+)/.exec(said())?.[1]
    test.skip(address === undefined, 'this machine has no address of its own on a network')
    await page.goto(address!)
    const field = page.getByLabel('The pass-phrase shown where Snug Bolt was started')
    await field.fill('maple screw lap')
    await page.getByRole('button', { name: 'Let me in' }).click()
    await expect(page.getByRole('alert')).toHaveText(/That is not the phrase/)
    await field.fill('Maple screw-lamp')
    await page.getByRole('button', { name: 'Let me in' }).click()
    await expect(page.getByText('The shelf is empty.')).toBeVisible()
  } finally {
    child.kill('SIGKILL')
  }
})
