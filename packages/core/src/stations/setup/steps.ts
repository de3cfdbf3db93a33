import { heightScrewOf, SCREWS } from '../../setup/screws'
import { takenPart } from '../../instrument/idleParts'
import { goesRound } from '../../instrument/guardRound'
import type { Build } from '../../document/build'
import { allInPlace, doneTo } from '../../document/inPlace'
import { hasLockingNut, hasTrussNut, isGlued, isJointUntold, nutWork, traitAt } from '../../document/read'
import { before, CLOSING_PASS, onceFilmIsHard, parcelsOf, refinished, rightBefore } from '../../plan/reasons'
import { step, type Better, type StepNeed, type Step } from '../../plan/step'
import { capital, those } from '../../quantity/words'
import { SLOT_NAMES, type Slot } from '../../parts/slots'
import { PLACES } from '../../instrument/guardPlace'
import { isCarrierUntold, panelOf } from '../../instrument/panel'
import { WITH_HARNESS } from '../../instrument/harnessParts'
import { groundOf } from '../../instrument/stringGround'
import { floats } from '../../setup/floatMove'
import { SAY_NUT } from '../../setup/sayNut'
import { highFrets } from '../../setup/model'
import { strungSo } from './stringing'

const DAY = 24 * 60
/** What the strings run over. */
const STRUNG: readonly Slot[] = ['neck', 'nut', 'bridge', 'strings']

