import { applyChange, type Build, type Edit, type Json } from '@snug/core'
import { sql } from 'drizzle-orm'
import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { startApp, type TestApp } from '../testing/app'
import { edited, json } from './edited'

let app: TestApp
beforeAll(async () => void (app = await startApp()))
afterAll(() => app.close())

/** Names with whatever has a meaning of its own where a list of names is written down. */
const name = fc.constantFrom('a', 'b', '0', '1', '', 'two words', '"', '\\', '{', '},{', ',', 'NULL', "'", 'ä', '🎸', '$1')
const leaf = fc.oneof(fc.string(), fc.integer(), fc.double({ noNaN: true, noDefaultInfinity: true }), fc.boolean(), fc.constant(null))
const { tree } = fc.letrec<{ tree: Json }>((tie) => ({
  tree: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    leaf,
    fc.array(tie('tree'), { maxLength: 3 }),
    fc.dictionary(name, tie('tree'), { maxKeys: 3 }),
  ),
}))

/** A place that is there or could be, drawn by numbers; what a change may do there. */
function editFor(doc: Json, steps: readonly number[], to: Json | undefined): Edit | undefined {
  const path: string[] = []
  let at = doc
  for (const step of steps) {
    if (typeof at !== 'object' || at === null) break
    const places = Array.isArray(at) ? [...at.keys(), at.length].map(String) : [...Object.keys(at), 'new']
    const key = places[step % places.length]!
    path.push(key)
    const next = (at as Record<string, Json>)[key]
    if (next === undefined) break
    at = next
  }
  if (!path.length) return undefined
  const from = path.reduce<Json | undefined>((a, k) => (a as Record<string, Json> | undefined)?.[k], doc)
  return { path, ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) }
}

it('the database makes of a document what the change makes of it, whatever its names and places are', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.dictionary(name, tree, { minKeys: 1, maxKeys: 4 }),
      fc.array(fc.tuple(fc.array(fc.nat(20), { minLength: 1, maxLength: 4 }), fc.option(tree, { nil: undefined })), {
        minLength: 1,
        maxLength: 5,
      }),
      async (doc, wanted) => {
        let after = doc as unknown as Build
        const edits: Edit[] = []
        for (const [steps, to] of wanted) {
          const one = editFor(after as unknown as Json, steps, to)
          if (!one) continue
          try {
            after = applyChange(after, { label: 'one', edits: [one] })
            edits.push(one)
          } catch {
            // No change does this, such as taking one out of the middle of a list.
          }
        }
        const { rows } = await app.db.execute(sql`select ${edited({ edits }, {})} as after from (select ${json(doc)} as doc) as lies`)
        expect((rows[0] as { after: unknown }).after).toEqual(JSON.parse(JSON.stringify(after)))
      },
    ),
    { numRuns: 300 },
  )
})

it('many edits are sent as the document they lead to', async () => {
  const edits = Array.from({ length: 7 }, (_, n): Edit => ({ path: [`k${n}`], to: n }))
  const { rows } = await app.db.execute(sql`select ${edited({ edits }, { all: 7 })} as after from (select '{}'::jsonb as doc) as lies`)
  expect((rows[0] as { after: unknown }).after).toEqual({ all: 7 })
})
