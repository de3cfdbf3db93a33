import { copyOf, test } from './server'
test('look', async ({ page, server }) => {
  const H = { origin: server, 'content-type': 'application/json' }
  const made = await (await fetch(`${server}/api/builds`, { method: 'POST', headers: H, body: JSON.stringify({ name: 'Hollow', handedness: 'right', strings: 6, scale: 628.65, start: 'semi-hollow' }) })).json()
  console.log(JSON.stringify(made).slice(0, 200))
  const id0 = made.id ?? made.build?.id
  const bundle = await (await fetch(`${server}/api/builds/${id0}/bundle`)).json()
  const size = (v: number) => ({ value: v, doubt: 0.05, known: 'calipers' })
  const b = bundle.build
  Object.assign(b.parts.body.sizes, { 'block.width': size(110), 'control.top': size(5), thickness: size(45), 'control.depth': size(17), 'rim.thickness': size(12), 'soundHole.diameter': size(60), 'soundHole.x': size(120), 'soundHole.y': size(-90), 'jack.x': size(330), 'jack.y': size(-110) })
  Object.assign(b.parts.body.traits, { 'bored.ground': 'none', 'bored.jack': 'none', 'bored.controls': 'none' })
  Object.assign(b.parts.bridge.sizes, { studSpacing: size(74) })
  Object.assign(b.parts.jack.sizes, { bore: size(9.5), 'thread.length': size(9), 'washer.thickness': size(0.6), 'nut.thickness': size(2.2), depth: size(50), width: size(21) })
  b.parts.jack.traits.held = 'thread'
  for (const p of Object.keys(b.parts)) if (p.startsWith('pot-')) Object.assign(b.parts[p].sizes, { 'body.depth': size(16), 'bushing.length': size(9.5) })
  b.finish.system = 'lacquer'
  const got = await (await fetch(`${server}/api/import`, { method: 'POST', headers: H, body: JSON.stringify(bundle) })).json()
  console.log(JSON.stringify(got).slice(0, 300))
  const id = got.id ?? got.build?.id
  await page.setViewportSize({ width: 1280, height: 800 })
  for (const [n, at] of [['ground', 'drill/ground-wire'], ['pots', 'drill/pot-holes'], ['jackbore', 'drill/jack-bore'], ['jack', 'fit/jack'], ['pot', 'fit/pot-tone'], ['cards', 'finish/masking?tab=cards']] as const) {
    await page.goto(`${server}/builds/${id}/${at}`)
    await page.waitForTimeout(3500)
    await page.screenshot({ path: `/tmp/z-${n}.png` })
  }
})
test('setup', async ({ page, server }) => {
  const id = await copyOf(server, 'heron')
  const bundle = await (await fetch(`${server}/api/builds/${id}/bundle`)).json()
  const b = bundle.build
  const at = '2026-11-29T06:00:00Z'
  const put = (r: any) => (b.setup.readings[`${r.what}${r.string ?? ''}zz`] = { at, ...r })
  b.setup.readings = {}
  put({ what: 'relief', value: 0.2 }); put({ what: 'action', string: 6, value: 6 }); put({ what: 'action', string: 1, value: 5.5 }); put({ what: 'cents', string: 1, value: 60 }); put({ what: 'cents', string: 2, value: 6 })
  const got = await (await fetch(`${server}/api/import`, { method: 'POST', headers: { origin: server, 'content-type': 'application/json' }, body: JSON.stringify(bundle) })).json()
  console.log(JSON.stringify(got).slice(0, 400))
  await page.setViewportSize({ width: 1280, height: 800 })
  for (const [n, q] of [['action', 'setup/action'], ['inton', 'setup/intonation']] as const) {
    await page.goto(`${server}/builds/${got.id ?? got.build?.id}/${q}`)
    await page.waitForTimeout(3500)
    await page.screenshot({ path: `/tmp/z-${n}.png` })
  }
})
