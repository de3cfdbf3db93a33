import { chromium, type Browser, type Page } from '@playwright/test'
import { heron } from '@snug/demo'
import { spawn } from 'node:child_process'
import { mkdtemp, readdir, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { LAUNCH } from '../../e2e/launch'
import { benchDay } from './day'
import { benchLongTasks } from './longTasks'
import { row } from './measure'

const root = fileURLToPath(new URL('../../', import.meta.url))
const at = (times: readonly number[], share: number) => times.toSorted((a, b) => a - b)[Math.floor(times.length * share)]!

async function server(folder: string) {
  const child = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd: root,
    env: { ...process.env, SNUG_DATA: folder, SNUG_PORT: '0', SNUG_DEMO: '1' },
  })
  const url = await new Promise<string>((done, fail) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/localhost:\d+/.exec(chunk.toString())?.[0]
      if (found) done(found)
    })
    child.once('exit', () => fail(new Error('The server ended; run npm run build first.')))
  })
  return { url, stop: () => child.kill('SIGKILL') }
}

const send = (url: string, body: unknown) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })

/** The built server on a folder of its own and the built interface, as a person has them. */
async function withPage(use: (page: Page, url: string) => Promise<void>): Promise<void> {
  const folder = await mkdtemp(join(tmpdir(), 'snug-bench-'))
  const { url, stop } = await server(folder)
  const browser = await chromium.launch(LAUNCH)
  try {
    await use(await browser.newPage({ viewport: { width: 1280, height: 800 } }), url)
  } finally {
    await browser.close()
    stop()
    await rm(folder, { recursive: true, force: true })
  }
}

/** What the page comes to hold in a long day. */
export const benchLongDay = (): Promise<void> => withPage(benchDay)

/** What holds the page up. */
export const benchPage = (): Promise<void> => withPage(benchLongTasks)

/** With ten thousand offers in the stash, then a thousand builds on the shelf. */
export const benchBrowser = (): Promise<void> =>
  withPage(async (page, url) => {
    await bundle()
    await offers(url)
    await firstLoad(page.context().browser()!, url)
    await stash(page, url)
    await saves(url)
  })

async function bundle() {
  const folder = join(root, 'apps/web/dist/assets')
  const sizes = await Promise.all(
    (await readdir(folder)).filter((f) => f.endsWith('.js')).map(async (f) => (await stat(join(folder, f))).size),
  )
  console.log(`scripts of the interface: ${(sizes.reduce((a, b) => a + b, 0) / 1024).toFixed(0)} kB in ${sizes.length} files`)
}

async function offers(url: string) {
  const csv = `kind,name,holding,seller,price,days promised,resistance,bushing.diameter,bushing.length,trait:taper\n${Array.from(
    { length: 10_000 },
    (_, i) => `pot,Heap pot ${i},offer,Quayside Electrics,6.50,4,500k,9.4,${(6 + (i % 40) / 10).toFixed(1)},audio`,
  ).join('\n')}`
  const start = performance.now()
  const answer = await send(`${url}/api/stock/import`, { csv })
  row('ten thousand offers taken in by the server', performance.now() - start, `answered ${answer.status}`)
}

/** Looked at by the page itself at every frame: who asks from outside asks now and then. */
async function firstLoad(browser: Browser, url: string) {
  const times: number[] = []
  for (let i = 0; i < 5; i++) {
    // Nothing is kept from the time before.
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const page = await context.newPage()
    await page.addInitScript(() => {
      const look = () => {
        if (document.querySelector('section[aria-label="In hand"] :is(h2, h3)')?.textContent)
          document.documentElement.dataset.inHand = String(performance.now())
        else requestAnimationFrame(look)
      }
      requestAnimationFrame(look)
    })
    await page.goto(`${url}/builds/heron/fit`)
    times.push(Number(await page.locator('html[data-in-hand]').getAttribute('data-in-hand')))
    await context.close()
  }
  row('first load to the first joint in hand', at(times, 0.5), `slowest of ${times.length} ${Math.max(...times).toFixed(0)} ms`)
}

async function stash(page: Page, url: string) {
  await page.goto(`${url}/builds/heron/parts?tab=stock`)
  const status = page.getByRole('region', { name: 'Stash and offers' }).getByRole('status')
  await status.filter({ hasText: /100\d\d/ }).waitFor()
  const search = page.getByLabel('Search parts')
  const times: number[] = []
  for (let i = 0; i < 15; i++)
    times.push(
      await search.evaluate(
        async (field: HTMLInputElement, wanted) => {
          const start = performance.now()
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, wanted.toLowerCase())
          field.dispatchEvent(new Event('input', { bubbles: true }))
          const rows = document.querySelector('[data-testid=stock-rows]')!
          while (!rows.textContent.includes(wanted)) await new Promise(requestAnimationFrame)
          return performance.now() - start
        },
        `Heap pot ${4100 + i * 131}`,
      ),
    )
  row('search among them, key to row in sight', at(times, 0.5), `slowest ${Math.max(...times).toFixed(0)} ms`)
  await search.fill('')
  await status.filter({ hasText: /100\d\d/ }).waitFor()
  const frames = await page.getByTestId('stock-rows').evaluate(async (e) => {
    const gaps: number[] = []
    let last = performance.now()
    for (let i = 0; i < 150; i++) {
      e.scrollTop += 600
      await new Promise(requestAnimationFrame)
      const now = performance.now()
      gaps.push(now - last)
      last = now
    }
    return gaps
  })
  row(
    'scrolling them, a frame',
    at(frames, 0.5),
    `95 of 100 under ${at(frames, 0.95).toFixed(0)} ms, slowest ${Math.max(...frames).toFixed(0)} ms`,
  )
}

async function saves(url: string) {
  const build = heron('2026-11-24', '2027-02-15', '2026-12-05')
  const exported = (await (await fetch(`${url}/api/builds/heron/bundle`)).json()) as object
  for (let i = 0; i < 1000; i++) await send(`${url}/api/import`, exported)
  const load: number[] = []
  const save: number[] = []
  let { revision } = (await (await fetch(`${url}/api/builds/heron`)).json()) as { revision: number }
  for (let i = 0; i < 200; i++) {
    let start = performance.now()
    await (await fetch(`${url}/api/builds/heron`)).json()
    load.push(performance.now() - start)
    start = performance.now()
    const path = ['finish', 'coats']
    const change = { label: 'Coats', edits: [{ path, from: i % 2 ? 6 : build.finish.coats, to: i % 2 ? build.finish.coats : 6 }] }
    const answer = await send(`${url}/api/builds/heron/changes`, { revision, ...change })
    if (!answer.ok) throw new Error(await answer.text())
    revision = ((await answer.json()) as { revision: number }).revision
    save.push(performance.now() - start)
  }
  row('with a thousand builds: load one', at(load, 0.5), `95 of 100 under ${at(load, 0.95).toFixed(1)} ms`)
  row('  save a change', at(save, 0.5), `95 of 100 under ${at(save, 0.95).toFixed(1)} ms`)
}
