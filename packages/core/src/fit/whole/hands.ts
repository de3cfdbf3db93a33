import type { Build } from '../../document/build'
import { chosenParts, sizeAt, sizeRef, traitAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { wantedRight } from '../../instrument/tuners'
import { Asker } from '../../judge/ask'
import { judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { sizeIn, traitIn } from '../../judge/known'
import { takenPart } from '../../instrument/idleParts'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec, type Slot } from '../../parts/slots'
import { settled } from '../../judge/settled'

/** Every handed part against the build's hand. */
export function handsJoint(build: Build): JudgedJoint {
  const handed = handedParts(build)
  return judged(build, {
    id: 'hands',
    condition: true,
    title: 'Right- and left-handed parts',
    slots: handed,
    at: () => pt(datums(build).mouth - 30, 26),
    draw: () =>
      handsDrawing(
        build,
        handed,
        handed.filter((s) => wrongHand(build, s)),
      ),
    // One check a part: each is for this hand or not, whatever is said of the others.
    asks: handed.map((slot) => (b: Build) => (slot === 'tuners' ? tunerSides(b) : handOf(b, slot))),
  })
}

const handedParts = (build: Build) =>
  chosenParts(build).flatMap(([slot]) => (KINDS[slotSpec(slot).kind].traits.hand && takenPart(build, slot) ? [slot] : []))
const isWrong = (build: Build, hand: string | undefined): boolean => hand !== undefined && hand !== 'either' && hand !== build.handedness

/** As the checks have it, so that what is hatched is what is said. */
const wrongHand = (build: Build, slot: Slot): boolean =>
  new Asker(build, true).judge((b) => (slot === 'tuners' ? tunerSides(b) : handOf(b, slot))).some((c) => c.raw.verdict === 'wont-go')

function handOf(build: Build, slot: Slot): Question {
  const name = slotSpec(slot).label.toLowerCase()
  const wrong = isWrong(build, traitIn(build, slot, 'hand'))
  return settled(
    `hand-${slot}`,
    `${slotSpec(slot).label}, its hand`,
    !wrong,
    'wont-go',
    wrong ? `The ${name} is made for the other hand.` : `Every handed part is for a ${build.handedness}-handed build, or for either.`,
    [
      {
        id: `other-hand-${slot}`,
        job: `Find a ${name} for a ${build.handedness}-handed build.`,
        how: 'Tuners of the other hand turn backwards; a nut may be cut anew; a neck must be the right one.',
        gives: `the ${name}`,
        tools: [],
      },
    ],
  )
}

/** Tuners go by the side of the head they stand on, which a head turned round exchanges. */
function tunerSides(build: Build): Question {
  const hand = traitIn(build, 'tuners', 'hand')
  const told = sizeAt(build, sizeRef('tuners', 'count.right'))
  if (hand === 'either' && !told)
    return settled('hand-tuners', 'Tuners, their side', true, 'wont-go', 'The tuners go on either side of the head.', [])
  const count = sizeIn(build, sizeRef('tuners', 'count')).value
  const rows = traitIn(build, 'neck', 'head') === 'two-rows' ? 'two-rows' : (traitIn(build, 'neck', 'row') as 'bass' | 'treble')
  const want = wantedRight(count, build.handedness, rows)
  // A set for one hand, not counted by sides, is made for a single row on that hand's bass side.
  const have = told ? Math.min(told.value, count) : wantedRight(count, hand === 'left' ? 'left' : 'right', 'bass')
  const sides = (right: number) =>
    right === 0
      ? `${count} for the left side of the head`
      : right === count
        ? `${count} for the right side of the head`
        : `${count - right} for the left side of the head and ${right} for the right`
  return settled(
    'hand-tuners',
    'Tuners, their side',
    have === want,
    'wont-go',
    have === want
      ? `The tuners are right for this head: ${sides(have)}, seen from the front.`
      : `This head takes ${sides(want)}, seen from the front; these tuners are ${sides(have)}.`,
    [
      {
        id: 'other-side-tuners',
        job: `Take tuners made for this head, ${sides(want)}, or ones that go on either side.`,
        how: 'On the wrong side the button points to the strings and turns the other way.',
        gives: 'the tuners',
        tools: [],
      },
    ],
  )
}

function handsDrawing(build: Build, handed: readonly Slot[], wrong: readonly Slot[]) {
  const marks: Mark[] = handed.flatMap((s, i): Mark[] => [
    { mark: 'area', role: wrong.includes(s) ? 'remove' : 'good', points: rectangle(0, i * 9, 7, i * 9 + 6) },
    { mark: 'label', at: pt(10, i * 9 + 5), text: `${slotSpec(s).label}: ${traitAt(build, s, 'hand') ?? 'not said'}`, anchor: 'start' },
  ])
  return framed(
    `For a ${build.handedness}-handed build`,
    'hatched: of the other hand',
    marks,
    handed.map((s) => ({ label: slotSpec(s).label, value: traitAt(build, s, 'hand') ?? 'not said' })),
    0.1,
    [pt(90, 0)],
  )
}
