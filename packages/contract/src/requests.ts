import {
  BUNDLE_FORMAT,
  BUNDLE_VERSION,
  JOB_IDS,
  LIMITS,
  LOG_KINDS,
  START_IDS,
  STATIONS,
  type Bundle,
  type JobId,
  type LogEntry,
  type StartId,
} from '@snug/core'
import {
  ArrayMaxSize,
  ArrayNotEmpty,
  Equals,
  IsArray,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
} from 'class-validator'
import { BuildDoc, checkedBuild } from './build'
import { checked, under, type Checked } from './checked'
import { IsCheckedBy, IsTime, ListOf, Optional, says } from './fields'
import { each, refTo } from './rules'

const revision = says('The revision the change was made on is missing.')

/** POST /api/builds */
export class NewBuildRequest {
  @IsString(says('Give the build a name.'))
  @Length(1, LIMITS.buildName, says(`Give the build a name of 1 to ${LIMITS.buildName} letters.`))
  name!: string
  @IsIn(['right', 'left'], says('Choose right-handed or left-handed.')) handedness!: 'right' | 'left'
  @IsInt(says('Strings: a whole number from 4 to 12.'))
  @Min(4, says('Strings: 4 to 12.'))
  @Max(12, says('Strings: 4 to 12.'))
  strings!: number
  @IsNumber({ allowNaN: false }, says('Scale length must be a number of millimetres.'))
  @Min(500, says('Scale length: 500 to 900 mm (about 20 to 35 in).'))
  @Max(900, says('Scale length: 500 to 900 mm (about 20 to 35 in).'))
  scale!: number
  @Optional() @IsIn(START_IDS, says(`A build begins with nothing or with one of ${START_IDS.join(', ')}.`)) start?: StartId
  @Optional() @IsIn(JOB_IDS, says(`A job is one of ${JOB_IDS.join(', ')}.`)) job?: JobId
}

/** One edit of a change; `from` and `to` may be any plain JSON, absent for nothing. */
export class EditRequest {
  @IsArray(says('An edit needs a path.'))
  @ArrayNotEmpty(says('An edit needs a path.'))
  @ArrayMaxSize(LIMITS.path, says(`A path has at most ${LIMITS.path} names.`))
  @IsString({ each: true, message: 'A path is a list of names.' })
  @MaxLength(LIMITS.pathName, { each: true, message: `A name in a path has at most ${LIMITS.pathName} letters.` })
  path!: string[]
  @Optional() @IsDefined(says('Leave “from” out where there was nothing.')) from?: unknown
  @Optional() @IsDefined(says('Leave “to” out to take it away.')) to?: unknown
}

/** POST /api/builds/:id/changes */
export class ChangeRequest {
  @IsInt(revision) @Min(0, revision) revision!: number
  @Length(1, LIMITS.label, says(`A change needs a label of 1 to ${LIMITS.label} letters.`)) label!: string
  @ListOf(each(EditRequest), 'A change', { least: 1, most: LIMITS.edits, each: 'edits' })
  edits!: EditRequest[]
}

/** POST /api/builds/:id/undo and /redo */
export class RevisionRequest {
  @IsInt(revision) @Min(0, revision) revision!: number
}

/** POST /api/builds/:id/back: the build as it was at revision `to`. */
export class BackRequest extends RevisionRequest {
  @IsInt(revision) @Min(0, revision) to!: number
}

/** POST /api/builds/:id/hand-over: to the bench of this name. */
export class HandOverRequest {
  @IsString(says('Say the name of the bench it goes to.')) @Length(1, 60, says('A bench has a name of 1 to 60 letters.')) to!: string
}

class LogWords {
  @IsIn(LOG_KINDS, says(`An entry is one of ${LOG_KINDS.join(', ')}.`)) kind!: (typeof LOG_KINDS)[number]
  @IsString(says('Write something down.')) @Length(1, LIMITS.logText, says(`An entry has 1 to ${LIMITS.logText} letters.`)) text!: string
  @Optional() @IsIn(STATIONS, says('An entry belongs to a station.')) station?: (typeof STATIONS)[number]
  @Optional() @IsString() @MaxLength(LIMITS.logThing, says(`What an entry is about has at most ${LIMITS.logThing} letters.`)) thing?: string
  /** A picture of this build, by id. */
  @Optional() @Length(1, 60, says('A picture is named by its id.')) photo?: string
}

/** POST /api/builds/:id/log */
export class LogRequest extends LogWords {
  /** Made where it was written, so that one sent twice is one. */
  @Optional() @Matches(/^[\w-]{1,60}$/, says('An entry’s id has 1 to 60 letters, digits and dashes.')) id?: string
  /** When it was written, where that was not now: the server was away. */
  @Optional() @IsTime() at?: string
}

class LogEntryDoc extends LogWords {
  @Length(1, 60, says('A log entry needs an id.')) id!: string
  @IsTime() at!: string
  @Optional() @IsTime() struck?: string
}

/** Letters of the largest picture in base64: four for every three bytes. */
const BASE64 = 4 * Math.ceil(LIMITS.file / 3)

class PhotoDoc {
  @Length(1, 60, says('A picture needs an id.')) id!: string
  @IsString() @Length(1, LIMITS.photoName, says(`A picture’s name has 1 to ${LIMITS.photoName} letters.`)) name!: string
  @IsTime() createdAt!: string
  /** Whether it is a picture at all is seen once it is decoded. */
  @IsString() @Length(1, BASE64, says(`A picture has at most ${LIMITS.file / 1e6} MB.`)) data!: string
}

/** What is inside a bundle whose outside is already known to be ours. */
export class BundleDoc {
  @Equals(BUNDLE_FORMAT) format!: string
  @IsInt() @Min(1) @Max(BUNDLE_VERSION) version!: number
  @IsTime() exported!: string
  /** Looked into on its own, once what is round it is known to be good. */
  @IsDefined(says('The bundle holds no build.')) @IsCheckedBy(() => [], refTo(BuildDoc.name)) build!: unknown
  @ListOf(each(LogEntryDoc), 'The bundle’s log', { most: LIMITS.logEntries, each: 'entries' })
  log!: LogEntryDoc[]
  @Optional() @ListOf(each(PhotoDoc), 'The bundle’s pictures', { most: LIMITS.photos, each: 'pictures' }) photos?: PhotoDoc[]
}

/** The build and log of a bundle, as they were checked. */
export function checkedBundle(plain: unknown): Checked<Pick<Bundle, 'build' | 'log' | 'photos'>> {
  const outer = checked(BundleDoc, plain, LIMITS.fileValues)
  if (!outer.ok) return outer
  const build = checkedBuild(outer.value.build)
  if (!build.ok) return { ok: false, problems: under('build', build.problems) }
  const { log, photos } = outer.value
  return { ok: true, value: { build: build.value, log: log as LogEntry[], ...(photos ? { photos } : {}) } }
}
