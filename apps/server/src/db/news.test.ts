import { expect, it } from 'vitest'
import { allTold, tell } from './news'
import type { Db } from './connect'

/** A database whose answers come when they are let go, as those of several connections do. */
function slow() {
  const asked: string[] = []
  const open: (() => void)[] = []
  const db = {
    execute: (query: unknown) =>
      new Promise<void>((done) => {
        asked.push(JSON.stringify(query))
        open.push(done)
      }),
  } as unknown as Db
  return { db, asked, answer: () => open.shift()?.() }
}

const said = (query: string) => [...query.matchAll(/revision\W+(\d)/g)].map(([, n]) => Number(n))

it('news goes out one after the other: what was written later is not told before what is still on its way', async () => {
  const { db, asked, answer } = slow()
  tell(db, { build: 'one', revision: 0 })
  void allTold(db)
  await expect.poll(() => asked.length).toBe(1)
  tell(db, { build: 'one', revision: 1 })
  void allTold(db)
  tell(db, { build: 'one', revision: 2 })
  const all = allTold(db)
  await new Promise((r) => setTimeout(r, 50))
  expect(asked.map(said)).toEqual([[0]])
  answer()
  await expect.poll(() => asked.length).toBe(2)
  answer()
  await all
  expect(asked.map(said)).toEqual([[0], [1, 2]])
})

it('news the database would not take holds up none after it', async () => {
  const heard: string[] = []
  const db = {
    execute: (query: unknown) => {
      heard.push(JSON.stringify(query))
      return heard.length === 1 ? Promise.reject(new Error('away')) : Promise.resolve()
    },
  } as unknown as Db
  tell(db, { build: 'one', revision: 0 })
  await allTold(db)
  tell(db, { build: 'one', revision: 1 })
  await allTold(db)
  expect(heard.map(said)).toEqual([[0], [1]])
})
