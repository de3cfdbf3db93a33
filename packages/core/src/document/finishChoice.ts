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
