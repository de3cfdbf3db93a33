import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

const page = readFileSync(new URL('../../../../docs/formulas.md', import.meta.url), 'utf8')
const named = [...page.matchAll(/`([a-zA-Z/]+\.ts)`/g)].map((m) => m[1]!)

it('every formula of this folder is on the page of formulas', () => {
  const formulas = readdirSync(new URL('.', import.meta.url)).filter((f) => f.endsWith('.ts') && !/test|index/.test(f))
  expect(formulas.length).toBeGreaterThan(5)
  for (const f of formulas) expect(named).toContain(`physics/${f}`)
})
it('every file the page names is there', () => {
  expect(named.filter((f) => !existsSync(new URL(`../${f}`, import.meta.url)))).toEqual([])
})
