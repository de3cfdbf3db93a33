import {
  applyChange,
  EditConflict,
  EditRefused,
  inverse,
  LIMITS,
  migrated,
  anotherJob,
  beginBuild,
  partsMoved,
  type Build,
  type Change,
  type Edit,
  type LogEntry,
  type NewBuild,
} from '@snug/core'
import { checkedBuild } from '@snug/contract'
import { and, desc, eq, gt, inArray, lt, sql } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { tell } from '../db/news'
import type { Db } from '../db/open'
import { builds, events, logEntries, photos } from '../db/schema'
import { inPieces } from '../db/pieces'
import { HttpProblem } from '../http/problem'
import { followSlots } from '../stock/follow'
import { idFor } from './idFor'
import { edited, json } from './edited'
import { latest, type Row } from './latest'
import { editsBetween } from './upgrade'

/** A build as the interface holds it. */
export interface BuildState {
  id: string
  revision: number
  build: Build
  canUndo: boolean
  canRedo: boolean
  updatedAt: string
}

/** What the shelf says of a build; the whole of it is fetched when it comes into sight. */
export interface BuildSummary extends Pick<Build, 'name' | 'handedness' | 'strings' | 'scale' | 'due'> {
  id: string
  revision: number
  /** How many parts are chosen. */
  parts: number
  updatedAt: string
}

export type Tx = Parameters<Parameters<Db['transaction']>[0]>[0]
const stateOf = (row: Row): BuildState => ({
  id: row.id,
  revision: row.revision,
  build: row.doc,
  canUndo: row.undo.length > 0,
  canRedo: row.redo.length > 0,
  updatedAt: row.updatedAt,
})

const now = () => new Date().toISOString()

export async function listBuilds(db: Db, bench: string): Promise<BuildSummary[]> {
  // The document is unpacked once a row, not once a field: a shelf may hold thousands.
  const { rows } = await db.execute(sql`
    select b.id, b.revision, b.updated_at::text as "updatedAt", d.name, d.handedness, d.strings, d.scale, d.due,
      (select count(*)::int from jsonb_object_keys(d.parts)) as parts
    from builds b, jsonb_to_record(b.doc) as d(name text, handedness text, strings int, scale float8, due text, parts jsonb)
    where b.bench_id = ${bench} and b.put_away_at is null
    order by b.created_at, b.id`)
  return (rows as unknown as (BuildSummary & { due: string | null })[]).map(({ due, ...row }) => ({ ...row, ...(due ? { due } : {}) }))
}

export const noSuch = (id: string) => new HttpProblem(404, `There is no build "${id}" on the shelf.`)

async function rowOf(db: Pick<Db, 'select'>, id: string): Promise<Row> {
  const [row] = await db.select().from(builds).where(eq(builds.id, id))
  if (!row) throw noSuch(id)
  return row
}

/** As it is, and as nobody else changes it until this transaction ends. */
async function rowHeld(tx: Tx, id: string): Promise<Row> {
  const [row] = await tx.select().from(builds).where(eq(builds.id, id)).for('update')
  if (!row) throw noSuch(id)
  return row
}

export const readBuild = async (db: Db, id: string): Promise<BuildState> => stateOf(await rowOf(db, id))

export async function createBuild(db: Db, bench: string, wanted: NewBuild): Promise<BuildState> {
  return insertBuild(db, bench, beginBuild(wanted, now().slice(0, 10)), [])
}

/** Puts the instrument of a build on the shelf once more, for another job on it; the first stays as it is. */
export async function buildAgain(db: Db, bench: string, id: string): Promise<BuildState> {
  const { build } = await readBuild(db, id)
  return insertBuild(db, bench, anotherJob(build, now().slice(0, 10)), [])
}

