import type { Build } from '../document/build'
import type { Cure, Question } from './joint'
import { traitIn } from './known'
import { certain } from '../quantity/distribution'

/** Does a flat thing lie down on the front it is screwed to? An arched one carries it in the middle only. */
export function liesOnFront(build: Build, thing: string, why: string, cure: Omit<Cure, 'id'>): Question {
  const arched = traitIn(build, 'body', 'top') === 'arched'
  return {
    id: 'lies',
    label: `The ${thing} on the front`,
    clearance: certain(arched ? -1 : 1),
    unit: 'none',
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () => (arched ? `The ${thing} is flat and the front is arched: ${why}` : `The ${thing} lies flat on the front.`),
    cures: ({ verdict }) => (verdict === 'snug' ? [] : [{ id: 'carry-level', ...cure }]),
  }
}
