import type { Build } from '../document/build'
import type { Change } from '../document/change'
import { setSize } from '../document/changes'
import { coatName, layCoats } from '../finish/laying'
import type { Coat } from '../finish/schedule'
import type { LogKind } from '../log/entry'
import { parseOhms } from '../quantity/electrical'
import type { LengthSystem } from '../quantity/length'
import { bought } from './bought'
import { numberIn, words } from './said'
import { readingSaid, turnsSaid } from './setupSaid'
import { nearest, understand, type Filing } from './sizes'

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

/** Reads an entry as it is typed: a size, a reading of the setup, turns, a price, coats, a reading of the meter; else what comes near. */
export function heardAs(build: Build, text: string, system: LengthSystem = 'mm', coats: readonly Coat[] = []): HeardEntry {
  const understood = certain(build, text, system, coats)
  return understood ? { understood, near: [] } : { near: nearest(build, text, system).map(asSize) }
}

function certain(build: Build, text: string, system: LengthSystem, planned: readonly Coat[]): Understood | undefined {
  const price = bought(build, text)
  if (price) return { kind: 'cost', says: price.says, change: price.change }
  const turns = turnsSaid(text, build.strings)
  if (turns) return { kind: 'turns', ...turns }
  const setup = readingSaid(build, text, system)
  if (setup) return { kind: 'reading', ...setup }
  const coats = coatsSaid(text, planned)
  if (coats) return { kind: 'coat', ...coats }
  const size = understand(build, text, system)
  return size ? asSize(size) : metered(text)
}

const LAYERS = [
  'sealer',
  'primer',
  'colour',
  'toner',
  'clear',
  'oil',
  'wax',
  'dye',
  'stain',
  'metallic',
  'filler',
  'shellac',
  'lacquer',
] as const

/** "two coats of clear": the next that are planned of it; where none is, it is only written down. */
function coatsSaid(text: string, planned: readonly Coat[]): Pick<Understood, 'says' | 'change'> | undefined {
  if (!/\bcoats?\b/i.test(text)) return undefined
  const layer = LAYERS.find((l) => words(text).includes(l))
  const count = numberIn(text) ?? 1
  if (!layer || !Number.isInteger(count) || count < 1 || count > 20) return undefined
  const next = planned.filter((c) => !c.laid && `${c.layer} ${c.product} ${c.label}`.toLowerCase().includes(layer)).slice(0, count)
  const said = `${count} ${count === 1 ? 'coat' : 'coats'} of ${layer}`
  if (next.length < count)
    return {
      says: `${said}. ${next.length ? `Only ${next.length} of it ${next.length === 1 ? 'is' : 'are'}` : 'None of it is'} still planned under Finish.`,
    }
  return { says: `${said}, laid now: ${next.map(coatName).join(', ')}.`, change: (b, at) => layCoats(b, planned, next, at) }
}

/** "bridge position reads 8.1k": what a meter showed, in which position. */
function metered(text: string): Understood | undefined {
  const found = /(\d+(?:[.,]\d+)?)\s*(k|m)?\s*(ohms?|Ω)?(?=\s|$)/i.exec(text)
  const place = /\b(neck|middle|bridge|both|all)\b[\p{L} ]*?\bposition\b|\bposition\s+(\d|neck|middle|bridge)\b/iu.exec(text)
  if (!found || !place || !(found[2] ?? found[3])) return undefined
  const parsed = parseOhms(`${found[1]}${found[2] ?? ''}`)
  if (!parsed.ok) return undefined
  return {
    kind: 'reading',
    says: `Meter: ${(parsed.value / 1000).toFixed(2)} kΩ in the ${place[1] ?? place[2]} position. Under Wire it is held to its band.`,
  }
}
