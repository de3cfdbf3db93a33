import type { Build } from '../../document/build'
import { chosenParts } from '../../document/read'
import { allInPlace } from '../../document/inPlace'
import { isPartHere } from '../../parts/part'
import { slotSpec, SLOT_NAMES } from '../../parts/slots'
import { listed } from '../../quantity/words'
import { comesApart, plays } from '../../parts/starting/jobs'
import { APART, before } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'

/** What is gone for good once it is apart, and noted before. [practice] */
export const NOTED = {
  action: 'Action of both outer strings, relief and pitch as they are',
  tilt: 'Tilt of the neck: a straight-edge along the board, its height at the bridge',
  outline: 'The bridge’s outline, with tape round it',
  reach: 'Nut to bridge, along both outer strings',
  leads: 'Every lead’s colour and the lug it goes to',
  screws: 'Which hole each screw comes from: a card with the outline and the screws pushed into it',
  tuners: 'Which tuner sits where: handed ones look alike',
  picture: 'A picture of every side, and of every hollow once it is open',
} as const
export type Noted = keyof typeof NOTED
export const NOTED_IDS = Object.keys(NOTED) as Noted[]

/** What comes off, where the most of it stays. */
function toChange(build: Build): string {
  const parts = chosenParts(build)
  const off = parts.filter(([, p]) => p.state !== 'in place').map(([slot]) => slotSpec(slot).label.toLowerCase())
  return off.length < parts.length ? `For ${listed(off)}; the rest stays in place. ` : ''
}

const BUT_STRINGS = SLOT_NAMES.filter((slot) => slot !== 'strings')

/** Of an instrument that plays and stays as it is, nothing is taken apart: what is changed is said first. */
function sayChanged(): Step {
  return step({
    id: 'say-changed',
    title: 'Say under Parts what is changed',
    why: 'Every part is in place and stays: nothing is taken off, drilled or soldered. Under “What came” say which is another one, and which comes off.',
    station: 'parts',
    stage: 'parcel',
    need: 'should',
    minutes: 5,
  })
}

/**
 * An instrument that is here is heard, noted and taken apart before anything else is done to it.
 * @param arrivals what is still on its way, or to be ordered
 */
export function apartSteps(build: Build, arrivals: readonly Step[]): Step[] {
  if (!comesApart(build)) return []
  // Strings are changed on an instrument that is whole.
  if (allInPlace(build, BUT_STRINGS)) return allInPlace(build, ['strings']) ? [sayChanged()] : []
  const parts = chosenParts(build)
  if (!parts.some(([, p]) => isPartHere(p))) return []
  const open = NOTED_IDS.filter((id) => build.plan?.noted?.[id] === undefined).length
  const test = step({
    id: 'test-first',
    title: 'String it, tune it and hear it as it is',
    why: 'Before it is cleaned: what works now, what hums, what buzzes and where. Afterwards nobody knows which of it was there.',
    station: 'parts',
    stage: 'parcel',
    need: 'should',
    minutes: 30,
  })
  const note = step({
    id: 'note-before',
    title: 'Before you take it apart: note how it stands',
    why: open ? `${open} of ${NOTED_IDS.length} are not noted yet; the list is below.` : 'All of it is noted.',
    station: 'parts',
    stage: 'parcel',
    minutes: 20,
    befores: build.job === 'rescue' ? [before(test.id, 'heardFirst')] : [],
  })
  const apart = step({
    id: APART,
    title: 'Take it apart, as far as the job asks',
    why: `${toChange(build)}Strings slackened evenly, covers, plates, then what is under them; what belongs together in one bag with its name.`,
    station: 'parts',
    stage: 'parcel',
    // What another one comes for is taken off too.
    slots: parts.map(([slot]) => slot),
    ...(chosenParts(build).some(([, p]) => p.state === 'in place') ? { minutes: 25, times: [10, 60] } : { minutes: 45, times: [20, 120] }),
    picture: 'Every side, and every hollow, before the first screw is out.',
    cautions: ['Slacken the strings before they are cut: a tight one whips. Eyes covered.'],
    befores: [before(note.id, 'notedFirst'), ...(plays(build) ? arrivals.map((s) => before(s.id, 'playsUntilThen')) : [])],
  })
  return [...(build.job === 'rescue' ? [test] : []), note, apart]
}
