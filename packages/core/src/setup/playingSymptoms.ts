import { hasSprings } from '../instrument/vibrato'
import type { Build } from '../document/build'
import { hasLockingNut, nutWork, hasTrussNut, isGlued, isThrough } from '../document/read'
import { printMm } from '../quantity/length'
import * as speaks from './playingEvidence'

/** What brings it about, and what cures it. */
export interface PlayingCause {
  id: string
  says: string
  cure: string
  /** How usual it is among its kind, before anything is known. [ours] */
  usual: number
  /** What in the build's own readings speaks for it. */
  speaks?: (build: Build) => string | undefined
  /** Only where the instrument has it. */
  only?: (build: Build) => boolean
}

/** A thing to do and a thing to look for. */
export interface PlayingCheck {
  id: string
  asks: string
  /** The same where it hangs on the instrument. */
  asksOf?: (build: Build) => string
  minutes: number
  /** Causes with which the answer is yes. */
  shows: readonly string[]
}

export interface PlayingSymptom {
  id: string
  label: string
  causes: readonly PlayingCause[]
  checks: readonly PlayingCheck[]
}

const cause = (id: string, usual: number, says: string, cure: string, more: Pick<PlayingCause, 'speaks' | 'only'> = {}): PlayingCause => ({
  id,
  says,
  cure,
  usual,
  ...more,
})
const check = (id: string, minutes: number, asks: string, ...shows: string[]): PlayingCheck => ({ id, asks, minutes, shows })
const reliefGap = (asks: (mm: string) => string, minutes: number, ...shows: string[]): PlayingCheck => ({
  ...check('gap-8', minutes, asks('what is wanted'), ...shows),
  asksOf: (build) => asks(`${printMm(speaks.heavyRelief(build))} mm`),
})
const vibrato = { only: hasSprings }
const bolted = { only: (b: Build) => !isGlued(b) }
const glued = { only: isGlued }
const isNutUntold = (b: Build) => b.parts.nut !== undefined && !nutWork(b)
const filed = { only: (b: Build) => !hasLockingNut(b) && !isNutUntold(b) }
const unsaid = { only: isNutUntold }
const notClamped = { only: (b: Build) => !hasLockingNut(b) }
const clamped = { only: hasLockingNut }
const turned = { only: hasTrussNut }
const unturned = { only: (b: Build) => !hasTrussNut(b) }
/** Whether it is filed or set as a whole nobody has said. */
const SEE_NUT = 'See Nut: it asks first what nut it is.'
/** Of a neck that nothing turns. */
const LIGHTER = 'Lighter strings let it straighten: nothing on this neck turns. See Relief.'
const HEAVIER = 'Heavier strings pull it forward: nothing on this neck turns. See Relief.'

