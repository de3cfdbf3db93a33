import { test as base, type BrowserContext, type Page } from '@playwright/test'
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { cp, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Where the folder lies that every test's own begins as. */
export const EMPTY = 'SNUG_E2E_EMPTY'

const root = fileURLToPath(new URL('../', import.meta.url))

/** Starts the built server on a free port. @param demo with the demo builds, as it is unless it is started otherwise */
export async function startServer(
  folder: string,
  args: string[] = [],
  demo = !args.length,
): Promise<{ url: string; child: ChildProcess; said: () => string }> {
  const env = { ...process.env, SNUG_DATA: folder, SNUG_PORT: '0', ...(demo ? { SNUG_DEMO: '1' } : {}) }
  // These live for minutes: the database's program is compiled for a quick start, not for a long life.
  const quick = ['--liftoff-only', '--wasm-lazy-compilation']
  const child = spawn(process.execPath, [...quick, 'apps/server/dist/main.js', ...args], { cwd: root, env })
  let said = ''
  const url = await new Promise<string>((done, fail) => {
    const hear = (chunk: Buffer) => {
      said += chunk.toString()
      const found = /http:\/\/localhost:\d+/.exec(said)?.[0]
      if (found) done(found)
    }
    child.stdout.on('data', hear)
    child.stderr.on('data', hear)
    child.once('exit', () => fail(new Error(said)))
  })
  return { url, child, said: () => said }
}

/** A data folder with an empty database; making one takes seconds, which the tests take once. */
export async function emptyFolder(): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), 'snug-e2e-'))
  await cp(join(process.env[EMPTY]!, 'database'), join(folder, 'database'), { recursive: true })
  return folder
}

/** Makes a bench in a data folder that nothing has open. @returns its pass-phrase */
export function newBench(folder: string, name: string): string {
  const env = { ...process.env, SNUG_DATA: folder }
  return execFileSync(process.execPath, ['apps/server/dist/benches.js', 'add', name], { cwd: root, env, encoding: 'utf8' })
    .trim()
    .split(': ')[1]!
}

interface Shared {
  server: string
  /** One browser profile for all tests of a worker, and what takes out of it what a test left there. */
  profile: { context: BrowserContext; empty: () => Promise<void> }
}

/** Tests get a server per worker with the demo builds, and before each test a browser that has nothing kept of the one before. */
export const test = base.extend<object, Shared>({
  server: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner reads from the pattern what a fixture needs
    async ({}, use) => {
      const folder = await emptyFolder()
      const { url, child } = await startServer(folder)
      await use(url)
      child.kill('SIGKILL')
      await rm(folder, { recursive: true, force: true })
    },
    { scope: 'worker', timeout: 60_000 },
  ],
  profile: [
    async ({ browser, server }, use) => {
      const context = await browser.newContext({ baseURL: server, viewport: { width: 1280, height: 800 } })
      const keeper = await context.newPage()
      const wire = await context.newCDPSession(keeper)
      const empty = async () => {
        for (const page of context.pages()) if (page !== keeper) await page.close()
        await wire.send('Storage.clearDataForOrigin', { origin: server, storageTypes: 'cookies,local_storage,indexeddb' })
      }
      await use({ context, empty })
      await context.close()
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ server }, use) => use(server),
  context: async ({ browser, profile, server, viewport, hasTouch }, use, info) => {
    // One with fingers is a browser of its own.
    if (hasTouch) {
      const own = await browser.newContext({ baseURL: server, viewport, hasTouch })
      await use(own)
      await own.close()
      return
    }
    await use(profile.context)
    if (info.status !== info.expectedStatus) await info.attach('shown', { body: await shown(profile.context) })
    await profile.empty()
  },
})

/** What the pages of a test that failed showed; a page that does not answer is said to. */
async function shown(context: BrowserContext): Promise<string> {
  const texts = context.pages().map((page) => {
    const answer = page.evaluate(() => document.body.innerText).catch(String)
    const patience = new Promise<string>((done) => setTimeout(() => done('does not answer'), 5000))
    return Promise.race([answer, patience]).then((text) => `${page.url()}\n${text}`)
  })
  return (await Promise.all(texts)).join('\n')
}

/** A copy of a demo build under an id of its own, so that no test meets what another did. */
export async function copyOf(server: string, id: string): Promise<string> {
  const bundle = await (await fetch(`${server}/api/builds/${id}/bundle`)).text()
  const answer = await fetch(`${server}/api/import`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: bundle })
  return ((await answer.json()) as { id: string }).id
}

/** To another address of a build without loading it anew, as a link within it leads there; what was open stays until that is there. */
export async function walkTo(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    window.history.pushState({}, '', to)
    window.dispatchEvent(new PopStateEvent('popstate'))
  }, path)
  const station = /\/builds\/[^/]+\/(\w+)/.exec(path)![1]!
  await base.expect(page.locator('nav[aria-label=Stations] a[aria-current=page]')).toHaveAttribute('href', new RegExp(`/${station}$`))
}

/** Everything typed so far has reached the server; what the sill says before a person walks away. */
export async function saved(page: Page): Promise<void> {
  await base.expect(page.getByText('saving…')).toHaveCount(0)
}
export { expect } from '@playwright/test'
