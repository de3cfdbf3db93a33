import type { Order } from '../parts/order'
import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import type { FinishChoice } from './finishChoice'
import type { SetupChoice } from './setupChoice'
import { startParts } from '../parts/starting/fill'
import { partsFor, type JobId } from '../parts/starting/jobs'
import type { StartId } from '../parts/starting/sets'
import type { Consumable, ShopJob } from '../parts/spending'

export * from './finishChoice'
export * from './setupChoice'

/**
 * One instrument being made. A plain document: everything a person chose, measured or did. Whatever can be computed
 * from it (joints, holes, circuit results, schedule) is never stored here. Collections are keyed by id, not listed,
 * so that a change always names the same thing.
 */
export interface Build {
  schema: 4
  name: string
  handedness: 'right' | 'left'
  /** Number of strings, 4 to 12. */
  strings: number
  /** Scale length wanted, mm. */
  scale: number
  /** What kind of job it is. */
  job?: JobId
  /** Day it is promised, ISO date. */
  due?: string
  budget?: number
  /** Three-letter currency code, shown as typed. */
  currency: string
  /** Relative humidity of the room over the year, %. */
  room: { low: number; high: number; now: number }
  parts: Partial<Record<Slot, Part>>
  /** How free each slot is; a filled one is fixed and an empty one open unless said otherwise. */
  slots?: Partial<Record<Slot, SlotState>>
  /** Tools the person owns. */
  tools?: Tool[]
  /** Where a straight-edge along each side of the neck left its pencil lines on the body, by station. */
  pencil?: Partial<Record<PencilStation, PencilLines>>
  /** Postage by seller, once a parcel. */
  parcels?: Record<string, number>
  consumables?: Record<string, Consumable>
  /** Work given to somebody else's bench, by id. */
  shop?: Record<string, ShopJob>
  /** What it is to be sold for, where it is made to be sold. */
  sale?: number
  /** Results of the trial build, by its steps. */
  mockup?: Record<string, MockupResult>
  /** What came of trying a joint by hand, by joint. */
  trials?: Record<string, Trial>
  /** What was found when parcels were unpacked, by slot. */
  unpacked?: Partial<Record<Slot, Unpacked>>
  /** What was ordered to be made, by slot, as it was sent. */
  orders?: Partial<Record<Slot, Order>>
  /** A worn instrument being thought about. */
  rescue?: { asking?: number; worth?: number; defects: string[] }
  /** Jobs planned on paper, by joint and check: they change the sizes the joints see until the real size is measured. */
  jobs: Record<string, PlannedJob>
  circuit: CircuitChoice
  readings: Record<string, MeterReading>
  finish: FinishChoice
  /** Minutes at the bench, Monday first. */
  evenings: number[]
  /** When the bench is not to be had, and what is not decided yet. */
  plan?: PlanChoice
  setup: SetupChoice
  /** Steps ticked off, by step id. */
  steps: Record<string, DoneStep>
  /** Handed over to whoever plays it. */
  delivered?: Delivered
}

export const TRIAL_RESULTS = ['goes', 'force', 'rattles', 'wont', 'flat', 'rocks'] as const
export type TrialResult = (typeof TRIAL_RESULTS)[number]
/** A joint tried by hand: how it went, on which day, and what it was tried with. */
export interface Trial {
  result: TrialResult
  on: string
  /** Sizes ("body/thickness"), traits ("bridge.mount") and parts ("neck", by name) as they were then; when one is another, it was another joint. */
  of: Record<string, string | number>
}

export const PENCIL_STATIONS = ['near', 'far'] as const
/** Near the neck, and near the bridge. */
export type PencilStation = (typeof PENCIL_STATIONS)[number]
/** Read at one place along the body, all from one straight edge on the bass side, mm. */
export interface PencilLines {
  /** From the pocket's mouth, along the centre line. */
  along: number
  bassLine: number
  trebleLine: number
  /** Two things that lie evenly about the body's own middle there: ends of a pickup's route, studs, outer screws. */
  bassEnd: number
  trebleEnd: number
}