/** Putting the instrument together, then the setup in its order: each number is taken with the one before it right. */
export function setupSteps(build: Build, _: unknown, earlier: readonly Step[]): Step[] {
  if (!Object.keys(build.parts).length) return []
  const polished = onceFilmIsHard(earlier)
  const wired = (id: string) => earlier.some((s) => s.stage === 'wiring' && s.id === id)
  const ground = groundOf(traitAt(build, 'bridge', 'mount'))
  // Whatever is mounted comes off for a new film, and goes on again.
  const stays = (slots: readonly Slot[]) => !refinished(build, earlier) && allInPlace(build, slots)
  const mountedOn = (on: readonly Slot[]) => ({ on, ...(stays(on) ? { inPlace: true as const } : {}) })
  const hung = [...mountedOf(build), ...bareControlPlate(build, wired('harness-in'))]
  const mounted = hung.filter((m) => !stays([m.slot, m.slot === 'tuners' ? 'neck' : 'body']))
  const hardware = step({
    id: 'hardware',
    title: mounted.length ? capital(mounted.map((m) => m.says).join(', ')) : 'Hardware on',
    why: `${mounted.length === 1 ? 'S' : 'Bushings before tuners, so that the posts stand square; s'}crews started in all their holes before one is tightened.`,
    station: 'plan',
    stage: 'hardware',
    slot: 'tuners',
    slots: mounted.map((m) => m.slot),
    on: ['body', 'neck', ...mounted.map((m) => m.slot)],
    ...(hung.length && !mounted.length ? { inPlace: true } : {}),
    minutes: mounted.length === 1 ? 25 : 45,
    befores: [
      ...polished,
      ...rightBefore(
        mounted.map((m) => m.slot),
        earlier,
      ),
      ...(ground === 'stud' && wired('string-ground') ? [before('string-ground', 'groundBeforePosts')] : []),
      ...(ground === 'plate' && wired('string-ground') ? [before('string-ground', 'groundUnderPlate')] : []),
    ],
  })
  const neckOn = step({
    id: 'neck-on',
    ...(isJointUntold(build)
      ? { title: 'Neck on', why: 'By screws, unless it is glued in: then it is there before any finish.' }
      : { title: 'Screw the neck on', why: 'Wax the screws; start all before tightening any.' }),
    station: 'plan',
    stage: 'hardware',
    slot: 'neck',
    slots: ['neck-screws'],
    ...mountedOn(['body', 'neck', 'neck-screws']),
    minutes: 20,
    befores: [...polished, ...rightBefore(['neck', 'neck-screws'], earlier)],
  })
  // What goes on with the guard: everything that is soldered on it, or what hangs from it where a plate carries the controls.
  // While nobody has said whether it carries the controls, they are in by the time it is closed.
  const byGuard = panelOf(build).slot === 'guard'
  const inOne = byGuard && !isCarrierUntold(build)
  const onGuard = byGuard
    ? WITH_HARNESS.filter((slot) => takenPart(build, slot))
    : PLACES.map((place) => `pickup-${place}` as const).filter((slot) => build.parts[slot] && traitAt(build, slot, 'mount') === 'guard')
  const closing = build.parts.guard
    ? [
        step({
          id: 'close-guard',
          title: 'Guard on and closed',
          why: `${goesOver(build, onGuard) ? 'What hangs on the old one goes over to it first, with its wires on. ' : ''}A few screws first; listen once; then the rest.`,
          station: 'plan',
          stage: 'hardware',
          slot: 'guard',
          slots: onGuard,
          ...mountedOn(['body', 'guard', ...onGuard]),
          minutes: 30,
          ...(inOne
            ? { picture: 'The harness as it lies, before it is closed: the next repair begins with it.', better: betterOpen(build) }
            : {}),
          befores: [
            ...polished,
            ...rightBefore(['guard', ...onGuard], earlier),
            ...(wired('meter-check') ? [before('meter-check', 'solderedBeforeClosed')] : []),
            ...(wired('harness-in') ? [before('harness-in', 'solderedBeforeClosed')] : []),
          ],
        }),
      ]
    : []
  const high = highFrets(build)
  const frets = step({
    id: 'level-frets',
    title: high.length ? `Level frets ${high.map((h) => h.fret).join(', ')}` : 'Rock the frets, level what stands high',
    why: high.length
      ? 'What stands high is marked, levelled, rocked again until nothing tips; then crowned and polished.'
      : 'A short edge over every three frets, string by string, the neck straight: nothing tips on a level board.',
    station: 'setup',
    stage: 'hardware',
    slot: 'neck',
    ...doneTo(build, ['neck']),
    need: 'should',
    minutes: high.length ? 120 : 20,
    ...(high.length ? { times: [60, 240] as const, final: true as const } : {}),
    cautions: ['Board taped, pickups covered against filings: magnets hold them for good. Glasses on.'],
    befores: polished,
  })
  const nut = step({
    id: 'nut-on',
    ...NUT_ON[nutWork(build) ?? 'untold'],
    station: 'setup',
    stage: 'hardware',
    slot: 'nut',
    ...doneTo(build, ['nut', 'neck']),
    minutes: 20,
    whole: true,
    befores: [
      ...polished,
      ...parcelsOf(['nut'], earlier),
      ...(build.parts.neck ? [before(frets.id, 'fretsBeforeNut')] : []),
      ...earlier
        .filter((s) => s.station === 'fit' && s.stage === 'hardware' && s.slots?.includes('nut'))
        .map((s) => before(s.id, 'nutSeatedFirst')),
    ],
  })
  const pass = step({
    id: CLOSING_PASS,
    title: 'Closing pass: every screw and nut tight',
    why: `What went on finger-tight is lined up once more and tightened in one go: ${tightened(build)}.`,
    station: 'plan',
    stage: 'hardware',
    ...mountedOn(TIGHT),
    minutes: 15,
    cautions: THIN.some((slot) => build.parts[slot])
      ? ['Rings and thin plates crack under torque: stop where the washer no longer turns.']
      : [],
    befores: [
      before('hardware', 'finger'),
      ...(isGlued(build) ? [] : [before('neck-on', 'finger')]),
      ...(wired('harness-in') ? [before('harness-in', 'finger')] : []),
      ...(build.parts.guard ? [before('close-guard', 'finger')] : []),
    ],
  })
  const strung = step({
    id: 'string-up',
    title: 'String up, stretch, tune',
    why: 'Strings at pitch are what every setup number is taken with.',
    station: 'setup',
    stage: 'strings',
    slot: 'strings',
    on: STRUNG,
    minutes: 30,
    wait: DAY,
    cautions: strungSo(build, earlier),
    befores: [
      before(pass.id, 'tightBeforePull'),
      // How they are wound and cut.
      ...earlier
        .filter((s) => s.station === 'fit' && s.befores.some((b) => b.id === CLOSING_PASS))
        .map((s) => before(s.id, 'woundAsWanted')),
      ...parcelsOf(['strings'], earlier),
      ...(build.parts.nut ? [before('nut-on', 'nutBeforeStrings')] : []),
      ...(wired('string-ground')
        ? [before('string-ground', ground === 'claw' ? 'groundBeforeBridge' : ground === 'stud' ? 'groundBeforePosts' : 'groundUnderPlate')]
        : []),
      // A guard lies under the strings; a hollow at the back can still be opened with them on.
      ...(goesRound(build) || inOne ? [before('close-guard', 'closedBeforeStrings')] : []),
    ],
    ...(!build.parts.guard && wired('meter-check')
      ? { better: [{ id: 'meter-check', why: 'Heard at the jack first; with one string on it is only listened to again.', minutes: 15 }] }
      : {}),
  })
  // A glued neck went in before the finish.
  return [
    hardware,
    frets,
    ...(build.parts.nut ? [nut] : []),
    ...(isGlued(build) ? [] : [neckOn]),
    ...closing,
    pass,
    strung,
    ...adjustments(build, strung, earlier),
  ]
}

