import type { Bench, Build, KindName, LogKind, Station, StockItem } from '@snug/core'
import type { Edit } from '@snug/core'
import { customType, index, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core'

const now = (name: string) => timestamp(name, { withTimezone: true, mode: 'string' })

/** One row an instrument; the document is checked before it is written. */
export const builds = pgTable('builds', {
  id: text('id').primaryKey(),
  revision: integer('revision').notNull(),
  doc: jsonb('doc').$type<Build>().notNull(),
  /** Revisions that undo and redo would take back next, last first. */
  undo: jsonb('undo').$type<number[]>().notNull(),
  redo: jsonb('redo').$type<number[]>().notNull(),
  createdAt: now('created_at').notNull(),
  updatedAt: now('updated_at').notNull(),
  putAwayAt: now('put_away_at'),
})

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
    holding: text('holding').$type<StockItem['holding']>().notNull(),
    kind: text('kind').$type<KindName>().notNull(),
    /** Name, seller and place in lower case. */
    search: text('search').notNull(),
    doc: jsonb('doc').$type<Omit<StockItem, 'id'>>().notNull(),
    createdAt: now('created_at').notNull(),
  },
  (t) => [index('stock_kind').on(t.kind, t.holding), index('stock_created').on(t.createdAt, t.id)],
)

/** What the person has to work with, whichever instrument it is for: one row. */
export const benches = pgTable('benches', {
  id: text('id').primaryKey(),
  doc: jsonb('doc').$type<Bench>().notNull(),
  updatedAt: now('updated_at').notNull(),
})
