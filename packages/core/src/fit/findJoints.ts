import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { PLACES } from '../instrument/guardPlace'
import type { Joint, JudgedJoint } from '../judge/joint'
import type { Verdict } from '../judge/verdict'
import type { Slot } from '../parts/slots'
import { bridgeHeightJoint } from './bridge/bridgeHeight'
import { bridgeOnBodyJoint, tailStudsJoint } from './bridge/bridgeOnBody'
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
import { tunerBoreJoint, tunerRowJoint } from './head/tunerFit'
import { pocketDepthJoint } from './neck/pocketDepth'
import { pocketWidthJoint } from './neck/pocketWidth'
import { stringsOnBoardJoint } from './neck/stringsOnBoard'
import { activeJoint } from './pickups/activePickups'
import { pickupRoomJoint } from './pickups/pickupRoom'
import { polesUnderJoint } from './pickups/polesUnder'
import { balanceJoint } from './whole/balance'
import { bridgeScrewsJoint, neckScrewsJoint, strapButtonsJoint } from './whole/screwsInWood'
import { handsJoint, metalsJoint, shieldsMeetJoint, trussAccessJoint } from './whole/yesOrNo'

/**
 * A kind of joint: which slots must be filled for it to exist, which others it reads when they are, and how it is judged. Of slots it
 * does not name it may know at most whether they are filled.
 */
export interface JointKind {
  needs: readonly Slot[]
  also?: readonly Slot[]
  when?: (build: Build) => boolean
  find: (build: Build) => JudgedJoint
}

const mount =
  (...kinds: string[]) =>
  (b: Build) =>
    kinds.includes(traitAt(b, 'bridge', 'mount') ?? '')
/** A bridge that holds its own strings is judged once someone says where it lets them go; steep angles do it no harm. */
const stringsHeld = (b: Build) => b.parts.tailpiece !== undefined || sizeAt(b, { slot: 'bridge', size: 'exit.distance' }) !== undefined
const PICKUPS = PLACES.map((place) => `pickup-${place}` as const)
const metalParts = (b: Build) => Object.values(b.parts).filter((p) => p?.metal).length > 1

