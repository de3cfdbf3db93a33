import type { Build } from '../../document/build'
import { isGlued, isJointUntold, isThrough, traitAt } from '../../document/read'
import { CLOSINGS } from '../../finish/closing'
import type { FinishResult } from '../../finish/finishPlan'
import type { CoatPlan } from '../../finish/schedule'
import { groundSays, groundWork, type GroundWork } from '../../finish/ground'
import { filmSymptom } from '../../finish/troubles'
import { coatsBy } from '../../finish/coatGroups'
import { isLastWax, WHOLE, zoneGroups } from '../../finish/zones'
import { takenPart } from '../../instrument/idleParts'
import { SCUFF_GRIT } from '../../finish/stack'
import { isOnStuds } from '../../instrument/vibrato'
import { planResult } from '../../plan/planResult'
import { before } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'
import { daysBetween, sayDay, sayDays } from '../../quantity/days'
import { those } from '../../quantity/words'

/** Sanding after all wood work, each layer after the one below, the rub-out once the film is hard, wax after that. */
export function finishSteps(build: Build, { system, plan, groups, cautions }: FinishResult, earlier: readonly Step[]): Step[] {
  if (!build.parts.body && !build.parts.neck) return []
  const sand = sandStep(build, earlier)
  const sanded = sand ? [sand] : []
  if (!plan) return sanded
  const lastOf = new Map<string, Step>()
  const made = coatsBy(plan.coats, 'step').map(({ id, coats }) => {
    const { group, groupLabel } = coats[0]!
    const layer = groups.find((g) => g.id === group)!.layers.find((l) => l.key === coats[0]!.layer)!
    // What is laid lies behind: the calendar is that of the coats still to come.
    const open = coats.filter((c) => !c.laid)
    const [from, to] = [(open[0] ?? coats[0]!).date, coats.at(-1)!.date]
    const under = lastOf.get(group)
    const one = step({
      id,
      title: `${group === WHOLE ? '' : `${groupLabel}: `}${coats[0]!.label}: ${coats.length} ${coats.length === 1 ? 'coat' : 'coats'}`,
      why: `${sayDays(from, to)}. ${layer.how}`,
      station: 'finish',
      stage: 'film',
      thing: from,
      minutes: open.reduce((sum, c) => sum + c.hands, 0),
      ...(open.length ? { calendar: { from, to } } : {}),
      cautions: [...layer.cautions],
      befores: under ? [before(under.id, 'layerOverLayer')] : sanded.map((s) => before(s.id, 'sandedBeforeFilm')),
    })
    lastOf.set(group, one)
    return {
      one,
      wax: isLastWax(groups.find((g) => g.id === group)!, layer),
    }
  })
  const layers = made.filter((m) => !m.wax).map((m) => m.one)
  const waxes = made.filter((m) => m.wax).map((m) => m.one)
  if (!layers.length) return [...sanded, ...waxes]
  const ends = groups.flatMap((g) => layers.findLast((l) => plan.coats.some((c) => c.group === g.id && c.step === l.id)) ?? [])
  const mends = mendSteps(build)
  const holes = plan.closing === 'rub' ? [sealHoles(build, ends)] : []
  const { closing } = plan
  const { title, minutes, times } = CLOSINGS[closing]
  const rub = step({
    id: 'rub-out',
    title,
    why: `Not before ${sayDay(plan.rubOut)}${system && !build.finish.layers ? `: ${system.rubOut}` : ''}. Counted from the last coat${plan.allLaid ? '' : ' as it is planned'}.${otherwise(plan)}`,
    station: 'finish',
    stage: 'film',
    minutes,
    times,
    ...(closing === 'rub' ? { noisy: true } : {}),
    // What is laid hardens from the day it was laid; what is not laid yet moves with its coats.
    ...(plan.allLaid ? { notBefore: plan.rubOut } : { rest: daysBetween(plan.lastCoat, plan.rubOut) }),
    cautions: closing === 'rub' ? rubCautions(cautions) : [],
    befores: [...[...ends, ...mends].map((s) => before(s.id, 'cureBeforeRub')), ...holes.map((h) => before(h.id, 'holesBeforeWet'))],
  })
  return [...sanded, ...layers, ...holes, ...mends, rub, ...waxes.map((w) => ({ ...w, befores: [before(rub.id, 'waxLast')] }))]
}

/** Does the bridge or a tailpiece stand in bores of its own? */
const onStuds = (build: Build): boolean => takenPart(build, 'tailpiece') !== undefined || isOnStuds(traitAt(build, 'bridge', 'mount'))

const isMountUntold = (build: Build): boolean => takenPart(build, 'bridge') !== undefined && !traitAt(build, 'bridge', 'mount')

/** Only what is cut wet drinks water through its holes. */
const sealHoles = (build: Build, ends: readonly Step[]): Step =>
  step({
    id: 'seal-holes',
    title: `Seal every hole: ${those(['tuners', build.parts.tuners], ['studs', onStuds(build)], ['the bridge’s', isMountUntold(build)], ['screws', true])}`,
    why: 'A drop of sealer or thinned clear in each, on a stick; a bare hole drinks water when the film is sanded wet.',
    station: 'finish',
    stage: 'film',
    minutes: 20,
    cautions: [],
    befores: ends.map((s) => before(s.id, 'coatsBeforeSealing')),
  })

