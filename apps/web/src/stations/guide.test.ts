import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { existsSync } from 'node:fs'
import { expect, it } from 'vitest'

const here = dirname(fileURLToPath(import.meta.url))
const guide = join(here, '../../../../docs/guide')
const PAGES = { parts: 'parts', fit: 'dry-fit', drill: 'drill', wire: 'wire', finish: 'finish', setup: 'set-up', plan: 'plan', log: 'log' }

/** What a station's tabs are called, as they stand in its source. */
const tabsOf = (station: string): string[] => {
  const file = readdirSync(join(here, station)).find((f) => /tabs\.tsx?$/i.test(f))!
  return [...readFileSync(join(here, station, file), 'utf8').matchAll(/\['[a-z]+', '([A-Z][^']+)'\]/g)].map((m) => m[1]!)
}

it.each(Object.entries(PAGES))('the page of %s names every tab there is, and none there is not', (station, page) => {
  const text = readFileSync(join(guide, `${page}.md`), 'utf8')
  const named = [...text.matchAll(/^- \*\*([^*]+)\*\*/gm)].map((m) => m[1]!)
  expect(tabsOf(station).length).toBeGreaterThan(1)
  expect(named).toEqual(tabsOf(station))
})

it('every link of the guide leads somewhere', () => {
  for (const page of readdirSync(guide).filter((f) => f.endsWith('.md')))
    for (const [, to] of readFileSync(join(guide, page), 'utf8').matchAll(/\]\(([^)#]+)[^)]*\)/g))
      expect(existsSync(join(guide, to!)), `${page}: ${to}`).toBe(true)
})