/** Every kind of joint this tool knows, in the order the mock-up meets them. */
export const JOINT_KINDS: readonly JointKind[] = [
  { needs: ['body', 'neck'], find: (b) => pocketWidthJoint(b, 'mouth') },
  { needs: ['body', 'neck'], find: (b) => pocketWidthJoint(b, 'end') },
  { needs: ['body', 'neck'], also: ['guard'], find: pocketDepthJoint },
  { needs: ['body', 'neck'], find: trussAccessJoint },
  { needs: ['body', 'neck', 'neck-screws'], find: neckScrewsJoint },
  { needs: ['body', 'neck', 'bridge'], find: bridgeReachJoint },
  { needs: ['body', 'bridge'], also: ['strings', 'springs', 'neck'], find: bridgeOnBodyJoint },
  { needs: ['body', 'bridge'], when: mount('screws', 'string-through', 'six-screw'), find: bridgeScrewsJoint },
  { needs: ['neck', 'nut', 'bridge'], also: ['body'], find: stringsOnBoardJoint },
  { needs: ['body', 'neck', 'bridge', 'nut'], also: ['guard', 'pickup-neck', 'pickup-bridge'], find: bridgeHeightJoint },
  { needs: ['bridge', 'body'], also: ['tailpiece', 'neck', 'nut'], when: stringsHeld, find: saddleBreakJoint },
  { needs: ['tailpiece', 'body'], also: ['strings', 'neck'], find: tailStudsJoint },
  { needs: ['neck', 'bridge'], also: ['body', 'strings'], find: radiiJoint },
  ...PLACES.map((place): JointKind => ({
    needs: [`pickup-${place}`, 'body'],
    also: ['guard', 'shielding', ...(place === 'middle' ? [] : ([`ring-${place}`] as const))],
    find: (b) => pickupRoomJoint(b, place),
  })),
  ...PLACES.map((place): JointKind => ({
    needs: [`pickup-${place}`, 'body', 'neck', 'nut', 'bridge'],
    find: (b) => polesUnderJoint(b, place),
  })),
  { needs: ['body', 'guard', 'pickup-bridge'], also: ['pickup-neck', 'pickup-middle'], find: guardOpeningsJoint },
  {
    needs: ['body', 'guard', 'neck', 'bridge'],
    also: ['pickup-neck', 'pickup-middle', 'pickup-bridge', 'pot-volume', 'pot-tone'],
    find: guardCoverJoint,
  },
  { needs: ['body', 'pot-volume'], also: ['guard'], find: (b) => potInGuardJoint(b, 'pot-volume') },
  { needs: ['body', 'pot-tone'], also: ['guard'], find: (b) => potInGuardJoint(b, 'pot-tone') },
  { needs: ['switch', 'body'], also: ['guard'], find: switchJoint },
  { needs: ['knobs', 'pot-volume'], find: knobJoint },
  { needs: ['guard', 'pot-volume', 'pot-tone', 'bridge'], find: controlReachJoint },
  { needs: ['jack', 'body'], find: jackJoint },
  { needs: ['wire', 'body'], also: ['guard', 'jack', 'bridge', 'neck'], find: wirePassageJoint },
  { needs: ['body', 'jack'], also: ['wire', 'guard', 'bridge', 'neck', ...PICKUPS], when: leadsCut, find: leadsJoint },
  { needs: ['harness', 'body'], also: ['guard'], find: harnessJoint },
  { needs: ['battery', 'body'], also: ['jack', 'pot-volume'], find: activeJoint },
  { needs: ['shielding', 'guard', 'body'], find: shieldsMeetJoint },
  { needs: ['ferrules', 'body'], find: ferrulesJoint },
  { needs: ['tuners', 'neck'], find: tunerBoreJoint },
  { needs: ['tuners', 'neck'], find: tunerRowJoint },
  { needs: ['nut', 'neck'], find: nutInSlotJoint },
  { needs: ['nut', 'neck', 'tuners'], also: ['string-tree'], find: nutBreakJoint },
  { needs: ['strings', 'bridge', 'tuners'], also: ['tailpiece', 'ferrules', 'body'], find: stringsThroughJoint },
  { needs: ['springs', 'bridge', 'strings'], also: ['neck'], find: springsJoint },
  { needs: ['strap-buttons', 'body'], find: strapButtonsJoint },
  { needs: ['body', 'neck', 'tuners', 'bridge'], also: ['tailpiece'], find: balanceJoint },
  { needs: ['body', 'neck'], also: ['bridge', 'tuners', 'guard', 'nut', 'tailpiece'], find: handsJoint },
  { needs: ['body', 'bridge'], also: ['tuners', 'guard', 'knobs', 'neck-screws', 'tailpiece'], when: metalParts, find: metalsJoint },
]

const URGENCY: Verdict[] = ['wont-go', 'tight', 'cant-tell', 'loose', 'snug']

export const existsIn = (kind: JointKind, build: Build): boolean =>
  kind.needs.every((slot) => build.parts[slot]) && (kind.when?.(build) ?? true)

/** All joints of a build, judged but not drawn, in mock-up order. */
export const judgeJoints = (build: Build): JudgedJoint[] => JOINT_KINDS.filter((k) => existsIn(k, build)).map((k) => k.find(build))

/** The joint with its drawing, as plain data. */
export function drawn({ draw, ...joint }: JudgedJoint): Joint {
  return { ...joint, drawing: draw() }
}

/** All joints of a build, those that need a person first; equal ones stay in mock-up order. */
export function findJoints(build: Build): Joint[] {
  return judgeJoints(build)
    .map(drawn)
    .toSorted((a, b) => URGENCY.indexOf(a.verdict) - URGENCY.indexOf(b.verdict))
}
