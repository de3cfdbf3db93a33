import type { Order } from '../parts/order'
import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import { startParts } from '../parts/starting/fill'
import { partsFor, type JobId } from '../parts/starting/jobs'
import type { StartId } from '../parts/starting/sets'
import type { Consumable, ShopJob } from '../parts/spending'

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
  steps: Record<string, { done: string }>
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

/** 'none': nothing is chosen yet. */
export const FINISH_SYSTEMS = ['none', 'lacquer', 'acrylic', 'metallic', 'waterborne', 'wipe-on', 'oil', 'hard-wax', 'shellac'] as const
export type FinishSystem = (typeof FINISH_SYSTEMS)[number]

export interface FinishChoice {
  system: FinishSystem
  /** First evening, ISO date. */
  start: string
  /** Clear or top coats wanted. */
  coats: number
  /** Solids of the can's content, %. The label wins. */
  solids: number
  /** What goes under the top layers: fillers, dyes, colours. */
  under?: Record<string, true>
  maskPocket: boolean
  weather: { air: number; surface: number; humidity: number }
  /** The stack of every zone without one of its own, from the wood up; absent: as the system comes. */
  layers?: ZoneLayer[]
  /** Zones that get a stack of layers of their own, from the wood up; none is bare. */
  zones?: Partial<Record<FinishZone, ZoneStack>>
  /** What labels say, by product; a product of one's own begins like one that ships. */
  labels?: Record<string, ProductLabel>
  /** It lies while it dries: faces wait in turn. Hung otherwise. */
  lies?: true
  /** The air it dries in, where that is not the bench's. */
  drying?: { air: number; humidity: number }
  /** Sprayed out of doors: by the forecast. */
  outdoors?: true
  forecast?: ForecastHour[]
  /** Coats really laid, by id. */
  laid?: Record<string, LaidCoat>
  /** Coats of the top that were laid without counting them. */
  uncounted?: { from: number; to: number }
  /** Sanding really done on the film, by id. */
  passes?: Record<string, SandPass>
  /** Grits done of each section ("top 320"), with their day. */
  grits?: Record<string, string>
  /** The scale the person's abrasives are marked in. */
  abrasives?: AbrasiveScale
  /** Lines of cards ticked. */
  ticked?: Record<string, true>
  /** Colours mixed, by id. */
  mixes?: Record<string, ColourMix>
  /** Where it is to be worn, by id: outlines on the body, mm from the nut and across. */
  wear?: Record<string, WearSpot>
  /** What went wrong, by id. */
  troubles?: Record<string, FinishTrouble>
}

export const FINISH_ZONES = ['front', 'back', 'rim', 'neck-back', 'head-face', 'board', 'binding'] as const
export type FinishZone = (typeof FINISH_ZONES)[number]

export interface ZoneStack {
  layers: ZoneLayer[]
  /** Where the coat ends on a neck's back, mm from the nut; drawn before sanding. */
  border?: number
}

/** One product of a zone's stack. */
export interface ZoneLayer {
  product: string
  coats: number
  /** What the label says where it differs from the product's usual: solids %, dry film um. */
  solids?: number
  film?: number
  /** Its colour, #rrggbb, and how much of it there is in it, %. */
  colour?: string
  strength?: number
  /** Only round the edge, fading out over this width, mm. */
  burst?: number
  /** Its own label says that it holds on what lies under it. */
  byLabel?: true
}

/** What stands on a can. Times in minutes. */
export interface ProductLabel {
  /** A product of one's own: its name, and what it is like. */
  name?: string
  like?: string
  solids?: number
  /** Solids are by weight or by volume of the content. */
  basis?: 'volume' | 'weight'
  film?: number
  recoat?: number
  beforeSanding?: number
  coldest?: number
  warmest?: number
  dampest?: number
  container?: number
  price?: number
}

/** An hour of weather to come. */
export interface ForecastHour {
  /** Its beginning: 2026-11-27T18. */
  at: string
  air: number
  humidity: number
  surface?: number
}

export const ABRASIVE_SCALES = ['P', 'unmarked'] as const
export type AbrasiveScale = (typeof ABRASIVE_SCALES)[number]
export const FILM_TEXTURES = ['glass', 'light peel', 'heavy peel', 'relief'] as const
export type FilmTexture = (typeof FILM_TEXTURES)[number]
export const FILM_PLACES = ['flat', 'edge', 'corner'] as const
export type FilmPlaceName = (typeof FILM_PLACES)[number]

