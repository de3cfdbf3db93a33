import type { Build } from '../document/build'
import { chosenParts } from '../document/read'
import type { HoleCard } from '../drill/holeCard'
import type { FinishResult } from '../finish/finishPlan'
import type { Joint } from '../judge/joint'
import { slotSpec } from '../parts/slots'
import type { Before, Step } from '../plan/step'
import { before } from './stages'

interface Sources {
  joints: readonly Joint[]
  holes: readonly HoleCard[]
  finish: FinishResult
}

const DAY = 24 * 60

/** Steps of a build from what it is made of: arrivals, trial build and its jobs, holes, coats, wiring, assembly, setup. */
export function stepsOf(build: Build, { joints, holes, finish }: Sources): Step[] {
  if (!Object.keys(build.parts).length) return []
  const arrivals = arrivalSteps(build)
  const fit = fitSteps(build, joints, arrivals)
  const drill = holes.filter((h) => h.state !== 'refused').map((h) => drillStep(h, build, fit))
  const cut = [...fit, ...drill]
  const coats = finishSteps(finish, cut)
  const wire = wireSteps(build, coats)
  return [...arrivals, ...cut, ...coats, ...wire, ...assemblySteps(build, coats, wire)]
}

const step = (s: Omit<Step, 'cautions' | 'wait' | 'befores'> & Partial<Pick<Step, 'cautions' | 'wait' | 'befores'>>): Step => ({
  cautions: [],
  wait: 0,
  befores: [],
  ...s,
})

/** A sentence used as a heading loses its full stop. */
const asTitle = (sentence: string) => sentence.replace(/\.$/, '')

function arrivalSteps(build: Build): Step[] {
  return chosenParts(build)
    .filter(([, p]) => p.state !== 'in hand')
    .map(([slot, p]) =>
      step({
        id: `arrive-${slot}`,
        title: `${slotSpec(slot).label} in hand: ${p.name}`,
        why: p.arrives
          ? `Promised for ${p.arrives}. Check it against its listing the same day.`
          : 'Not ordered yet. Check it against its listing when it comes.',
        station: 'parts',
        slot,
        thing: slot,
        minutes: 10,
      }),
    )
}

function fitSteps(build: Build, joints: readonly Joint[], arrivals: readonly Step[]): Step[] {
  const arrived = (slots: readonly string[]): Before[] =>
    slots
      .map((s) => `arrive-${s}`)
      .filter((id) => arrivals.some((a) => a.id === id))
      .map((id) => before(id, 'partsFirst'))
  const trial = step({
    id: 'trial-build',
    title: 'Trial build: bare neck in pocket, bridge, guard and controls in place',
    why: 'Everything together once before any finish, then apart again.',
    station: 'fit',
    minutes: 60,
    befores: arrived(['body', 'neck', 'bridge', 'guard']),
  })
  const jobs = joints.flatMap((j) => {
    const planned = Object.entries(build.jobs).filter(([id]) => j.planned.includes(id))
    if (planned.length)
      return planned.map(([id, job]) =>
        step({
          id: `job-${id}`,
          title: asTitle(job.text),
          why: `${j.title}: planned on paper; measure again when it is done.`,
          station: 'fit',
          thing: j.id,
          minutes: 30,
          befores: arrived(j.slots),
        }),
      )
    if (j.verdict !== 'tight' && j.verdict !== 'wont-go') return []
    const [cure] = j.cures
    return [
      step({
        id: `cure-${j.id}`,
        title: asTitle(cure?.job ?? j.says),
        why: `${j.title}: ${j.verdict === 'tight' ? 'tight as it is' : 'won’t go as it is'}.`,
        station: 'fit',
        thing: j.id,
        minutes: 30,
        ...(cure ? { tools: cure.tools.join(', ') } : {}),
        befores: arrived(j.slots),
      }),
    ]
  })
  const unique = jobs.filter((j, i) => jobs.findIndex((o) => o.id === j.id) === i)
  return [
    ...unique,
    { ...trial, befores: [...trial.befores, ...unique.filter((j) => j.id.includes('pocket')).map((j) => before(j.id, 'dryFitFirst'))] },
  ]
}

function drillStep(card: HoleCard, build: Build, fit: readonly Step[]): Step {
  const waits = build.parts[card.slot]?.state !== 'in hand' && build.parts[card.slot] ? [before(`arrive-${card.slot}`, 'partsFirst')] : []
  return step({
    id: `drill-${card.id}`,
    title: `Drill: ${card.title.toLowerCase()}`,
    why: card.says,
    station: 'drill',
    thing: card.id,
    minutes: 10 + 5 * Math.max(1, card.places.length),
    tools: card.tools,
    cautions: card.cautions,
    befores: [...waits, ...fit.filter((f) => f.id === 'trial-build').map((f) => before(f.id, 'placeBeforeHoles'))],
  })
}

