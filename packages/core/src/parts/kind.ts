import type { Trade } from '../quantity/size'

export type SizeUnit = 'mm' | 'ohm' | 'farad' | 'henry' | 'g' | 'newton' | 'deg' | 'count'

/** One dimension a kind of part has. Ranges are what a person could plausibly mean, not tolerances. [ours] */
export interface SizeSpec {
  label: string
  unit: SizeUnit
  /** Allowed values, inclusive, in `unit`. */
  min: number
  max: number
  /** Needed before the joints that read it can be judged. */
  required?: boolean
  /** The trade's usual value, shown as a placeholder only, never used as a fact. [practice] */
  usual?: number
  /** The widest band such parts are found in; `min` to `max` where it is not said. Stands in for a size nobody knows. [practice] */
  found?: readonly [low: number, high: number]
  /** Left out where there is no such thing: only then does silence mean that it is not there. */
  optional?: true
  /** Where and how to take it. */
  how?: string
  /** A place on a body, counted from where its neck comes in: in one piece with it that is the board's end. */
  fromNeck?: true
  /** There is none of it on a part that is said to be this: it is then 0, whatever was entered. */
  naught?: readonly [trait: string, option: string]
}

/** What a size nobody knows may be. */
export const bandOf = ({ found, min, max }: SizeSpec): { low: number; high: number } => ({
  low: found?.[0] ?? min,
  high: found?.[1] ?? max,
})
/** What to draw where a size is not known: the usual value, or the middle of what is found. Never to judge by. */
export const usualOf = (spec: SizeSpec): number => spec.usual ?? (bandOf(spec).low + bandOf(spec).high) / 2

/** A property that is chosen from a list rather than measured. */
export interface TraitSpec {
  label: string
  options: readonly (readonly [value: string, label: string])[]
  required?: boolean
  /** Whether a hole is there: told where holes are, under Drill. */
  hole?: true
  /** Taken to be its first option until someone says otherwise: nobody is asked. */
  unasked?: true
}

export interface Kind {
  kind: string
  /** What the trade calls it, singular. */
  label: string
  /** Wood and guards are listed more loosely than hardware. */
  trade: Trade
  sizes: Readonly<Record<string, SizeSpec>>
  traits: Readonly<Record<string, TraitSpec>>
  /** Does this kind carry an outline as a table of half-widths? */
  outline?: boolean
}

export const defineKind = <const K extends Kind>(kind: K): K => kind

type Range = Omit<SizeSpec, 'label' | 'unit' | 'min' | 'max'>
/** A length in mm. */
export const mm = (label: string, min: number, max: number, more: Range = {}): SizeSpec => ({
  label,
  unit: 'mm',
  min,
  max,
  ...more,
})
export const sized = (unit: SizeUnit, label: string, min: number, max: number, more: Range = {}): SizeSpec => ({
  label,
  unit,
  min,
  max,
  ...more,
})

/** Is a hole there already? Said once by whoever looks at the part. */
export const bored = (label: string): TraitSpec => ({
  label,
  hole: true,
  options: [
    ['none', 'not there'],
    ['drilled', 'there'],
  ],
})

/** The three sizes of the wood screws that come with a part. */
export const screwSizes = (name: string, length: number, thread: number, root: number) => ({
  'screw.length': mm(`${name} length`, 4, 70, { usual: length }),
  'screw.thread': mm(`${name} thread diameter`, 1, 6, { usual: thread }),
  'screw.root': mm(`${name} root diameter`, 0.8, 5, { usual: root }),
})

/** Is there none of a size on this part, because of what it is said to be? */
export const isNaught = (kind: Kind, traits: Readonly<Record<string, string>>, size: string): boolean => {
  const said = Object.hasOwn(kind.sizes, size) ? kind.sizes[size]!.naught : undefined
  return said !== undefined && traits[said[0]] === said[1]
}

/** What a part's own form asks of it. */
export const askedOf = (kind: Kind): [string, TraitSpec][] => Object.entries(kind.traits).filter(([, t]) => !t.hole)

export const HANDED: TraitSpec = {
  label: 'Hand',
  options: [
    ['either', 'either hand'],
    ['right', 'right-handed'],
    ['left', 'left-handed'],
  ],
}