/** Puts a whole build on the shelf of a bench, with its log and pictures. @param id asked for by demo data; otherwise made from the name */
export async function insertBuild(
  db: Db,
  bench: string,
  doc: Build,
  log: readonly LogEntry[],
  id = idFor(doc.name),
  pictures: readonly (typeof photos.$inferInsert)[] = [],
): Promise<BuildState> {
  const at = now()
  const row: Row = { id, benchId: bench, revision: 0, doc, undo: [], redo: [], createdAt: at, updatedAt: at, putAwayAt: null }
  await db.transaction(async (tx) => {
    await tx.insert(builds).values(row)
    for (const picture of pictures) await tx.insert(photos).values({ ...picture, buildId: id })
    const rows = log.map((e) => ({
      id: randomUUID(),
      buildId: id,
      at: e.at,
      kind: e.kind,
      text: e.text,
      station: e.station ?? null,
      thing: e.thing ?? null,
      struckAt: e.struck ?? null,
      photo: e.photo ?? null,
    }))
    await inPieces(rows, (piece) => tx.insert(logEntries).values(piece))
  })
  tell(db, { build: id, revision: 0 }, bench)
  return stateOf(row)
}

/** Takes a build off the shelf; nothing of it is lost. */
export async function putAway(db: Db, id: string, away: boolean): Promise<void> {
  await db.transaction(async (tx) => {
    await rowHeld(tx, id)
    await tx
      .update(builds)
      .set({ putAwayAt: away ? now() : null })
      .where(eq(builds.id, id))
  })
  tell(db, { build: id, away })
}

const stale = (row: Row) =>
  new HttpProblem(
    409,
    'This build was changed in another window since. Nothing is lost: take over what is there, or make your change on top of it.',
    { current: stateOf(row) },
  )

/** Applies a change made on `revision`; the document must pass every check, or nothing is written. */
export async function changeBuild(db: Db, id: string, revision: number, change: Change): Promise<BuildState> {
  return write(db, id, revision, 'change', () => change)
}

/** Takes the latest change back, or makes it again: an event like any other, with the inverse edits. */
export async function stepBack(db: Db, id: string, revision: number, kind: 'undo' | 'redo'): Promise<BuildState> {
  return write(db, id, revision, kind, async (row) => {
    const target = (kind === 'undo' ? row.undo : row.redo).at(-1)
    if (target === undefined) throw new HttpProblem(422, kind === 'undo' ? nothingLeft(row) : 'There is nothing to make again.')
    const [event] = await db
      .select()
      .from(events)
      .where(and(eq(events.buildId, id), eq(events.revision, target)))
    return inverse({ label: event!.label, edits: event!.edits })
  })
}

/** Where going back ends, and that it does. */
const nothingLeft = (row: Row) =>
  row.redo.length >= LIMITS.undo
    ? `Going back ends here: the last ${LIMITS.undo} changes can be taken back, and all of them are. An earlier state can be fetched from the list of changes.`
    : 'There is nothing to undo.'

/**
 * The build as it was at an earlier revision, as a change like any other: every event since is taken back, latest first.
 */
export async function goBack(db: Db, id: string, revision: number, to: number): Promise<BuildState> {
  return write(db, id, revision, 'change', async (row) => {
    if (to >= row.revision) throw new HttpProblem(422, 'That is not an earlier state of this build.')
    const { was, after } = await asItWas(db, row, to)
    const edits = editsBetween(row.doc, was)
    if (!edits.length) throw new HttpProblem(422, 'The build reads the same now as it did then.')
    return { label: `Back to before “${after}”`.slice(0, LIMITS.label), edits }
  })
}

/** A build as it was at an earlier revision, only to be looked at. */
export async function lookBack(db: Db, id: string, to: number): Promise<Build> {
  const row = await rowOf(db, id)
  if (!Number.isInteger(to) || to < 0 || to > row.revision)
    throw new HttpProblem(422, `${row.doc.name} has been through ${row.revision} changes; say which of them, from 0.`)
  return to === row.revision ? row.doc : (await asItWas(db, row, to)).was
}

/** The document of a revision in the form of this Snug Bolt, and what was done to it next. */
async function asItWas(db: Pick<Db, 'select'>, row: Row, to: number): Promise<{ was: Build; after: string }> {
  const since = await db
    .select()
    .from(events)
    .where(and(eq(events.buildId, row.id), gt(events.revision, to)))
    .orderBy(desc(events.revision))
  const was = since.reduce((doc, e) => applyChange(doc, inverse({ label: e.label, edits: e.edits })), row.doc)
  return { was: migrated(was) as Build, after: since.at(-1)!.label }
}

