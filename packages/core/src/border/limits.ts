/**
 * How much is taken in, everywhere: by the server, from files, in forms. One table, so that a limit is said the same wherever it is
 * met; docs/limits.md lists it. All choices of this project. [ours]
 */
export const LIMITS = {
  /** Bytes of an ordinary request, and of a file taken in. */
  body: 5_000_000,
  file: 10_000_000,
  /** Bytes of a build with its pictures, as one file. */
  bundle: 64_000_000,
  /** Pictures a build keeps, and bytes of all of them: so much that its bundle still goes into one file. */
  photos: 80,
  photoBytes: 40_000_000,
  photoName: 120,
  /** Levels of lists and objects within each other. */
  depth: 12,
  /** Values in an ordinary request, and in a file. */
  values: 100_000,
  fileValues: 1_000_000,
  /** Entries of any one list, and of any one map: looked at first of all. Many lists and maps have smaller limits of their own. */
  list: 20_000,
  map: 2000,
  /** Letters of a key. */
  key: 120,
  /** Entries of a map that has no limit of its own. */
  entries: 500,
  /** Edits of one change; names and letters of an edit's path. */
  edits: 500,
  path: 8,
  pathName: 120,
  label: 300,
  buildName: 80,
  partName: 120,
  seller: 120,
  partNote: 2000,
  place: 80,
  sizes: 120,
  traits: 40,
  outline: 200,
  jobs: 500,
  jobText: 300,
  steps: 2000,
  logEntries: 20_000,
  logText: 4000,
  logThing: 80,
  defects: 40,
  reserved: 1000,
  /** Parts put in by one request, and by one file. */
  many: 500,
  rows: 20_000,
  /** Changes that can be taken back. */
  undo: 1000,
  /** Findings an answer holds. */
  findings: 200,
} as const
