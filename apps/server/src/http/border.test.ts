import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp, WANTED, type TestApp } from '../testing/app'

let app: TestApp
beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())

describe('who may talk to the server', () => {
  it('another site’s page is turned away and nothing is written', async () => {
    const answer = await app.post('/builds', WANTED).set('Origin', 'http://elsewhere.example').expect(403)
    expect(answer.body.detail).toMatch(/another site/)
    expect((await app.get('/builds')).body).toEqual([])
  })
  it('a plain form of another site cannot be sent', async () => {
    const answer = await app.raw('post', '/builds').set('Host', 'localhost').type('form').send('name=x').expect(415)
    expect(answer.body.detail).toMatch(/JSON/)
  })
  it('a name pointed at this machine from outside is turned away', async () => {
    await app.raw('get', '/builds').set('Host', 'guitars.example').expect(403)
  })
  it('its own page is let in', async () => {
    await app.post('/builds', WANTED).set('Host', 'localhost:4780').set('Origin', 'http://localhost:4780').expect(201)
  })
})

describe('answers when things go wrong', () => {
  it('a body of 6 MB is too large, in one sentence', async () => {
    const answer = await app.post('/builds', { ...WANTED, name: 'x'.repeat(6e6) }).expect(413)
    expect(answer.type).toBe('application/problem+json')
    expect(answer.body.detail).toMatch(/too large: at most 5 MB/)
  })
  it('no such build, no such address', async () => {
    expect((await app.get('/builds/nobody').expect(404)).body.detail).toMatch(/no build "nobody"/)
    expect((await app.get('/nothing').expect(404)).body.detail).toMatch(/nothing at GET/)
  })
  it('sends a strict content policy', async () => {
    const policy = (await app.get('/health').expect(200)).headers['content-security-policy']
    expect(policy).toMatch(/default-src 'self'/)
    expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  })
  it('describes itself', async () => {
    const api = (await app.get('/openapi.json').expect(200)).body
    expect(api.paths['/api/builds'].post.requestBody).toBeDefined()
  })
})

describe('log', () => {
  it('entries are struck, never deleted', async () => {
    const { id } = (await app.post('/builds', WANTED)).body
    const entry = (await app.post(`/builds/${id}/log`, { kind: 'reading', text: 'Neck pickup 8.80k' }).expect(201)).body
    const struck = (await app.post(`/builds/${id}/log/${entry.id}/strike`).expect(200)).body
    expect(struck.struck).toBeTruthy()
    expect((await app.get(`/builds/${id}/log`)).body).toHaveLength(1)
    const back = (await app.post(`/builds/${id}/log/${entry.id}/unstrike`).expect(200)).body
    expect(back.struck).toBeUndefined()
  })
  it('an empty entry and an unknown kind are refused', async () => {
    const { id } = (await app.post('/builds', WANTED)).body
    await app.post(`/builds/${id}/log`, { kind: 'note', text: '' }).expect(422)
    await app.post(`/builds/${id}/log`, { kind: 'rumour', text: 'x' }).expect(422)
  })
})
