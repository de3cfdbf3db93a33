import type { PlannedJob, TrialResult } from '../document/build'
import type { SizeRef } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import type { Point } from '../geometry/point'
import type { Slot } from '../parts/slots'
import { digitsKnown } from '../quantity/digitsKnown'
import { doubtOf, likelyOf, type Distribution } from '../quantity/distribution'
import type { TraitRef } from './completed'
import type { CutLimits } from './leastCut'
import { judge, type Band, type Judgement, type Verdict } from './verdict'

/** What a check counts in: mostly millimetres. */
export type FigureUnit = 'mm' | 'deg' | 'count' | 'MPa' | 'none'

/** A job that would make a joint go, in words and as what it does to a size. */
export interface Cure {
  id: string
  /** One line: the job and its amount. */
  job: string
  /** How it is done, what it spares and what it risks. */
  how: string
  /** Which part gives way. */
  gives: string
  tools: string[]
  /** Likely minutes of hands, where it is no small job of half an hour. [practice, from memory] */
  minutes?: number
  /** No part gives way, and yet something has to be got first that nobody has by him, as screws of a length. */
  toGet?: boolean
  /** A small job, and yet nothing plays without it: it is not left out to be in time. */
  must?: boolean
  /** What planning it on paper does to the sizes; absent when the cure is another part. */
  plan?: Omit<PlannedJob, 'text'>
  /** Where it takes something off a part that stays: the least that can do, and what it must not exceed. Not copied with the cure. */
  cut?: CutLimits | undefined
  /** Its own words say both already. */
  limited?: true
}

/** One clearance of a joint with its limits and what they say. */
export interface Check {
  id: string
  label: string
  /** What the limits are held against, usually a clearance in mm. */
  clearance: Distribution
  /** The number shown for it where that is another one, such as today's gap when the dampest day decides. */
  shown?: Distribution
  unit: FigureUnit
  bands: readonly Band[]
  raw: Judgement
  /** After the planned coats, where a finish reaches it. */
  coated?: Judgement
  /** What is the matter, one or two sentences. */
  says: string
  cures: Cure[]
  /** Every size it was judged by, assumed ones too. */
  reads: SizeRef[]
  /** When it cannot be told: sizes it asks for that nobody knows. */
  unknown: SizeRef[]
  /** When it cannot be told: traits nobody has said. */
  untold: TraitRef[]
  /** When it cannot be told: sizes of holes that are not made yet. */
  unmade: SizeRef[]
  /** Its class is sure and its figure is not: sizes nobody knows move it. */
  supposed?: true
  /** Rests on two sellers' listings of a pattern. */
  hearsay?: boolean
}

/** A place where two or more parts meet and must fit. Everything here is computed. */
export interface Joint {
  id: string
  title: string
  /** Not how two parts fit but whether something is as it should be; its verdict has words of its own. */
  condition?: true
  slots: Slot[]
  /** Where its peg stands on the instrument: mm from the nut, mm across. */
  at: Point
  verdict: Verdict
  coated?: Verdict
  /** The check that speaks for the joint: the worst one. */
  figure?: { text: string; value: number; doubt: number; unit: FigureUnit } | undefined
  says: string
  cures: Cure[]
  checks: Check[]
  /** Sizes without which a check of it cannot be told. */
  missing: SizeRef[]
  /** Traits without which a check of it cannot be told. */
  untold: TraitRef[]
  /** Sizes without which a check of it cannot be told, and which nobody can measure before their hole is made. */
  unmade: SizeRef[]
  /** The size with most say in it, when it can't tell. */
  settles?: SizeRef
  reads: SizeRef[]
  /** Jobs already planned on paper that this joint counts on. */
  planned: string[]
  /** Tried by hand: how it went and when; what has become another since, or which size to doubt where the sum says otherwise. */
  tried?: { result: TrialResult; on: string; since?: string; doubted?: SizeRef }
  /** It holds the neck in its pocket, so the trial build waits for its jobs. */
  seatsNeck?: true
}

/** A joint as judged; its drawing is made only for those who look. */
export interface JudgedJoint extends Joint {
  draw: () => Drawing
  /** More numbers than a list row holds: what each shim would do, the year's movement, a row of strings. */
  tables: () => DetailTable[]
}

/** A small table beside the drawing; `chart` asks for the rows as a line as well. */
export interface DetailTable {
  title: string
  columns: string[]
  rows: string[][]
  chart?: { labels: string[]; values: number[]; unit: string; limits?: { from: number; to: number } }
}

/** A check before it is judged: a clearance, its limits, and what would be said and done. */
export interface Question {
  id: string
  label: string
  clearance: Distribution
  shown?: Distribution
  unit?: FigureUnit
  bands: readonly Band[]
  /** How much a planned finish takes from the clearance, mm. */
  coats?: number
  /** Its clearance is reckoned from plain values: the frame spreads it by the doubts of the sizes it read. */
  spread?: true
  /** What it cannot be told without and is no size, in words: an outline nobody has drawn. */
  lacks?: string
  /** What is the matter; asked only when a class is sure. */
  says: (j: Judgement) => string
  /** Asked only when a class is sure. */
  cures?: (j: Judgement) => Cure[]
  /** A pattern known only from two sellers' listings is never called snug, however the figures fall; what is said then. */
  hearsay?: string
}

/** The class of a question's clearance with so much of it taken away by a finish, mm. */
export function judgeAt({ clearance, bands, hearsay, lacks }: Question, coats: number): Judgement {
  const moved = coats ? clearance.map((n) => ({ ...n, mean: n.mean - coats })) : clearance
  const j = judge(moved, bands)
  if (lacks) return { ...j, verdict: 'cant-tell' }
  return hearsay && (j.verdict === 'snug' || j.verdict === 'loose') ? { ...j, verdict: 'cant-tell' } : j
}

/** "+0.20", "−0.35": a signed number of millimetres as the list shows it. */
export function signed(value: number, digits = 2): string {
  const fixed = value.toFixed(digits)
  return Number(fixed) > 0 ? `+${fixed}` : Number(fixed) === 0 ? (0).toFixed(digits) : fixed.replace('-', '−')
}

export function figureOf(c: Check): Joint['figure'] {
  if (c.unit === 'none') return undefined
  const shown = c.shown ?? c.clearance
  const [value, doubt] = [likelyOf(shown), doubtOf(shown)]
  return { text: signed(value, Math.min(Math.abs(value) >= 10 ? 1 : 2, digitsKnown(doubt))), value, doubt, unit: c.unit }
}
