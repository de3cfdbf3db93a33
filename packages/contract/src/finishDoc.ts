import {
  ABRASIVE_SCALES,
  type AbrasiveScale,
  FILM_PLACES,
  FILM_TEXTURES,
  type FilmPlaceName,
  type FilmTexture,
  FINISH_SYSTEMS,
  FINISH_ZONES,
  type FinishSystem,
  type FinishZone,
  LIMITS,
} from '@snug/core'
import { Equals, IsBoolean, IsIn, Length, Matches } from 'class-validator'
import { Between, Whole } from './bounds'
import { IsDay, IsTime, ListOf, MapOf, Nested, Optional, RecordOf, says } from './fields'
import { each, onlyTrue, textOf, wholeFrom } from './rules'

const COLOUR_SAYS = says('A colour is written like #1f6f78.')
const COLOUR = /^#[0-9a-f]{6}$/i
class WeatherDoc {
  @Between(-20, 50, 'Air temperature', ' °C') air!: number
  @Between(-20, 60, 'Surface temperature', ' °C') surface!: number
  @Between(1, 100, 'Humidity', ' %') humidity!: number
}
class ZoneLayerDoc {
  @Length(1, 60, says('A layer names its product.')) product!: string
  @Whole(1, 40, 'Coats of a layer') coats!: number
  @Optional() @Between(1, 100, 'Solids', ' %') solids?: number
  @Optional() @Between(0, 500, 'The dry film of a coat', ' µm') film?: number
  @Optional() @Matches(COLOUR, COLOUR_SAYS) colour?: string
  @Optional() @Between(0, 100, 'Strength', ' %') strength?: number
  @Optional() @Between(1, 300, 'The width of a burst', ' mm') burst?: number
  @Optional() @Equals(true, says('Its label says that it holds, or that is left out.')) byLabel?: true
}
class ZoneDoc {
  @ListOf(each(ZoneLayerDoc), 'A zone', { most: 40, each: 'layers' }) layers!: ZoneLayerDoc[]
  @Optional() @Between(0, 1000, 'The border of a coat', ' mm') border?: number
}
class ProductLabelDoc {
  @Optional() @Length(1, 60, says('A product’s name has 1 to 60 letters.')) name?: string
  @Optional() @Length(1, 60, says('A product of your own is like one that ships.')) like?: string
  @Optional() @Between(0.5, 100, 'Solids', ' %') solids?: number
  @Optional() @IsIn(['volume', 'weight'], says('Solids are by volume or by weight.')) basis?: 'volume' | 'weight'
  @Optional() @Between(0, 500, 'The dry film of a coat', ' µm') film?: number
  @Optional() @Between(0, 100_000, 'The wait before the next coat', ' min') recoat?: number
  @Optional() @Between(0, 100_000, 'The wait before sanding', ' min') beforeSanding?: number
  @Optional() @Between(-20, 60, 'The coldest air', ' °C') coldest?: number
  @Optional() @Between(-20, 60, 'The warmest air', ' °C') warmest?: number
  @Optional() @Between(1, 100, 'The dampest air', ' %') dampest?: number
  @Optional() @Between(1, 50_000, 'What is in a can', ' ml') container?: number
  @Optional() @Between(0, 1e5, 'Its price') price?: number
}
class DryingAirDoc {
  @Between(-20, 50, 'Air temperature', ' °C') air!: number
  @Between(1, 100, 'Humidity', ' %') humidity!: number
}
class ForecastHourDoc {
  @Matches(/^\d{4}-\d{2}-\d{2}T\d{2}$/, says('An hour of the forecast is written like 2026-11-27T18.')) at!: string
  @Between(-40, 60, 'Air temperature', ' °C') air!: number
  @Between(1, 100, 'Humidity', ' %') humidity!: number
  @Optional() @Between(-40, 80, 'Surface temperature', ' °C') surface?: number
}
class RangeDoc {
  @Whole(0, 60, 'Coats at least') from!: number
  @Whole(0, 60, 'Coats at most') to!: number
}
class SandPassDoc {
  @IsTime() at!: string
  @Optional() @IsIn(FINISH_ZONES, says(`A zone is one of ${FINISH_ZONES.join(', ')}.`)) zone?: FinishZone
  @IsIn(FILM_TEXTURES, says(`A surface looks like one of ${FILM_TEXTURES.join(', ')}.`)) texture!: FilmTexture
  @ListOf(wholeFrom(24, 10_000, 'A grit is 24 to 10000.'), 'A pass', { most: 30, each: 'grits' }) grits!: number[]
  @IsBoolean(says('A block was used or not.')) block!: boolean
  @Optional() @IsIn(FILM_PLACES, says(`It goes through at ${FILM_PLACES.join(', ')}.`)) through?: FilmPlaceName
}
class MixPartDoc {
  @Length(1, 60, says('A colour in a mix has a name of 1 to 60 letters.')) name!: string
  @Between(0, 1000, 'Parts') parts!: number
  @Optional() @Matches(COLOUR, COLOUR_SAYS) colour?: string
}
class ColourMixDoc {
  @Length(1, 60, says('A mix needs a name of 1 to 60 letters.')) name!: string
  @ListOf(each(MixPartDoc), 'A mix', { most: 12, each: 'colours' }) parts!: MixPartDoc[]
  @Between(0, 2000, 'Thinning', ' %') thin!: number
}
class WearPointDoc {
  @Between(-2000, 2000, 'Along', ' mm') x!: number
  @Between(-1000, 1000, 'Across', ' mm') y!: number
}
class WearSpotDoc {
  @Length(1, 60, says('A worn place has a name of 1 to 60 letters.')) name!: string
  @IsIn(['front', 'back'], says('A worn place lies on the front or the back.')) face!: 'front' | 'back'
  @ListOf(each(WearPointDoc), 'A worn place', { least: 3, most: 200, each: 'points' }) points!: WearPointDoc[]
}
class FinishTroubleDoc {
  @Length(1, 60, says('A trouble names what is seen.')) symptom!: string
  @IsTime() at!: string
  @Optional() @IsIn(FINISH_ZONES, says(`A zone is one of ${FINISH_ZONES.join(', ')}.`)) zone?: FinishZone
  @Optional() @Length(1, 60, says('The way back is named.')) way?: string
}
class LaidCoatDoc {
  @Optional() @IsIn(FINISH_ZONES, says(`A zone is one of ${FINISH_ZONES.join(', ')}.`)) zone?: FinishZone
  @Length(1, 60, says('A coat names its product.')) product!: string
  @IsTime() at!: string
  @Optional() @Between(-20, 50, 'Air temperature', ' °C') air?: number
  @Optional() @Between(-20, 60, 'Surface temperature', ' °C') surface?: number
  @Optional() @Between(1, 100, 'Humidity', ' %') humidity?: number
}
export class FinishDoc {
  @IsIn(FINISH_SYSTEMS, says(`The finish is one of ${FINISH_SYSTEMS.join(', ')}.`)) system!: FinishSystem
  @IsDay() start!: string
  @Whole(1, 20, 'Coats') coats!: number
  @Between(1, 90, 'Solids', ' %') solids!: number
  @Optional() @RecordOf(onlyTrue('A layer under the top ones is wanted, or it is left out.')) under?: Record<string, true>
  @IsBoolean(says('Masking is on or off.')) maskPocket!: boolean
  @Nested(WeatherDoc, 'Weather is missing.') weather!: WeatherDoc
  @Optional() @ListOf(each(ZoneLayerDoc), 'The finish', { most: 40, each: 'layers' }) layers?: ZoneLayerDoc[]
  @Optional()
  @MapOf(
    Object.fromEntries(FINISH_ZONES.map((zone) => [zone, each(ZoneDoc)])),
    (zone) => `"${zone}" is not a zone; zones are ${FINISH_ZONES.join(', ')}.`,
  )
  zones?: Partial<Record<FinishZone, ZoneDoc>>
  @Optional() @RecordOf(each(ProductLabelDoc)) labels?: Record<string, ProductLabelDoc>
  @Optional() @Equals(true, says('It lies, or it is left out.')) lies?: true
  @Optional() @Nested(DryingAirDoc, 'The air it dries in has a temperature and a humidity.') drying?: DryingAirDoc
  @Optional() @Equals(true, says('It is sprayed out of doors, or it is left out.')) outdoors?: true
  @Optional() @ListOf(each(ForecastHourDoc), 'A forecast', { most: 400, each: 'hours' }) forecast?: ForecastHourDoc[]
  @Optional() @RecordOf(each(LaidCoatDoc), LIMITS.steps) laid?: Record<string, LaidCoatDoc>
  @Optional() @Nested(RangeDoc, 'Coats nobody counted are from so many to so many.') uncounted?: RangeDoc
  @Optional() @RecordOf(each(SandPassDoc)) passes?: Record<string, SandPassDoc>
  @Optional() @RecordOf(textOf(10, 40, 'A grit is done on a day.'), LIMITS.steps) grits?: Record<string, string>
  @Optional() @IsIn(ABRASIVE_SCALES, says(`Abrasives are marked in ${ABRASIVE_SCALES.join(' or ')}.`)) abrasives?: AbrasiveScale
  @Optional() @RecordOf(onlyTrue('A line is ticked, or it is left out.'), LIMITS.steps) ticked?: Record<string, true>
  @Optional() @RecordOf(each(ColourMixDoc)) mixes?: Record<string, ColourMixDoc>
  @Optional() @RecordOf(each(WearSpotDoc)) wear?: Record<string, WearSpotDoc>
  @Optional() @RecordOf(each(FinishTroubleDoc)) troubles?: Record<string, FinishTroubleDoc>
}
