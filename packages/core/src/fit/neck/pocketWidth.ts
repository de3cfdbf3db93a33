import type { Build } from '../../document/build'
import { sizeRef, sizesFor } from '../../document/read'
import { filmToCome } from '../../finish/film'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { Asker } from '../../judge/ask'
import { judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { gapOf, sizeIn } from '../../judge/known'
import { beyondReach } from '../../judge/reach'
import { likelyOf, shifted, type Distribution } from '../../quantity/distribution'
import { pocketSeason } from './pocketSeason'
import { cornerQuestion } from './pocketCorner'
import { WIDTH_BANDS, type PocketPlace } from './pocketWidth.limits'
import { widthSays, widthCures, wallsToShave } from './pocketWidth.words'
import { pocketDrawing } from './pocketWidth.draw'
import { yearTable } from './pocketYear'

const refsOf = (place: PocketPlace) => ({
  pocket: sizeRef('body', place === 'mouth' ? 'pocket.widthMouth' : 'pocket.widthEnd'),
  heel: sizeRef('neck', place === 'mouth' ? 'heel.widthMouth' : 'heel.widthEnd'),
})

/** The heel in the pocket, across, at the mouth or at the end; at the end also the corners. */
export function pocketWidthJoint(build: Build, place: PocketPlace): JudgedJoint {
  const refs = refsOf(place)
  const { have, missing } = sizesFor(build, refs)
  return judged(build, {
    id: `pocket-${place}`,
    title: place === 'mouth' ? 'Heel in pocket, at the mouth' : 'Heel in pocket, at the end',
    seatsNeck: true,
    slots: ['body', 'neck'],
    at: () => (place === 'mouth' ? pt(datums(build).mouth, -40) : pt(datums(build).heelEnd, 40)),
    draw: () => pocketDrawing(build, place, shaved(build, place, refs)),
    tables: () => (missing.length ? [] : yearTable(build, have.pocket.value, have.pocket.value - have.heel.value)),
    asks: [(b) => widthQuestion(b, place, refs), ...(place === 'end' ? [(b: Build) => cornerQuestion(b, gapIn(b, refs))] : [])],
  })
}

/** The walls its own check says to shave; none where it says so of none. */
function shaved(build: Build, place: PocketPlace, refs: ReturnType<typeof refsOf>) {
  const [check] = new Asker(build).judge((b) => widthQuestion(b, place, refs))
  return check?.cures.some((c) => c.id === 'shave-wall' && c.plan && !beyondReach(c.plan))
    ? wallsToShave(build, place, likelyOf(check.clearance))
    : []
}

const gapIn = (build: Build, { pocket, heel }: ReturnType<typeof refsOf>): Distribution =>
  gapOf([
    [1, sizeIn(build, pocket)],
    [-1, sizeIn(build, heel)],
  ])

function widthQuestion(build: Build, place: PocketPlace, refs: ReturnType<typeof refsOf>): Question {
  const gap = gapIn(build, refs)
  const season = pocketSeason(build, sizeIn(build, refs.pocket).value)
  const atWorst = shifted(gap, season.close)
  const now = likelyOf(gap)
  const worstGap = likelyOf(atWorst)
  return {
    id: 'width',
    label: place === 'mouth' ? 'Gap at the mouth' : 'Gap at the end',
    clearance: atWorst,
    shown: gap,
    // What can be shaved is a matter of today's gap; how it sits, of the dampest day's.
    bands: WIDTH_BANDS.map((b) => (b.is === 'wont-go' ? { ...b, upTo: b.upTo + season.close } : b)),
    coats: filmToCome(build, refs.pocket),
    says: ({ verdict }) => widthSays(place, verdict, now, worstGap, season),
    cures: ({ verdict }) => widthCures(build, place, verdict, atWorst, refs),
  }
}
