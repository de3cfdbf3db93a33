import type { Cure, Question } from './joint'
import type { Class } from './verdict'
import { certain } from '../quantity/distribution'

/** Joints that measure nothing: something is so or is not. */

/** A check that is settled by looking: +1 when it goes, -1 when it does not. */
export function settled(id: string, label: string, goes: boolean, otherwise: Class, says: string, cures: Cure[] = []): Question {
  return {
    id,
    label,
    clearance: certain(goes ? 1 : -1),
    unit: 'none',
    bands: [
      { upTo: 0, is: otherwise },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () => says,
    cures: () => (goes ? [] : cures),
  }
}
