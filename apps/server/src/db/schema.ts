import type { Bench, Build, KindName, LogKind, Station, StockItem } from '@snug/core'
import type { Edit } from '@snug/core'
import { customType, index, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core'

const now = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' })

/** A person or a shop: whose builds and stock they are. A data folder of one's own has one, which nobody signs in to. */
export const benches = pgTable('benches', {
  id: text('id').primaryKey(),
  /** As it is said when signing in; no two alike. */
  name: text('name').notNull().unique(),
  /** Salt and hash of its pass-phrase; without one nobody can sign in to it. */
  phrase: text('phrase'),
  /** Wrong phrases said for it since a moment. */
  wrong: integer('wrong').notNull().default(0),
  wrongSince: now('wrong_since'),
  /** What there is to work with. */
  doc: jsonb('doc').$type<Bench>(),
  updatedAt: now('updated_at').notNull(),
})

/** The bench of a data folder that nobody signs in to. */
export const OWN = 'own'

const benchId = () =>
  text('bench_id')
    .notNull()
    .default(OWN)
    .references(() => benches.id)

/** Devices that are signed in: only hashes of their tokens. */
export const sessions = pgTable(
  'sessions',
  {
    token: text('token').primaryKey(),
    benchId: text('bench_id')
      .notNull()
      .references(() => benches.id),
    until: now('until').notNull(),
  },
  (t) => [index('sessions_bench').on(t.benchId, t.until)],
)

/** One row an instrument; the document is checked before it is written. */
export const builds = pgTable(
  'builds',
  {
    id: text('id').primaryKey(),
    benchId: benchId(),
    revision: integer('revision').notNull(),
    doc: jsonb('doc').$type<Build>().notNull(),
    /** Revisions that undo and redo would take back next, last first. */
    undo: jsonb('undo').$type<number[]>().notNull(),
    redo: jsonb('redo').$type<number[]>().notNull(),
    createdAt: now('created_at').notNull(),
    updatedAt: now('updated_at').notNull(),
    putAwayAt: now('put_away_at'),
  },
  (t) => [index('builds_bench').on(t.benchId, t.createdAt)],
)

/** Whoever has the link may look at the build, and change nothing. */
export const links = pgTable(
  'links',
  {
    token: text('token').primaryKey(),
    buildId: text('build_id')
      .notNull()
      .references(() => builds.id),
    createdAt: now('created_at').notNull(),
  },
  (t) => [index('links_build').on(t.buildId)],
)

/** Every change ever made to a build, in order; an undo is a change like any other. */
export const events = pgTable(
  'events',
  {
    buildId: text('build_id')
      .notNull()
      .references(() => builds.id),
    revision: integer('revision').notNull(),
    at: now('at').notNull(),
    kind: text('kind').$type<'change' | 'undo' | 'redo'>().notNull(),
    label: text('label').notNull(),
    edits: jsonb('edits').$type<Edit[]>().notNull(),
  },
  (t) => [primaryKey({ columns: [t.buildId, t.revision] })],
)

const bytes = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' })

/** Pictures of a build's parts, as they were taken in; never run, only shown. */
export const photos = pgTable(
  'photos',
  {
    id: text('id').primaryKey(),
    buildId: text('build_id')
      .notNull()
      .references(() => builds.id),
    name: text('name').notNull(),
    type: text('type').$type<'image/jpeg' | 'image/png'>().notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    bytes: bytes('bytes').notNull(),
    createdAt: now('created_at').notNull(),
  },
  (t) => [index('photos_build').on(t.buildId, t.createdAt)],
)

/** Entries are struck, never deleted. */
export const logEntries = pgTable('log_entries', {
  id: text('id').primaryKey(),
  buildId: text('build_id')
    .notNull()
    .references(() => builds.id),
  at: now('at').notNull(),
  kind: text('kind').$type<LogKind>().notNull(),
  text: text('text').notNull(),
  station: text('station').$type<Station>(),
  thing: text('thing'),
  struckAt: now('struck_at'),
  photo: text('photo').references(() => photos.id),
  /** The order they were written in: a machine's clock may be set back. */
  seq: integer('seq').notNull().generatedByDefaultAsIdentity(),
})

/** Parts in the stash and on offer. What is searched and sorted by stands in columns of its own. */
export const stock = pgTable(
  'stock',
  {
    id: text('id').primaryKey(),
    benchId: benchId(),
    holding: text('holding').$type<StockItem['holding']>().notNull(),
    kind: text('kind').$type<KindName>().notNull(),
    /** Name, seller and place in lower case. */
    search: text('search').notNull(),
    doc: jsonb('doc').$type<Omit<StockItem, 'id'>>().notNull(),
    createdAt: now('created_at').notNull(),
  },
  (t) => [index('stock_kind').on(t.benchId, t.kind, t.holding), index('stock_created').on(t.benchId, t.createdAt, t.id)],
)
