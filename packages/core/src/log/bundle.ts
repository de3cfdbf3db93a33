import type { LogEntry } from './entry'
import type { Build } from '../document/build'

export const BUNDLE_FORMAT = 'snug-bolt-build'
export const BUNDLE_VERSION = 1

/** A whole build as one open JSON file. */
export interface Bundle {
  format: typeof BUNDLE_FORMAT
  version: number
  /** ISO time of export. */
  exported: string
  build: Build
  log: LogEntry[]
}
