import { isBesideControls, POTS, potsIn, potSlot, SWITCHES_OF } from '../instrument/controlPlace'
import { isCarried, panelOf } from '../instrument/panel'
import type { Build } from '../document/build'
import { hasTrussNut, isGlued, sizeAt, traitAt, isThrough } from '../document/read'
import { takenPart } from '../instrument/idleParts'
import { PLACES } from '../instrument/guardPlace'
import { bridgeHeightJoint } from './bridge/bridgeHeight'
import { bridgeOnBodyJoint } from './bridge/bridgeOnBody'
import { tailStudsJoint } from './bridge/tailStuds'
import { bridgeReachJoint } from './bridge/bridgeReach'
import { ferrulesJoint } from './bridge/ferrulesInBody'
import { radiiJoint } from './bridge/radii'
import { saddleBreakJoint } from './bridge/saddleBreak'
import { springsJoint, stringsThroughJoint } from './bridge/stringLoad'
import { controlReachJoint } from './controls/controlReach'
import { harnessJoint } from './controls/harnessFit'
import { jackJoint } from './controls/jackInBore'
import { jackPlateJoint } from './controls/jackPlate'
import { knobJoint } from './controls/knobOnShaft'
import { leadsCut, leadsJoint } from './controls/leads'
import { plateCoverJoint } from './controls/plateCover'
import { potInGuardJoint } from './controls/potInGuard'
import { switchJoint } from './controls/switchInGuard'
import { wirePassageJoint } from './controls/wirePassage'
import { goesRound } from '../instrument/guardRound'
import { guardBesideJoint } from './guard/guardBeside'
import { guardCoverJoint } from './guard/guardCover'
import { guardOpeningsJoint } from './guard/guardOpenings'
import { nutBreakJoint } from './head/nutBreak'
import { nutInSlotJoint } from './head/nutFit'
import { tunerBoreJoint } from './head/tunerBore'
import { tunerRowJoint } from './head/tunerRow'
import { fretPlacesJoint, fretsRead } from './neck/fretPlaces'
import { pocketDepthJoint } from './neck/pocketDepth'
import { pocketWidthJoint } from './neck/pocketWidth'
import { stringsOnBoardJoint } from './neck/stringsOnBoard'
import { activeJoint } from './pickups/activePickups'
import { pickupRoomJoint } from './pickups/pickupRoom'
import { polesUnderJoint } from './pickups/polesUnder'
import type { JointKind } from './kind'
import { lay, press, see, withTrial } from './trial'
import { balanceJoint } from './whole/balance'
import { bridgeScrewsJoint } from './whole/bridgeScrews'
import { neckScrewsJoint } from './whole/neckScrews'
import { strapButtonsJoint } from './whole/strapButtons'
import { lengthsMatter, stringReachJoint } from './whole/stringReach'
import { handsJoint } from './whole/hands'
import { SLOT_NAMES } from '../parts/slots'
import { metalsJoint, metalsOn } from './whole/metals'
import { shieldsMeetJoint } from './whole/shieldsMeet'
import { trussAccessJoint } from './whole/trussAccess'

/** What a pickup's own place has beside it. */
const ROUND_IT = { neck: ['ring-neck', 'neck'], middle: [], bridge: ['ring-bridge'] } as const

/** A mount nobody has told may be any of them. */
const mount =
  (...kinds: string[]) =>
  (b: Build) =>
    kinds.includes(traitAt(b, 'bridge', 'mount') ?? kinds[0]!)
/** A bridge that holds its own strings is judged once someone says where it lets them go; steep angles do it no harm, and round a bar they lie. */
const stringsHeld = (b: Build) =>
  takenPart(b, 'tailpiece') !== undefined ||
  (traitAt(b, 'bridge', 'mount') !== 'bar' && sizeAt(b, { slot: 'bridge', size: 'exit.distance' }) !== undefined)
const PICKUPS = PLACES.map((place) => `pickup-${place}` as const)
const hasPocket = (b: Build) => !isThrough(b)
const metalParts = (b: Build) => metalsOn(b).length > 1

