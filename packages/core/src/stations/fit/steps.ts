import { mouthOf } from '../../instrument/neckWords'
import { wordOf } from '../../judge/verdict'
import { effectsOf, type Build } from '../../document/build'
import { allInPlace, doneTo } from '../../document/inPlace'
import { isGlued, isJointUntold, isThrough } from '../../document/read'
import { JOINT_KINDS } from '../../fit/jointKinds'
import { existsIn } from '../../fit/kind'
import { oneCut } from '../../fit/oneCut'
import { throughFinish } from '../../finish/ground'
import { isAnother } from '../../judge/another'
import type { Cure, Joint } from '../../judge/joint'
import { before, CLOSING_PASS, parcelsOf, rightBefore } from '../../plan/reasons'
import { step, type Stage, type Step } from '../../plan/step'
import { TRIAL } from '../../plan/trial'
import { listed } from '../../quantity/words'
import { isForStringing, stageOfCure, stageOfPlanned } from './jobStage'

/** Foil or paint in a hollow. */
const LINING = /\b(line both|foil|shield|conductive paint)\b/i

/** The card by which the neck's pocket is cut. */
const POCKET = 'route-pocket'

/** A sentence used as a heading loses its full stop. */
const asTitle = (sentence: string) => sentence.replace(/\.$/, '')

/**
 * Jobs planned on paper, cures of what will not go as it is, and the neck and bridge laid on the body: their place is what holes are marked by.
 */
export function fitSteps(build: Build, joints: readonly Joint[], earlier: readonly Step[]): Step[] {
  if (!Object.keys(build.parts).length) return []
  const told = new Set<string>()
  const jobs = onceEach(
    joints
      .flatMap((joint) => jobsOf(build, joint, earlier).map((job) => ({ joint, ...job })))
      .filter(({ job }) => !told.has(job.id) && told.add(job.id)),
  )
  const place = step({
    id: 'place',
    title: `${isThrough(build) ? 'Bridge' : 'Neck in its pocket, bridge'} laid on: axis, place and height`,
    why: `Two strings or threads from nut to bridge show the axis; the bridge’s place is taken from ${mouthOf(build)} and from fret 12, and both must agree. Holes are marked by it.`,
    station: 'fit',
    stage: 'trial',
    slot: 'neck',
    ...doneTo(build, ['body', 'neck', 'bridge']),
    minutes: 30,
    befores: [
      ...parcelsOf(['body', 'neck', 'bridge'], earlier),
      ...jobs.filter(({ joint }) => joint.seatsNeck).map(({ job }) => before(job.id, 'seatBeforePlace')),
      // Where the pocket is still to be cut, or to be settled first.
      ...(isThrough(build) ? [] : ['drill', 'settle']).map((todo) => before(`${todo}-${POCKET}`, 'pocketBeforePlace')),
    ],
  })
  const glued = step({
    id: 'neck-on',
    title: 'Glue the neck in',
    why: 'Clamps and a block shaped to the board made ready and tried dry; glue on both faces, clamp, wipe what squeezes out with a damp rag.',
    station: 'fit',
    stage: 'wood',
    slot: 'neck',
    ...doneTo(build, ['body', 'neck']),
    minutes: 45,
    wait: 24 * 60,
    final: true,
    whole: true,
    picture: 'Clamped dry, from the side and from above: how it stood is seen in it afterwards.',
    cautions: ['Read the glue’s label for open time, clamping time and warmth.'],
    befores: [
      before(TRIAL, 'dryBeforeGlue'),
      ...rightBefore(
        ['neck'],
        jobs.map(({ job }) => job),
      ),
    ],
  })
  const asked = step({
    id: 'tell-joint',
    title: 'Say under Parts how the neck is held: by screws or by glue',
    why: 'Glued in, it is there before any coat goes on; held by screws, it goes on after it and its pocket is kept free of film.',
    station: 'parts',
    stage: 'wood',
    thing: 'neck',
    slot: 'neck',
    minutes: 1,
    befores: [],
  })
  // Where the trial build or the sanding is behind, its place was found before this step was asked for.
  const found = build.steps.place === undefined && (build.steps[TRIAL] ?? build.steps.sand) !== undefined
  return [
    ...named(jobs),
    ...(found ? [] : [place]),
    ...(isJointUntold(build) ? [asked] : []),
    ...(build.parts.body && build.parts.neck && isGlued(build) && !isThrough(build) ? [glued] : []),
  ]
}

interface Work {
  joint: Joint
  job: Step
  cure?: Cure
}

/** Each piece of work once, and for which other joints it is. */
const onceEach = (works: readonly Work[]): Work[] =>
  oneCut(works, (w) => w.cure).map(({ work, others }): Work => {
    if (!others.length) return work
    const need = [work, ...others].some(({ job }) => job.need === 'must') ? 'must' : work.job.need
    const why = `${work.job.why} The same is asked for by ${listed(others.map(({ joint }) => joint.title.replace(/^./, (c) => c.toLowerCase())))}.`
    return { ...work, job: { ...work.job, need, why } }
  })

/** Two jobs in the same words are told apart by the joint they are for. */
function named(jobs: readonly { joint: Joint; job: Step }[]): Step[] {
  const times = new Map<string, number>()
  for (const { job } of jobs) times.set(job.title, (times.get(job.title) ?? 0) + 1)
  return jobs.map(({ joint, job }) => (times.get(job.title)! > 1 ? { ...job, title: `${job.title}: ${joint.title.toLowerCase()}` } : job))
}