const rubCautions = (cautions: readonly string[]): string[] => [
  'Polishing pads in a drill grab: both hands, edge turning away from you.',
  ...(cautions.some((c) => /dust/i.test(c)) ? ['Lacquer dust burns: no flame, mask, wiped up wet.'] : []),
]

/** " Neck: only buff with a soft cloth." for the groups that ask for less than the whole does. */
const otherwise = ({ closing, groups }: CoatPlan): string =>
  groups
    .filter((g) => g.closing !== closing)
    .map((g) => ` ${g.label}: only ${CLOSINGS[g.closing].title.toLowerCase()}.`)
    .join('')

/** The way back that was taken from each trouble: hands, then its wait. */
function mendSteps(build: Build): Step[] {
  return Object.entries(build.finish.troubles ?? {}).flatMap(([id, t]) => {
    const symptom = filmSymptom(t.symptom)
    const way = symptom?.ways.find((w) => w.id === t.way)
    if (!symptom || !way || way.minutes + way.days === 0) return []
    return [
      step({
        id: `mend-${id}`,
        title: `Mend: ${symptom.label.toLowerCase().replace(/: (.*)$/, ' ($1)')}`,
        why: `${way.says} Costs ${way.cost}.`,
        station: 'finish',
        stage: 'film',
        minutes: way.minutes,
        wait: way.days * 1440,
        cautions: ['Respirator and air where it is sprayed; dust mask where it is sanded dry.'],
      }),
    ]
  })
}

/** What else is seen to before the first coat, by how the neck is held; film in a pocket closes its joint. */
function beforeFilm(build: Build, body: GroundWork | undefined): string[] {
  if (!body || body === 'leave') return []
  const bare = body === 'sand' || body === 'strip'
  if (isThrough(build)) return bare ? ['ease sharp edges'] : []
  // The neck is in before the wood is sanded: there is no pocket any more.
  if (isGlued(build)) return [...(bare ? ['ease sharp edges'] : []), 'every trace of glue off round the neck']
  if (isJointUntold(build)) return []
  return [...(bare ? ['ease sharp pocket edges'] : []), 'mask the pocket']
}

function whyGround(build: Build, works: GroundWork[], body: GroundWork | undefined): string {
  const bare = works.includes('sand') || works.includes('strip')
  const why = [
    bare && isGlued(build) && !isThrough(build) ? 'Paint wears on sharp edges first, and neither stain nor film takes on glue.' : '',
    bare && (!isGlued(build) || isThrough(build)) ? 'Paint wears on sharp edges first.' : '',
    works.includes('scuff') ? 'A new coat holds on a dull face; cut through to the wood, what is there shows as a patch.' : '',
    works.includes('look')
      ? `Raw or not, a drop of water on a hidden place tells: it soaks in and darkens wood, and stands on a film, which is at most scuffed, ${SCUFF_GRIT}. Say it under Parts.`
      : '',
    !body || body === 'leave' || isGlued(build)
      ? ''
      : isJointUntold(build)
        ? 'The pocket’s edges are seen to only once it is said how the neck is held.'
        : 'Film in the pocket closes the joint.',
  ]
  return why.filter(Boolean).join(' ')
}

/** How long the whole of it takes, by the most that is done: minutes, and from least to most. [practice] */
const LONG: Readonly<Record<Exclude<GroundWork, 'leave'>, readonly [minutes: number, least: number, most: number]>> = {
  strip: [240, 120, 480],
  sand: [120, 60, 240],
  look: [120, 30, 240],
  scuff: [40, 20, 90],
}
const MOST = Object.keys(LONG) as (keyof typeof LONG)[]

/** What is done to the faces after all work on the wood, before a coat; nothing where they stay as they came. */
function sandStep(build: Build, earlier: readonly Step[]): Step | undefined {
  const works = groundWork(build, zoneGroups(build))
  const says = groundSays(works)
  const most = MOST.find((work) => Object.values(works).includes(work))
  if (!says || !most) return undefined
  const [minutes, ...times] = LONG[most]
  return step({
    id: 'sand',
    title: [says, ...beforeFilm(build, works.body)].join('; '),
    why: whyGround(build, Object.values(works), works.body),
    station: 'finish',
    stage: 'film',
    minutes,
    times,
    cautions: ['Dust mask (P2 or N95) or extraction. Old finish may hold lead: test before sanding.'],
    befores: earlier
      .filter((s) => s.stage === 'wood' || s.stage === 'trial')
      .map((s) => before(s.id, s.station === 'drill' ? 'holesBeforeFinish' : 'dryFitFirst')),
  })
}

/** First day a coat can go on: when the wood is sanded, by the plan of everything before it. */
export function woodReady(build: Build, earlier: readonly Step[], today: string): string {
  const sand = sandStep(build, earlier)
  if (!sand) return today
  const { steps } = planResult(build, [...earlier, sand], today)
  const planned = steps.find((s) => s.id === sand.id)
  if (planned) return planned.done ? today : (planned.clear ?? today)
  // Left out of this job, it is as good as done once all wood is behind.
  const behind = new Set(sand.befores.map((b) => b.id))
  return steps.reduce((day, s) => (behind.has(s.id) && s.clear && s.clear > day ? s.clear : day), today)
}
