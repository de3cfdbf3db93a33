import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { bassString, setupReading } from '../document/setupReadings'
import { compensations } from '../instrument/compensation'
import { isVibrato } from '../instrument/vibrato'
import type { Targets } from '../instrument/targets'
import { printMm } from '../quantity/length'
import { postTurns, saddleMoveFor, type PostTurns } from './action'
import { learnedPitch } from './learning'
import type { SetupModel } from './model'
import type { Move } from './move'
import { HIGH_FRETS } from './noting'
import { heightScrewOf, heightTurns, SCREWS, turnWords } from './screws'
import { staleSays } from './staleness'
import { toldAt } from '../judge/known'
import { BELIEVED, trialPitch } from './thread'
import { heightTravel } from './travel'

const CLOSE = 0.05
/** Lower than this over fret 12 nothing clears the frets, mm: a misreading. [ours] */
const LOWEST = 0.6

type Sides = Record<'bass' | 'treble', number>

/** What speaks against a reading before any screw is turned: nothing plays so low, or the bridge goes no such way from stop to stop. */
export function doubtOf(build: Build, read: Sides, move: Sides): 'too-low' | 'too-far' | undefined {
  if (Math.min(read.bass, read.treble) < LOWEST) return 'too-low'
  const travel = heightTravel(build)
  return travel !== undefined && Math.max(Math.abs(move.bass), Math.abs(move.treble)) > travel ? 'too-far' : undefined
}

const offWords = (move: Sides) =>
  `Saddles have to go ${(['bass', 'treble'] as const).map((s) => `${printMm(Math.abs(move[s]))} mm ${move[s] < 0 ? 'down' : 'up'} at the ${s}`).join(', ')}.`

/** Where nobody knows what a turn gives, a first one teaches it. */
const THEN_READ = 'What a turn gives nobody has said: write these down and read again, and it is known; or measure the thread under Parts.'

const sides = (bass: number, treble: number) => `${printMm(bass)} mm bass, ${printMm(treble)} mm treble`

