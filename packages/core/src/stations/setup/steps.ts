import type { Build } from '../../document/build'
import { isGlued, traitAt } from '../../document/read'
import { before, onceFilmIsHard } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'
import { groundOf } from '../../instrument/stringGround'

const DAY = 24 * 60

/** Putting the instrument together, then the setup in its order: each number is taken with the one before it right. */
export function setupSteps(build: Build, _: unknown, earlier: readonly Step[]): Step[] {
  if (!Object.keys(build.parts).length) return []
  const polished = onceFilmIsHard(earlier)
  const wired = (id: string) => earlier.some((s) => s.stage === 'wiring' && s.id === id)
  const ground = groundOf(traitAt(build, 'bridge', 'mount'))
  const hardware = step({
    id: 'hardware',
    title: 'Bushings and studs, tuners, nut',
    why: 'Ferrules before tuners, so that the posts stand square.',
    station: 'plan',
    stage: 'hardware',
    slot: 'tuners',
    minutes: 45,
    befores: [...polished, ...(ground === 'stud' && wired('string-ground') ? [before('string-ground', 'groundBeforePosts')] : [])],
  })
  const neckOn = step({
    id: 'neck-on',
    title: 'Screw the neck on',
    why: 'Wax the screws; start all before tightening any.',
    station: 'plan',
    stage: 'hardware',
    slot: 'neck',
    minutes: 20,
    befores: polished,
  })
  const closing = build.parts.guard
    ? [
        step({
          id: 'close-guard',
          title: 'Guard on and closed',
          why: 'A few screws first; listen once; then the rest.',
          station: 'plan',
          stage: 'hardware',
          slot: 'guard',
          minutes: 30,
          befores: [...polished, ...(wired('meter-check') ? [before('meter-check', 'solderedBeforeClosed')] : [])],
        }),
      ]
    : []
  const strung = step({
    id: 'string-up',
    title: 'String up, stretch, tune',
    why: 'Strings at pitch are what every setup number is taken with.',
    station: 'setup',
    stage: 'strings',
    slot: 'strings',
    minutes: 30,
    wait: DAY,
    befores: [
      before('hardware', 'polishBeforeHardware'),
      before('neck-on', 'polishBeforeHardware'),
      ...(wired('string-ground')
        ? [before('string-ground', ground === 'claw' ? 'groundBeforeBridge' : ground === 'stud' ? 'groundBeforePosts' : 'groundUnderPlate')]
        : []),
      // Where no guard closes over it, the strings do.
      ...(!build.parts.guard && wired('meter-check') ? [before('meter-check', 'solderedBeforeClosed')] : []),
    ],
  })
  // A glued neck went in before the finish.
  return [hardware, ...(isGlued(build) ? [] : [neckOn]), ...closing, strung, ...adjustments(strung)]
}

function adjustments(strung: Step): Step[] {
  const relief = step({
    id: 'set-relief',
    title: 'Relief',
    why: 'Hold at first and last fret, gap over fret 8.',
    station: 'setup',
    stage: 'strings',
    thing: 'relief',
    minutes: 20,
    cautions: ['Never force a truss nut; slacken strings if it turns hard.'],
    befores: [before(strung.id, 'stringsBeforeSetup')],
  })
  const action = step({
    id: 'set-action',
    title: 'Action',
    why: 'Outer strings at fret 12, by turns of the studs or saddles.',
    station: 'setup',
    stage: 'strings',
    thing: 'action',
    minutes: 20,
    befores: [before(relief.id, 'setupOrder')],
  })
  const intonation = step({
    id: 'set-intonation',
    title: 'Intonation',
    why: 'Fret 12 against the open string’s octave, string by string.',
    station: 'setup',
    stage: 'strings',
    thing: 'intonation',
    minutes: 30,
    befores: [before(action.id, 'setupOrder')],
  })
  return [relief, action, intonation]
}
