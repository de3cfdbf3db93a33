import type { Cure } from '../../judge/joint'

/** A nut has nothing to bear on in a hole nearly as wide as it is. @param held what it holds */
export const wideWashers = (held: 'jack' | 'pot'): Cure => ({
  id: 'wide-washers',
  job: 'Put a flat washer wider than the hole on either face.',
  how: `The nut bears on it; a toothed one beneath keeps the ${held} from turning.`,
  gives: 'nothing',
  tools: ['washers', 'spanner'],
  minutes: 5,
})
