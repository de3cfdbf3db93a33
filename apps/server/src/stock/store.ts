import { handWords, type KindName, type StockItem } from '@snug/core'
import { and, asc, count, eq, like, type SQL } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import type { Db } from '../db/open'
import { inPieces } from '../db/pieces'
import { stock } from '../db/schema'
import { HttpProblem } from '../http/problem'

export type NewStock = Omit<StockItem, 'id'>
type Row = typeof stock.$inferSelect
const itemOf = (row: Row): StockItem => ({ id: row.id, ...row.doc })

const searchOf = ({ part, place }: NewStock) =>
  [part.name, handWords(part), part.seller, place, part.kind].filter(Boolean).join(' ').toLowerCase()
const rowOf = (doc: NewStock, id: string, createdAt: string): Row => ({
  id,
  holding: doc.holding,
  kind: doc.part.kind,
  search: searchOf(doc),
  doc,
  createdAt,
})

export interface StockQuery {
  text?: string
  kind?: KindName
  holding?: StockItem['holding']
  offset: number
  limit: number
}

/** One page of the stock with how many there are in all, by kind and name. */
export async function listStock(db: Db, q: StockQuery): Promise<{ total: number; items: StockItem[] }> {
  const words = (q.text ?? '').toLowerCase().split(/\s+/).filter(Boolean)
  const where: SQL[] = words.map((w) => like(stock.search, `%${w.replace(/[%_\\]/g, '\\$&')}%`))
  if (q.kind) where.push(eq(stock.kind, q.kind))
  if (q.holding) where.push(eq(stock.holding, q.holding))
  const filter = and(...where)
  const [{ n } = { n: 0 }] = await db.select({ n: count() }).from(stock).where(filter)
  const rows = await db
    .select()
    .from(stock)
    .where(filter)
    .orderBy(asc(stock.kind), asc(stock.search), asc(stock.id))
    .limit(q.limit)
    .offset(q.offset)
  return { total: n, items: rows.map(itemOf) }
}

export async function allStock(db: Db): Promise<StockItem[]> {
  return (await db.select().from(stock).orderBy(asc(stock.createdAt), asc(stock.id))).map(itemOf)
}

/** Puts all of them in, or none. */
export async function addStock(db: Db, docs: readonly NewStock[]): Promise<StockItem[]> {
  const at = new Date().toISOString()
  const rows = docs.map((d) => rowOf(d, randomUUID(), at))
  await db.transaction((tx) => inPieces(rows, (piece) => tx.insert(stock).values(piece)))
  return rows.map(itemOf)
}

export async function changeStock(db: Db, id: string, doc: NewStock): Promise<StockItem> {
  const [row] = await db
    .update(stock)
    .set({ holding: doc.holding, kind: doc.part.kind, search: searchOf(doc), doc })
    .where(eq(stock.id, id))
    .returning()
  if (!row) throw gone()
  return itemOf(row)
}

export async function removeStock(db: Db, id: string): Promise<void> {
  const rows = await db.delete(stock).where(eq(stock.id, id)).returning({ id: stock.id })
  if (!rows.length) throw gone()
}

const gone = () => new HttpProblem(404, 'There is no such part in the stash or on offer; someone may have taken it out.')
