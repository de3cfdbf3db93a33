import { LOG_KINDS, STATIONS } from '@snug/core'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateNested,
  IsDefined,
  ArrayNotEmpty,
  IsISO8601,
} from 'class-validator'
import { problemsOf, says, type Problem } from './decorators'
import { problemsOfBuild } from './build'

const revision = says('The revision the change was made on is missing.')

/** POST /api/builds */
export class NewBuildRequest {
  @IsString(says('Give the build a name.')) @Length(1, 80, says('Give the build a name of 1 to 80 letters.')) name!: string
  @IsIn(['right', 'left'], says('Choose right-handed or left-handed.')) handedness!: 'right' | 'left'
  @IsInt(says('Strings: a whole number from 4 to 12.'))
  @Min(4, says('Strings: 4 to 12.'))
  @Max(12, says('Strings: 4 to 12.'))
  strings!: number
  @IsNumber({ allowNaN: false }, says('Scale length must be a number of millimetres.'))
  @Min(500, says('Scale length: 500 to 900 mm (about 20 to 35 in).'))
  @Max(900, says('Scale length: 500 to 900 mm (about 20 to 35 in).'))
  scale!: number
}

/** One edit of a change; `from` and `to` may be any plain JSON, absent for nothing. */
export class EditRequest {
  @IsArray(says('An edit needs a path.'))
  @ArrayNotEmpty(says('An edit needs a path.'))
  @ArrayMaxSize(8, says('A path has at most 8 names.'))
  @IsString({ each: true, message: 'A path is a list of names.' })
  @MaxLength(80, { each: true, message: 'A name in a path has at most 80 letters.' })
  path!: string[]
  @IsOptional() from?: unknown
  @IsOptional() to?: unknown
}

/** POST /api/builds/:id/changes */
export class ChangeRequest {
  @IsInt(revision) @Min(0, revision) revision!: number
  @Length(1, 300, says('A change needs a label of 1 to 300 letters.')) label!: string
  @IsArray(says('A change is a list of edits.'))
  @ArrayMinSize(1, says('A change needs at least one edit.'))
  @ArrayMaxSize(500, says('A change has at most 500 edits.'))
  @ValidateNested({ each: true })
  @Type(() => EditRequest)
  edits!: EditRequest[]
}

/** POST /api/builds/:id/undo and /redo */
export class RevisionRequest {
  @IsInt(revision) @Min(0, revision) revision!: number
}

/** POST /api/builds/:id/log */
export class LogRequest {
  @IsIn(LOG_KINDS, says(`An entry is one of ${LOG_KINDS.join(', ')}.`)) kind!: (typeof LOG_KINDS)[number]
  @IsString(says('Write something down.')) @Length(1, 4000, says('An entry has 1 to 4000 letters.')) text!: string
  @IsOptional() @IsIn(STATIONS, says('An entry belongs to a station.')) station?: (typeof STATIONS)[number]
  @IsOptional() @IsString() @MaxLength(80) thing?: string
}

class LogEntryDoc extends LogRequest {
  @Length(1, 60, says('A log entry needs an id.')) id!: string
  @IsISO8601({ strict: true }, says('A time is written like 2026-11-23T19:30:00Z.')) at!: string
  @IsOptional() @IsISO8601({ strict: true }, says('A time is written like 2026-11-23T19:30:00Z.')) struck?: string
}

/** What is inside a bundle whose outside is already known to be ours. */
class BundleDoc {
  @IsString() format!: string
  @IsInt() version!: number
  @IsISO8601({ strict: true }, says('The time of export is missing.')) exported!: string
  @IsDefined(says('The bundle holds no build.')) build!: unknown
  @IsArray(says('The bundle’s log is missing.'))
  @ArrayMaxSize(20000, says('The bundle’s log has at most 20000 entries.'))
  @ValidateNested({ each: true })
  @Type(() => LogEntryDoc)
  log!: LogEntryDoc[]
}

export function problemsOfBundle(plain: unknown): Problem[] {
  const outer = problemsOf(BundleDoc, plain)
  if (outer.length) return outer
  return problemsOfBuild((plain as { build: unknown }).build).map((p) => ({ path: p.path ? `build.${p.path}` : 'build', why: p.why }))
}
