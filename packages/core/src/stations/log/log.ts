import type { Contribution } from '../contribution'

/** Log: what was written down. It is kept beside the build, so nothing of it is computed from one. */
export const log: Contribution<null> = { result: () => null }
