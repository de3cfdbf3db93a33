import { CONTROL_WORDS, controlRefs, jackPanel, potsIn } from '../../instrument/controlPlace'
import type { Build } from '../../document/build'
import { valueAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { printMm } from '../../quantity/length'
import type { HoleCard } from '../holeCard'
import { type Shape, hole } from './template'

/** The pots' holes and the jack's in what carries them, by its own marks. */
export function controlMarks(build: Build, cards: readonly HoleCard[]): Shape[] {
  const wanted = [
    ...potsIn(build).map((control) => ({ control, card: 'pot-holes', name: CONTROL_WORDS[control] })),
    ...(jackPanel(build) ? [{ control: 'jack' as const, card: 'jack-hole', name: 'jack' }] : []),
  ]
  return wanted.flatMap(({ control, card, name }): Shape[] => {
    const bit = cards.find((c) => c.id === card)?.bit
    const refs = controlRefs(build, control)
    const [x, y] = [valueAt(build, refs.x), valueAt(build, refs.y)]
    if (x === undefined || y === undefined || bit === undefined) return []
    return hole(pt(x, y), bit, `${name}, ${printMm(bit, 1)} mm`)
  })
}
