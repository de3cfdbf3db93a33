import type { Station } from '../document/station'

export const LOG_KINDS = ['note', 'measurement', 'reading', 'turns', 'coat', 'mistake', 'decision', 'cost'] as const
export type LogKind = (typeof LOG_KINDS)[number]

/** What was written down at the bench. Entries are never deleted, only struck. */
export interface LogEntry {
  id: string
  /** ISO time. */
  at: string
  kind: LogKind
  text: string
  /** Station and thing (joint, hole card, slot, step) it belongs to. */
  station?: Station
  thing?: string
  struck?: string
}
