import type { Build } from '../document/build'
import type { Change } from '../document/change'
import { setSize } from '../document/changes'
import type { Coat } from '../finish/schedule'
import type { LogKind } from '../log/entry'
import type { LengthSystem } from '../quantity/length'
import { bought } from './bought'
import { coatsSaid } from './coatsSaid'
import { meterSaid } from './meterSaid'
import { readingSaid } from './readingSaid'
import { saidIn } from './said'
import { nearest, understand, type Filing } from './sizes'
import { turnsSaid } from './turnsSaid'

/** What an entry was understood as: said before it is filed, and what filing it changes besides the log. */
export interface Understood {
  kind: LogKind
  says: string
  size?: Filing
  /** Nothing where it is kept as an entry of its kind alone. */
  change?: (build: Build, at: string) => Change
}

export interface HeardEntry {
  understood?: Understood
  /** Sizes that come near, where none is certain. */
  near: Understood[]
}

const asSize = (f: Filing): Understood => ({ kind: 'measurement', says: f.label, size: f, change: (b) => setSize(b, f.ref, f.size) })

/**
 * Reads an entry as it is typed: a size, a reading of the setup, turns, a price, coats, a reading of the meter; else what comes near.
 * Each takes only what is said to its end: a second number, or a word it does not know, and it is left a note.
 */
export function heardAs(build: Build, text: string, system: LengthSystem = 'mm', coats: readonly Coat[] = []): HeardEntry {
  const understood = certain(build, text, system, coats)
  return understood ? { understood, near: [] } : { near: nearest(build, text, system).map(asSize) }
}

function certain(build: Build, text: string, system: LengthSystem, planned: readonly Coat[]): Understood | undefined {
  const said = saidIn(text)
  const price = bought(build, said)
  if (price) return { kind: 'cost', says: price.says, change: price.change }
  const turns = turnsSaid(said, build.strings)
  if (turns) return { kind: 'turns', ...turns }
  const setup = readingSaid(build, said, system)
  if (setup) return { kind: 'reading', ...setup }
  const coats = coatsSaid(said, planned)
  if (coats) return { kind: 'coat', ...coats }
  const size = understand(build, text, system)
  if (size) return asSize(size)
  const meter = meterSaid(said)
  return meter && { kind: 'reading', ...meter }
}
