import type { Build } from '../../document/build'
import { allInPlace, doneTo } from '../../document/inPlace'
import { traitAt } from '../../document/read'
import { GROUND_LED_IN } from '../../circuit/bench/feeding'
import type { WireResult } from '../../circuit/bench/wireResult'
import { CONTROL_HOLES } from '../../drill/overOpen'
import { before, onceFilmIsHard, parcelsOf, refinished, rightBefore } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'
import { inHollow, isCarried, isCarrierUntold, panelOf } from '../../instrument/panel'
import { SOLDERED, WITH_HARNESS } from '../../instrument/harnessParts'
import { takenPart } from '../../instrument/idleParts'
import { jackPanel, POTS, potSlot, SWITCHES_OF } from '../../instrument/controlPlace'
import { slotSpec, type Slot } from '../../parts/slots'
import { counted, listed, those } from '../../quantity/words'
import { groundOf, type GroundPlace } from '../../instrument/stringGround'

const CONTROLS: readonly Slot[] = [...POTS.map(potSlot), ...SWITCHES_OF]

const FUMES = ['Solder and flux fumes: ventilate. Leaded solder: wash hands, never eat at the bench. Eyes covered when clipping.']

/** How it is fixed, and what a meter shows of it before there are strings. */
const GROUND: Record<GroundPlace, { title: string; why: string }> = {
  claw: {
    title: 'Solder the string ground to the claw',
    why: 'Before the springs pull it. Claw to sleeve must read under 1 Ω; every string too, once they are on.',
  },
  stud: {
    title: 'Lay the string ground into a stud’s bore',
    why: 'A bare end down the bore, pinched by the bushing: before the bushings go in. Bushing to sleeve must read under 1 Ω; every string too, once they are on.',
  },
  plate: {
    title: 'Lay the string ground under the bridge’s plate',
    why: 'A bare end in its groove, pressed by the plate; paint and lacquer scraped off where it lies. Plate to sleeve must read under 1 Ω; every string too, once they are on.',
  },
}

/** Through a sound hole it is led in before the harness is in the way, and meets it there; a plate's controls never go through one. */
function groundSays(build: Build, ground: GroundPlace): string {
  if (inHollow(build)) return `Before the harness is fed in: ${GROUND_LED_IN[ground]}`
  if (isWayInUntold(build) && panelOf(build).slot !== 'control-plate')
    return 'By which opening the harness goes in nobody has said: say it under Parts. Through a sound hole this wire is led in before it.'
  return GROUND[ground].why
}

function groundStep(build: Build, ground: GroundPlace, earlier: readonly Step[]): Step {
  const on: readonly Slot[] = ['body', 'bridge', ...(ground === 'claw' ? (['springs'] as const) : [])]
  return step({
    id: 'string-ground',
    title: GROUND[ground].title,
    why: groundSays(build, ground),
    station: 'wire',
    stage: 'wiring',
    slot: 'bridge',
    ...(ground === 'claw' ? { slots: ['springs'] as const } : {}),
    ...(refinished(build, earlier) ? { on } : doneTo(build, on)),
    minutes: 15,
    cautions: ground === 'claw' ? FUMES : [],
    befores: [
      ...onceFilmIsHard(earlier),
      ...parcelsOf(
        on.filter((slot) => slot !== 'body'),
        earlier,
      ),
    ],
  })
}

interface Lining {
  title: (hollows: string) => string
  why: string
  minutes: number
  caution: string
}

const LINED: Record<'paint' | 'foil' | 'untold', Lining> = {
  paint: {
    title: (hollows) => `Paint ${hollows} with conductive paint`,
    why: 'Two coats or three, dry between them as the label says; some hundreds of ohm from corner to corner, joined to the sleeve.',
    minutes: 40,
    caution: 'Solvent: air in and out, gloves, no flame.',
  },
  foil: {
    title: (hollows) => `Line ${hollows} with foil`,
    why: 'Overlaps folded or soldered at one place each; a beep from wall to wall and to the sleeve.',
    minutes: 60,
    caution: 'Foil edges cut.',
  },
  untold: {
    title: (hollows) => `Shield ${hollows}`,
    why: 'By foil or by conductive paint: say which under Parts, how it is done hangs on it. Joined to the sleeve either way.',
    minutes: 60,
    caution: 'Foil edges cut; paint’s solvent wants air in and out, gloves, no flame.',
  },
}

const isWayInUntold = (build: Build): boolean => build.parts.body !== undefined && !traitAt(build, 'body', 'access')

/** Nobody lines a whole hollow body. */
const linedHollows = (build: Build): string =>
  inHollow(build) ? 'the pickups’ routes' : isWayInUntold(build) ? 'the hollows' : 'the cavities'