/** Troubles at playing, in people's words; causes, checks and cures [practice]; how usual each is [ours]. */
export const PLAYING_SYMPTOMS: readonly PlayingSymptom[] = [
  {
    id: 'rattle',
    label: 'Rattles like a spring',
    causes: [
      cause('springs', 5, 'vibrato springs ring along', 'Foam or felt between springs and body, or heat-shrink over them.', vibrato),
      cause(
        'saddle-spring',
        3,
        'a spring or a loose screw on a saddle',
        'Turn its length screw until the spring is tight; a drop of wax or thread lock.',
      ),
      cause('tuner', 3, 'a bushing, nut or button of a tuner is loose', 'Tighten it by hand, not more.'),
      cause(
        'cover',
        2,
        'a cover, a plate or something turned on a shaft hums along',
        'A shim of felt under it, or its screw a little tighter.',
      ),
      cause('truss', 1, 'the truss rod is slack in its channel', 'A quarter turn tighter, and watch the relief.', {
        ...turned,
        speaks: speaks.slackRod,
      }),
      cause('string-end', 2, 'a string’s end or ball end buzzes', 'Clip the end, seat the ball.'),
    ],
    checks: [
      check('palm-springs', 1, 'Palm flat on the springs’ cover or on the springs: does it stop?', 'springs'),
      check('touch-head', 1, 'A finger on each tuner in turn while it sounds: does it stop?', 'tuner', 'string-end'),
      check('touch-saddle', 2, 'A screwdriver’s tip lightly on each saddle: does it stop?', 'saddle-spring'),
      check('tap', 1, 'Knock on the neck’s back with strings damped: does it rattle?', 'truss', 'tuner'),
      check('unplugged', 1, 'Is it heard without the amplifier, and gone with covers and plates held down?', 'cover'),
    ],
  },
  {
    id: 'one-fret',
    label: 'Buzzes on one fret',
    causes: [
      cause(
        'high',
        6,
        'the next fret stands high',
        'Rock it; press or tap it down if it is loose, else level, crown and polish that one.',
        { speaks: speaks.rocks },
      ),
      cause('worn', 3, 'the fret itself is worn under that string', 'Level all a little, or a new fret.'),
      cause('loose', 2, 'a fret’s end has lifted', 'A drop of thin glue, pressed down until it holds.'),
      cause('action', 2, 'the strings lie lower there than the frets allow', 'See the buzz map: raise the action by what it lacks.', {
        speaks: speaks.buzzes,
      }),
    ],
    checks: [
      check('rocker', 3, 'A short edge over the fret and its two neighbours: does it rock?', 'high', 'loose'),
      check('press', 1, 'Press the fret’s end with a stick while you play it: is it gone?', 'loose'),
      check('look', 1, 'Is there a flat or a groove under that string?', 'worn'),
      check('others', 2, 'Do its neighbours on the same string buzz a little too when you play harder?', 'action'),
    ],
  },
  {
    id: 'open-buzz',
    label: 'Buzzes open only',
    causes: [
      cause('slot-low', 6, 'the nut’s slot is too deep', 'Fill it or shim the nut: see Nut.', { ...filed, speaks: speaks.lowSlots }),
      cause('untold-low', 6, 'the string lies too low in the nut', SEE_NUT, { ...unsaid, speaks: speaks.lowSlots }),
      cause('nut-low', 6, 'the nut stands too low', 'A shim under all of it: see Nut.', { ...clamped, speaks: speaks.lowSlots }),
      cause(
        'slot-shape',
        3,
        'the slot slopes back or is wider than the string: it rings in the slot',
        'Its highest point at the front; file the floor towards the tuner.',
        filed,
      ),
      cause('bow', 2, 'the neck bows back', 'A quarter turn looser: see Relief.', { ...turned, speaks: speaks.backBow }),
      cause('bow-fixed', 2, 'the neck bows back', HEAVIER, { ...unturned, speaks: speaks.backBow }),
      cause('behind', 2, 'the string sings behind the nut', 'A tree, or a bit of felt behind the nut.'),
    ],
    checks: [
      check('damp-behind', 1, 'Damp the strings behind the nut: is it gone?', 'behind'),
      check('hold-3', 1, 'Held at fret 3: does the string touch fret 1?', 'slot-low', 'nut-low', 'untold-low'),
      check('capo', 2, 'Held down at fret 1: does it buzz on still?', 'bow', 'bow-fixed'),
      check('push-slot', 1, 'A finger pressing the string into its slot: is it gone?', 'slot-shape'),
    ],
  },
  {
    id: 'all-buzz',
    label: 'Buzzes nearly everywhere',
    causes: [
      cause('low', 5, 'the action is low for this hand', 'Raise it, or play softer: the buzz map shows what it needs.', {
        speaks: speaks.buzzes,
      }),
      cause('bow', 4, 'the neck is straight or bows back', 'Relief first: a quarter turn looser.', { ...turned, speaks: speaks.backBow }),
      cause('bow-fixed', 4, 'the neck is straight or bows back', HEAVIER, { ...unturned, speaks: speaks.backBow }),
      cause('fallen', 2, 'the vibrato has sunk: strings were changed, or a spring slipped', 'Balance first, then the action.', vibrato),
      cause(
        'hump',
        2,
        'the board rises where the neck meets the body',
        'Level the last frets down, or a thinner shim in the pocket.',
        bolted,
      ),
      cause('hump-glued', 2, 'the board rises where the neck meets the body', 'Level the last frets down.', glued),
    ],
    checks: [
      check('low-frets', 1, 'Is it worse on the first five frets than higher up?', 'bow', 'bow-fixed'),
      check('high-frets', 1, 'Is it worse from fret 12 up?', 'hump', 'hump-glued', 'low'),
      check('gap', 2, 'Is the gap under the bridge’s back edge smaller than it was?', 'fallen'),
      check('soft', 1, 'Is it gone when you play softly?', 'low'),
    ],
  },
  {
    id: 'arm',
    label: 'The arm sticks or the pitch stays off after it',
    causes: [
      cause('nut', 5, 'strings hang in the nut', 'Polish and widen the slots a hair, graphite in them.', {
        only: (b) => hasSprings(b) && !hasLockingNut(b),
        speaks: speaks.hangsAtNut,
      }),
      cause(
        'clamp',
        3,
        'a string slips in a clamp',
        'The nut’s clamps closed tighter; at the bridge, the string’s end square in its jaw.',
        {
          only: (b) => hasSprings(b) && hasLockingNut(b),
        },
      ),
      cause('edge', 3, 'knife edges or their studs are notched', 'Smooth or replace; never adjust studs at full pull.', {
        ...vibrato,
        speaks: speaks.hangsAtBridge,
      }),
      cause('rub', 3, 'the block or a spring rubs on the wood', 'Find the shiny place; free it.', vibrato),
      cause(
        'stretch',
        4,
        'strings are not stretched, or slip at the posts',
        'Stretch, tune, three times; two turns on the post at most.',
        vibrato,
      ),
      cause('socket', 2, 'the arm’s own socket binds or is loose', 'Clean its thread, a washer or tape on it.', vibrato),
    ],
    checks: [
      check('dive', 4, 'Tuned, arm down and let go: are single strings off and the others home?', 'nut', 'clamp'),
      check('all-flat', 4, 'Are all strings off alike, and a push on the arm brings them home?', 'edge', 'rub'),
      check('tick', 1, 'Does the nut tick when you tune slowly?', 'nut'),
      check('hand', 2, 'Without strings pulling, does the plate swing freely by hand?', 'socket', 'stretch', 'nut'),
      check('new', 1, 'Are the strings younger than a day?', 'stretch'),
    ],
  },
  {
    id: 'stiff-low',
    label: 'Hard to press, sharp on the first frets',
    causes: [
      cause('slot-high', 6, 'the nut’s slots are too high', 'File them: see Nut.', { ...filed, speaks: speaks.highSlots }),
      cause('untold-high', 6, 'the strings lie too high in the nut', SEE_NUT, { ...unsaid, speaks: speaks.highSlots }),
      cause('nut-high', 6, 'the nut stands too high', 'Shims out, or its shelf deeper: see Nut.', { ...clamped, speaks: speaks.highSlots }),
      cause('relief', 3, 'too much relief', 'A quarter turn tighter: see Relief.', { ...turned, speaks: speaks.muchRelief }),
      cause('relief-fixed', 3, 'too much relief', LIGHTER, { ...unturned, speaks: speaks.muchRelief }),
      cause('gauge', 2, 'strings are heavier than the hand likes', 'A lighter set: see Strings, then relief and balance again.'),
    ],
    checks: [
      check('hold-3', 1, 'Held at fret 3: can you see daylight over fret 1?', 'slot-high', 'nut-high', 'untold-high'),
      check('capo', 1, 'With a clamp at fret 1, is it easy?', 'slot-high', 'nut-high', 'untold-high'),
      reliefGap((mm) => `Held at first and last fret: is the gap over fret 8 more than ${mm}?`, 2, 'relief', 'relief-fixed'),
    ],
  },
  {
    id: 'at-stop',
    label: 'The bridge is at its stop and the strings are still high',
    causes: [
      cause('angle', 6, 'the neck stands too flat in its pocket', 'A tapered shim at the pocket’s end: see Action for how thick.', {
        ...bolted,
        speaks: speaks.stillHigh,
      }),
      cause(
        'angle-glued',
        4,
        'the neck was glued in too flat, or has come forward since',
        'Lower saddles or a lower bridge first; else the joint is opened by steam and set anew, which is a workshop’s job.',
        { only: (b) => isGlued(b) && !isThrough(b), speaks: speaks.stillHigh },
      ),
      cause(
        'angle-through',
        4,
        'the neck was built too flat to the body, or has come forward since',
        'Lower saddles or a lower bridge first; else frets out, the board planed and fretted anew, which is a workshop’s job.',
        { only: isThrough, speaks: speaks.stillHigh },
      ),
      cause('relief', 3, 'too much relief', 'Tighten first: it takes half of itself off the action.', {
        ...turned,
        speaks: speaks.muchRelief,
      }),
      cause('relief-fixed', 3, 'too much relief', LIGHTER, { ...unturned, speaks: speaks.muchRelief }),
      cause('float', 3, 'the vibrato stands up', 'Balance it: half to three quarters of the gap is at the saddle.', {
        ...vibrato,
        speaks: speaks.floatsHigh,
      }),
      cause('pocket', 2, 'dust, film or an old shim under the heel’s front', 'Neck off, look, clean.', bolted),
    ],
    checks: [
      reliefGap((mm) => `Is the gap over fret 8 more than ${mm}, held at first and last fret?`, 2, 'relief', 'relief-fixed'),
      check('edge', 1, 'Does the back edge stand more than 2 mm off the body?', 'float'),
      check(
        'straight',
        3,
        'A long straight edge on the frets: does it land under the lowest place of the saddles?',
        'angle',
        'angle-glued',
        'angle-through',
        'pocket',
      ),
      check('heel', 15, 'With the neck off: is there anything in the pocket’s mouth?', 'pocket'),
    ],
  },
  {
    id: 'drifts',
    label: 'Will not stay in tune',
    causes: [
      cause('stretch', 6, 'new strings settle', 'Stretch and tune until they stay.'),
      cause('nut', 4, 'strings hang in the nut', 'Polish and widen the slots a hair, graphite.', {
        ...notClamped,
        speaks: speaks.hangsAtNut,
      }),
      cause('clamp', 3, 'a string slips in the nut’s clamp', 'Close it tighter; the string lies square under it.', clamped),
      cause('post', 3, 'the string slips on its post', 'Wind it new: two or three turns downwards, locked under itself.'),
      cause('screw', 2, 'a tuner’s or the neck’s screw is loose', 'Tighten it; snug is enough.', bolted),
      cause('screw-glued', 2, 'a tuner’s screw is loose', 'Tighten it; snug is enough.', glued),
      cause('weather', 2, 'the room changed', 'Leave it a day in the room; relief again.'),
      cause('balance', 2, 'the vibrato has no stable rest', 'See its tab: more or stiffer springs, or lay it down.', {
        ...vibrato,
        speaks: speaks.runsAway,
      }),
    ],
    checks: [
      check('new', 1, 'Are the strings younger than a day?', 'stretch'),
      check('tick', 1, 'Does the nut tick when you tune slowly?', 'nut'),
      check('one', 2, 'Is it always the same string?', 'post', 'nut', 'clamp', 'screw', 'screw-glued'),
      check('wiggle', 1, 'Does the neck or a tuner give when you push it?', 'screw', 'screw-glued'),
      check('all', 2, 'Do all of them drift the same way, day by day?', 'weather'),
      check('arm', 2, 'Does each round of tuning put the others further off?', 'balance'),
    ],
  },
  {
    id: 'sharp-up',
    label: 'In tune open, out of tune up the neck',
    causes: [
      cause('saddle', 6, 'the saddles stand wrong', 'See Intonation: move each by what it reads.', { speaks: speaks.offAtTwelve }),
      cause('old', 4, 'strings are old: worn or kinked', 'New strings before any saddle is moved.'),
      cause('high', 3, 'the action is high: pressing pulls sharp', 'Action first.', { speaks: speaks.stillHigh }),
      cause('pickup', 2, 'a pickup is too near and pulls the string', 'Lower it until the warble goes.', { speaks: speaks.nearPickup }),
      cause(
        'place',
        1,
        'the bridge is at the wrong place',
        'Measure nut to fret 12 and fret 12 to saddle: equal, the saddle a little more.',
      ),
    ],
    checks: [
      check('age', 1, 'Are the strings older than two months, or rough where the frets touch?', 'old'),
      check('lower', 2, 'Pickups lowered to the stop: is it better?', 'pickup'),
      check('octave', 3, 'Is the fretted octave off by the same each time, string by string?', 'saddle'),
      check('soft', 1, 'Pressed as lightly as it will sound: is it in tune?', 'high'),
      check('measure', 3, 'Is fret 12 more than 2 mm out of the middle between nut and saddle?', 'place'),
    ],
  },
  {
    id: 'chokes',
    label: 'Bends choke, notes die high up',
    causes: [
      cause(
        'radius',
        4,
        'the board is round and the strings lie low: a bent string runs into its ridge',
        'Raise the plain strings a little, or level the last frets.',
        { speaks: speaks.bendsChoke },
      ),
      cause('high', 4, 'a high fret up there', 'Rock the last ten frets; level what stands up.', { speaks: speaks.rocks }),
      cause('hump', 3, 'the board rises at the body', 'Frets from 14 up let fall away a tenth or two.'),
      cause('pickup', 1, 'a pickup pulls', 'Lower it.', { speaks: speaks.nearPickup }),
    ],
    checks: [
      check('raise', 3, 'Treble side half a millimetre up: is it gone?', 'radius', 'hump'),
      check('rocker', 4, 'Does a short edge rock anywhere from fret 12 up?', 'high'),
      check('one-place', 1, 'Is it always the same fret, bent or not?', 'high'),
      check('straight', 2, 'Held at the first and last fret: does the string touch around fret 14?', 'hump'),
    ],
  },
]
