import type { Build } from '../../document/build'
import { before, onceFilmIsHard } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'

const FUMES = ['Solder and flux fumes: ventilate. Leaded solder: wash hands, never eat at the bench. Eyes covered when clipping.']

/** The harness and its check, which are work for the days the coats dry; the string ground once hardware may go on. */
export function wireSteps(build: Build, _: unknown, earlier: readonly Step[]): Step[] {
  if (!build.parts['pot-volume']) return []
  return [
    step({
      id: 'solder',
      title: 'Solder the harness on the guard, in wire-list order',
      why: 'Capacitor and jumpers, controls, grounds, pickups, the jack last.',
      station: 'wire',
      stage: 'wiring',
      slot: 'guard',
      minutes: 120,
      cautions: FUMES,
    }),
    step({
      id: 'meter-check',
      title: 'Meter check at the jack, every position',
      why: 'Each reading inside its band before the guard is closed.',
      station: 'wire',
      stage: 'wiring',
      slot: 'jack',
      minutes: 15,
      befores: [before('solder', 'solderedBeforeClosed')],
    }),
    step({
      id: 'string-ground',
      title: 'Solder the string ground to the claw',
      why: 'Strings to sleeve must read under 1 Ω.',
      station: 'wire',
      stage: 'wiring',
      slot: 'bridge',
      minutes: 15,
      cautions: FUMES,
      befores: onceFilmIsHard(earlier),
    }),
  ]
}