/** Foil or paint in the hollows, once no coat goes over it any more. */
function shieldSteps(build: Build, earlier: readonly Step[]): Step[] {
  if (!build.parts.shielding) return []
  const type = traitAt(build, 'shielding', 'type')
  const { title, why, minutes, caution } = LINED[type === 'paint' || type === 'foil' ? type : 'untold']
  return [
    step({
      id: 'shield',
      title: title(linedHollows(build)),
      why,
      station: 'wire',
      stage: 'wiring',
      slot: 'shielding',
      ...doneTo(build, ['body', 'shielding']),
      need: 'should',
      minutes,
      cautions: [caution],
      befores: [...onceFilmIsHard(earlier), ...parcelsOf(['shielding'], earlier)],
    }),
  ]
}

/** It may sit in what carries the controls, or in the wood. */
const isJackUntold = (build: Build): boolean =>
  isCarried(panelOf(build)) && build.parts.jack !== undefined && traitAt(build, 'jack', 'held') === undefined

function harnessIn(build: Build, earlier: readonly Step[]): Step {
  const panel = panelOf(build)
  const hollow = inHollow(build)
  const ground = groundOf(traitAt(build, 'bridge', 'mount'))
  const way = hollow
    ? `Fed in through the sound hole, in the order that stands under Wire${ground ? ', the string ground soldered to it first' : ''}; nuts dropped on from outside,`
    : isWayInUntold(build)
      ? 'By which opening they go in nobody has said: say it under Parts. Nuts'
      : 'Leads through their passages, then soldered where they had to pass first; nuts'
  const all = [...WITH_HARNESS.filter((slot) => takenPart(build, slot)), ...(isCarried(panel) ? [panel.slot] : [])]
  const slots = refinished(build, earlier) ? all : all.filter((slot) => !allInPlace(build, ['body', slot]))
  const goesIn = (...of: readonly Slot[]) => slots.some((slot) => of.includes(slot))
  return step({
    id: 'harness-in',
    title: `Harness into the body: leads through, ${those(
      ['pickups', goesIn('pickup-neck', 'pickup-middle', 'pickup-bridge')],
      ['controls', !isCarried(panel) && goesIn(...CONTROLS)],
      ['jack', !jackPanel(build) && !isJackUntold(build) && goesIn('jack')],
      [panel.name, isCarried(panel)],
      ['jack', isJackUntold(build) && goesIn('jack')],
    )} in`,
    why: `${way} finger-tight${build.parts.knobs ? ', knobs on' : ''}. At the jack once more, one position: nothing was pulled off.`,
    station: 'wire',
    stage: 'wiring',
    slot: 'pot-volume',
    slots,
    on: ['body', ...slots],
    ...(slots.length ? {} : { inPlace: true }),
    minutes: hollow ? 90 : 45,
    times: hollow ? [60, 240] : [30, 120],
    cautions: FUMES,
    picture: 'The harness as it lies, before it is closed: the next repair begins with it.',
    befores: [
      ...onceFilmIsHard(earlier),
      before('meter-check', 'checkedOutside'),
      ...(hollow && ground ? [before('string-ground', 'groundBeforeFed')] : []),
      ...(build.parts.shielding ? [before('shield', 'shieldedBeforeClosed')] : []),
      ...rightBefore(slots, earlier),
    ],
  })
}

/** Where the harness is soldered, and in what order. */
function soldering(build: Build): { title: string; why: string; minutes: number; times: readonly [number, number] } {
  const soldered = SOLDERED.filter((slot) => build.parts[slot])
  const anew = soldered.filter((slot) => !allInPlace(build, [slot]))
  if (anew.length === soldered.length) return { ...wholeHarness(build), minutes: 120, times: [60, 300] }
  return {
    title: `Solder ${listed(anew.map((slot) => slotSpec(slot).label.toLowerCase()))} into the harness that is there`,
    why: 'What sits on its lugs is noted, then unsoldered, the hot lead and its ground; the rest stays as it is. Under Wire stands which lug; where the harness is another than the one chosen there, its own leads say it.',
    minutes: 15 + 25 * anew.length,
    times: [20, 60 + 60 * anew.length],
  }
}

/** What is left of another wiring comes off first. */
const withLeftovers = <S extends { why: string }>(solder: S, wire: WireResult): S =>
  wire.ok && wire.leftovers.length
    ? { ...solder, why: `First off: ${counted(wire.leftovers.length, 'wire')} of another wiring, named under Wire, Wires. ${solder.why}` }
    : solder

