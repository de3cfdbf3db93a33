import type { Build } from '../document/build'
import type { Bench } from './bench'
import type { DrawnCard } from './holeCard'

/** Finds one hole or row in a build's parts; nothing where these parts have no such hole. */
export type Finder = (build: Build, bench: Bench) => DrawnCard | undefined