/** The numbers in their order: each is taken with the one before it right. */
function adjustments(build: Build, strung: Step, earlier: readonly Step[]): Step[] {
  const line: Step[] = []
  const next = (
    id: string,
    title: string,
    why: string,
    minutes: number,
    more: { thing?: string; cautions?: string[]; need?: StepNeed; on?: readonly Slot[]; inPlace?: true } = {},
  ) => {
    const last = line.at(-1)
    line.push(
      step({
        id,
        title,
        why,
        station: 'setup',
        stage: 'strings',
        on: STRUNG,
        minutes,
        ...more,
        befores: last
          ? [before(last.id, 'setupOrder')]
          : [
              before(strung.id, 'stringsBeforeSetup'),
              ...earlier.filter((s) => s.station === 'fit' && s.stage === 'strings').map((s) => before(s.id, 'setupOrder')),
              ...earlier.filter((s) => s.id === 'drill-string-tree').map((s) => before(s.id, 'treeBeforeSetup')),
            ],
      }),
    )
  }
  next('set-relief', 'Relief', 'Hold at first and last fret, gap over fret 8.', 20, {
    thing: 'relief',
    cautions: hasTrussNut(build) ? [traitAt(build, 'neck', 'truss') ? FORCED : `Where it has a truss rod: ${FORCED.toLowerCase()}`] : [],
  })
  if (floats(build))
    next('set-float', 'Vibrato balance', 'The gap under its back edge by the claw, round by round, retuned between.', 30, {
      thing: 'float',
    })
  if (build.parts.nut) {
    const { title, why, minutes, cautions } = NUT_HEIGHT[nutWork(build) ?? 'untold']
    next('set-nut', title, why, minutes, {
      thing: 'nut',
      need: 'should',
      cautions: [...cautions],
      ...doneTo(build, ['nut', 'neck', 'strings']),
    })
  }
  next('set-action', 'Action', `Outer strings at fret 12, by turns of ${heightBy(build)}; then every fret from 15 up played.`, 20, {
    thing: 'action',
  })
  next('set-intonation', 'Intonation', 'Fret 12 against the open string’s octave, string by string.', 30, {
    thing: 'intonation',
    need: 'should',
  })
  if (Object.keys(build.parts).some((slot) => slot.startsWith('pickup-')))
    next('set-pickups', 'Pickup heights', 'Held at the last fret, string to pole, both ends; then even by ear or level. Tune again.', 20, {
      need: 'should',
      on: [...STRUNG, ...PLACES.map((place) => `pickup-${place}` as const)],
    })
  if (hasLockingNut(build))
    next(
      'lock-nut',
      'Lock the nut',
      'Strings stretched and in tune, fine tuners in the middle of their travel; clamps closed in turn, then tuned by the fine tuners alone.',
      10,
    )
  return line
}

const FORCED = 'Never force a truss nut; slacken strings if it turns hard.'

const SCREWED_DOWN = new Set(['screws', 'string-through', 'six-screw'])

/** Bridges on posts, whose bushings are pressed into the wood. */
const PRESSED_IN = new Set(['two-stud', 'post', 'bar'])