function wholeHarness(build: Build): { title: string; why: string } {
  const panel = panelOf(build)
  const carried = isCarried(panel)
  if (isCarrierUntold(build))
    return {
      title: 'Solder the harness, in wire-list order',
      why: 'Say first under Parts how the controls go in: on the guard all is soldered in one go, in the top leads pass through the wood before that.',
    }
  if (carried && panel.slot === 'guard') {
    const held = traitAt(build, 'jack', 'held')
    const passing = jackPanel(build)
      ? ''
      : `, its wires through their passage first ${held ? 'where it is wider than that' : 'if it has one and is wider than that'}`
    return {
      title: 'Solder the harness on the guard, in wire-list order',
      why: `Capacitor and jumpers, controls, grounds, pickups; the jack last${passing}.`,
    }
  }
  return {
    title: `Solder the harness ${carried ? `on the ${panel.name}` : 'outside the body'}, in wire-list order`,
    why: `${carried ? 'C' : 'On a board with the holes of the body: c'}apacitor and jumpers, controls, grounds; ${jackPanel(build) ? 'jack; pickups' : isJackUntold(build) ? 'pickups, and the jack where it has a bore of its own,' : 'pickups and the jack'} where their wires must pass first. For the test, clips stand in for what has to wait.`,
  }
}

/** The harness and its check, which are work for the days the coats dry; the string ground once hardware may go on. */
export function wireSteps(build: Build, wire: WireResult, earlier: readonly Step[]): Step[] {
  if (!build.parts['pot-volume']) return []
  const ground = groundOf(traitAt(build, 'bridge', 'mount'))
  const panel = panelOf(build)
  const carried = isCarried(panel) && !isCarrierUntold(build)
  // Pickups hang from a guard too, and their leads lie under it; those to a plate or into the wood go through passages first.
  const inOne = carried && panel.slot === 'guard'
  return [
    step({
      id: 'solder',
      ...withLeftovers(soldering(build), wire),
      ...doneTo(build, SOLDERED),
      station: 'wire',
      stage: 'wiring',
      slot: carried ? panel.slot : 'pot-volume',
      cautions: FUMES,
      befores: [
        // Nuts, washers and filed openings of what is soldered are seen to before it is wired.
        ...earlier
          .filter((s) => s.station === 'fit' && s.stage === 'hardware' && SOLDERED.some((slot) => s.slots?.includes(slot)))
          .map((s) => before(s.id, 'seatedBeforeSolder')),
        // A body's holes are drilled long before; a guard's or a plate's may be done beside them.
        ...(isCarried(panel)
          ? earlier
              .filter((s) => s.station === 'drill' && s.thing !== undefined && CONTROL_HOLES.has(s.thing))
              .map((s) => before(s.id, 'holesBeforeHarness'))
          : []),
        // Leads and wires that will not do; what lines a cavity waits for the film and is no part of it.
        ...earlier
          .filter((s) => s.station === 'fit' && s.stage === 'wiring' && !s.befores.some((b) => b.id === 'rub-out'))
          .map((s) => before(s.id, s.thing === 'leads' ? 'leadsBeforeSolder' : 'rightBeforeOn')),
        ...parcelsOf([...(isCarried(panel) ? [panel.slot] : []), ...SOLDERED.filter((slot) => build.parts[slot])], earlier),
      ],
    }),
    ...shieldSteps(build, earlier),
    step({
      id: 'meter-check',
      title: 'Meter check at the jack, every position',
      why: `Each reading inside its band, every position heard with every control, before ${isCarrierUntold(build) ? 'it is closed' : carried ? `the ${panel.name} is closed` : 'anything is closed over it'}.`,
      station: 'wire',
      stage: 'wiring',
      slot: 'jack',
      ...doneTo(build, SOLDERED),
      minutes: 15,
      befores: [
        before('solder', 'solderedBeforeClosed'),
        ...earlier.filter((s) => s.station === 'fit' && s.stage === 'wiring').map((s) => before(s.id, 'solderedBeforeClosed')),
        ...(build.parts.shielding ? [before('shield', 'shieldedBeforeClosed')] : []),
      ],
    }),
    ...(inOne || isCarrierUntold(build) ? [] : [harnessIn(build, earlier)]),
    ...Object.entries(build.circuit.mends ?? {}).map(([id, { says, cure }]) =>
      step({
        id: `mend ${id}`,
        title: `Mend: ${says.replace(/\.$/, '')}`,
        why: `${cure} Then the same test again.`,
        station: 'wire',
        stage: 'wiring',
        slot: 'jack',
        minutes: 15,
        cautions: FUMES,
        befores: [],
      }),
    ),
    ...(ground ? [groundStep(build, ground, earlier)] : []),
  ]
}
