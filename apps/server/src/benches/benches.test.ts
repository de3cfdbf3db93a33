import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { OPERATIONS } from '../openapi'
import { png } from '../photos/testing'
import { startApp, WANTED, type Device, type TestApp } from '../testing/app'
import { addBench, listBenches, newPhraseFor, renameBench, signedIn, signIn } from './store'

let app: TestApp
let anna: Device
let ben: Device
/** A build of Anna's, an entry of its log, a picture, and a part in her stash. */
let hers: { build: string; entry: string; photo: string; part: string }
beforeAll(async () => {
  app = await startApp({ benches: true })
  await addBench(app.db, 'Anna', 'maple screw lamp')
  await addBench(app.db, 'Ben', 'walnut glue clamp')
  anna = app.device()
  ben = app.device()
  await anna.signIn('Anna', 'maple screw lamp').expect(303)
  await ben.signIn('Ben', 'walnut glue clamp').expect(303)
  const build = idOf(await anna.post('/builds', WANTED).expect(201))
  const entry = idOf(await anna.post(`/builds/${build}/log`, { kind: 'note', text: 'hers' }).expect(201))
  const sent = anna.raw('post', `/builds/${build}/photos`).set('Host', 'localhost').set('Content-Type', 'image/png')
  const photo = idOf(await sent.send(png(200, 150)).expect(201))
  const part = idOf(await anna.post('/stock', nut(3)).expect(201))
  hers = { build, entry, photo, part }
})
afterAll(() => app.close())

const idOf = ({ body }: { body: unknown }) => (body as { id: string }).id
const nut = (quantity: number, more: object = {}) => ({
  part: { kind: 'nut', name: 'Nut', state: 'in hand', sizes: {}, traits: {} },
  holding: 'stash',
  quantity,
  reserved: {},
  ...more,
})
const ids = async (who: Device, path: string) => ((await who.get(path).expect(200)).body as { id: string }[]).map((x) => x.id)

describe('signing in', () => {
  it('is asked of everyone, on a page for a browser and in a sentence for a program', async () => {
    const stranger = app.device()
    const page = await stranger.agent.get('/builds/x').set('Host', 'localhost').set('Accept', 'text/html').expect(401)
    expect(page.text).toContain('action="/sign-in"')
    for (const path of [
      '/builds',
      '/stock',
      '/bench',
      '/news',
      '/me',
      `/builds/${hers.build}`,
      `/builds/${hers.build}/photos/${hers.photo}`,
    ])
      expect((await stranger.get(path).expect(401)).body.detail, path).toMatch(/Sign in first/)
    await stranger.post('/builds', WANTED).expect(401)
    await stranger.get('/health').expect(200)
  })
  it('wants the name and the phrase that belong together, and tells neither which of them was wrong', async () => {
    const said = await Promise.all(
      [
        ['Anna', 'walnut glue clamp'],
        ['Nobody', 'maple screw lamp'],
        ['own', ''],
      ].map(([bench, phrase]) => app.device().signIn(bench!, phrase!)),
    )
    expect(said.map((s) => s.status)).toEqual([401, 401, 401])
    expect(new Set(said.map((s) => s.text)).size).toBe(1)
    expect(said.flatMap((s) => s.headers['set-cookie'] ?? [])).toEqual([])
  })
  it('gives a cookie that no script and no other site can use, of which only a hash is kept', async () => {
    const cookie = (await app.device().signIn('Anna', 'Maple-Screw  LAMP').expect(303)).headers['set-cookie']![0]!
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/SameSite=Strict/)
    const token = /snug-device=([^;]+)/.exec(cookie)![1]!
    expect(await signedIn(app.db, token)).toMatchObject({ name: 'Anna' })
    expect(await signedIn(app.db, `${token}x`)).toBeUndefined()
    expect(await signedIn(app.db, token, Date.now() + 31 * 86_400_000)).toBeUndefined()
    const { rows } = (await app.db.execute('select token from sessions')) as unknown as { rows: { token: string }[] }
    expect(rows.length).toBeGreaterThan(0)
    expect(rows.map((r) => r.token)).not.toContain(token)
  })
  it('ends when signed out, and everywhere at once when the phrase is changed', async () => {
    await addBench(app.db, 'Clara', 'spruce shelf wire')
    const [one, other] = [app.device(), app.device()]
    for (const d of [one, other]) await d.signIn('Clara', 'spruce shelf wire').expect(303)
    await one.agent.post('/sign-out').set('Host', 'localhost').expect(303)
    await one.get('/builds').expect(401)
    await other.get('/builds').expect(200)
    await newPhraseFor(app.db, 'Clara', 'another one altogether')
    // Said elsewhere, it is heard here in a moment.
    await expect.poll(async () => (await other.get('/builds')).status, { timeout: 5000 }).toBe(401)
    await app.device().signIn('Clara', 'spruce shelf wire').expect(401)
    await app.device().signIn('Clara', 'another one altogether').expect(303)
  })
  it('cannot be guessed at: twenty wrong phrases in an hour for a bench, from wherever, and it is shut for that hour', async () => {
    await addBench(app.db, 'Dora', 'cedar lamp saddle')
    const now = Date.parse('2026-11-26T12:00:00Z')
    const minutes = (n: number) => now + n * 60_000
    for (let n = 0; n < 20; n++) expect(await signIn(app.db, 'Dora', `guess ${n}`, minutes(n))).toBeUndefined()
    expect(await signIn(app.db, 'Dora', 'cedar lamp saddle', minutes(21))).toBe('wait')
    expect(await signIn(app.db, 'Dora', 'cedar lamp saddle', minutes(61))).toHaveLength(43)
    // Only one device's guesses are stopped sooner.
    const device = app.device()
    const answers: number[] = []
    for (let n = 0; n < 10; n++) answers.push((await device.signIn('Anna', 'no')).status)
    expect(answers).toContain(429)
  })
})

