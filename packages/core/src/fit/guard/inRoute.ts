import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { Point } from '../../geometry/point'
import { CONTROL_WORDS, potSlot, type PotControl } from '../../instrument/controlPlace'
import { panelOf } from '../../instrument/panel'
import type { Question } from '../../judge/joint'
import { sizeIn } from '../../judge/known'
import { likelyOf, linear, ofSize, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { elsewhere } from './elsewhere'

/** Round a control's body there is room for its lugs and wires, mm. [practice] */
const WIRING = 2
/** A control route is eased by no more than this, mm. [practice, from memory] */
export const EASED_AT_MOST = 15

/** From a place to the nearest wall of a route, mm. */
export const wallFrom = ({ middle, half }: { middle: Point; half: Point }, at: Point): number =>
  Math.min(half.x - Math.abs(at.x - middle.x), half.y - Math.abs(at.y - middle.y))

/** Does a pot hang in its route with its body's radius and room for wires? @param shaft from its shaft to the nearest wall, mm */
export function inRoute(build: Build, control: PotControl, shaft: Distribution): Question {
  const name = CONTROL_WORDS[control]
  const body = sizeIn(build, sizeRef(potSlot(control), 'body.diameter'))
  const free = linear(
    [
      [1, shaft],
      [-0.5, ofSize(body)],
    ],
    -WIRING,
  )
  return {
    id: `in-route-${control}`,
    label: `Round the ${name} pot in its route`,
    clearance: free,
    shown: linear([[1, free]], WIRING),
    bands: [
      { upTo: -WIRING - body.value / 2, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `The ${name} pot hangs free in the control route.`
        : verdict === 'wont-go'
          ? `The ${name} pot’s shaft stands ${printMm(-likelyOf(free) - WIRING - body.value / 2, 1)} mm outside the control route: the pot cannot hang in it.`
          : `The ${name} pot comes within ${printMm(Math.max(0, likelyOf(free) + WIRING), 1)} mm of the control route’s wall; its lugs and wires want ${WIRING}.`,
    cures: ({ verdict }) => {
      if (verdict === 'snug') return []
      const ease = 0.5 - likelyOf(free)
      const smaller = {
        id: `turn-${control}`,
        job: `Take a ${name} pot with a smaller body, or turn its lugs into the room there is.`,
        how: 'Insulate what comes near the lined wall.',
        gives: 'the pot',
        tools: [],
      }
      const eased = {
        id: `ease-route-${control}`,
        job: `${verdict === 'tight' ? 'Or ease' : 'Ease'} the control route there by ${printMm(ease, 1)} mm, before any coat goes on.`,
        how: 'Bearing bit along the wall, or a gouge; measure what stays to the body’s edge first.',
        gives: 'body',
        tools: ['router', 'bearing bit'],
      }
      const outside = elsewhere(
        `other-place-${control}`,
        `the place of the ${name} pot’s hole and of the control route`,
        panelOf(build).name,
        `The shaft stands ${printMm(ease, 0)} mm too far out: no route is eased by so much.`,
      )
      // Where its very shaft meets the wall a smaller body helps nothing.
      return [...(verdict === 'tight' ? [smaller] : []), ease > EASED_AT_MOST ? outside : eased]
    },
  }
}
