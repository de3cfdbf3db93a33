/** Rows written by one statement: a statement has at most 65535 parameters, a row at most nine. */
const ROWS_AT_ONCE = 2000

/** Writes many rows in statements the database can take. */
export async function inPieces<T>(rows: readonly T[], write: (piece: T[]) => Promise<unknown>): Promise<void> {
  for (let i = 0; i < rows.length; i += ROWS_AT_ONCE) await write(rows.slice(i, i + ROWS_AT_ONCE))
}