/** Action at fret 12 of the outer strings, as turns of the screws that carry the saddles. */
export function actionMove(build: Build, targets: Targets, model: SetupModel): { move: Move; posts?: PostTurns } {
  const [bassAsked, trebleAsked] = [{ what: 'action', string: bassString(build) } as const, { what: 'action', string: 1 } as const]
  const base = {
    id: 'action',
    title: 'Action at fret 12',
    target: sides(targets.actionBass, targets.actionTreble),
    moves: 'pitch at every fret, pickup distance',
  }
  if (setupReading(build, bassAsked) === undefined || setupReading(build, trebleAsked) === undefined)
    return { move: { ...base, done: false, says: 'Measure string bottom to crown at fret 12, outer strings, in tune, after the relief.' } }
  const [bass, treble] = [model.strings.at(-1)!.action, model.strings[0]!.action]
  const measured = sides(bass, treble)
  const open = (says: string, more: Partial<Move> = {}) => ({ move: { ...base, measured, done: false, says, ...more } })
  const old = staleSays(build, bassAsked) ?? staleSays(build, trebleAsked)
  if (old) return open(old, { stale: true })
  const off = { bass: targets.actionBass - bass, treble: targets.actionTreble - treble }
  if (Math.abs(off.bass) < CLOSE && Math.abs(off.treble) < CLOSE)
    return {
      move: {
        ...base,
        measured,
        done: true,
        says: build.setup.first?.[HIGH_FRETS]
          ? 'Action is where you want it.'
          : 'Action is where you want it: now play every fret from 15 up.',
      },
    }
  const move = saddleMoves(build, off)
  const doubt = doubtOf(build, { bass, treble }, move)
  if (doubt === 'too-low')
    return open(
      `Under ${printMm(LOWEST)} mm at fret 12 no string sounds clean: read again, from the crown to the string’s underside, before anything is turned.`,
    )
  if (doubt === 'too-far')
    return open(
      `${offWords(move)} From stop to stop this bridge goes ${printMm(heightTravel(build)!, 1)} mm: read again. Where it is so, the neck’s angle comes first: Dry fit, Neck angle and bridge height.`,
    )
  const mount = traitAt(build, 'bridge', 'mount')
  const screw = heightScrewOf(mount)
  if (!screw) return open(`${offWords(move)} How the bridge is held nobody has said: say it under Parts, and the turns come with it.`)
  const learned = learnedPitch(build)
  if (learned && (learned.per < BELIEVED.from || learned.per > BELIEVED.to))
    return open(
      `${offWords(move)} ${
        learned.per < 0
          ? 'The turns written down moved it the other way than such screws do: look which way they turn it'
          : `The turns written down gave ${printMm(Math.abs(learned.per))} mm each, which no such screw does: look at the last readings and turns again`
      }, and go by the millimetres until then.`,
    )
  const pitch = learned?.per ?? toldAt(build, { slot: 'bridge', size: 'height.pitch' })?.value
  const gave = learned ? ` A turn gave ${printMm(learned.per)} mm here.` : ''
  const turn = (side: 'bass' | 'treble', up: number, mmATurn: number) => ({
    screw: side,
    label: `${side} ${screw === 'grub' ? 'saddle screws' : SCREWS[screw].label}`,
    turns: heightTurns(screw, up, mmATurn),
    from: SCREWS[screw].from,
  })
  if (screw === 'grub') {
    const mmATurn = pitch ?? trialPitch(move.bass, move.treble)
    const turns = [turn('bass', move.bass, mmATurn), turn('treble', move.treble, mmATurn)]
    const all = `ass saddle screws ${turnWords(turns[0]!.turns)}, treble saddle screws ${turnWords(turns[1]!.turns)}, ${SCREWS.grub.from}; the strings between on a straight line.`
    return open(pitch === undefined ? `${offWords(move)} First b${all} ${THEN_READ}` : `B${all}${gave}`, { turns })
  }
  const spread = toldAt(build, { slot: 'bridge', size: 'spread' })?.value
  const studs = toldAt(build, { slot: 'bridge', size: 'studSpacing' })?.value
  if (spread === undefined || studs === undefined)
    return open(`${offWords(move)} For the turns of its two posts measure string spread and stud spacing of the bridge.`)
  const { bassHeight, trebleHeight } = postTurns(move, spread, studs, 1)
  const mmATurn = pitch ?? trialPitch(bassHeight, trebleHeight)
  const posts = postTurns(move, spread, studs, mmATurn)
  const turns = [turn('bass', bassHeight, mmATurn), turn('treble', trebleHeight, mmATurn)]
  const { label, from } = SCREWS[screw]
  const both = `ass ${label} ${turnWords(turns[0]!.turns)}, treble ${label} ${turnWords(turns[1]!.turns)}, ${from}.`
  const retune = `Retune${isVibrato(mount) ? ', then recheck the balance' : ''}.`
  if (pitch === undefined) return { ...open(`${offWords(move)} First b${both} ${retune} ${THEN_READ}`, { turns }), posts }
  return { ...open(`B${both} ${offWords(move).replace('have to go', 'go')}${gave} ${retune}`, { turns }), posts }
}

/** How far the outer saddles have to go for such changes of the action at fret 12, mm, up positive. */
export function saddleMoves(build: Build, change: { bass: number; treble: number }): { bass: number; treble: number } {
  const [treble, bass] = setBacks(build)
  return { bass: saddleMoveFor(change.bass, bass), treble: saddleMoveFor(change.treble, treble) }
}

/** How far the outer saddles stand behind the scale line, share of it: half of the range a press makes. */
function setBacks(build: Build): [treble: number, bass: number] {
  const scale = sizeAt(build, { slot: 'neck', size: 'scale' })?.value ?? build.scale
  const found = compensations(build, [1, build.strings])
  const of = (string: number) => {
    const c = found.find((f) => f.number === string)
    return c ? (c.from + c.to) / 2 / scale : 0
  }
  return [of(1), of(build.strings)]
}
