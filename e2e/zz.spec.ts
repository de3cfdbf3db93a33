import { copyOf, test } from './server'
test('look', async ({ page, server }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  const id = await copyOf(server, 'plover')
  await page.goto(`/builds/${id}/drill`)
  const list = page.getByRole('region', { name: 'Hole cards in drilling order' })
  await list.getByRole('button', { name: /Neck screw pilots/ }).click()
  await page.waitForTimeout(600)
  await page.screenshot({ path: '/tmp/z1.png' })
  const t = await list.getByRole('button').allInnerTexts()
  console.log(t.join(' | '))
})
