/** Outcome of reading something a person typed: the value, or one clear sentence saying what is allowed. */
export type Parsed<T> = { ok: true; value: T } | { ok: false; why: string }

export const read = <T>(value: T): Parsed<T> => ({ ok: true, value })
export const refuse = (why: string): { ok: false; why: string } => ({ ok: false, why })
