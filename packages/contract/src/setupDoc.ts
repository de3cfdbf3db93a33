import {
  LIMITS,
  NUT_SCHOOLS,
  type NutSchool,
  SETUP_READINGS,
  SETUP_SCHOOLS,
  SETUP_SCREWS,
  type SetupSchool,
  type SetupScrew,
  type SetupWhat,
  type Slot,
  SLOT_NAMES,
  VIBRATO_SCHOOLS,
  type VibratoSchool,
} from '@snug/core'
import { IsIn, Length } from 'class-validator'
import { Between, Whole } from './bounds'
import { IsDay, IsTime, ListOf, Nested, Optional, RecordOf, says } from './fields'
import { each, either, numberFrom, onlyTrue, wholeFrom } from './rules'

class SetupReadingDoc {
  @IsIn(SETUP_READINGS, says(`A reading of the setup is one of ${SETUP_READINGS.join(', ')}.`)) what!: SetupWhat
  @Optional() @Whole(1, 12, 'The string of a reading') string?: number
  @Between(-100, 100, 'A reading of the setup') value!: number
  @Optional() @IsTime() at?: string
  @Optional() @Length(1, 60, says('A string set is named by its id.')) set?: string
  @Optional() @Between(0, 5000, 'The pull at a reading', ' N') pull?: number
  @Optional() @Between(0.1, 4, 'The string of a reading is thick by', ' mm') gauge?: number
  @Optional() @Between(0, 1000, 'The pull of the string of a reading', ' N') newton?: number
  @Optional() @Whole(1, 36, 'The fret of a reading') fret?: number
  @Optional() @IsIn(SLOT_NAMES, says('A reading at a pickup names its slot.')) slot?: Slot
}
class StringSetDoc {
  @Length(1, 80, says('A string set needs a name.')) name!: string
  @IsDay() on!: string
}
class TuningDoc {
  @Length(1, 40, says('A tuning has a name of 1 to 40 letters.')) name!: string
  @ListOf(wholeFrom(-60, 24, 'A note lies from 60 semitones below to 24 above A4.'), 'A tuning', { least: 1, most: 12, each: 'notes' })
  notes!: number[]
}
class WantedDoc {
  @Optional() @Between(0.5, 5, 'Action at the bass', ' mm') actionBass?: number
  @Optional() @Between(0.5, 5, 'Action at the treble', ' mm') actionTreble?: number
  @Optional() @Between(0, 1, 'Relief', ' mm') relief?: number
  @Optional() @Between(0, 6, 'The float', ' mm') float?: number
}
class ScrewTurnDoc {
  @IsIn(SETUP_SCREWS, says(`A turn is of one of ${SETUP_SCREWS.join(', ')}.`)) screw!: SetupScrew
  @Optional() @Whole(1, 12, 'The string of a screw') string?: number
  @Between(-40, 40, 'Turns of a screw') turns!: number
  @IsTime() at!: string
}
class PlayingTroubleDoc {
  @Length(1, 60, says('A trouble names what is heard.')) symptom!: string
  @IsTime() at!: string
  @Optional() @RecordOf(either('A check showed it, or not.')) found?: Record<string, boolean>
  @Optional() @Length(1, 60, says('The cause is named.')) cause?: string
}
class SidePointDoc {
  @Between(-200, 200, 'Along', ' mm') x!: number
  @Between(-100, 100, 'Up', ' mm') y!: number
}
class VibratoDoc {
  @Optional() @IsIn(VIBRATO_SCHOOLS, says(`A vibrato stands ${VIBRATO_SCHOOLS.join(', ')}.`)) school?: VibratoSchool
  @Optional() @Whole(1, 6, 'Springs') springs?: number
  @Optional() @Between(0.1, 20, 'The rate of a spring', ' N/mm') rate?: number
  @Optional() @Between(0, 100, 'The preload of a spring', ' N') preload?: number
  @Optional() @Between(20, 150, 'A spring, closed', ' mm') closed?: number
  @Optional() @Nested(SidePointDoc, 'A place has x and y.') claw?: SidePointDoc
  @Optional() @Nested(SidePointDoc, 'A place has x and y.') block?: SidePointDoc
  @Optional() @Nested(SidePointDoc, 'A place has x and y.') saddle?: SidePointDoc
  @Optional() @Nested(SidePointDoc, 'A place has x and y.') back?: SidePointDoc
  @Optional() @Between(0.3, 5, 'A claw screw a turn', ' mm') pitch?: number
}
export class SetupDoc {
  @IsIn(SETUP_SCHOOLS, says(`The school is one of ${SETUP_SCHOOLS.join(', ')}.`)) school!: SetupSchool
  @RecordOf(each(SetupReadingDoc)) readings!: Record<string, SetupReadingDoc>
  @Optional() @RecordOf(each(StringSetDoc)) sets?: Record<string, StringSetDoc>
  @Optional() @Between(0, 60, 'Saddle height', ' mm') saddle?: number
  @Optional() @Between(0.005, 0.5, 'Relief a quarter turn', ' mm') reliefPerQuarter?: number
  @Optional() @Nested(TuningDoc, 'A tuning has a name and its notes.') tuning?: TuningDoc
  @Optional() @Nested(WantedDoc, 'What is wanted are lengths.') wanted?: WantedDoc
  @Optional() @IsIn(NUT_SCHOOLS, says(`A nut is cut ${NUT_SCHOOLS.join(' or ')}.`)) nutSchool?: NutSchool
  @Optional() @Between(0.1, 6, 'The depth of a pluck', ' mm') attack?: number
  @Optional() @Whole(10, 24, 'The fret at the body') joint?: number
  @Optional() @RecordOf(numberFrom(0, 2, 'A rocker tips by 0 to 2 mm.'), LIMITS.steps) rocks?: Record<string, number>
  @Optional() @Nested(VibratoDoc, 'A vibrato is told by its lengths.') vibrato?: VibratoDoc
  @Optional() @RecordOf(each(ScrewTurnDoc), LIMITS.steps) turns?: Record<string, ScrewTurnDoc>
  @Optional() @RecordOf(each(PlayingTroubleDoc)) troubles?: Record<string, PlayingTroubleDoc>
  @Optional() @RecordOf(onlyTrue('A line is ticked, or it is left out.')) first?: Record<string, true>
}
