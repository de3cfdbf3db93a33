import { hasSprings, isVibrato } from '../../instrument/vibrato'
import { settled } from '../../judge/settled'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { boreSection, framed, nothingYet } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { takenPart } from '../../instrument/idleParts'
import { stringPulls } from '../../instrument/stringPulls'
import { postDiameter } from '../../instrument/tuners'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { gapOf, landing, sizeIn, sizesIn, sizeToDraw, traitIn } from '../../judge/known'
import { slotSpec } from '../../parts/slots'
import { certain, likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { counted } from '../../quantity/words'

/** A hole through a tuner's post leaves it whole up to this share of its diameter. [practice, from memory] */
const OF_POST = 0.45
/** Springs a claw has hooks for. [practice] */
const ON_CLAW = 5
/** A string wants this much more than its own diameter in a hole, mm. [practice] */
const PASS = 0.2

const SPRINGS = {
  count: sizeRef('springs', 'count'),
  pull: sizeRef('springs', 'pull'),
  arm: sizeRef('springs', 'arm'),
  string: sizeRef('springs', 'string.arm'),
}
const totalPull = (build: Build) => stringPulls(build).reduce((s, p) => s + p.newton, 0)

/** Springs against strings: pull times arm about the knife edge, both sides. [physics] */
export const springsJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'springs',
    condition: true,
    title: 'Springs against the strings',
    slots: ['springs', 'bridge', 'strings'],
    at: () => pt(datums(build).studs - 50, -20),
    draw: drawnOnceKnown(build, 'Block on its knife edge', { count: SPRINGS.count }, (have) => springsDrawing(build, have.count)),
    asks: build.parts.bridge ? [...(hasSprings(build) ? [springBalance] : []), onVibrato] : [springBalance],
  })

/** Springs pull on a vibrato only. */
function onVibrato(build: Build): Question {
  const moves = isVibrato(traitIn(build, 'bridge', 'mount'))
  return settled(
    'vibrato',
    'A bridge that springs pull on',
    moves,
    'wont-go',
    moves ? 'The bridge is a vibrato: springs hold it.' : 'The bridge is fixed: there is nothing for springs to pull on.',
    [
      {
        id: 'leave-out',
        job: 'Leave the springs and their claw out.',
        how: 'Kept for a bridge that moves, or taken out of the parts: then nothing waits for them.',
        gives: 'nothing',
        tools: [],
      },
    ],
  )
}

function springBalance(build: Build): Question {
  const have = sizesIn(build, SPRINGS)
  const total = totalPull(build)
  const spare = certain(have.count.value - (total * have.string.value) / (have.pull.value * have.arm.value))
  const needed = have.count.value - likelyOf(spare)
  return {
    id: 'balance',
    spread: true,
    label: 'Springs fitted over springs needed',
    clearance: spare,
    unit: 'count',
    bands: [
      { upTo: -1.5, is: 'wont-go' },
      { upTo: -0.6, is: 'tight' },
      { upTo: 1.2, is: 'snug' },
      { upTo: Infinity, is: 'loose' },
    ],
    says: ({ verdict }) =>
      `The strings pull ${Math.round(total)} N; that asks for ${needed.toFixed(1)} springs and ${have.count.value} ${have.count.value === 1 ? 'is' : 'are'} fitted. ${verdict === 'snug' || verdict === 'loose' ? 'The claw takes up the rest.' : 'The claw cannot take up so much.'}`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : Math.round(needed) > ON_CLAW
          ? [
              {
                id: 'stiffer-springs',
                job: `Take ${ON_CLAW} springs that pull ${Math.ceil((have.pull.value * needed) / ON_CLAW)} N each at the same stretch.`,
                how: `No claw holds more than ${ON_CLAW}. Or lighter strings, or a lower tuning. Strings slack, eyes covered: springs let go.`,
                gives: 'the springs',
                tools: ['pliers', 'eye protection'],
              },
            ]
          : [
              {
                id: 'spring-count',
                job: `Fit ${counted(Math.max(1, Math.round(needed)), 'spring')}.`,
                how: 'Strings slack, eyes covered: springs let go. Parallel for a soft arm, fanned for a firm one.',
                gives: 'nothing',
                toGet: Math.round(needed) > have.count.value,
                tools: ['pliers', 'eye protection'],
                plan: { slot: 'springs', size: 'count', delta: Math.max(1, Math.round(needed)) - have.count.value, doubt: 0 },
              },
            ],
  }
}

function springsDrawing(build: Build, count: Size) {
  const arm = sizeToDraw(build, SPRINGS.arm)
  const string = sizeToDraw(build, SPRINGS.string)
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'metal',
      points: [pt(-8, -6), pt(36, -6), pt(36, -2), pt(6, -2), pt(6, arm.value), pt(-6, arm.value), pt(-6, -2), pt(-8, -2)],
    },
    { mark: 'circle', role: 'cavity', at: pt(-8, -4), r: 2 },
    { mark: 'line', role: 'string', points: [pt(-70, -string.value - 4), pt(14, -string.value - 4)] },
    { mark: 'line', role: 'ground', points: [pt(0, arm.value - 4), pt(-90, arm.value - 2)] },
    { mark: 'dimension', from: pt(-22, -4), to: pt(-22, -4 - string.value), text: printMm(string.value, 1), emphasis: true },
    { mark: 'dimension', from: pt(20, -4), to: pt(20, arm.value - 4), text: printMm(arm.value, 1) },
  ]
  return framed('Block on its knife edge, from the side', 'true proportion', marks, [
    { label: 'String pull', value: `${Math.round(totalPull(build))} N` },
    { label: 'Springs fitted', value: String(count.value) },
  ])
}

const gauge = (n: number): SizeRef => ({ slot: 'strings', size: `gauge.${n}` })

