import type { Build } from '../../document/build'
import { sizeAt, sizeRef, sizesFor } from '../../document/read'
import { plannedFilm } from '../../finish/film'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { jointOf, waitingJoint } from '../../judge/assemble'
import { check, type Check, type JudgedJoint } from '../../judge/joint'
import { likelyOf, linear, ofSize, shifted, type Distribution } from '../../quantity/distribution'
import { pocketSeason } from './pocketSeason'
import { cornerCheck } from './pocketCorner'
import { WIDTH_BANDS, type PocketPlace } from './pocketWidth.limits'
import { widthSays, widthCures } from './pocketWidth.words'
import { pocketDrawing } from './pocketWidth.draw'
import { yearTable } from './pocketYear'

const refsOf = (place: PocketPlace) => ({
  pocket: sizeRef('body', place === 'mouth' ? 'pocket.widthMouth' : 'pocket.widthEnd'),
  heel: sizeRef('neck', place === 'mouth' ? 'heel.widthMouth' : 'heel.widthEnd'),
})

/** The heel in the pocket, across, at the mouth or at the end; at the end also the corners. */
export function pocketWidthJoint(build: Build, place: PocketPlace): JudgedJoint {
  const refs = refsOf(place)
  const { mouth, heelEnd } = datums(build)
  const base = {
    id: `pocket-${place}`,
    title: place === 'mouth' ? 'Heel in pocket, at the mouth' : 'Heel in pocket, at the end',
    seatsNeck: true as const,
    slots: ['body', 'neck'] as ('body' | 'neck')[],
    at: pt(place === 'mouth' ? mouth : heelEnd, place === 'mouth' ? -40 : 40),
  }
  const { have, missing } = sizesFor(build, refs)
  if (missing.length) return waitingJoint({ ...base, draw: () => pocketDrawing(build, place) }, missing)
  const tables = yearTable(build, have.pocket.value, have.pocket.value - have.heel.value)
  const gap = linear([
    [1, ofSize(have.pocket)],
    [-1, ofSize(have.heel)],
  ])
  const checks = [widthCheck(build, place, gap, refs)]
  if (place === 'end') {
    const corner = cornerCheck(build, gap)
    if (corner) checks.push(corner)
  }
  return jointOf(build, { ...base, tables, draw: () => pocketDrawing(build, place) }, checks)
}

function widthCheck(build: Build, place: PocketPlace, gap: Distribution, refs: ReturnType<typeof refsOf>): Check {
  const width = sizeAt(build, refs.pocket)!.value
  const season = pocketSeason(build, width)
  const atWorst = shifted(gap, season.close)
  const now = likelyOf(gap)
  const worstGap = likelyOf(atWorst)
  const film = plannedFilm(build)
  return check({
    id: 'width',
    label: place === 'mouth' ? 'Gap at the mouth' : 'Gap at the end',
    clearance: atWorst,
    shown: gap,
    // What can be shaved is a matter of today's gap; how it sits, of the dampest day's.
    bands: WIDTH_BANDS.map((b) => (b.is === 'wont-go' ? { ...b, upTo: b.upTo + season.close } : b)),
    // Film lies on both walls; a masked pocket stays raw.
    coats: build.finish.maskPocket ? 0 : (2 * film) / 1000,
    reads: [refs.pocket, refs.heel],
    says: ({ verdict }) => widthSays(place, verdict, now, worstGap, season),
    cures: ({ verdict }) => widthCures(build, place, verdict, atWorst, refs),
  })
}
