import type { Build } from '../../document/build'
import { traitAt } from '../../document/read'
import { woundFurther } from '../../fit/head/nutBreak'
import { cutPastPost, TURNS } from '../../fit/whole/stringRun'
import { untoldLay } from '../../instrument/tuners'
import { hasSprings } from '../../instrument/vibrato'
import type { Step } from '../../plan/step'
import { printMm } from '../../quantity/length'

/** What to mind while strings go on, by what there is. [practice] */
export function strungSo(build: Build, earlier: readonly Step[]): string[] {
  const mount = traitAt(build, 'bridge', 'mount')
  return [
    'Eyes covered; clip string ends away from the face. The guitar on something soft.',
    ...(mount === 'post' ? ['A loose tailpiece is threaded first, then hung.'] : []),
    ...(mount === 'bar' ? ['A loose bar is threaded first, then hung on its studs; held there until the strings pull.'] : []),
    ...(traitAt(build, 'tuners', 'locking') === 'clamp'
      ? ['Locking posts: put it through loose, pull it tight by hand, lock, then cut.']
      : []),
    ...cutSo(build, earlier),
    ...(hasSprings(build) ? ['Springs let go with the last string: slacken all evenly.'] : []),
  ]
}

/** As the cure has it whose step comes before. */
const FURTHER_DOWN = /\bfurther down\b/

/**
 * How far past its post each is cut: longer where the step before says that it is wound further down. Who stands how far is not known before
 * somebody says how the head is made.
 */
function cutSo(build: Build, earlier: readonly Step[]): string[] {
  if (untoldLay(build).length) return []
  const further = earlier.some((s) => s.id === 'cure-nut-break' && FURTHER_DOWN.test(s.title)) ? woundFurther(build) : []
  const cut = cutPastPost(build, further)
  const [usual, longer] = [cut.filter((c) => c.turns === TURNS.wanted), cut.filter((c) => c.turns > TURNS.wanted)]
  const past = usual.map((c) => c.past)
  const words = [
    ...(usual.length
      ? [
          `${printMm(Math.min(...past), 0)} mm past its post the thinnest, ${printMm(Math.max(...past), 0)} the thickest: two turns round it`,
        ]
      : []),
    ...longer.map((c) => `string ${c.n}, wound further down, ${printMm(c.past, 0)} mm: ${c.turns} turns`),
  ]
  return words.length ? [`Cut ${words.join('; ')}.`] : []
}
