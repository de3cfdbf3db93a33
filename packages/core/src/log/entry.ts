import type { Station } from '../document/station'

export const LOG_KINDS = ['note', 'measurement', 'reading', 'turns', 'coat', 'mistake', 'decision', 'cost', 'photo'] as const
export type LogKind = (typeof LOG_KINDS)[number]

/**
 * What was written down at the bench. Entries are never deleted, only struck. Their order is the order they were written in, whatever the
 * machine's clock said.
 */
export interface LogEntry {
  id: string
  /** ISO time. */
  at: string
  kind: LogKind
  text: string
  /** Station and thing (joint, hole card, slot, step) it belongs to. */
  station?: Station
  thing?: string
  /** A picture that belongs to it, by id. */
  photo?: string
  struck?: string
}
