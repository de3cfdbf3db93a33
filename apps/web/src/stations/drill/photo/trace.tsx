import {
  curveThrough,
  halfWidths,
  mouthOf,
  ownFrame,
  pictureLength,
  placeInPlane,
  type Build,
  type OutlineRow,
  type Point,
  type ScaledPicture,
} from '@snug/core'
import { useOpenBuild } from '../../../state/buildStore'

/** The first three places are no outline: they say where the part's frame lies. */
const FRAME = 3

/** Rows of half-widths from what was picked: datum, along the centre line, the bass side, then round the edge. */
export function traced(scale: ScaledPicture, picks: readonly Point[], bend: boolean): OutlineRow[] {
  if (picks.length < FRAME + 6) return []
  const [datum, along, bass, ...round] = picks.map((p) => placeInPlane(scale, p))
  const own = ownFrame(datum!, along!, bass!)
  const places = round.map(own)
  return halfWidths(bend ? curveThrough(places) : places)
}

/** The last place picked, in the part's own frame, with the doubt of its distance from the datum; once the frame is picked. */
export function lastPlace(scale: ScaledPicture, picks: readonly Point[]): { at: Point; doubt: number } | undefined {
  const last = picks.at(-1)
  if (picks.length <= FRAME || !last) return undefined
  const [datum, along, bass] = picks.map((p) => placeInPlane(scale, p))
  return { at: ownFrame(datum!, along!, bass!)(placeInPlane(scale, last)), doubt: pictureLength(scale, picks[0]!, last).doubt }
}

const datumOf = (build: Build) =>
  ({
    body: [`${mouthOf(build)} on the centre line`, 'a place towards the tail'],
    neck: ['the nut’s board side on the centre line', 'a place towards the body'],
    guard: ['the guard’s neck edge on the centre line', 'a place towards the tail'],
  }) as const

/** What to pick next. */
export function TraceNotes({ picked, slot }: { picked: number; slot: keyof ReturnType<typeof datumOf> }) {
  const datum = datumOf(useOpenBuild())[slot]
  const next = [
    `Pick ${datum[0]}.`,
    `Pick ${datum[1]} on the centre line.`,
    'Pick any place on the bass side: that also tells a mirrored picture from another.',
  ]
  return (
    <p>
      {next[picked] ??
        `Now round the edge, closer where it bends: ${picked - FRAME} places so far, ${picked - FRAME < 6 ? 'six at least' : 'more make it truer'}.`}
    </p>
  )
}
