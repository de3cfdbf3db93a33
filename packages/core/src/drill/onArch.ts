import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import type { DrawnCard } from './holeCard'

/** Holes whose stud or bushing stands upright whatever the wood round it does. */
const UPRIGHT: readonly string[] = ['stud-bores', 'tail-bores']

/** On an arched front a bit runs downhill and a router rocks: the card says how the tool is kept level. [practice, from memory] */
export function withArch(build: Build, card: DrawnCard): DrawnCard {
  if (card.side !== 'front' || !card.steps.length || card.work !== 'new' || traitAt(build, 'body', 'top') !== 'arched') return card
  return { ...card, mind: [`The front is arched: ${onArch(card)}`, ...card.mind] }
}

function onArch({ id, with: tool }: DrawnCard): string {
  if (id === 'binding-ledge')
    return 'a router set down on it leans, and the ledge with it. It is led upright by the rim, on a post or a carriage.'
  if (tool.startsWith('router'))
    return `a router set down on it rocks. Template on level rails beside the body, depth counted from the wood ${id === 'route-pocket' ? 'at the pocket’s mouth' : 'at the middle of the cut'}.`
  const upright = UPRIGHT.includes(id) ? ' Body flat on its back, the bit square to the bench and not to the slope.' : ''
  return `on its slope a bit runs downhill. A dimple and a brad point first.${upright}`
}
