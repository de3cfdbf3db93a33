import type { Build } from './build'

/** Another build, made from the one at hand by changing some of it. What is read of it counts as read of the one at hand. */
export type From = (change: (build: Build) => Build) => Build

/**
 * Computes a piece from a build, or takes it from before when nothing it read has changed. Only what `work` reads of the build it is
 * handed, or of others made `from` it, may go into the piece.
 */
export type Remember = <T>(key: string, build: Build, work: (build: Build, from: From) => T) => T

/** Remembers nothing. */
export const computed: Remember = (_, build, work) => work(build, (change) => change(build))
