import { handWords, type KindName, type StockItem } from '@snug/core'
import { and, asc, count, eq, like, sql, type SQL } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { tell } from '../db/news'
import type { Db } from '../db/open'
import { inPieces } from '../db/pieces'
import { stock } from '../db/schema'
import { HttpProblem } from '../http/problem'

export type NewStock = Omit<StockItem, 'id'>
type Row = typeof stock.$inferSelect
const itemOf = (row: Row): StockItem => ({ id: row.id, ...row.doc })

const searchOf = ({ part, place }: NewStock) =>
  [part.name, handWords(part), part.seller, place, part.kind].filter(Boolean).join(' ').toLowerCase()
const rowOf = (bench: string, doc: NewStock, createdAt: string): Row => ({
  id: randomUUID(),
  benchId: bench,
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
export async function listStock(db: Db, bench: string, q: StockQuery): Promise<{ total: number; items: StockItem[] }> {
  const words = (q.text ?? '').toLowerCase().split(/\s+/).filter(Boolean)
  const where: SQL[] = [eq(stock.benchId, bench)]
  for (const w of words) where.push(like(stock.search, `%${w.replace(/[%_\\]/g, '\\$&')}%`))
  if (q.kind) where.push(eq(stock.kind, q.kind))
  if (q.holding) where.push(eq(stock.holding, q.holding))
  const filter = and(...where)
  const rows = await db
    .select({ row: stock, total: sql<number>`count(*) over ()::int` })
    .from(stock)
    .where(filter)
    // The same order on every machine, whatever language its database was set up in.
    .orderBy(asc(stock.kind), sql`${stock.search} collate "C"`, asc(stock.id))
    .limit(q.limit)
    .offset(q.offset)
  const items = rows.map(({ row }) => itemOf(row))
  if (rows.length) return { total: rows[0]!.total, items }
  // Behind the last row, or none at all.
  const [{ n } = { n: 0 }] = q.offset || !q.limit ? await db.select({ n: count() }).from(stock).where(filter) : []
  return { total: n, items }
}

export async function allStock(db: Db, bench: string): Promise<StockItem[]> {
  return (await db.select().from(stock).where(eq(stock.benchId, bench)).orderBy(asc(stock.createdAt), asc(stock.id))).map(itemOf)
}

/** Puts all of them in, or none. */
export async function addStock(db: Db, bench: string, docs: readonly NewStock[]): Promise<StockItem[]> {
  const at = new Date().toISOString()
  const rows = docs.map((d) => rowOf(bench, d, at))
  await db.transaction((tx) => inPieces(rows, (piece) => tx.execute(put(bench, piece, at))))
  tell(db, { stock: true }, bench)
  return rows.map(itemOf)
}

/** Rows put in as one JSON: ten thousand parts with a parameter for each of their columns take three times as long. */
const put = (bench: string, rows: readonly Row[], at: string): SQL => sql`
  insert into stock (id, bench_id, holding, kind, search, doc, created_at)
  select id, ${bench}, holding, kind, search, doc, ${at}::timestamptz
  from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as t (id text, holding text, kind text, search text, doc jsonb)`

/** A part of this bench; those of others are as good as none. */
const own = (bench: string, id: string) => and(eq(stock.id, id), eq(stock.benchId, bench))

export async function changeStock(db: Db, bench: string, id: string, doc: NewStock): Promise<StockItem> {
  const [row] = await db
    .update(stock)
    .set({ holding: doc.holding, kind: doc.part.kind, search: searchOf(doc), doc })
    .where(own(bench, id))
    .returning()
  if (!row) throw gone()
  tell(db, { stock: true }, bench)
  return itemOf(row)
}

export async function removeStock(db: Db, bench: string, id: string): Promise<void> {
  const rows = await db.delete(stock).where(own(bench, id)).returning({ id: stock.id })
  if (!rows.length) throw gone()
  tell(db, { stock: true }, bench)
}

const gone = () => new HttpProblem(404, 'There is no such part in the stash or on offer; someone may have taken it out.')