export const SLOT_STATES = ['fixed', 'preferred', 'open'] as const
/** Fixed stays whatever happens; preferred gives way to a clearly better set; open may be anything. */
export type SlotState = (typeof SLOT_STATES)[number]

export const UNPACKED = ['present', 'missing', 'damaged'] as const
export type Unpacked = (typeof UNPACKED)[number]

/** Tools a size may be taken with, best first. */
export const TOOLS = ['calipers', 'rule', 'template', 'tape', 'meter', 'scale'] as const
export type Tool = (typeof TOOLS)[number]

export const OUTCOMES = ['measured', 'goes', 'job', 'stuck'] as const
/** How a step of the trial build came out, and what it stood on at the time. */
export interface MockupResult {
  outcome: (typeof OUTCOMES)[number]
  at: string
  basis: string
}

/** What a job (a cut, a ream, packing) does to one size, and how surely. */
export interface JobEffect {
  slot: Slot
  size: string
  /** Change of the size, in its own unit. */
  delta: number
  /** 95 % half-width of how exactly it will be done, same unit. */
  doubt: number
}

export interface PlannedJob extends JobEffect {
  /** What else it moves: a shim at the mouth tilts the neck and lifts it. */
  also?: JobEffect[]
  text: string
}

/** Everything a job moves, what it is done for first. */
export const effectsOf = (job: Omit<PlannedJob, 'text'>): JobEffect[] => [job, ...(job.also ?? [])]

/** What is left of what is planned when the parts of some slots go: jobs planned on a part leave with the part. */
export function jobsWithout(build: Build, slots: readonly Slot[]): Build['jobs'] {
  const all = Object.entries(build.jobs)
  const left = all.filter(([, job]) => !effectsOf(job).some((effect) => slots.includes(effect.slot)))
  return left.length < all.length ? Object.fromEntries(left) : build.jobs
}

export interface CircuitChoice {
  /** Which wiring; 'by-parts' is the first the parts allow. */
  scheme: string
  /** What was chosen of what a wiring leaves open. */
  options: Record<string, string>
  /** Cable, metres. */
  cable: number
  /** Wires taken away or added by hand, by their ends. */
  edits?: Record<string, WireEdit>
  /** Contacts of switches as a meter found them, by the switch's id. */
  tables?: Record<string, FoundSwitch>
  /** What was measured and heard on the bench, by test. */
  found?: Record<string, string | number>
  /** What was heard before the covers went on, by position and control (see listening). */
  heard?: Record<string, Heard>
  /** How far the amplifier was turned up when it was listened to. */
  gain?: Gain
  /** Day each wire was soldered and beeped along, by its two ends. */
  soldered?: Record<string, string>
  /** Colour of each of a pickup's leads, by the coil's lug it comes from. */
  leads?: Record<string, string>
  /** Wire on hand: metres by colour; none where nobody has said. */
  reels?: Record<string, number>
  /** Joints of a sheet that came with the parts, or of a circuit as it was found, by their two ends. */
  sheet?: Record<string, SheetJoint>
  /** Day each complaint was noted, by its id in the list of symptoms. */
  complaints?: Record<string, string>
  /** What was mended, in order of id, and what it changed. */
  repairs?: Record<string, Repair>
  /** Faults that were found and wait to be mended, by the fault. */
  mends?: Record<string, Mend>
  /** Coils somebody wound, by name. */
  coils?: Record<string, CoilEntry>
}

