import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { PickupPlace } from '../../instrument/guardPlace'
import type { Cure, Question } from '../../judge/joint'
import { gapOf, sizeIn, traitIn } from '../../judge/known'
import { likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { counted } from '../../quantity/words'

/** A spring that is cut is left so much shorter than it has to be, mm; how exactly turns are cut, mm. [ours] */
const TO_SPARE = 0.3
const CUT = 0.3

type Terms = readonly (readonly [factor: number, size: Size])[]

/**
 * The room a pickup's height springs have, mm. Over screws in the wood a spring stands between ear and floor and has least of it at the
 * lowest setting; in a guard or a ring it hangs between that and the ear, and has least at the highest. [physics]
 */
function roomOf(build: Build, place: PickupPlace): { least: Terms; most: Terms; leastAt: string; mostAt: string } {
  const slot = `pickup-${place}` as const
  const travel = sizeIn(build, sizeRef(slot, 'travel'))
  if (traitIn(build, slot, 'mount') === 'body') {
    const down: Terms = [
      [1, sizeIn(build, sizeRef('body', `route.${place}.depth`))],
      [-1, sizeIn(build, sizeRef(slot, 'depth'))],
    ]
    return { least: down, most: [...down, [1, travel]], leastAt: 'lowest', mostAt: 'highest' }
  }
  const down: Terms = [[1, sizeIn(build, sizeRef(slot, 'ear.gap'))]]
  return { least: [...down, [-1, travel]], most: down, leastAt: 'highest', mostAt: 'lowest' }
}

/** Squeezed solid a spring lets its screw go no further. Asked once somebody has measured the spring. */
export function springShut(build: Build, place: PickupPlace): Question | undefined {
  const slot = `pickup-${place}` as const
  const shut = sizeAt(build, sizeRef(slot, 'spring.shut'))
  if (!shut) return undefined
  const { least, leastAt } = roomOf(build, place)
  const over = gapOf([...least, [-1, shut]])
  const room = printMm(Math.max(0, likelyOf(gapOf(least))), 1)
  return {
    id: 'spring-shut',
    label: `Height springs at the ${leastAt} setting`,
    clearance: over,
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      likelyOf(over) < 0
        ? `The springs are solid before the ${leastAt} setting is reached: ${printMm(shut.value, 1)} mm squeezed, in ${room}. Turned on, the screw strips its thread or bends the ear.`
        : `At the ${leastAt} setting the springs have ${room} mm and are solid at ${printMm(shut.value, 1)}.`,
    cures: ({ verdict }) => (verdict === 'snug' ? [] : shutCures(build, place, shut, likelyOf(over))),
  }
}

function shutCures(build: Build, place: PickupPlace, shut: Size, over: number): Cure[] {
  const slot = `pickup-${place}` as const
  const most = likelyOf(gapOf(roomOf(build, place).most))
  const to = shut.value + over - TO_SPARE - CUT
  const other: Cure = {
    id: 'other-springs',
    job: `Take springs longer than ${printMm(most, 1)} mm free and at most ${printMm(Math.max(0.5, to), 1)} mm squeezed solid, or soft tube or foam of that length.`,
    how: 'Thinner wire squeezes shorter. A strip of foam under the pickup does in place of springs, and is set by the same screws.',
    gives: 'nothing',
    toGet: true,
    tools: ['springs or foam'],
  }
  // Cut, it is shorter when free by the same share.
  const share = (shut.value - to) / shut.value
  const free = sizeAt(build, sizeRef(slot, 'spring.free'))
  if (to < 0.5 || share > 0.6 || (free && free.value * (1 - share) < most)) return [other]
  const turns = sizeAt(build, sizeRef(slot, 'spring.turns'))
  const number = turns && Math.ceil(turns.value * share)
  return [
    {
      id: 'cut-springs',
      job: `Cut the springs down to ${printMm(to, 1)} mm squeezed solid${number ? `: about ${counted(number, 'turn')} off each` : ''}.`,
      how: 'All alike, with side cutters, eyes covered; the cut end bent in flat so that it does not scratch or tilt.',
      gives: 'nothing',
      tools: ['side cutters', 'eye protection'],
      plan: {
        slot,
        size: 'spring.shut',
        delta: to - shut.value,
        doubt: CUT,
        ...(free ? { also: [{ slot, size: 'spring.free', delta: -share * free.value, doubt: CUT }] } : {}),
      },
    },
    { ...other, job: `Or ${other.job[0]!.toLowerCase()}${other.job.slice(1)}` },
  ]
}

/** A spring shorter than its room holds nothing: the pickup hangs loose on its screws and sings. */
export function springFree(build: Build, place: PickupPlace): Question | undefined {
  const free = sizeAt(build, sizeRef(`pickup-${place}`, 'spring.free'))
  if (!free) return undefined
  const { most, mostAt } = roomOf(build, place)
  const over = gapOf([[1, free], ...most.map(([factor, size]) => [-factor, size] as const)])
  const room = printMm(Math.max(0, likelyOf(gapOf(most))), 1)
  return {
    id: 'spring-free',
    label: `Height springs still press at the ${mostAt} setting`,
    clearance: over,
    bands: [
      { upTo: 0, is: 'loose' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      likelyOf(over) < 0
        ? `At the ${mostAt} setting the springs, ${printMm(free.value, 1)} mm free, have ${room} mm: the pickup hangs loose on its screws and rattles.`
        : `At the ${mostAt} setting the springs have ${room} mm and still press: they are ${printMm(free.value, 1)} free.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'longer-springs',
              job: `Take springs longer than ${printMm(likelyOf(gapOf(most)), 1)} mm free, or put foam under the pickup.`,
              how: 'A spring that is pulled longer loses its force again.',
              gives: 'nothing',
              toGet: true,
              tools: ['springs or foam'],
            },
          ],
  }
}