/** Sanding as it was done on the film: what it looked like before, with what, and whether it went through. */
export interface SandPass {
  at: string
  zone?: FinishZone
  texture: FilmTexture
  grits: number[]
  block: boolean
  through?: FilmPlaceName
}

/** A colour as it was mixed: parts of each, thinned by so many percent of the paint. */
export interface ColourMix {
  name: string
  parts: { name: string; parts: number; colour?: string }[]
  thin: number
}

export interface WearSpot {
  name: string
  face: 'front' | 'back'
  points: { x: number; y: number }[]
}

export interface FinishTrouble {
  symptom: string
  at: string
  zone?: FinishZone
  /** The way back that was taken. */
  way?: string
}

/** One coat as it was laid: when it was done, and the air it was laid in. */
export interface LaidCoat {
  /** Where only part of it was coated. */
  zone?: FinishZone
  product: string
  /** The wall clock of the bench with its zone: 2026-11-26T19:30:00+01:00. */
  at: string
  air?: number
  surface?: number
  humidity?: number
}

export interface PlanChoice {
  /** Days without the bench, ISO dates. */
  daysOff?: string[]
  /** Minutes of the day between which machines are silent; may run over midnight. */
  quiet?: { from: number; to: number }
  decisions?: Record<string, Decision>
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

export const SETUP_SCHOOLS = ['low', 'ordinary'] as const
export type SetupSchool = (typeof SETUP_SCHOOLS)[number]

export const SETUP_READINGS = ['relief', 'action', 'cents', 'gap', 'sliver', 'float', 'pickup'] as const
export type SetupWhat = (typeof SETUP_READINGS)[number]

/** One number of a setup, as it was read. */
export interface SetupReading {
  /**
   * Relief: gap at fret 8, mm. Action: string to crown, mm. Cents: fret 12 against the open string's octave. Gap: open string over fret 1,
   * sliver: what is left over fret 1 while it is held further up, mm. Float: under the back edge of a vibrato, mm. Pickup: string held at the
   * last fret to the pole, mm.
   */
  what: SetupWhat
  /** The fret it was read at, where that is not the usual one: 12 for the action, 3 for the sliver. */
  fret?: number
  /** The pickup it was read at. */
  slot?: Slot
  /** Of which string, from the thinnest; none for the relief and the float. */
  string?: number
  value: number
  /** When it was read; unknown for what was written down before times were kept. */
  at?: string
  /** The string set it was read with, by id. */
  set?: string
}

export interface SetupChoice {
  school: SetupSchool
  /** Every reading that was taken; the newest of its kind and string is the one that counts. */
  readings: Record<string, SetupReading>
  /** String sets this instrument has worn, by id, and the day each went on. */
  sets?: Record<string, { name: string; on: string }>
  /** Saddle-top height above the body as the bridge stands, mm; absent: where the action wanted puts it. */
  saddle?: number
  /** mm of relief taken out by a quarter turn on this neck, once seen. */
  reliefPerQuarter?: number
  /** Notes the strings are tuned to, semitones from A4, the thinnest first; absent: standard. */
  tuning?: Tuning
  /** Numbers of one's own, over those of the school, mm. */
  wanted?: { actionBass?: number; actionTreble?: number; relief?: number; float?: number }
  nutSchool?: NutSchool
  /** Depth of a pluck, mm. */
  attack?: number
  /** Fret the neck meets the body at. */
  joint?: number
  /** How far a rocker tips over three frets, mm, by string and middle fret ("1-9"). */
  rocks?: Record<string, number>
  vibrato?: VibratoSetup
  /** Ticked before any number is taken. */
  first?: Record<string, true>
}

export interface Tuning {
  name: string
  notes: number[]
}

export const NUT_SCHOOLS = ['ordinary', 'fine'] as const
export type NutSchool = (typeof NUT_SCHOOLS)[number]

export const VIBRATO_SCHOOLS = ['float', 'deck', 'block'] as const
export type VibratoSchool = (typeof VIBRATO_SCHOOLS)[number]
/** How a vibrato stands and is sprung: what nobody measured is left out. Lengths in mm, x to the tail and y up from the knife edge. */
export interface VibratoSetup {
  school?: VibratoSchool
  springs?: number
  rate?: number
  preload?: number
  closed?: number
  claw?: { x: number; y: number }
  block?: { x: number; y: number }
  saddle?: { x: number; y: number }
  back?: { x: number; y: number }
  pitch?: number
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
