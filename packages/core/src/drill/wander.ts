import type { Drawing } from '../drawing/drawing'
import { exitError } from '../physics/pilot'
import { methodFor, METHODS, type Bench } from './bench'
import { holeSection } from './section'

/** Every way to hold a drill, best first, with what it does over a depth, mm. */
export const drillMethods = (depth: number): { words: string; degrees: number; error: number }[] =>
  Object.values(METHODS).map(({ words, degrees }) => ({ words, degrees, error: exitError(depth, degrees) }))

/** A hole through a thick body with where it may come out by the best way there is. */
export function wanderDrawing(bench: Bench): Drawing {
  const { method } = methodFor({ ...bench, throats: bench.throats.length ? [Infinity] : [] }, 0)
  const [thick, bit] = [45, 4.5]
  return holeSection({
    title: `How far a hole comes out beside its mark: ${method.words}`,
    layers: [{ label: 'body', thickness: thick, role: 'body-wood' }],
    bit,
    wander: exitError(thick, method.degrees),
  })
}
