import type { Build } from '../../document/build'
import { neckEnd, sizeAt, sizeRef } from '../../document/read'
import type { Drawing } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { bridgePlace, saddleWindow, TRAVEL_SPARE, TRAVEL_WANTED } from '../../instrument/bridgePlace'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Cure, JudgedJoint, Question } from '../../judge/joint'
import { sizesIn } from '../../judge/known'
import type { Band, Verdict } from '../../judge/verdict'
import { likelyOf, linear, ofSize } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** Travel left beyond the place a saddle needs, mm; 1.5 mm is kept in hand. [practice] */
const TRAVEL_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: TRAVEL_SPARE, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

const refsOf = (build: Build) => ({
  scale: sizeRef('neck', 'scale'),
  heelEnd: neckEnd(build),
  pocket: sizeRef('body', 'pocket.length'),
  studs: sizeRef('body', 'mouthToBridge'),
  front: sizeRef('bridge', 'travel.front'),
  back: sizeRef('bridge', 'travel.back'),
})

/** Do the saddles reach the places that bring every string in tune? */
export function bridgeReachJoint(build: Build): JudgedJoint {
  return judged(build, {
    id: 'bridge-reach',
    condition: true,
    title: 'Bridge reach, all saddles',
    slots: ['neck', 'body', 'bridge'],
    at: () => pt(datums(build).studs + 8, 46),
    draw: drawnOnceKnown(build, 'Saddle travel along the strings', refsOf(build), ({ front, back }) => {
      const { scale, studs } = datums(build)
      return reachDrawing(scale, studs, { front: front.value, back: back.value })
    }),
    asks: [travelLeft, asOnOld],
  })
}

function travelLeft(build: Build): Question[] {
  const have = sizesIn(build, refsOf(build))
  const window = saddleWindow(have.scale.value)
  const place = bridgePlace(have.scale.value, { front: have.front.value, back: have.back.value })
  // Stud place: nut to heel end, back by the pocket, on by the distance to the studs.
  const studs = linear([
    [1, ofSize(have.heelEnd)],
    [-1, ofSize(have.pocket)],
    [1, ofSize(have.studs)],
  ])
  const scale = linear([[1, ofSize(have.scale)]], -have.scale.value)
  const ahead = linear(
    [
      [-1, studs],
      [1, ofSize(have.front)],
      [1, scale],
    ],
    window.front,
  )
  const behind = linear(
    [
      [1, studs],
      [1, ofSize(have.back)],
      [-1, scale],
    ],
    -window.back,
  )
  const moved = (where: string, shift: string): Cure => ({
    id: 'move-studs',
    job: `Place the bridge’s studs or screws ${where}.`,
    how: `${shift} Old bores are plugged with dowel of the same grain and drilled anew. Both are counted from the nut; the scale line itself, nut to fret 12 doubled, lies beside them by what the saddles travel.`,
    gives: 'body',
    tools: ['dowel', 'wood glue', 'drill guide'],
  })
  const travel = have.front.value + have.back.value
  // Where travel falls short at both ends together, no place gives each what is wanted: the middle leaves both the same.
  const atMiddle = TRAVEL_SPARE - (TRAVEL_WANTED - travel) / 2
  const move = (shift: string, verdict: Verdict): Cure[] => {
    if (travel >= TRAVEL_WANTED) return [moved(`between ${printMm(place.from, 1)} and ${printMm(place.to, 1)} mm from the nut`, shift)]
    const middle = `${printMm((place.from + place.to) / 2, 1)} mm from the nut, which leaves ${printMm(atMiddle, 1)} mm of travel at either end`
    const first = verdict === 'tight' ? [LEFT_SHORT] : atMiddle >= 0.1 ? [moved(middle, shift)] : []
    return [...first, furtherTravel(travel, first.length > 0)]
  }
  const first: Question = {
    id: 'front',
    label: 'Travel left in front',
    clearance: ahead,
    bands: TRAVEL_BANDS,
    says: ({ verdict }) =>
      verdict === 'snug'
        ? 'The foremost saddle has travel to spare.'
        : 'The high strings’ saddles reach their front stop before they are in tune.',
    cures: ({ verdict }) => (verdict === 'snug' ? [] : move('The bridge sits too far back.', verdict)),
  }
  const last: Question = {
    id: 'back',
    label: 'Travel left behind',
    clearance: behind,
    bands: TRAVEL_BANDS,
    says: ({ verdict }) =>
      verdict === 'snug'
        ? 'Every saddle reaches its place with 1.5 mm in hand.'
        : 'The low strings’ saddles reach their back stop before they are in tune.',
    cures: ({ verdict }) => (verdict === 'snug' ? [] : move('The bridge sits too far forward.', verdict)),
  }
  return [last, first]
}

