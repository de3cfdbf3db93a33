import { CsvRequest, JsonStockRequest, problemsOfMany, StockManyRequest, StockRequest } from '@snug/contract'
import { KIND_NAMES, type KindName, type StockItem } from '@snug/core'
import { printPartsCsv, readPartsCsv } from '@snug/formats'
import express, { Router } from 'express'
import type { Db } from '../db/open'
import { bodyAs } from '../http/body'
import { HttpProblem } from '../http/problem'
import { addStock, allStock, changeStock, listStock, removeStock, type NewStock } from './store'

/** Most rows of one page. */
const PAGE = 500
const CSV_LIMIT = '10mb'

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
      await listStock(db, {
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
      .send(printPartsCsv(await allStock(db)))
  })
  routes.get('/stock.json', async (_req, res) => void res.attachment('parts.json').json(await allStock(db)))
  routes.post('/stock', async (req, res) => {
    const [item] = await addStock(db, [bodyAs(StockRequest, req.body) as NewStock])
    res.status(201).json(item)
  })
  routes.post('/stock/many', async (req, res) => {
    const { items } = bodyAs(StockManyRequest, req.body)
    const problems = problemsOfMany(items)
    if (problems.length) throw new HttpProblem(422, `${problems[0]!.why} (at ${problems[0]!.path}). Nothing was put in.`, { problems })
    res.status(201).json(await addStock(db, items as NewStock[]))
  })
  routes.put(
    '/stock/:id',
    async (req, res) => void res.json(await changeStock(db, req.params.id, bodyAs(StockRequest, req.body) as NewStock)),
  )
  routes.delete('/stock/:id', async (req, res) => {
    await removeStock(db, req.params.id)
    res.status(204).end()
  })
  return routes
}

/** A table of parts has its own, larger limit and therefore its own parser. All of it comes in, or nothing. */
export function stockImportRoutes(db: Db): Router {
  const routes = Router()
  routes.post('/stock/import', express.json({ limit: CSV_LIMIT }), async (req, res) => {
    const { items, problems } = readPartsCsv(bodyAs(CsvRequest, req.body).csv)
    if (problems.length) {
      const [first] = problems
      throw new HttpProblem(
        422,
        `Row ${first!.row}${first!.column ? `, column ${first!.column}` : ''}: ${first!.why} Nothing was taken in.`,
        {
          problems: problems.slice(0, 200).map((p) => ({ path: `row ${p.row}${p.column ? `, ${p.column}` : ''}`, why: p.why })),
        },
      )
    }
    if (!items.length) throw new HttpProblem(422, 'The file names columns and holds no row.')
    await addStock(db, items)
    res.status(201).json({ taken: items.length })
  })
  routes.post('/stock/import-json', express.json({ limit: CSV_LIMIT }), async (req, res) => {
    const { items } = bodyAs(JsonStockRequest, req.body)
    const docs = items.map(withoutId)
    const problems = problemsOfMany(docs)
    if (problems.length)
      throw new HttpProblem(422, `${problems[0]!.why} (at ${problems[0]!.path}). Nothing was taken in.`, {
        problems: problems.slice(0, 200),
      })
    await addStock(db, docs as NewStock[])
    res.status(201).json({ taken: docs.length })
  })
  return routes
}

/** Every part gets an id of its own here; what another place called it is dropped, and so are that place's reservations. */
function withoutId(item: unknown): unknown {
  if (typeof item !== 'object' || item === null || Array.isArray(item)) return item
  const { id: _, ...rest } = item as Record<string, unknown>
  return { ...rest, reserved: {} }
}