/** The wood a cure cuts: what gives way, or what is plugged and drilled anew. */
function workedOn(j: Joint, cure: Cure): readonly string[] {
  const wood = j.slots.filter((slot) => slot === 'body' || slot === 'neck')
  return cure.gives === 'nothing' && wood.length === 1 && /^(or )?(plug|drill|ream)\b/i.test(cure.job) ? wood : [cure.gives]
}

/** Done as they go on, which has its own minutes. */
const WITH_THE_STRINGS = { minutes: 5, times: [2, 15] } as const
/** Another part is looked for and ordered; until it is chosen nobody has a day for it. */
const TO_GET = { minutes: 10, times: [5, 60], undated: 'not ordered' } as const
const gotFirst = (cure: Cure | undefined): string =>
  cure === undefined || !isAnother(cure)
    ? ''
    : cure.toGet
      ? 'Not here yet: it has no day before it is ordered.'
      : 'Not here yet: what is chosen under Parts has its day in the plan.'

/** A way that is still to be found may go through the wood where the joint is made of it. */
const unsettledStage = (j: Joint): Stage => (j.slots.includes('body') || j.slots.includes('neck') ? 'wood' : 'hardware')

/** How long it takes, where that is not half an hour. */
function handsOf(cure: Cure | undefined, title: string): Partial<Step> {
  if (isForStringing(title)) return WITH_THE_STRINGS
  if (cure && isAnother(cure)) return TO_GET
  return cure?.minutes === undefined ? {} : { minutes: cure.minutes, times: [Math.ceil(cure.minutes / 3), 3 * cure.minutes] }
}

/** The cure that a job planned on paper was, as the joint would tell it without; nothing where it tells it no more. */
function cureBehind(build: Build, id: string): Cure | undefined {
  const kind = JOINT_KINDS.find((k) => id.startsWith(`${k.id}/`))
  if (!kind || !existsIn(kind, build)) return undefined
  const { [id]: _, ...jobs } = build.jobs
  return kind.find({ ...build, jobs }).cures.find((cure) => id === `${kind.id}/${cure.id}`)
}

function jobsOf(build: Build, j: Joint, earlier: readonly Step[]): Omit<Work, 'joint'>[] {
  const common = { station: 'fit', thing: j.id, slots: j.slots, minutes: 30, times: [10, 90] as const } as const
  // What is done to the strings wants strings, how they are put on is known before; and what lines a hollow waits until no coat goes over it.
  const waits = (stage: Stage, title: string) => [
    ...parcelsOf(j.slots, earlier),
    ...(stage === 'strings'
      ? [isForStringing(title) ? before(CLOSING_PASS, 'tightBeforePull') : before('string-up', 'stringsBeforeSetup')]
      : []),
    ...(stage === 'wiring' && LINING.test(title) ? [before('rub-out', 'liningAfterFilm')] : []),
  ]
  if (j.planned.length)
    return j.planned.map((id) => {
      const [stage, title] = [stageOfPlanned(build.jobs[id]!), asTitle(build.jobs[id]!.text)]
      const cure = cureBehind(build, id)
      const another = cure !== undefined && isAnother(cure)
      const job = step({
        ...common,
        ...handsOf(cure, title),
        id: `job-${id}`,
        stage,
        title,
        why: [`${j.title}: planned on paper; measure again when it is done.`, gotFirst(cure)].filter(Boolean).join(' '),
        cautions:
          stage === 'wood'
            ? throughFinish(
                build,
                effectsOf(build.jobs[id]!).map((e) => e.slot),
              )
            : [],
        befores: another ? [] : waits(stage, title),
      })
      return { job }
    })
  if (j.verdict !== 'tight' && j.verdict !== 'wont-go') return []
  const [cure] = j.cures
  // To leave it as it is is no work, nor is the order in which other work is done.
  if (cure && /^(or )?(leave it|thread the wires first|lead the wires along)/i.test(cure.job)) return []
  const [stage, title] = [cure ? stageOfCure(cure) : unsettledStage(j), cure ? asTitle(cure.job) : `Find a way: ${j.title.toLowerCase()}`]
  // Both are in place: it went together, and nothing of it is taken apart.
  if (stage !== 'strings' && allInPlace(build, j.slots)) return []
  const effects = cure?.plan ? effectsOf(cure.plan) : []
  const another = cure !== undefined && isAnother(cure)
  return [
    {
      ...(cure ? { cure } : {}),
      job: step({
        ...common,
        ...handsOf(cure, title),
        id: `cure-${j.id}`,
        stage,
        title,
        // Wood is not worked on any more once a film lies on it.
        need: j.verdict === 'tight' && stage !== 'wood' && !cure?.must ? 'should' : 'must',
        why: cure
          ? [`${j.title}: ${wordOf(j.verdict, j.condition)} as it is.`, cure.how, gotFirst(cure)].filter(Boolean).join(' ')
          : j.says,
        // For another it is not waited until the one that will not do has come.
        befores: another ? [] : waits(stage, title),
        cautions: cure && stage === 'wood' ? throughFinish(build, workedOn(j, cure)) : [],
        ...(cure ? { tools: cure.tools.join(', ') } : {}),
        ...(effects.length ? { alters: effects.map(({ slot, size }) => ({ slot, size })) } : {}),
      }),
    },
  ]
}
