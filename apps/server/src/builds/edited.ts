import type { Change } from '@snug/core'
import { sql, type SQL } from 'drizzle-orm'

/** More edits than this are not made one by one where the document lies. [ours] */
const FEW = 6

export const json = (value: unknown): SQL => sql`${JSON.stringify(value)}::jsonb`

/**
 * A document after a change, as the database makes it of what lies in its column doc: the edits are some hundred bytes, the
 * document tens of thousands.
 * @param after the same document, as it is sent where there are many edits
 */
export const edited = ({ edits }: Pick<Change, 'edits'>, after: object): SQL =>
  edits.length > FEW
    ? json(after)
    : edits.reduce(
        (at, { path, to }) =>
          to === undefined ? sql`(${at} #- ${sql.param(path)}::text[])` : sql`jsonb_set(${at}, ${sql.param(path)}::text[], ${json(to)})`,
        sql`doc`,
      )
