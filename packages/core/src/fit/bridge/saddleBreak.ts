import { neckTaper } from './neckTaper'
import type { Build } from '../../document/build'
import { sizeRef, isThrough, type SizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed, nothingYet } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { afterTilt, breakAngle, shimFor, tiltFor } from '../../instrument/neckAngle'
import { judged } from '../../judge/assemble'
import type { Question, Cure, JudgedJoint } from '../../judge/joint'
import { drawnAt, sizeIn, sizesIn } from '../../judge/known'
import type { Slot } from '../../parts/slots'
import { likelyOf, normal, ofSize, propagate, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { saddleNow, sideSetting, tiltJob } from './sideSetting'
import { heldAt, stringHold, tailOver, type StringHold } from './stringHold'

const WHERE: Record<StringHold['by'], { title: string; label: string }> = {
  stop: { title: 'Strings over the saddles to the tailpiece', label: 'tailpiece' },
  vibrato: { title: 'Strings over the saddles to the tailpiece', label: 'tailpiece' },
  bridge: { title: 'Strings over the saddles into the bridge', label: 'string hole' },
}

/** How steeply the strings break over the saddles, and whether they touch anything on the way to what holds them. */
export function saddleBreakJoint(build: Build): JudgedJoint {
  const hold = stringHold(build)
  return judged(build, {
    id: 'saddle-break',
    condition: true,
    title: WHERE[hold.by].title,
    slots: hold.by === 'bridge' ? ['bridge', 'body'] : (['bridge', 'tailpiece', 'body'] satisfies Slot[]),
    at: () => pt(datums(build).studs + drawnAt(build, hold.refs.distance) / 2, -22),
    draw: () => {
      const [ys, have] = [saddleNow(build), heldAt(build)]
      return ys && have ? breakDrawing(hold, likelyOf(ys), have, tailOver(build)!.value) : nothingYet('Strings over the saddles')
    },
    asks: [steepness, path],
  })
}

type Held = Record<'height' | 'distance', Size>
/** What holds the strings, as a check sees it. */
function heldIn(build: Build): Held {
  sizesIn(build, stringHold(build).refs)
  return heldAt(build)!
}

/** The saddle's height; without a neck to reckon it from, anywhere the bridge goes. */
function saddleIn(build: Build): Distribution {
  const ys = saddleNow(build)
  if (ys) return ys
  const [low, high] = [sizeIn(build, sizeRef('bridge', 'height.min')).value, sizeIn(build, sizeRef('bridge', 'height.max')).value]
  return normal((low + high) / 2, (high - low) / 4)
}

function steepness(build: Build): Question {
  const hold = stringHold(build)
  const ys = saddleIn(build)
  const have = heldIn(build)
  const angle = propagate(([s, h, l]) => breakAngle(s!, { height: h!, distance: l! }), [ys, ofSize(have.height), ofSize(have.distance)])
  const at = likelyOf(angle)
  const [low, high] = hold.limits.usual
  const set = canBeSet(hold, likelyOf(ys), have, tailOver(build)!.value)
  const farOut = hold.limits.bands.find((b) => at < b.upTo)?.is === 'wont-go'
  const now = set ? ' as the tailpiece stands' : ''
  return {
    id: 'break',
    label: 'Break angle over the saddle',
    clearance: angle,
    unit: 'deg',
    // What a turn of its posts mends is a job, however far it is out.
    bands: set ? hold.limits.bands.map((b) => (b.is === 'wont-go' ? { ...b, is: 'tight' as const } : b)) : hold.limits.bands,
    says: () =>
      at < 0
        ? `Strings rise behind the saddles by ${(-at).toFixed(1)}°${now} instead of bearing on them: they jump out.`
        : at < low
          ? `Strings break over the saddles by only ${at.toFixed(1)}°${now}; under ${low}° they hop or buzz.`
          : at > high
            ? `Strings break by ${at.toFixed(1)}°${now}, steeper than the usual ${high}°: the bridge leans and strings break at the saddle.`
            : `Strings break over the saddles by ${at.toFixed(1)}°.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            ...tailCures(build, hold, likelyOf(ys), have, farOut),
            ...steeperCures(build, low, at < low),
            ...(at > high ? easedSaddles(hold) : []),
          ],
  }
}

/** A tailpiece wound down to the body lets its strings go no lower than this, mm. [practice, from memory] */
const TAIL_LOWEST = 6

/** The height above the front it stands on at which a tailpiece lets the strings break as is usual, mm: wound no lower than it goes. */
const tailAt = ({ limits }: StringHold, saddle: number, have: Held, over: number): number =>
  Math.max(TAIL_LOWEST, saddle - over - have.distance.value * Math.tan(((limits.usual[0] + limits.usual[1]) / 2 / 180) * Math.PI))

/** Whether winding a tailpiece up or down on its posts brings the strings to a usual angle. A vibrato stands as it is screwed on. */
function canBeSet(hold: StringHold, saddle: number, have: Held, over: number): boolean {
  if (hold.by !== 'stop') return false
  const reached = breakAngle(saddle, { height: tailAt(hold, saddle, have, over) + over, distance: have.distance.value })
  return reached >= hold.limits.usual[0]
}

/** What holds the strings goes up or down until the angle lies in the middle of what is usual. */
function tailCures(build: Build, hold: StringHold, saddle: number, have: Held, must: boolean): Cure[] {
  if (hold.by === 'bridge') return []
  // Set over the front where it stands itself.
  const over = tailOver(build)!.value
  const height = tailAt(hold, saddle, have, over)
  const plan = { slot: 'tailpiece', size: 'height', delta: height + over - have.height.value, doubt: 0.3 } as const
  if (hold.by === 'vibrato') return [anotherVibrato('other-vibrato', height, plan)]
  return [
    {
      id: 'tail-height',
      job: `Set the tailpiece so that strings leave it ${printMm(height, 1)} mm above the body.`,
      how: 'Both posts the same; with the strings slack.',
      gives: 'nothing',
      tools: ['screwdriver of the post’s slot'],
      minutes: 10,
      must,
      plan,
    },
  ]
}

/** A vibrato is screwed to the front and has nothing to set: what lets the strings leave elsewhere is another. */
const anotherVibrato = (id: string, height: number, plan: Cure['plan']): Cure => ({
  id,
  job: `Take a vibrato tailpiece that lets the strings leave ${printMm(height, 1)} mm above the body.`,
  how: 'What counts is the edge the string comes off: hold a straightedge from a saddle to it before the screws are drilled.',
  gives: 'the tailpiece',
  tools: [],
  plan,
})

/** Where nothing behind the saddles can be set, a steep string is spared by what it bends over. [practice] */
const easedSaddles = ({ by }: StringHold): Cure[] =>
  by !== 'bridge'
    ? []
    : [
        {
          id: 'ease-saddles',
          job: 'Round each saddle’s back edge where its string bends, and see that no saddle tips under the pull.',
          how: 'Fine paper on a pen or a round file of the string’s size, burr off, graphite in the groove. A bridge whose strings leave it further back would be flatter.',
          gives: 'bridge',
          tools: ['round file, or paper on a pen'],
        },
      ]

/** Tilting the neck back lifts the saddles and makes the strings steeper. */
function steeperCures(build: Build, low: number, flat: boolean): Cure[] {
  const side = isThrough(build) ? undefined : sideSetting(build)
  const goal = flat && side ? tiltFor(side, { reach: 'break', degrees: low }) : undefined
  // Where the saddles cannot follow it is no cure.
  if (!goal || goal.toHighest < 0) return []
  return [
    {
      id: 'tilt-for-break',
      job: `Or tilt the neck ${goal.tilt.toFixed(2)}° back, ${neckTaper(build).what}, ${printMm(goal.shim)} mm at the pocket’s end: the strings then break by ${low}°.`,
      how: `The saddles go up to ${printMm(goal.saddle, 1)} mm. A steeper string also holds pitch better.`,
      gives: 'nothing',
      tools: neckTaper(build).tools,
      plan: tiltJob(side!.heel, goal.tilt),
    },
  ]
}

const raisedTail = (raised: number, plan: Cure['plan']): Cure => ({
  id: 'raise-tail',
  job: `Raise the tailpiece by ${printMm(raised, 1)} mm, so that the strings clear the bridge’s back.`,
  how: 'Half a turn at a time on both posts.',
  gives: 'nothing',
  tools: ['screwdriver'],
  plan,
})

/** A groove in the bridge's back edge takes no more than this from it, mm. [practice, from memory] */
const GROOVED_AT_MOST = 1

/** The bridge holds the strings itself: its saddles higher, its back grooved, or another. @param lack what the strings want to rise by at its back, mm */
function clearOfBack(build: Build, lack: number, share: number, back: SizeRef): Cure[] {
  const side = isThrough(build) || build.setup.saddle !== undefined ? undefined : sideSetting(build)
  // So far from where it is held, so much of what the saddle goes up by reaches the bridge's back. [physics]
  const goal = side && share > 0 ? afterTilt(side, shimFor(lack / share, side.reach, side.heel).tilt) : undefined
  const backLower = (delta: number) => ({ ...back, delta, doubt: 0.1 })
  return [
    ...(goal && goal.toHighest >= 0
      ? [
          {
            id: 'raise-saddles',
            job: `Tilt the neck ${goal.tilt.toFixed(2)}° back, ${neckTaper(build).what}, ${printMm(goal.shim)} mm at the pocket’s end: the saddles stand ${printMm(lack / share, 1)} mm higher then.`,
            how: `${neckTaper(build).how} See neck angle and bridge height.`,
            gives: 'nothing',
            tools: neckTaper(build).tools,
            plan: tiltJob(side!.heel, goal.tilt),
          },
        ]
      : []),
    lack <= GROOVED_AT_MOST
      ? {
          id: 'groove-back',
          job: `Or file a groove ${printMm(lack, 1)} mm deep into the bridge’s back under each string, deburred.`,
          how: 'A round file a little wider than the string; filings kept off the pickups’ magnets.',
          gives: 'bridge',
          tools: ['round file', 'tape'],
          plan: backLower(-lack),
        }
      : {
          id: 'lower-back',
          job: `Or take a bridge whose back stands ${printMm(lack, 1)} mm lower.`,
          how: 'Hold a straightedge from a saddle to where its string is held.',
          gives: 'the bridge',
          tools: [],
          plan: backLower(-lack),
        },
  ]
}

/** What a string is to clear it by, mm. [ours] */
const CLEAR = 0.5

/** The string's straight line behind the saddle against the highest metal there. */
function path(build: Build): Question[] {
  const { by } = stringHold(build)
  const ys = saddleIn(build)
  const have = heldIn(build)
  const refs = { back: sizeRef('bridge', 'back.height'), distance: sizeRef('bridge', 'back.distance') }
  const back = sizeIn(build, refs.back)
  const distance = sizeIn(build, refs.distance)
  const free = propagate(
    ([s, h, l, b, x]) => s! - ((s! - h!) * x!) / l! - b!,
    [ys, ofSize(have.height), ofSize(have.distance), ofSize(back), ofSize(distance)],
  )
  // What is raised at the tailpiece comes down to the bridge's back in the ratio of their distances. [physics]
  const over = tailOver(build)!.value
  const raised = ((CLEAR - likelyOf(free)) * have.distance.value) / Math.max(1, distance.value)
  const planned = { slot: 'tailpiece', size: 'height', delta: raised, doubt: 0.2 } as const
  return [
    {
      id: 'path',
      label: 'String above the bridge’s back',
      clearance: free,
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? 'The strings touch nothing behind the saddles.'
          : `The strings touch the bridge’s back, ${printMm(Math.abs(likelyOf(free)), 1)} mm too low there.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : by === 'bridge'
            ? clearOfBack(build, CLEAR - likelyOf(free), 1 - distance.value / have.distance.value, refs.back)
            : [
                by === 'vibrato'
                  ? anotherVibrato('higher-vibrato', have.height.value - over + raised, planned)
                  : raisedTail(raised, planned),
              ],
    },
  ]
}