/** What is mounted before the neck and the strings, in the order it goes on, said as this instrument has it. */
function mountedOf(build: Build): { slot: Slot; says: string }[] {
  const mount = traitAt(build, 'bridge', 'mount')
  const all: [Slot, string][] = [
    ['ferrules', 'string ferrules'],
    ['bridge', mount === undefined ? 'bridge' : SCREWED_DOWN.has(mount) ? 'bridge screwed down' : 'bushings and studs'],
    ['tailpiece', 'tailpiece’s studs'],
    ['tuners', 'tuners'],
    ['strap-buttons', 'strap buttons'],
  ]
  return all.filter(([slot]) => takenPart(build, slot)).map(([slot, says]) => ({ slot, says }))
}

/** Is the guard another one than that on which controls and pickups hang? */
const goesOver = (build: Build, onGuard: readonly Slot[]): boolean =>
  !allInPlace(build, ['guard']) && onGuard.some((slot) => allInPlace(build, [slot]))

/** A plate goes on with its harness; by itself where nothing is wired. */
const bareControlPlate = (build: Build, withHarness: boolean): { slot: Slot; says: string }[] =>
  takenPart(build, 'control-plate') && !withHarness ? [{ slot: 'control-plate', says: 'control plate' }] : []

/** What costs minutes once the guard is on: it comes off again, or is covered. [practice; minutes ours] */
const betterOpen = (build: Build): Better[] => [
  {
    id: 'hardware',
    why: PRESSED_IN.has(traitAt(build, 'bridge', 'mount') ?? '')
      ? 'Posts and bushings are pressed in with nothing beside them to be hit.'
      : 'What is driven in meets no guard when the tool slips.',
    minutes: 10,
  },
  { id: 'string-ground', why: 'The ground wire is laid while the hollow is open; otherwise the screws come out again.', minutes: 15 },
  ...(build.parts.neck
    ? [{ id: 'level-frets', why: 'Filings fly to the pickups’ magnets and stay there; otherwise they are covered first.', minutes: 10 }]
    : []),
]

const NUT_ON = {
  filed: { title: 'Nut glued in', why: 'A drop of glue at each end is enough: it has to come off again one day.' },
  whole: {
    title: 'Locking nut screwed on',
    why: 'Its height is set by shims under it: by the first fret, once the frets are level.',
  },
  untold: { title: 'Nut on', why: `${SAY_NUT} The one is screwed on, the other glued.` },
} as const
const NUT_HEIGHT = {
  filed: {
    title: 'Nut slots',
    why: 'What is left over fret 1 held at fret 3, string by string; filed to a tenth, then by feel.',
    minutes: 60,
    cautions: ['Headstock taped. Bone dust: mask.'],
  },
  whole: {
    title: 'Nut height',
    why: 'What is left over fret 1 held at fret 3, the clamps open; more shims under the nut or fewer, its screws tight at each reading.',
    minutes: 30,
    cautions: [],
  },
  untold: {
    title: 'Nut',
    why: `What is left over fret 1 held at fret 3, string by string. ${SAY_NUT}`,
    minutes: 60,
    cautions: ['Where it is filed: headstock taped, mask against the dust of bone.'],
  },
} as const

/** What the action is turned by. */
const heightBy = (build: Build): string => {
  const screw = heightScrewOf(traitAt(build, 'bridge', 'mount'))
  return screw ? `the ${SCREWS[screw].label}s` : 'what the bridge is raised by'
}

/** What is tightened, what it is tightened in, and what pulls at it next. */
const TIGHT = SLOT_NAMES.filter((slot) => slot !== 'knobs')

/** What a screw too tight cracks. */
const THIN = ['ring-neck', 'ring-bridge', 'guard', 'control-plate', 'jack-plate'] as const

/** What is only finger-tight until everything is on. */
const tightened = (build: Build): string => {
  const { parts } = build
  return those(
    ['what holds the neck', isJointUntold(build)],
    ['neck screws by turns and crosswise', !isGlued(build) && !isJointUntold(build)],
    ['tuners', parts.tuners],
    ['bridge', parts.bridge],
    ['pots', parts['pot-volume'] ?? parts['pot-tone']],
    ['jack', parts.jack],
  )
}
