import { sayMm } from '../quantity/length'
import { nutWork } from '../document/read'
import { hasSprings } from '../instrument/vibrato'
import type { Build, SetupReading } from '../document/build'
import { readingsOf, setupReading } from '../document/setupReadings'
import { compensations } from '../instrument/compensation'
import { gaugesUntold, stringPulls } from '../instrument/stringPulls'
import { crownsOf, liftFor } from '../physics/neckCurve'
import { actionAt } from '../physics/nutAction'
import { balanceWork } from './balance'
import { SAME_PULL, turnsSince } from './learning'
import { setupModel } from './model'
import { withStrings, type OtherStrings } from './otherStrings'
import { staleSays, totalPull } from './staleness'
import { theStrings } from '../quantity/words'

export interface StringsThen {
  strings: { number: number; note: string; was?: number; will: number; saddle?: number }[]
  total?: { was: number; will: number }
  relief?: { was: number; will: number }
  /** Outer strings over fret 12, if nothing but the neck moves, mm. */
  action?: { bass: number; treble: number }
  /** Where a vibrato would come to rest, mm; nothing: it runs away. */
  float?: { was?: number; will?: number }
  says: string[]
  /** What has been read and would have to be read again. */
  stale: string[]
}

const READ = { relief: 'relief', float: 'balance', action: 'action', cents: 'pitch', pickup: 'pickup heights' } as const

/** What other strings or another tuning change: pull, bow, action, balance, where saddles stand; what has to be read again. */
export function stringsThen(build: Build, other: OtherStrings): StringsThen {
  const next = withStrings(build, other)
  const [was, will] = [stringPulls(build), stringPulls(next)]
  const [before, after] = [totalPull(build), totalPull(next)]
  const [saddles, saddlesThen] = [compensations(build), compensations(next)]
  const strings = will.map((p) => {
    const first = was.find((w) => w.number === p.number)
    const [a, b] = [saddles.find((c) => c.number === p.number), saddlesThen.find((c) => c.number === p.number)]
    return {
      number: p.number,
      note: p.note,
      ...(first ? { was: first.newton } : {}),
      will: p.newton,
      ...(a && b ? { saddle: (b.from + b.to - a.from - a.to) / 2 } : {}),
    }
  })
  if (before === undefined || after === undefined)
    return { strings, says: ['What all of them pull is known once every gauge is.'], stale: [] }
  const moved = Math.abs(after - before) > SAME_PULL * before
  const says = [
    ...(gaugesUntold(build).length
      ? ['What gauges are on it nobody has said: what stands here for now is reckoned with usual ones. Read them off the packet.']
      : []),
    `All together ${Math.round(before)} N now, ${Math.round(after)} N then: ${moved ? `${((100 * after) / before).toFixed(1)} % of it` : 'as good as the same'}.`,
  ]
  const relief = reliefThen(build, before, after)
  const action = relief && actionThen(build, relief.will)
  if (relief) says.push(`Relief ${sayMm(relief.was)} to about ${sayMm(relief.will)} mm, by its bow with slack strings.`)
  else if (moved)
    says.push(
      `The neck ${after > before ? 'bows more' : 'straightens'}: by how much is known once the gap at fret 8 was read with slack strings too.`,
    )
  if (action)
    says.push(
      `Over fret 12 the action goes to ${action.bass.toFixed(2)} at the bass, ${action.treble.toFixed(2)} mm at the treble by that.`,
    )
  const float = floatThen(build, next)
  if (float)
    says.push(
      float.will === undefined
        ? 'The vibrato would have no stable rest: see its tab.'
        : `The vibrato would rest at ${float.will.toFixed(1)} mm under its back edge${float.was === undefined ? '' : `, now ${float.was.toFixed(1)}`}.`,
    )
  else if (moved && hasSprings(build))
    says.push(`A vibrato ${after > before ? 'rises' : 'sinks'}: its springs are set again before anything else.`)
  // A clamp takes any string.
  const work = nutWork(build)
  const thicker = work === 'whole' ? [] : will.filter((p) => p.gauge > (was.find((w) => w.number === p.number)?.gauge ?? p.gauge) + 0.02)
  const unless = work ? '' : ' Unless the nut clamps them.'
  if (thicker.length === 1)
    says.push(
      `The slot of string ${thicker[0]!.number} is cut for a thinner one: widen it first, or the string rides high and sticks.${unless}`,
    )
  else if (thicker.length) {
    const which = thicker.length === will.length ? 'All slots' : `The slots of ${theStrings(thicker.map((p) => p.number))}`
    says.push(`${which} are cut for thinner ones: widen them first, or the strings ride high and stick.${unless}`)
  }
  // What was read before anybody kept count of the pull tells it by nothing else.
  const goesStale = (r: SetupReading) => (r.pull === undefined ? moved : staleSays(next, r) !== undefined)
  const stale = (Object.keys(READ) as (keyof typeof READ)[])
    .filter((what) => Object.values(build.setup.readings).some((r) => r.what === what && goesStale(r)))
    .map((what) => READ[what])
  return {
    strings,
    total: { was: before, will: after },
    ...(relief ? { relief } : {}),
    ...(action ? { action } : {}),
    ...(float ? { float } : {}),
    says,
    stale,
  }
}

/** Bow grows with the pull: from what it was slack and strung. [physics: an elastic beam; the rod as it stands] */
function reliefThen(build: Build, before: number, after: number): { was: number; will: number } | undefined {
  const slack = setupReading(build, { what: 'slack' })
  const last = readingsOf(build, { what: 'relief' }).at(-1)
  if (slack === undefined || !last || turnsSince(build, { what: 'relief' }).length) return undefined
  const perNewton = (last.value - slack) / (last.pull ?? before)
  return { was: last.value, will: slack + perNewton * after }
}

/** Saddles stay where they are, the neck bows otherwise. */
function actionThen(build: Build, relief: number): { bass: number; treble: number } | undefined {
  const model = setupModel(build)
  if (!model.actionHolds) return undefined
  const lift = liftFor(model.shape, relief, Math.min(8, model.frets - 2))
  const over = (s: (typeof model.strings)[number]) => actionAt(crownsOf({ ...model.shape, slot: s.slot, lift }), s.saddle, 12)
  return { bass: over(model.strings.at(-1)!), treble: over(model.strings[0]!) }
}

function floatThen(build: Build, next: Build): StringsThen['float'] {
  const [now, then] = [balanceWork(build), balanceWork(next)]
  // By sizes nobody measured nothing is foretold.
  if (!hasSprings(build) || !now || !then || now.assumed.length) return undefined
  return { ...(now.rest ? { was: now.rest.gap } : {}), ...(then.rest ? { will: then.rest.gap } : {}) }
}