function breakDrawing({ by }: StringHold, s: number, have: Held, over: number) {
  const l = have.distance.value
  const h = have.height.value
  const inBody = Math.min(0, h)
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'body-wood',
      points: [pt(-30, 0), pt(0, 0), pt(l, -over), pt(l + 22, -over), pt(l + 22, 9 - inBody), pt(-30, 9 - inBody)],
    },
    { mark: 'area', role: 'metal', points: rectangle(-5, -s, 5, 0) },
    by === 'bridge'
      ? { mark: 'circle', role: 'cavity', at: pt(l, -h), r: 1.6 }
      : { mark: 'area', role: 'metal', points: rectangle(l - 7, -h - 4, l + 9, -h + 6) },
    { mark: 'line', role: 'string', points: [pt(-30, -s + 0.6), pt(0, -s), pt(l, -h)] },
    { mark: 'dimension', from: pt(-14, 0), to: pt(-14, -s), text: printMm(s, 1) },
    { mark: 'dimension', from: pt(l + 16, -over), to: pt(l + 16, -h), text: printMm(h - over, 1), emphasis: true },
    { mark: 'dimension', from: pt(0, 6), to: pt(l, 6), text: printMm(l, 1) },
  ]
  return framed(`Saddle and ${WHERE[by].label} from the side`, 'true proportion', marks, [
    { label: 'Break angle', value: `${breakAngle(s, { height: h, distance: l }).toFixed(1)}°` },
    { label: 'Saddle top above the body', value: `${printMm(s, 1)} mm` },
  ])
}