async function write(
  db: Db,
  id: string,
  revision: number,
  kind: 'change' | 'undo' | 'redo',
  make: (row: Row) => Change | Promise<Change>,
): Promise<BuildState> {
  // What this process wrote last need not be read again: whether it is still the last is asked when it is written.
  const row = latest(db).at(id, revision) ?? (await rowOf(db, id))
  if (row.putAwayAt) throw away(row)
  if (row.revision !== revision) throw stale(row)
  const change = await make(row)
  const result = checkedBuild(applied(row, change))
  if (!result.ok) throw new HttpProblem(422, result.problems[0]!.why, { problems: result.problems })
  const doc = result.value
  const next: Row = { ...row, doc, revision: revision + 1, updatedAt: now(), ...stacks(row, kind, revision + 1) }
  let ofStash = false
  const done = partsMoved(change).length
    ? await db.transaction(async (tx) => {
        if (!(await written(tx, next, kind, change))) return false
        ofStash = await followSlots(tx, row, change, doc)
        return true
      })
    : await written(db, next, kind, change)
  if (done) {
    latest(db).keep(next)
    if (ofStash) tell(db, { stock: true }, row.benchId)
    tell(db, { build: id, revision: next.revision })
    return stateOf(next)
  }
  // Somebody was sooner, between the reading and the writing.
  const meanwhile = await rowOf(db, id)
  throw meanwhile.putAwayAt ? away(meanwhile) : stale(meanwhile)
}

/**
 * The next state of a build and the event that led to it: one statement, which is done as a whole or, where the build
 * has gone on since it was read, not at all.
 */
async function written(db: Pick<Db, 'execute'>, next: Row, kind: string, change: Change): Promise<boolean> {
  const { id, revision, updatedAt: at } = next
  const { rows } = await db.execute(sql`
    with gone_on as (
      update builds
      set doc = ${edited(change, next.doc)}, revision = ${revision}::int, updated_at = ${at}::timestamptz, undo = ${json(next.undo)}, redo = ${json(next.redo)}
      where id = ${id} and revision = ${revision - 1}::int and put_away_at is null
      returning id
    ), noted as (
      insert into events (build_id, revision, at, kind, label, edits)
      select ${id}, ${revision}::int, ${at}::timestamptz, ${kind}, ${change.label}, ${json(change.edits)} from gone_on
    )
    select 1 from gone_on`)
  return rows.length > 0
}

const away = (row: Row) =>
  new HttpProblem(410, `${row.doc.name} was put away. Bring it back from the shelf’s message or here, then go on; your changes wait.`)

function applied(row: Row, change: Change): Build {
  try {
    return applyChange(row.doc, change)
  } catch (e) {
    if (e instanceof EditConflict) throw stale(row)
    if (e instanceof EditRefused) throw new HttpProblem(422, e.message, { problems: [{ path: e.path.join('.'), why: e.message }] })
    throw e
  }
}

/** The event just written is what the opposite step takes back. */
function stacks(row: Row, kind: 'change' | 'undo' | 'redo', written: number): Pick<Row, 'undo' | 'redo'> {
  if (kind === 'change') return { undo: [...row.undo, written].slice(-LIMITS.undo), redo: [] }
  if (kind === 'undo') return { undo: row.undo.slice(0, -1), redo: [...row.redo, written] }
  return { undo: [...row.undo, written], redo: row.redo.slice(0, -1) }
}

export interface EventRow {
  revision: number
  at: string
  kind: string
  label: string
  edits: Edit[]
}

/** Events of one page of the list. */
const PAGE = 200

/** Latest events first, a page of them. @param before only what came before this revision */
export async function listEvents(db: Db, id: string, before?: number): Promise<EventRow[]> {
  await rowOf(db, id)
  return db
    .select({ revision: events.revision, at: events.at, kind: events.kind, label: events.label, edits: events.edits })
    .from(events)
    .where(and(eq(events.buildId, id), before === undefined ? undefined : lt(events.revision, before)))
    .orderBy(desc(events.revision))
    .limit(PAGE)
}

/** Is any of these ids taken? Used by the demo filler. */
export async function existing(db: Db, ids: readonly string[]): Promise<string[]> {
  return (
    await db
      .select({ id: builds.id })
      .from(builds)
      .where(inArray(builds.id, [...ids]))
  ).map((r) => r.id)
}
