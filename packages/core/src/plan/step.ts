import type { Station } from '../document/station'
import type { SizeRef } from '../document/read'
import type { Slot } from '../parts/slots'

/** A "before" with its reason: what is at risk when it is passed over, and the way back. */
export interface Before {
  id: string
  why: string
  risk: string
  wayBack: string
}

/** Not a must: done the other way round it costs minutes. */
export interface Better {
  id: string
  why: string
  /** What it costs in minutes when it is done the other way round. */
  minutes: number
}

/** What kind of work a step is; the same whichever station gives it. */
export type Stage = 'parcel' | 'wood' | 'trial' | 'film' | 'wiring' | 'hardware' | 'strings'

/** Whether it has to be done for the instrument to be played: without it, well, or at all pleasantly. */
export const NEEDS = ['must', 'should', 'later'] as const
export type StepNeed = (typeof NEEDS)[number]

/** One thing to do at the bench. */
export interface Step {
  id: string
  title: string
  why: string
  station: Station
  stage: Stage
  /** Joint, hole card, evening of coats or slot it belongs to. */
  thing?: string
  /** The part it is done to or waits for. */
  slot?: Slot
  /** Of a step that is for several parts at once. */
  slots?: readonly Slot[]
  /** All it is done to, where that is more: another one of any of them, and it is to be done again. */
  on?: readonly Slot[]
  /** Likely minutes of hands. */
  minutes: number
  /** What it usually takes, where this person's pace is another. */
  usual?: number
  /** The least and the most they take. */
  times?: readonly [low: number, high: number]
  /** Waiting afterwards, minutes. */
  wait: number
  need: StepNeed
  /** Nothing can be done before this day: a parcel is still on its way. */
  notBefore?: string
  /** Nobody knows the day it will be there: what comes after it has a day it is not before, and none it is on. */
  undated?: 'on its way' | 'not ordered'
  /** The day it was promised for, where that is past: it tells of the days to come, not of one. */
  promised?: string
  /** Days that have to go by first after everything it comes after. */
  rest?: number
  /** Work that keeps a calendar of its own, from its first day to its last; all of it moves when what comes before is late. */
  calendar?: { from: string; to: string }
  tools?: string
  /** Cannot be undone: a cut, glue, what is closed for good. Nothing of this is begun late in an evening. */
  final?: true
  /** What a slip of it is expected to cost: its odds times what the part is worth. */
  risk?: number
  /** A machine runs: not in quiet hours. */
  noisy?: true
  /** Cannot be left halfway: it wants one evening. */
  whole?: true
  /** Why a picture is taken before it. */
  picture?: string
  better?: readonly Better[]
  cautions: string[]
  befores: Before[]
  /** Sizes of parts it gives another value. */
  alters?: readonly SizeRef[]
  /** All of that is in place and stays so: nothing is done, whatever comes after it comes after what it would have come after. */
  inPlace?: true
  /** Steps of stations before it that are the same piece of work, told less fully. */
  insteadOf?: readonly string[]
}

type LeftOut = 'cautions' | 'wait' | 'befores' | 'need'
/** A step with what most steps have not left out. */
export const step = (s: Omit<Step, LeftOut> & Partial<Pick<Step, LeftOut>>): Step => ({
  cautions: [],
  wait: 0,
  befores: [],
  need: 'must',
  ...s,
})

/** Waiting: nothing stands before it but a parcel that is still on its way. */
export type StepState = 'done' | 'ready' | 'blocked' | 'waiting'
export interface PlannedStep extends Step {
  state: StepState
  done?: string
  /** Befores not yet done. */
  open: Before[]
  /** Day until which something it stands on still dries. */
  dries?: string
  /** Evening it falls on when worked in order, and the day its wait is over. */
  date?: string
  clear?: string
  /** Those days are bounds: it waits for something nobody has a day for. */
  atEarliest?: true
  /** Somebody comes for it on a day by which what stands before it is not done. */
  missed?: true
  /** It wants more minutes in one go than any evening has. */
  tooLong?: true
}
