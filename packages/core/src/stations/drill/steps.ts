import type { Build } from '../../document/build'
import { POTS, potSlot, SWITCHES_OF } from '../../instrument/controlPlace'
import type { Slot } from '../../parts/slots'
import type { HoleCard } from '../../drill/holeCard'
import { CONTROL_HOLES } from '../../drill/overOpen'
import { before, parcelsOf, type BECAUSE } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'
import { trialStep } from '../../plan/trial'
import { jobsBefore, sameWork } from './afterJoints'

const SWITCH_HOLES = { switch: ['switch-slot', 'toggle-hole'], 'switch-2': ['switch-slot-2', 'toggle-hole-2'] } as const
/** Which hole is marked by which other one. */
const BY_HOLE: Record<string, readonly string[]> = {
  'neck-screws': ['neck-clearance'],
  'string-holes': ['bridge-screws'],
  'ferrule-bores': ['string-holes'],
  'tail-bores': ['stud-bores'],
  'jack-passage': ['jack-bore', 'route-control'],
  'ground-wire': ['route-control'],
  'tuner-screws': ['tuner-bores'],
  'jack-plate': ['jack-bore'],
  'plate-screws': ['route-control', 'pot-holes', 'jack-hole', ...SWITCHES_OF.flatMap((of) => SWITCH_HOLES[of])],
}

const CONTROLS: readonly Slot[] = [...POTS.map(potSlot), ...SWITCHES_OF]
/** What controls are mounted in, where it is a part. */
const CARRIERS: readonly Slot[] = ['guard', 'control-plate']
/** What a hole's size or place is taken from beside the part that it is for: it is not cut before they can be measured. */
const BY_PARTS: Record<string, readonly Slot[]> = {
  // As deep as the strings over nut and bridge want the neck.
  'route-pocket': ['body', 'bridge', 'nut'],
  'route-control': [...CONTROLS, ...CARRIERS],
  'pot-holes': CONTROLS,
  'plate-screws': [...CONTROLS, 'jack'],
  'switch-slot': CARRIERS,
  'switch-slot-2': CARRIERS,
  'jack-hole': CARRIERS,
  'toggle-hole': CARRIERS,
  'toggle-hole-2': CARRIERS,
}

const BY_BRIDGE: ReadonlySet<string> = new Set(
  ['bridge-screws', 'stud-bores', 'tail-bores', 'string-holes', 'ferrule-bores', 'ground-wire', 'route-vibrato', 'claw-screws'], //
)
const BY_AXIS: ReadonlySet<string> = new Set(['neck-clearance', 'neck-screws'])
const OF_THE_EDGE: ReadonlySet<string> = new Set(['binding-ledge', 'battery-room'])

/**
 * What neck and bridge laid on decide of a hole. Head, rim and what is drilled in the hand have their own places, and the pocket is what the
 * neck is laid in to find them.
 */
function placedBy(c: HoleCard): (keyof typeof BECAUSE)[] {
  if (BY_BRIDGE.has(c.id)) return ['placeBeforeHoles']
  if (BY_AXIS.has(c.id)) return ['axisBeforeScrews']
  return c.side === 'front' && c.id !== 'route-pocket' && !OF_THE_EDGE.has(c.id) ? ['stringsBeforeHoles'] : []
}

/** What sits in the wood itself comes through the top of a hollow that is there. */
const overRoute = (c: HoleCard): readonly string[] => (c.side === 'front' && CONTROL_HOLES.has(c.id) ? ['route-control'] : [])

/** A step for each hole that is to be made, once its part has come and its place is known, what is there needs none; then the trial build. */
export function drillSteps(build: Build, cards: readonly HoleCard[], earlier: readonly Step[]): Step[] {
  const todo = cards.filter((c) => c.work !== 'keep' && c.stands !== 'refused')
  const holes = todo.map((c) => {
    const late = LATE.has(c.id)
    return step({
      id: `drill-${c.id}`,
      title: `${verbOf(c)}: ${c.title.toLowerCase()}`,
      why: c.says,
      station: 'drill',
      stage: late ? 'strings' : 'wood',
      thing: c.id,
      slot: c.slot,
      ...(c.id === 'strap-buttons' ? { need: 'should' as const } : {}),
      minutes: (c.id.startsWith('route-') ? 60 : 10) + 5 * Math.max(1, c.places.length),
      ...(c.with && c.with !== BY_HAND ? { tools: c.with } : {}),
      insteadOf: sameWork(c, earlier),
      cautions: c.cautions,
      // Holes of the head are drilled by hand with the strings on.
      ...(late ? {} : { final: true as const, noisy: true as const, risk: slip(c) * (build.parts[c.slot]?.price ?? SOME_PRICE) }),
      ...(c.id.startsWith('route-') ? { picture: 'A cut like this cannot be undone: a picture of the marked line before it.' } : {}),
      befores: [
        ...parcelsOf([c.slot, ...(BY_PARTS[c.id] ?? [])], earlier),
        // What is placed by neither of them is measured on them all the same.
        ...(placedBy(c).length || c.id === 'route-pocket' ? [] : parcelsOf(['body', 'neck'], earlier)),
        ...placedBy(c).flatMap((reason) => earlier.filter((s) => s.id === 'place').map((s) => before(s.id, reason))),
        ...jobsBefore(c, earlier).map((s) => before(s.id, 'jobBeforeHoles')),
        ...[...(BY_HOLE[c.id] ?? []), ...overRoute(c)]
          .filter((id) => todo.some((t) => t.id === id))
          .map((id) => before(`drill-${id}`, 'holeAfterHole')),
        ...(late ? [before('string-up', 'treeByStrings')] : []),
      ],
    })
  })
  const work = [...cards.filter((c) => c.stands === 'refused').map((c) => putRight(c, earlier)), ...holes]
  return Object.keys(build.parts).length ? [...work, trialStep(build, [...earlier, ...work])] : work
}

/** A hole that must not be made as things are is settled before anything goes over it: left out, the plan would end without it. */
const putRight = (c: HoleCard, earlier: readonly Step[]): Step =>
  step({
    id: `settle-${c.id}`,
    title: `Put right first: ${c.title.toLowerCase()}`,
    why: c.says,
    station: 'drill',
    stage: LATE.has(c.id) ? 'strings' : 'wood',
    thing: c.id,
    slot: c.slot,
    minutes: 15,
    cautions: [],
    befores: jobsBefore(c, earlier).map((s) => before(s.id, 'jobBeforeHoles')),
  })

/** Drilled once strings say where. */
const LATE: ReadonlySet<string> = new Set(['string-tree'])

/** How often a cut of its kind slips: a route, a bore, a pilot hole. [ours] */
const slip = (c: HoleCard): number => (c.id.startsWith('route-') ? 0.05 : /bore|passage/.test(c.id) ? 0.02 : 0.01)
/** What a part is worth that nobody has priced. [ours] */
const SOME_PRICE = 60

const VERB = { keep: 'Try', ream: 'Open up', plug: 'Plug and drill', new: 'Drill' } as const
/** Hollows and ledges are cut by a router; no bit drills them. */
const isCut = (c: HoleCard): boolean => c.id.startsWith('route-') || ['binding-ledge', 'battery-room'].includes(c.id)
function verbOf(c: HoleCard): string {
  if (c.work === undefined) return isCut(c) ? 'Look, then cut' : 'Look, then drill'
  return isCut(c) && c.work === 'new' ? 'Cut' : VERB[c.work]
}
/** Hands are no tool to look out. */
const BY_HAND = 'by hand'