describe('another bench', () => {
  it('sees nothing of hers in any list', async () => {
    expect(await ids(anna, '/builds')).toEqual([hers.build])
    expect(await ids(ben, '/builds')).toEqual([])
    expect((await ben.get('/stock')).body).toMatchObject({ total: 0 })
    expect((await ben.get('/stock.json')).body).toEqual([])
    expect((await ben.get('/stock.csv')).text.trim().split('\n')).toHaveLength(1)
    await ben.put('/bench', { bits: [9], throats: [100], stand: false, block: false, routerBits: [], bushings: [] }).expect(200)
    expect((await anna.get('/bench')).body.bits).not.toEqual([9])
  })
  it.each(OPERATIONS.filter(([, path]) => path.includes('{')).map(([method, path]) => [method, path] as const))(
    'guessing its ids, gets nothing from %s %s, and is told what it is told of ids that do not exist',
    async (method, path) => {
      const at = (of: { build: string; part: string }) =>
        path
          .replace('/api', '')
          .replace(path.includes('/stock/') ? '{id}' : '{none}', of.part)
          .replace('{id}', of.build)
          .replace('{entry}', hers.entry)
          .replace('{photo}', hers.photo)
          .replace('{revision}', '0')
          .replace('{token}', 'shown-x')
      const ask = (where: string) =>
        method === 'get'
          ? ben.get(where)
          : method === 'delete'
            ? ben.remove(where)
            : method === 'put'
              ? ben.put(where, nut(1))
              : ben.post(where, {})
      const got = await ask(at(hers))
      const none = await ask(at({ build: 'none-000000000000', part: '00000000-0000-4000-8000-000000000000' }))
      expect(got.status).toBe(404)
      expect(none.status).toBe(404)
      expect(String((got.body as { detail: string }).detail).replace(hers.build, 'none-000000000000')).toBe(
        (none.body as { detail: string }).detail,
      )
    },
  )
  it('gets nothing by writing an address otherwise either', async () => {
    const id = hers.build
    for (const path of [
      `/BUILDS/${id}`,
      `/builds/${id}/`,
      `/builds/%${id.charCodeAt(0).toString(16)}${id.slice(1)}/log`,
      `/Builds/${id}/Bundle`,
    ])
      expect((await ben.get(path)).status, path).toBe(404)
    expect((await anna.get(`/BUILDS/${id}`)).status).toBe(200)
  })
  it('leaves all of it as it was', async () => {
    expect((await anna.get(`/builds/${hers.build}`)).body).toMatchObject({ revision: 0 })
    expect((await anna.get('/stock')).body).toMatchObject({ total: 1, items: [{ quantity: 3 }] })
    expect((await anna.get(`/builds/${hers.build}/log`)).body).toMatchObject([{ text: 'hers' }])
  })
})