function finishSteps(finish: FinishResult, cut: readonly Step[]): Step[] {
  const { system, plan } = finish
  const sand = step({
    id: 'sand',
    title: 'Sand to P180, P240, P320; ease sharp pocket edges; mask the pocket',
    why: 'Paint wears on sharp edges first, and film in the pocket closes the joint.',
    station: 'finish',
    minutes: 120,
    cautions: ['Dust mask (P2 or N95) or extraction. Old finish may hold lead: test before sanding.'],
    befores: cut.map((c) => before(c.id, c.station === 'drill' ? 'holesBeforeFinish' : 'dryFitFirst')),
  })
  if (!plan) return [sand]
  const layers = new Map<string, { first: string; last: string; count: number; label: string; hands: number }>()
  for (const c of plan.coats) {
    const l = layers.get(c.layer)
    layers.set(c.layer, {
      first: l?.first ?? c.date,
      last: c.date,
      count: (l?.count ?? 0) + 1,
      label: c.label,
      hands: (l?.hands ?? 0) + c.hands,
    })
  }
  let last = sand.id
  const coats = [...layers].map(([name, l]) => {
    const s = step({
      id: `coats-${name}`,
      title: `${l.label}: ${l.count} coats`,
      why: `${l.first} to ${l.last}, ${system.label.toLowerCase()}.`,
      station: 'finish',
      thing: name,
      minutes: l.hands,
      // Spread over evenings by the coat calendar; the wait is what the calendar takes beyond the hands.
      wait: 0,
      cautions: system.cautions,
      befores: [before(last, 'dryFitFirst')],
    })
    last = s.id
    return s
  })
  const rub = step({
    id: 'rub-out',
    title: 'Rub out and polish',
    why: `Not before ${plan.rubOut}: ${system.rubOut}.`,
    station: 'finish',
    minutes: 150,
    cautions: ['Polishing pads in a drill grab: both hands, edge turning away from you.'],
    befores: [before(last, 'cureBeforeRub')],
  })
  return [sand, ...coats, rub]
}

function wireSteps(build: Build, coats: readonly Step[]): Step[] {
  if (!build.parts['pot-volume']) return []
  const fumes = ['Solder and flux fumes: ventilate. Leaded solder: wash hands, never eat at the bench. Eyes covered when clipping.']
  const harness = step({
    id: 'solder',
    title: 'Solder the harness on the guard, in wire-list order',
    why: 'Capacitor and jumpers, controls, grounds, pickups, the jack last.',
    station: 'wire',
    minutes: 120,
    cautions: fumes,
  })
  const test = step({
    id: 'meter-check',
    title: 'Meter check at the jack, every position',
    why: 'Each reading inside its band before the guard is closed.',
    station: 'wire',
    minutes: 15,
    befores: [before('solder', 'solderedBeforeClosed')],
  })
  const claw = step({
    id: 'string-ground',
    title: 'Solder the string ground to the claw',
    why: 'Strings to sleeve must read under 1 Ω.',
    station: 'wire',
    minutes: 15,
    cautions: fumes,
    befores: coats.slice(-1).map((c) => before(c.id, 'polishBeforeHardware')),
  })
  return [harness, test, claw]
}

function assemblySteps(build: Build, coats: readonly Step[], wire: readonly Step[]): Step[] {
  const polished = coats.slice(-1).map((c) => before(c.id, 'polishBeforeHardware'))
  const has = (id: string) => wire.some((w) => w.id === id)
  const steps = [
    step({
      id: 'hardware',
      title: 'Bushings and studs, tuners, nut',
      why: 'Ferrules before tuners, so that the posts stand square.',
      station: 'plan',
      minutes: 45,
      befores: polished,
    }),
    step({
      id: 'neck-on',
      title: 'Screw the neck on',
      why: 'Wax the screws; start all before tightening any.',
      station: 'plan',
      minutes: 20,
      befores: polished,
    }),
    ...(build.parts.guard
      ? [
          step({
            id: 'close-guard',
            title: 'Guard on and closed',
            why: 'A few screws first; listen once; then the rest.',
            station: 'plan',
            minutes: 30,
            befores: [...polished, ...(has('meter-check') ? [before('meter-check', 'solderedBeforeClosed')] : [])],
          }),
        ]
      : []),
    step({
      id: 'string-up',
      title: 'String up, stretch, tune',
      why: 'Strings at pitch are what every setup number is taken with.',
      station: 'setup',
      minutes: 30,
      wait: DAY,
      befores: [
        before('hardware', 'polishBeforeHardware'),
        before('neck-on', 'polishBeforeHardware'),
        ...(has('string-ground') ? [before('string-ground', 'groundBeforeBridge')] : []),
      ],
    }),
  ]
  const setup: [string, string, string, number][] = [
    ['set-relief', 'Relief', 'Hold at first and last fret, gap over fret 8.', 20],
    ['set-action', 'Action', 'Outer strings at fret 12, by turns of the studs or saddles.', 20],
    ['set-intonation', 'Intonation', 'Fret 12 against the open string’s octave, string by string.', 30],
  ]
  let last = 'string-up'
  for (const [id, title, why, minutes] of setup) {
    steps.push(
      step({
        id,
        title,
        why,
        station: 'setup',
        thing: id.slice(4),
        minutes,
        cautions: id === 'set-relief' ? ['Never force a truss nut; slacken strings if it turns hard.'] : [],
        befores: [before(last, last === 'string-up' ? 'stringsBeforeSetup' : 'setupOrder')],
      }),
    )
    last = id
  }
  return steps
}
