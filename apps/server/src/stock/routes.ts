import { checkedItem, CsvRequest, JsonStockRequest, StockManyRequest, StockRequest, type Problem } from '@snug/contract'
import { KIND_NAMES, LIMITS, type KindName, type StockItem } from '@snug/core'
import { printPartsCsv, readPartsCsv } from '@snug/formats/partsCsv'
import express, { Router } from 'express'
import { benchOf } from '../benches/who'
import type { Db } from '../db/open'
import { bodyAs } from '../http/body'
import { HttpProblem } from '../http/problem'
import { addStock, allStock, changeStock, listStock, removeStock, type NewStock } from './store'

/** Most rows of one page. */
const PAGE = 500

const text = (value: unknown) => (typeof value === 'string' && value ? value : undefined)
const whole = (value: unknown, otherwise: number, most: number) => {
  const n = Number(text(value) ?? otherwise)
  if (!Number.isInteger(n) || n < 0) throw new HttpProblem(422, 'offset and limit are whole numbers from 0 upwards.')
  return Math.min(n, most)
}

/** The stash and the offers: parts that wait for a build. */
export function stockRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/stock', async (req, res) => {
    const kind = text(req.query.kind)
    if (kind && !KIND_NAMES.includes(kind as KindName)) throw new HttpProblem(422, `"${kind}" is not a kind of part known here.`)
    const holding = text(req.query.holding)
    if (holding && holding !== 'stash' && holding !== 'offer') throw new HttpProblem(422, 'holding is stash or offer.')
    const words = text(req.query.q)
    res.json(
      await listStock(db, benchOf(res), {
        ...(words ? { text: words } : {}),
        ...(kind ? { kind: kind as KindName } : {}),
        ...(holding ? { holding: holding as StockItem['holding'] } : {}),
        offset: whole(req.query.offset, 0, 1e9),
        limit: whole(req.query.limit, 200, PAGE),
      }),
    )
  })
  routes.get('/stock.csv', async (_req, res) => {
    res
      .attachment('parts.csv')
      .type('text/csv; charset=utf-8')
      .send(printPartsCsv(await allStock(db, benchOf(res))))
  })
  routes.get('/stock.json', async (_req, res) => void res.attachment('parts.json').json(await allStock(db, benchOf(res))))
  routes.post('/stock', async (req, res) => {
    const [item] = await addStock(db, benchOf(res), [bodyAs(StockRequest, req.body) as NewStock])
    res.status(201).json(item)
  })
  routes.post('/stock/many', async (req, res) => {
    const { items } = bodyAs(StockManyRequest, req.body)
    res.status(201).json(await addStock(db, benchOf(res), await allChecked(items, 'Nothing was put in.')))
  })
  routes.put(
    '/stock/:id',
    async (req, res) => void res.json(await changeStock(db, benchOf(res), req.params.id, bodyAs(StockRequest, req.body) as NewStock)),
  )
  routes.delete('/stock/:id', async (req, res) => {
    await removeStock(db, benchOf(res), req.params.id)
    res.status(204).end()
  })
  return routes
}

/** A table of parts has its own, larger limit and therefore its own parser. All of it comes in, or nothing. */
export function stockImportRoutes(db: Db): Router {
  const routes = Router()
  routes.post('/stock/import', express.json({ limit: LIMITS.file }), async (req, res) => {
    const { items, problems } = readPartsCsv(bodyAs(CsvRequest, req.body).csv)
    if (problems.length) {
      const [first] = problems
      throw new HttpProblem(
        422,
        `Row ${first!.row}${first!.column ? `, column ${first!.column}` : ''}: ${first!.why} Nothing was taken in.`,
        {
          problems: problems.slice(0, LIMITS.findings).map((p) => ({ path: `row ${p.row}${p.column ? `, ${p.column}` : ''}`, why: p.why })),
        },
      )
    }
    if (!items.length) throw new HttpProblem(422, 'The file names columns and holds no row.')
    // The table's own reader speaks of rows and columns; the rules of every other way in have the last word.
    const docs = await allChecked(items, 'Nothing was taken in.')
    await addStock(db, benchOf(res), docs)
    res.status(201).json({ taken: docs.length })
  })
  routes.post('/stock/import-json', express.json({ limit: LIMITS.file }), async (req, res) => {
    const { items } = bodyAs(JsonStockRequest, req.body, LIMITS.fileValues)
    const docs = await allChecked(items.map(withoutId), 'Nothing was taken in.')
    await addStock(db, benchOf(res), docs)
    res.status(201).json({ taken: docs.length })
  })
  return routes
}

/** Checked between two looks at what else there is to do, items. */
const AT_ONCE = 200

/** Every item as it was checked, or 422 with the findings. A long list lets others have their turn in between. */
async function allChecked(items: readonly unknown[], ending: string): Promise<NewStock[]> {
  const docs: NewStock[] = []
  const problems: Problem[] = []
  for (const [i, item] of items.entries()) {
    if (i % AT_ONCE === AT_ONCE - 1) await new Promise(setImmediate)
    const result = checkedItem(item, i)
    problems.push(...result.problems)
    if (result.item) docs.push(result.item as NewStock)
    if (problems.length >= LIMITS.findings) break
  }
  if (problems.length) throw new HttpProblem(422, `${problems[0]!.why} (at ${problems[0]!.path}). ${ending}`, { problems })
  return docs
}

/** Every part gets an id of its own here; what another place called it is dropped, and so are that place's reservations. */
function withoutId(item: unknown): unknown {
  if (typeof item !== 'object' || item === null || Array.isArray(item)) return item
  const { id: _, ...rest } = item as Record<string, unknown>
  return { ...rest, reserved: {} }
}