describe('a link to look at a build', () => {
  it('shows the build, its log and its pictures to whoever has it, and nothing can be changed by it', async () => {
    const { token } = (await anna.post(`/builds/${hers.build}/links`).expect(201)).body as { token: string }
    const guest = app.device()
    const shown = (await guest.get(`/builds/${token}`).expect(200)).body as { id: string; build: { name: string } }
    expect(shown).toMatchObject({ id: token, shown: true, canUndo: false, build: { name: WANTED.name } })
    expect(JSON.stringify(shown)).not.toContain(hers.build)
    expect((await guest.get(`/builds/${token}/log`).expect(200)).body).toMatchObject([{ text: 'hers' }])
    await guest.get(`/builds/${token}/photos/${hers.photo}`).expect(200)
    await guest.get(`/builds/${token}/bundle`).expect(200)
    for (const call of [
      guest.post(`/builds/${token}/changes`, { revision: 0, label: 'x', edits: [] }),
      guest.post(`/builds/${token}/log`, { kind: 'note', text: 'x' }),
      guest.remove(`/builds/${token}`),
      guest.get(`/builds/${token}/links`),
      guest.post(`/builds/${token}/hand-over`, { to: 'Ben' }),
      // One signed in elsewhere is a guest here all the same.
      ben.post(`/builds/${token}/undo`, { revision: 0 }),
    ])
      expect([401, 403]).toContain((await call).status)
    await guest.get('/builds').expect(401)
    expect((await anna.get(`/builds/${hers.build}/links`)).body).toMatchObject([{ token }])
    await anna.remove(`/builds/${hers.build}/links/${token}`).expect(204)
    expect((await guest.get(`/builds/${token}`).expect(404)).body.detail).toMatch(/leads nowhere any more/)
    await guest.get(`/builds/shown-${'x'.repeat(43)}`).expect(404)
  })
})

describe('handing a build over', () => {
  it('gives it away with its log, its pictures and the parts put by for it; its links end', async () => {
    const build = idOf(await anna.post('/builds', { ...WANTED, name: 'For Ben' }).expect(201))
    const own = idOf(await anna.post('/builds', { ...WANTED, name: 'Stays' }).expect(201))
    await anna.post(`/builds/${build}/log`, { kind: 'note', text: 'before' }).expect(201)
    const some = idOf(await anna.post('/stock', nut(3, { reserved: { [build]: 2, [own]: 1 } })).expect(201))
    const last = idOf(await anna.post('/stock', nut(1, { reserved: { [build]: 1 } })).expect(201))
    const { token } = (await anna.post(`/builds/${build}/links`).expect(201)).body as { token: string }
    expect((await anna.get('/me')).body).toMatchObject({ bench: 'Anna', others: expect.arrayContaining(['Ben']) })
    expect((await anna.post(`/builds/${build}/hand-over`, { to: 'Nobody' }).expect(422)).body.detail).toMatch(/no bench called Nobody/)
    expect((await anna.post(`/builds/${build}/hand-over`, { to: 'Anna' }).expect(422)).body.detail).toMatch(/at this bench already/)
    await anna.post(`/builds/${build}/hand-over`, { to: 'own' }).expect(422)
    await anna.post(`/builds/${build}/hand-over`, { to: 'Ben' }).expect(204)
    await anna.get(`/builds/${build}`).expect(404)
    expect(await ids(ben, '/builds')).toEqual([build])
    const log = (await ben.get(`/builds/${build}/log`)).body as { text: string }[]
    expect(log.map((e) => e.text)).toEqual(['before', 'Handed from Anna to Ben'])
    await ben.post(`/builds/${build}/changes`, { revision: 0, label: 'Budget', edits: [{ path: ['budget'], to: 5 }] }).expect(200)
    const left = (await anna.get('/stock')).body as { items: { id: string; quantity: number; reserved: object }[] }
    expect(left.items.find((i) => i.id === some)).toMatchObject({ quantity: 1, reserved: { [own]: 1 } })
    expect(left.items.map((i) => i.id)).not.toContain(last)
    await app.device().get(`/builds/${token}`).expect(404)
  })
})

it('benches are told apart by name, renamed, and refused without one', async () => {
  await expect(addBench(app.db, ' Anna ')).rejects.toThrow('There is a bench called Anna already.')
  await expect(addBench(app.db, '  ')).rejects.toThrow(/1 to 60 letters/)
  await expect(newPhraseFor(app.db, 'Nobody')).rejects.toThrow(/no bench called Nobody/)
  await renameBench(app.db, 'own', 'The library')
  await expect(renameBench(app.db, 'Anna', 'Ben')).rejects.toThrow(/called Ben already/)
  expect((await listBenches(app.db)).map((b) => [b.name, b.open])).toEqual(
    expect.arrayContaining([
      ['The library', false],
      ['Anna', true],
    ]),
  )
  const phrase = await newPhraseFor(app.db, 'The library')
  expect(phrase.split(' ')).toHaveLength(5)
  expect(await signIn(app.db, 'The library', phrase)).toHaveLength(43)
})