/** What is wound round a string's ball end stays in the body's hole, mm more than the string where nobody has measured it. [practice] */
const BALL = 2.2

/** How exactly a bit of a named size drills metal, mm. [practice] */
const DRILLED = 0.05

/** What passes a hole of this part: the thickest string, or what is wound round that end of it where that is wider. */
function passing(build: Build, slot: Holed): { what: string; size: Size; ball: number } {
  const { string } = thickest(build)
  const wound = sizeAt(build, sizeRef('strings', slot === 'tuners' ? 'silk.diameter' : 'twist.diameter'))
  if (wound && wound.value > string.value)
    return { what: slot === 'tuners' ? 'thread at the tuner end' : 'twist at the ball end', size: wound, ball: 0 }
  return { what: 'thickest string', size: string, ball: slot === 'body' && !wound ? BALL : 0 }
}

/** Every hole a string has to pass, against the thickest string. */
export function stringsThroughJoint(build: Build): JudgedJoint {
  const slots = HOLED.filter((slot) => takenPart(build, slot))
  return judged(build, {
    id: 'strings-through',
    title: 'Strings through their holes',
    slots: ['strings', 'bridge', 'tuners'],
    at: () => pt(datums(build).studs + 26, 12),
    draw: () =>
      holeDrawing(
        build,
        slots.filter((slot) => goesThrough(slot, traitAt(build, 'bridge', 'mount'))),
      ),
    asks: slots.map((slot) => (b: Build) => passes(b, slot)),
  })
}

const HOLED = ['bridge', 'tailpiece', 'ferrules', 'body', 'tuners'] as const
type Holed = (typeof HOLED)[number]

/** Does the string go through a hole of this part at all? Through the body only where it is anchored behind it. */
function goesThrough(slot: Holed, mount: string | undefined): boolean {
  if (slot === 'body') return mount === 'string-through'
  // A clamp in a locking vibrato, and a bridge on posts, let the string lie in a groove.
  return slot !== 'bridge' || !['double-locking', 'post'].includes(mount ?? '')
}
const OF_BRIDGE: readonly Holed[] = ['body', 'bridge']

function thickest(build: Build): { ref: SizeRef; string: Size } {
  const all = Array.from({ length: build.strings }, (_, i) => ({ ref: gauge(i + 1), string: sizeToDraw(build, gauge(i + 1)) }))
  return all.reduce((a, b) => (b.string.value > a.string.value ? b : a))
}

function passes(build: Build, slot: Holed): Question[] {
  if (!takenPart(build, slot) || !goesThrough(slot, OF_BRIDGE.includes(slot) ? traitIn(build, 'bridge', 'mount') : undefined)) return []
  const ref = sizeRef(slot, 'string.hole')
  const hole = sizeIn(build, ref)
  const { what, size: string, ball } = passing(build, slot)
  const name = slotSpec(slot).label.toLowerCase()
  const c = gapOf(
    [
      [1, hole],
      [-1, string],
    ],
    -PASS - ball,
  )
  // What it is drilled with: bits go by tenths of a millimetre.
  const bit = Math.ceil((hole.value + landing(c, DRILLED) - likelyOf(c)) * 10 - 1e-6) / 10
  // What nobody has to drill asks for no post.
  const breaks = slot === 'tuners' && bit > hole.value && bit > OF_POST * postDiameter(build)
  return [
    {
      id: `hole-${slot}`,
      label: `Hole in the ${name}`,
      clearance: c,
      bands: [
        { upTo: -1.2, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The ${what}, ${printMm(string.value)} mm, passes the hole in the ${name}.`
          : `The ${what}, ${printMm(string.value)} mm, does not pass the ${printMm(hole.value, 1)} mm hole in the ${name}${ball ? ` with its ball’s twist, which takes ${ball} more` : ''}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : breaks
            ? [
                {
                  id: 'larger-posts',
                  job: `Take tuners whose posts have a hole of at least ${printMm(string.value + PASS)} mm.`,
                  how: 'Drilled out so far, these posts would shear at the hole when the string is brought to pitch.',
                  gives: 'the tuners',
                  tools: [],
                },
              ]
            : [
                {
                  id: `drill-${slot}`,
                  job: `Drill the hole in the ${name} out to ${printMm(string.value + PASS + ball)} mm at least: a bit of ${printMm(bit, 1)}.`,
                  how: `${slot === 'body' ? 'Wood: from both faces in turn, backing scrap, tape over the finish.' : 'Metal: clamp it, slow speed, deburr both sides, eyes covered.'} A long-scale set on short hardware often needs this.`,
                  gives: name,
                  tools: slot === 'body' ? ['bit', 'backing scrap'] : ['bit', 'clamp', 'eye protection'],
                  plan: { slot, size: ref.size, delta: bit - hole.value, doubt: DRILLED },
                },
              ],
    },
  ]
}

function holeDrawing(build: Build, slots: readonly Holed[]) {
  const title = 'Strings through their holes'
  const known = slots.flatMap((slot) => {
    const hole = sizeAt(build, sizeRef(slot, 'string.hole'))
    return hole ? [{ slot, bore: hole.value }] : []
  })
  const string = sizeAt(build, thickest(build).ref)
  const [first, ...others] = known
  if (!first || !string) return nothingYet(title)
  const narrowest = others.reduce((a, b) => (b.bore < a.bore ? b : a), first)
  return boreSection({
    title: `String through the ${slotSpec(narrowest.slot).label.toLowerCase()}`,
    into: narrowest.slot === 'body' ? 'body-wood' : 'metal',
    thickness: 8,
    bore: narrowest.bore,
    boreDepth: 8,
    plug: { label: 'Thickest string', diameter: string.value, length: 12 },
  })
}
