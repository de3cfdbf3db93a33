import type { Build, LogKind, Part, Station } from '@snug/core'
import type { Edit } from '@snug/core'
import { integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core'

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
})

/** Parts on hand that belong to no build yet. */
export const stashParts = pgTable('stash_parts', {
  id: text('id').primaryKey(),
  doc: jsonb('doc').$type<Part>().notNull(),
  createdAt: now('created_at').notNull(),
})
