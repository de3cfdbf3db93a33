import type { Build } from '../document/build'
import { traitAt } from '../document/read'
import type { PitchWork } from './pitchWork'

/** Saddles that are told how far to go and no turns, each by itself. */
export const areSlid = (work: readonly PitchWork[]): boolean =>
  work.some((s) => !s.whole && s.back !== undefined && s.turns === undefined && s.beyond === undefined)

/** What to know of this bridge's lengths while they are set, by what stands in the rows of its strings. [practice] */
export function pitchNotes(build: Build, work: readonly PitchWork[]): string[] {
  const whole = work.some((s) => s.whole)
  const slid = areSlid(work)
  return [
    'Sharp moves back, away from the nut. Retune and read again after every move.',
    ...(!whole && work.some((s) => s.beside !== undefined)
      ? [
          'A saddle that carries two strings goes to the middle of what both want. What is left one is sharp and the other flat; saddles slanted for it make it up.',
        ]
      : []),
    ...(whole
      ? [
          'This bridge goes as a whole, by the screw at each end: as near to what all strings read want as one straight line comes. How far is meant at the outer strings. A screw that presses on its stud from behind moves that end back clockwise, seen from the tail.',
        ]
      : []),
    ...(slid ? [traitAt(build, 'bridge', 'mount') === 'bar' ? LOOK : BY_HAND] : []),
    ...(work.some((s) => s.trial)
      ? [
          'What a turn of these screws gives nobody has said: turn as far as stands there first and read again; what the first saddle teaches holds for all.',
        ]
      : []),
  ]
}

const BY_HAND =
  'These saddles have no length screw: string slack, the saddle’s holding screw loosened, slid by hand, tightened; then tuned and read again.'
const LOOK = 'Whether each string has a saddle here, or a screw at each end moves the whole bar, say under Parts: the work follows from it.'