const LEFT_SHORT: Cure = {
  id: 'leave-travel',
  job: 'Leave it while every saddle reaches: little is left for other strings.',
  how: 'Mind it when the strings are changed for thicker or thinner ones.',
  gives: 'nothing',
  tools: [],
}

const furtherTravel = (travel: number, after: boolean): Cure => ({
  id: 'more-travel',
  job: `${after ? 'Or take' : 'Take'} a bridge whose saddles travel at least ${printMm(TRAVEL_WANTED, 1)} mm along the strings${travel > 0 ? `; these travel ${printMm(travel, 1)}` : ''}.`,
  how: 'From the foremost place a saddle stands in tune to the rearmost, with some in hand at both ends.',
  gives: 'the bridge',
  tools: [],
})

/** The studs may stand so far from where they stood on the old instrument before one of the two was read wrongly, mm. [ours] */
const AS_OLD = 1.5

/** Read off the instrument the neck came from: a second way to the bridge's place, beside the scale. */
function asOnOld(build: Build): Question[] {
  const old = sizeAt(build, sizeRef('neck', 'old.nutToStuds'))
  if (!old) return []
  const refs = refsOf(build)
  const have = sizesIn(build, { heelEnd: refs.heelEnd, pocket: refs.pocket, studs: refs.studs })
  const off = linear([
    [1, ofSize(have.heelEnd)],
    [-1, ofSize(have.pocket)],
    [1, ofSize(have.studs)],
    [-1, ofSize(old)],
  ])
  const v = likelyOf(off)
  return [
    {
      id: 'as-old',
      label: 'Studs or screws from the nut, over those of the old instrument',
      clearance: off.map((n) => ({ ...n, mean: AS_OLD - Math.abs(n.mean) })),
      shown: off,
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `On the old instrument studs or screws stood ${printMm(old.value, 1)} mm from the nut, and so they do here.`
          : `On the old instrument studs or screws stood ${printMm(old.value, 1)} mm from the nut; here they are ${printMm(Math.abs(v), 1)} mm ${v > 0 ? 'further away' : 'nearer'}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'measure-old',
                job: 'Read both distances again, nut to fret 12 too: its double is the scale, whatever the old bridge did.',
                how: 'Another bridge holds its saddles elsewhere over its studs or screws; then the scale decides and not the old place.',
                gives: 'nothing',
                tools: ['rule'],
              },
            ],
    },
  ]
}

function reachDrawing(scale: number, studs: number, travel: { front: number; back: number }): Drawing {
  const window = saddleWindow(scale)
  const front = studs - travel.front
  const back = studs + travel.back
  // Side by side only where there is room for both figures.
  const under = back < window.back || window.front - front < 5 ? 6 : 0
  return {
    title: 'Saddle travel along the strings',
    note: 'violet band: where saddles must stand',
    marks: [
      { mark: 'area', role: 'metal', points: rectangle(front, -6, back, 6) },
      { mark: 'area', role: 'doubt', points: rectangle(window.front, -10, window.back, 10) },
      { mark: 'line', role: 'centre', points: [pt(scale, -14), pt(scale, 14)] },
      { mark: 'circle', role: 'cavity', at: pt(studs, 0), r: 2.4 },
      { mark: 'label', at: pt(scale, -15), text: `scale ${printMm(scale, 1)}`, anchor: 'middle' },
      { mark: 'label', at: pt(studs, 11), text: `bridge ${printMm(studs, 1)}`, anchor: 'middle' },
      { mark: 'dimension', from: pt(front, 17), to: pt(window.front, 17), text: printMm(window.front - front, 1) },
      {
        mark: 'dimension',
        from: pt(window.back, 17 + under),
        to: pt(back, 17 + under),
        text: printMm(back - window.back, 1),
        emphasis: true,
      },
    ],
    bounds: { x: Math.min(front, studs) - 8, y: -20, width: Math.max(back, window.back) - Math.min(front, studs) + 18, height: 42 + under },
    numbers: [
      { label: 'Studs or screws from the nut', value: `${printMm(studs)} mm` },
      { label: 'Saddles reach', value: `${printMm(front, 1)} to ${printMm(back, 1)} mm from the nut` },
      { label: 'Saddles needed', value: `${printMm(window.front, 1)} to ${printMm(window.back, 1)} mm from the nut` },
    ],
  }
}