export const HEARD_AS = ['good', 'bad'] as const
export type Heard = (typeof HEARD_AS)[number]
export const GAINS = ['clean', 'edge', 'high'] as const
export type Gain = (typeof GAINS)[number]
export interface SheetJoint {
  from: string
  to: string
}
export const REPAIR_OUTCOMES = ['gone', 'better', 'same', 'worse'] as const
/** What is wrong, and what is done about it. */
export interface Mend {
  says: string
  cure: string
  lugs: string[]
}
/** One change at a time: what was done, to which lugs, what it did, and whether it stayed. */
export interface Repair {
  on: string
  what: string
  lugs: string[]
  then: (typeof REPAIR_OUTCOMES)[number]
  kept: boolean
}
/** A coil as it is wound, and what it read after each stage. */
export interface CoilEntry {
  gauge: number
  turns: number
  turn: number
  winding: 'clockwise' | 'counter-clockwise'
  magnet: 'north' | 'south'
  /** Stage by stage, in order. */
  read: { stage: string; ohm: number; celsius: number }[]
  leads?: string
  place?: string
}

export const WIRE_ROLES = ['hot', 'ground', 'link', 'signal', 'jumper', 'supply'] as const
export interface WireEdit {
  is: 'cut' | 'added'
  from: string
  to: string
  role: (typeof WIRE_ROLES)[number]
}
/** Which lugs beep together in which position. */
export interface FoundSwitch {
  lugs: string[]
  positions: { pairs: { a: string; b: string }[] }[]
}

/** What a meter showed, where its probes were and how every knob and switch stood. */
export interface MeterReading {
  ohm: number
  /** Two lugs, each written component.lug. */
  probes: [string, string]
  setting: { switches: Record<string, number>; knobs: Record<string, number> }
  at: string
}

/** A step that was done: when, and where somebody looked at the clock the minutes it took of those that were planned. */
export interface DoneStep {
  done: string
  took?: number
  planned?: number
}

export interface Delivered {
  /** ISO day. */
  on: string
  to?: string
  /** What it was handed over with, in the words of that day. */
  faults: string[]
  /** Taken in again, and why. */
  reopened?: { on: string; why: string }
}

export interface PlanChoice {
  /** Days without the bench, ISO dates. */
  daysOff?: string[]
  /** Minutes of the day between which machines are silent; may run over midnight. */
  quiet?: { from: number; to: number }
  decisions?: Record<string, Decision>
  /** Minute of the day the evening at the bench begins. */
  begins?: number
  /** Minute of the day after which nothing that cannot be undone is begun. */
  cutOff?: number
  /** Hands of another person or a shop, by the step they are for: the day they come. */
  booked?: Record<string, { by: string; on: string }>
  /** What was noted before it is taken apart, by what: the day. */
  noted?: Record<string, string>
  /** Steps this job does not ask for, by id: the day that was said. */
  leftOut?: Record<string, string>
}

/** A question that binds once a step is done; open until something is chosen. */
export interface Decision {
  question: string
  options: string[]
  chosen?: string
  reason?: string
  /** The last step before it binds. */
  before?: string
}

/** What a person must say to put a new build on the shelf. */
export interface NewBuild {
  name: string
  handedness: Build['handedness']
  strings: number
  scale: number
  /** Begins with the parts of such an instrument, every size of them a guess until it is read. */
  start?: StartId
  /** What kind of job it is: what of that lies on the bench already, and how its wood is. */
  job?: JobId
}

/** A build with the settings people start from, empty or with the parts of a starting set. `today` is an ISO date. */
export function newBuild({ start, job = 'kit', ...wanted }: NewBuild, today: string): Build {
  return {
    schema: 4,
    ...wanted,
    ...(job === 'kit' ? {} : { job }),
    currency: 'EUR',
    room: { low: 35, high: 65, now: 45 },
    parts: start ? partsFor(job, startParts(start)) : {},
    jobs: {},
    circuit: { scheme: 'by-parts', options: {}, cable: 5 },
    readings: {},
    finish: {
      system: 'none',
      start: today,
      coats: 5,
      solids: 10,
      maskPocket: true,
      weather: { air: 20, surface: 20, humidity: 50 },
    },
    evenings: [90, 90, 90, 90, 0, 180, 120],
    setup: { school: 'ordinary', readings: {} },
    steps: {},
  }
}