/** Every kind of joint this tool knows, in the order the mock-up meets them. */
const KINDS: readonly JointKind[] = [
  {
    id: 'pocket-mouth',
    when: hasPocket,
    trial: press('Press the heel in by hand, no hammer.'),
    needs: ['body', 'neck'],
    find: (b) => pocketWidthJoint(b, 'mouth'),
  },
  {
    id: 'pocket-end',
    when: hasPocket,
    trial: press('Press the heel home against the end wall by hand.'),
    needs: ['body', 'neck'],
    find: (b) => pocketWidthJoint(b, 'end'),
  },
  {
    id: 'pocket-depth',
    when: hasPocket,
    trial: lay('Lay the neck in its pocket and rock it with two fingers.'),
    needs: ['body', 'neck'],
    also: ['guard'],
    find: pocketDepthJoint,
  },
  {
    id: 'truss-access',
    trial: see('Put the truss tool on its nut and swing it.'),
    needs: ['body', 'neck'],
    when: hasTrussNut,
    find: trussAccessJoint,
  },
  {
    id: 'neck-screws',
    trial: see('Drive one screw by hand into its pilot: it bites, and nothing shows on the board.'),
    needs: ['body', 'neck', 'neck-screws'],
    when: (b) => !isGlued(b),
    find: neckScrewsJoint,
  },
  {
    id: 'bridge-reach',
    trial: see('Set every saddle where the tuner says; each has thread left both ways.'),
    needs: ['body', 'neck', 'bridge'],
    find: bridgeReachJoint,
  },
  {
    id: 'bridge-on-body',
    trial: press('Set the bridge on loose posts, or its plate on the body.', 'pull', 'in-block'),
    needs: ['body', 'bridge'],
    also: ['strings', 'springs', 'neck'],
    find: bridgeOnBodyJoint,
  },
  {
    id: 'bridge-screws',
    trial: see('Drive one screw by hand into its pilot.'),
    needs: ['body', 'bridge'],
    when: mount('screws', 'string-through', 'six-screw'),
    find: bridgeScrewsJoint,
  },
  {
    id: 'strings-on-board',
    trial: see('Two threads for the outer strings, from nut to bridge.'),
    needs: ['neck', 'nut', 'bridge'],
    also: ['body'],
    find: stringsOnBoardJoint,
  },
  {
    id: 'bridge-height',
    trial: see('Outer strings on, bridge at its lowest: the action at fret 12 is at or under what is wanted.', 'high-stop', 'as-set'),
    needs: ['body', 'neck', 'bridge', 'nut'],
    // Where strings are held behind the saddles its cures' tilts are reckoned with.
    also: ['guard', ...PICKUPS, 'ring-neck', 'ring-bridge', 'tailpiece'],
    find: bridgeHeightJoint,
  },
  {
    id: 'saddle-break',
    trial: see('Strings on at pitch: they sound clean over the saddles and touch nothing behind.'),
    needs: ['bridge', 'body'],
    also: ['tailpiece', 'neck', 'nut'],
    when: stringsHeld,
    find: saddleBreakJoint,
  },
  {
    id: 'tail-studs',
    trial: press('Try a bushing in its bore by hand.', 'pull', 'in-block'),
    needs: ['tailpiece', 'body'],
    also: ['bridge', 'strings', 'neck'],
    find: tailStudsJoint,
  },
  {
    id: 'radii',
    trial: see('Card arc over the strings at the saddle.'),
    needs: ['neck', 'bridge'],
    also: ['body', 'strings'],
    find: radiiJoint,
  },
  ...PLACES.map(
    (place): JointKind => ({
      id: `room-${place}`,
      trial: press('Pickup into its place, screws run down, nothing forced.', 'bite', 'tip'),
      needs: [`pickup-${place}`, 'body'],
      also: ['bridge', 'guard', 'shielding', ...ROUND_IT[place]],
      find: (b) => pickupRoomJoint(b, place),
    }),
  ),
  ...PLACES.map(
    (place): JointKind => ({
      id: `poles-${place}`,
      trial: see('Two threads for the outer strings: they run over the outer poles.'),
      needs: [`pickup-${place}`, 'body', 'neck', 'nut', 'bridge'],
      find: (b) => polesUnderJoint(b, place),
    }),
  ),
  {
    id: 'guard-openings',
    trial: lay('Guard on, tight to the neck, pickups through it.'),
    needs: ['body', 'guard', 'pickup-bridge'],
    when: goesRound,
    also: ['pickup-neck', 'pickup-middle'],
    find: guardOpeningsJoint,
  },
  {
    id: 'guard-cover',
    trial: lay('Guard on, tight to the neck: routes covered, bridge clear.'),
    needs: ['body', 'guard', 'neck', 'bridge'],
    when: goesRound,
    also: ['control-plate', 'pickup-neck', 'pickup-middle', 'pickup-bridge', ...POTS.map(potSlot)],
    find: guardCoverJoint,
  },
  {
    id: 'guard-beside',
    trial: lay('Guard on where it is to lie: clear of strings and covers, its screws over wood.'),
    needs: ['body', 'guard'],
    when: (b) => !goesRound(b),
    also: ['pickup-neck', 'pickup-middle', 'pickup-bridge'],
    find: guardBesideJoint,
  },
  {
    id: 'plate-cover',
    trial: lay('Control plate on with its controls in: route covered, it lies down by itself.'),
    needs: ['control-plate', 'body'],
    also: ['guard', 'bridge', 'jack', ...POTS.map(potSlot), ...SWITCHES_OF],
    find: plateCoverJoint,
  },
  ...POTS.map(
    (control): JointKind => ({
      id: potSlot(control),
      trial: press('Pot through its hole with washer and nut.'),
      needs: ['body', potSlot(control)],
      also: ['guard', 'control-plate'],
      find: (b) => potInGuardJoint(b, control),
    }),
  ),
  ...SWITCHES_OF.map(
    (control): JointKind => ({
      id: control,
      trial: press('Switch in its place, moved through all its positions.'),
      needs: [control, 'body'],
      also: ['guard', 'control-plate'],
      find: (b) => switchJoint(b, control),
    }),
  ),
  {
    id: 'knobs',
    light: true,
    trial: press('Knob on its shaft by hand.'),
    needs: ['knobs', 'pot-volume'],
    also: ['body', 'neck', 'guard', 'control-plate', 'pot-tone', 'pot-volume-2', 'pot-tone-2'],
    find: knobJoint,
  },
  {
    id: 'control-reach',
    trial: see('Hold the guitar and turn each knob without looking.'),
    needs: ['pot-volume', 'bridge'],
    also: ['guard', 'control-plate', 'body', 'pot-tone', 'pot-volume-2', 'pot-tone-2', 'knobs'],
    // A plate says where its controls are once it lies on a body.
    when: (b) =>
      potsIn(b).length > 1 && b.parts[panelOf(b).slot] !== undefined && (b.parts.body !== undefined || !b.parts['control-plate']),
    find: controlReachJoint,
  },
  {
    id: 'jack',
    trial: press('Jack in its bore, plug in until it clicks.'),
    needs: ['jack', 'body'],
    also: ['jack-plate', 'guard', 'control-plate', 'neck'],
    find: jackJoint,
  },
  {
    id: 'jack-plate',
    trial: lay('Jack in the plate, plate on its bore, before any screw is marked.', 'screws'),
    needs: ['jack-plate', 'jack', 'body'],
    also: ['guard', 'control-plate'],
    when: (b) => !isBesideControls(b),
    find: jackPlateJoint,
  },
  {
    id: 'wire-passage',
    light: true,
    trial: press('Feed the bundle through.'),
    needs: ['wire', 'body'],
    also: ['guard', 'control-plate', 'jack', 'bridge', 'neck', ...POTS.map(potSlot)],
    when: (b) => !isBesideControls(b) || (isCarried(panelOf(b)) && potsIn(b).length > 0),
    find: wirePassageJoint,
  },
  {
    id: 'leads',
    trial: see('Lay the controls out where they are soldered, and fold them back.'),
    needs: ['body', 'jack'],
    also: ['wire', 'guard', 'control-plate', 'bridge', 'neck', ...PICKUPS],
    when: leadsCut,
    find: leadsJoint,
  },
  {
    id: 'harness',
    trial: press('Hang the harness in its holes.'),
    needs: ['harness', 'body'],
    also: ['neck', 'guard', 'control-plate', ...PICKUPS],
    find: harnessJoint,
  },
  {
    id: 'active',
    trial: press('Battery in its room, lid on.', 'switching'),
    needs: ['battery', 'body'],
    also: ['jack', 'pot-volume'],
    find: activeJoint,
  },
  {
    id: 'shields-meet',
    trial: see('Meter between guard foil and cavity: under 1 ohm.'),
    needs: ['shielding', 'guard', 'body'],
    // A plate of its own closes the controls' hollow, and the guard has none under it.
    also: ['control-plate'],
    when: (b) => !b.parts['control-plate'] && (goesRound(b) || panelOf(b).slot === 'guard'),
    find: shieldsMeetJoint,
  },
  {
    id: 'ferrules',
    trial: press('Try a ferrule in its bore by hand.'),
    needs: ['ferrules', 'body'],
    also: ['bridge'],
    find: ferrulesJoint,
  },
  {
    id: 'tuner-bore',
    trial: press('Tuner through its bore without pressing the bushing in.', 'screw', 'old-screws'),
    needs: ['tuners', 'neck'],
    also: ['body'],
    find: tunerBoreJoint,
  },
  { id: 'tuner-row', trial: press('All tuners of a row in together.'), needs: ['tuners', 'neck'], find: tunerRowJoint },
  {
    id: 'nut-in-slot',
    trial: press('Nut into its slot by hand.', 'height', 'slots', 'slot-readings'),
    needs: ['nut', 'neck'],
    find: nutInSlotJoint,
  },
  {
    id: 'nut-break',
    trial: see('Pluck each open string hard: none rattles in its slot.'),
    needs: ['nut', 'neck', 'tuners'],
    also: ['strings', 'string-tree'],
    find: nutBreakJoint,
  },
  {
    id: 'fret-places',
    light: true,
    trial: see('A long rule from the nut’s board side: fret 1 and the last fret stand where the scale puts them.'),
    needs: ['neck'],
    when: fretsRead,
    find: fretPlacesJoint,
  },
  {
    id: 'strings-through',
    light: true,
    trial: press('Feed the thickest string through every hole.'),
    needs: ['strings', 'bridge', 'tuners'],
    also: ['tailpiece', 'ferrules', 'body'],
    find: stringsThroughJoint,
  },
  {
    id: 'string-reach',
    light: true,
    trial: see('Hold each string to its post: two turns round it are left, or enough for its clamp.'),
    needs: ['strings', 'bridge', 'neck', 'tuners', 'body'],
    also: ['tailpiece', 'nut'],
    when: lengthsMatter,
    find: stringReachJoint,
  },
  {
    id: 'springs',
    trial: see('Tuned to pitch, the bridge stands where it is wanted.'),
    needs: ['springs', 'strings'],
    evenIdle: true,
    also: ['bridge', 'neck'],
    find: springsJoint,
  },
  {
    id: 'strap-buttons',
    light: true,
    trial: see('Drive the screw by hand into its pilot and pull.'),
    needs: ['strap-buttons', 'body'],
    find: strapButtonsJoint,
  },
  {
    id: 'balance',
    trial: see('Hang it on a strap and let go of the neck.'),
    needs: ['body', 'neck', 'tuners', 'bridge'],
    also: ['tailpiece', 'control-plate'],
    find: balanceJoint,
  },
  {
    id: 'hands',
    trial: see('Hold every part where it goes.'),
    needs: ['body', 'neck'],
    also: ['bridge', 'tuners', 'guard', 'nut', 'tailpiece'],
    find: handsJoint,
  },
  {
    id: 'metals',
    trial: see('Lay the parts side by side in daylight.'),
    needs: ['body', 'bridge'],
    also: SLOT_NAMES.filter((slot) => slot !== 'body' && slot !== 'bridge'),
    when: metalParts,
    find: metalsJoint,
  },
]

/** Every kind of joint, as tried by hand where it was. */
export const JOINT_KINDS: readonly JointKind[] = KINDS.map((kind) => ({
  ...kind,
  find: (build) => withTrial(build, kind.find(build), kind.trial),
}))
