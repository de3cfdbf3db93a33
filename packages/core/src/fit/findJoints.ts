import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { PLACES } from '../instrument/guardPlace'
import type { Drawing } from '../drawing/drawing'
import type { Joint, JudgedJoint } from '../judge/joint'
import type { Verdict } from '../judge/verdict'
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
import { knobJoint } from './controls/knobOnShaft'
import { leadsCut, leadsJoint } from './controls/leads'
import { potInGuardJoint } from './controls/potInGuard'
import { switchJoint } from './controls/switchInGuard'
import { wirePassageJoint } from './controls/wirePassage'
import { guardCoverJoint } from './guard/guardCover'
import { guardOpeningsJoint } from './guard/guardOpenings'
import { nutBreakJoint } from './head/nutBreak'
import { nutInSlotJoint } from './head/nutFit'
import { tunerBoreJoint } from './head/tunerBore'
import { tunerRowJoint } from './head/tunerRow'
import { pocketDepthJoint } from './neck/pocketDepth'
import { pocketWidthJoint } from './neck/pocketWidth'
import { stringsOnBoardJoint } from './neck/stringsOnBoard'
import { activeJoint } from './pickups/activePickups'
import { pickupRoomJoint } from './pickups/pickupRoom'
import { polesUnderJoint } from './pickups/polesUnder'
import { existsIn, type JointKind } from './kind'
import { balanceJoint } from './whole/balance'
import { bridgeScrewsJoint } from './whole/bridgeScrews'
import { neckScrewsJoint } from './whole/neckScrews'
import { strapButtonsJoint } from './whole/strapButtons'
import { handsJoint } from './whole/hands'
import { metalsJoint } from './whole/metals'
import { shieldsMeetJoint } from './whole/shieldsMeet'
import { trussAccessJoint } from './whole/trussAccess'

/** A mount nobody has told may be any of them. */
const mount =
  (...kinds: string[]) =>
  (b: Build) =>
    kinds.includes(traitAt(b, 'bridge', 'mount') ?? kinds[0]!)
/** A bridge that holds its own strings is judged once someone says where it lets them go; steep angles do it no harm. */
const stringsHeld = (b: Build) => b.parts.tailpiece !== undefined || sizeAt(b, { slot: 'bridge', size: 'exit.distance' }) !== undefined
const PICKUPS = PLACES.map((place) => `pickup-${place}` as const)
const metalParts = (b: Build) => Object.values(b.parts).filter((p) => p?.metal).length > 1

