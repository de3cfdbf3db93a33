import type { LogEntry } from './entry'
import type { Build } from '../document/build'

export const BUNDLE_FORMAT = 'snug-bolt-build'
export const BUNDLE_VERSION = 2

/** A whole build as one open JSON file. */
export interface Bundle {
  format: typeof BUNDLE_FORMAT
  version: number
  /** ISO time of export. */
  exported: string
  build: Build
  log: LogEntry[]
  /** Since version 2. */
  photos?: PhotoFile[]
}

/** A picture of a build, as it lies in its bundle: its bytes in base64. */
export interface PhotoFile {
  id: string
  name: string
  createdAt: string
  data: string
}