/** Every kind of joint this tool knows, in the order the mock-up meets them. */
export const JOINT_KINDS: readonly JointKind[] = [
  { id: 'pocket-mouth', needs: ['body', 'neck'], find: (b) => pocketWidthJoint(b, 'mouth') },
  { id: 'pocket-end', needs: ['body', 'neck'], find: (b) => pocketWidthJoint(b, 'end') },
  { id: 'pocket-depth', needs: ['body', 'neck'], also: ['guard'], find: pocketDepthJoint },
  { id: 'truss-access', needs: ['body', 'neck'], find: trussAccessJoint },
  { id: 'neck-screws', needs: ['body', 'neck', 'neck-screws'], find: neckScrewsJoint },
  { id: 'bridge-reach', needs: ['body', 'neck', 'bridge'], find: bridgeReachJoint },
  { id: 'bridge-on-body', needs: ['body', 'bridge'], also: ['strings', 'springs', 'neck'], find: bridgeOnBodyJoint },
  { id: 'bridge-screws', needs: ['body', 'bridge'], when: mount('screws', 'string-through', 'six-screw'), find: bridgeScrewsJoint },
  { id: 'strings-on-board', needs: ['neck', 'nut', 'bridge'], also: ['body'], find: stringsOnBoardJoint },
  {
    id: 'bridge-height',
    needs: ['body', 'neck', 'bridge', 'nut'],
    also: ['guard', 'pickup-neck', 'pickup-bridge'],
    find: bridgeHeightJoint,
  },
  { id: 'saddle-break', needs: ['bridge', 'body'], also: ['tailpiece', 'neck', 'nut'], when: stringsHeld, find: saddleBreakJoint },
  { id: 'tail-studs', needs: ['tailpiece', 'body'], also: ['strings', 'neck'], find: tailStudsJoint },
  { id: 'radii', needs: ['neck', 'bridge'], also: ['body', 'strings'], find: radiiJoint },
  ...PLACES.map((place): JointKind => ({
    id: `room-${place}`,
    needs: [`pickup-${place}`, 'body'],
    also: ['guard', 'shielding', ...(place === 'middle' ? [] : ([`ring-${place}`] as const))],
    find: (b) => pickupRoomJoint(b, place),
  })),
  ...PLACES.map((place): JointKind => ({
    id: `poles-${place}`,
    needs: [`pickup-${place}`, 'body', 'neck', 'nut', 'bridge'],
    find: (b) => polesUnderJoint(b, place),
  })),
  { id: 'guard-openings', needs: ['body', 'guard', 'pickup-bridge'], also: ['pickup-neck', 'pickup-middle'], find: guardOpeningsJoint },
  {
    id: 'guard-cover',
    needs: ['body', 'guard', 'neck', 'bridge'],
    also: ['pickup-neck', 'pickup-middle', 'pickup-bridge', 'pot-volume', 'pot-tone'],
    find: guardCoverJoint,
  },
  { id: 'pot-volume', needs: ['body', 'pot-volume'], also: ['guard'], find: (b) => potInGuardJoint(b, 'pot-volume') },
  { id: 'pot-tone', needs: ['body', 'pot-tone'], also: ['guard'], find: (b) => potInGuardJoint(b, 'pot-tone') },
  { id: 'switch', needs: ['switch', 'body'], also: ['guard'], find: switchJoint },
  { id: 'knobs', needs: ['knobs', 'pot-volume'], find: knobJoint },
  { id: 'control-reach', needs: ['guard', 'pot-volume', 'pot-tone', 'bridge'], find: controlReachJoint },
  { id: 'jack', needs: ['jack', 'body'], find: jackJoint },
  { id: 'wire-passage', needs: ['wire', 'body'], also: ['guard', 'jack', 'bridge', 'neck'], find: wirePassageJoint },
  { id: 'leads', needs: ['body', 'jack'], also: ['wire', 'guard', 'bridge', 'neck', ...PICKUPS], when: leadsCut, find: leadsJoint },
  { id: 'harness', needs: ['harness', 'body'], also: ['guard'], find: harnessJoint },
  { id: 'active', needs: ['battery', 'body'], also: ['jack', 'pot-volume'], find: activeJoint },
  { id: 'shields-meet', needs: ['shielding', 'guard', 'body'], find: shieldsMeetJoint },
  { id: 'ferrules', needs: ['ferrules', 'body'], find: ferrulesJoint },
  { id: 'tuner-bore', needs: ['tuners', 'neck'], find: tunerBoreJoint },
  { id: 'tuner-row', needs: ['tuners', 'neck'], find: tunerRowJoint },
  { id: 'nut-in-slot', needs: ['nut', 'neck'], find: nutInSlotJoint },
  { id: 'nut-break', needs: ['nut', 'neck', 'tuners'], also: ['string-tree'], find: nutBreakJoint },
  { id: 'strings-through', needs: ['strings', 'bridge', 'tuners'], also: ['tailpiece', 'ferrules', 'body'], find: stringsThroughJoint },
  { id: 'springs', needs: ['springs', 'bridge', 'strings'], also: ['neck'], find: springsJoint },
  { id: 'strap-buttons', needs: ['strap-buttons', 'body'], find: strapButtonsJoint },
  { id: 'balance', needs: ['body', 'neck', 'tuners', 'bridge'], also: ['tailpiece'], find: balanceJoint },
  { id: 'hands', needs: ['body', 'neck'], also: ['bridge', 'tuners', 'guard', 'nut', 'tailpiece'], find: handsJoint },
  {
    id: 'metals',
    needs: ['body', 'bridge'],
    also: ['tuners', 'guard', 'knobs', 'neck-screws', 'tailpiece'],
    when: metalParts,
    find: metalsJoint,
  },
]

/** A kind whose joint is plain data. */
type PlainKind = Omit<JointKind, 'find'> & { find: (build: Build) => Joint }
const PLAIN_KINDS: readonly PlainKind[] = JOINT_KINDS.map((kind) => ({ ...kind, find: (build) => undrawn(kind.find(build)) }))

const URGENCY: Verdict[] = ['wont-go', 'tight', 'cant-tell', 'loose', 'snug']

/** All joints of a build with the way to draw them, in mock-up order. */
export const judgeJoints = (build: Build): JudgedJoint[] => JOINT_KINDS.filter((k) => existsIn(k, build)).map((k) => k.find(build))

const undrawn = ({ draw: _, ...joint }: JudgedJoint): Joint => joint

/**
 * All joints of a build as plain data, those that need a person first; equal ones stay in mock-up order.
 * @param judge how one kind's joint is come by; computed from the build unless the caller knows it already
 */
export const findJoints = (build: Build, judge: (kind: PlainKind) => Joint = (kind) => kind.find(build)): Joint[] =>
  PLAIN_KINDS.filter((k) => existsIn(k, build))
    .map(judge)
    .toSorted((a, b) => URGENCY.indexOf(a.verdict) - URGENCY.indexOf(b.verdict))

/** The drawing of one joint, when the build has it. */
export function drawJoint(build: Build, id: string): Drawing | undefined {
  const kind = JOINT_KINDS.find((k) => k.id === id)
  return kind && existsIn(kind, build) ? kind.find(build).draw() : undefined
}
