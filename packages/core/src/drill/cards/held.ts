import { hasSprings } from '../../instrument/vibrato'
import { goesRound } from '../../instrument/guardRound'
import { capital, aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, isThrough } from '../../document/read'
import type { PickupPlace } from '../../instrument/guardPlace'
import { underCavities } from '../../fit/pickups/heightScrews'
import { printMm } from '../../quantity/length'
import type { Finder } from '../finder'
import { SCREW_WOOD, woodAtScrews } from '../../instrument/plateScrews'
import { doubtOf, likelyOf, ofSize, propagate } from '../../quantity/distribution'
import { guarded, unread, untellable } from '../guard'
import type { Guard } from '../holeCard'
import { plateTurn } from '../plateTurn'
import { screwed, type Screwed } from '../screwed'
import { isThere } from '../told'

const workOf = (build: Build, trait: { slot: 'body'; trait: string }) => {
  const known = isThere(build, trait)
  return known === undefined ? undefined : known ? ('keep' as const) : ('new' as const)
}
const BY_PART = { places: [], missing: [] }

/** Screws of a pickup that is held by the wood under it. */
export const pickupScrews =
  (place: PickupPlace): Finder =>
  (build, bench) => {
    const slot = `pickup-${place}` as const
    if (!build.parts.body || traitAt(build, slot, 'mount') !== 'body') return undefined
    const there = { slot: 'body', trait: 'bored.pickups' } as const
    const depth = sizeRef('body', `route.${place}.depth`)
    const under = underCavities(build, build.parts.bridge && traitAt(build, 'bridge', 'mount'))
    return screwed(
      build,
      bench,
      {
        id: `pickup-${place}`,
        title: `${capital(place)} pickup’s screws`,
        slot,
        side: 'front',
        byPart: true,
        goesIn: 'its height screws, springs or foam under the ears',
        located: 'the pickup itself, seated in its route: straight down through its ears',
        first: ['its lead fed through', `the pickup seated, square to the strings${goesRound(build) ? ' and free of the guard' : ''}`],
        back: 'Hardwood dowel in the floor, a day to dry, drilled anew; the pickup hides it.',
      },
      {
        work: workOf(build, there),
        there,
        length: sizeRef(slot, 'screw.length'),
        root: sizeRef(slot, 'screw.root'),
        thread: sizeRef(slot, 'screw.diameter'),
        // The ears sit at the bottom of the cover: run right down, the screw passes the air under them before it meets the floor.
        through: [
          [1, depth],
          [-1, sizeRef(slot, 'depth')],
        ],
        held: { label: 'air under the ear', role: 'open' },
        ...(under ? { wood: { terms: [...under.terms, [-1, depth]], face: under.face } } : { guards: solid(build) }),
        woodOf: 'body',
        located: { ...BY_PART, from: ['the pickup’s own ears'] },
        over: 'the pickup seated in its route, looked at through its ears',
        mind: ['Take the pickup out again before the screws go in; nothing of its coils under the bit.'],
      },
    )
  }

/** Screws of a pickup's ring. */
export const ringScrews =
  (place: 'neck' | 'bridge'): Finder =>
  (build, bench) => {
    const slot = `ring-${place}` as const
    if (!build.parts.body || !build.parts[slot]) return undefined
    const there = { slot: 'body', trait: 'bored.rings' } as const
    return screwed(
      build,
      bench,
      {
        id: slot,
        title: `${capital(place)} ring’s screws`,
        slot,
        side: 'front',
        byPart: true,
        goesIn: 'four small screws',
        located: 'the ring itself, its pickup in it, centred under the outer strings',
        first: ['two threads for the outer strings', 'the pickup hung in its ring'],
        back: 'A sliver of hardwood and glue, an hour, drilled anew.',
      },
      {
        work: workOf(build, there),
        there,
        length: sizeRef(slot, 'screw.length'),
        root: sizeRef(slot, 'screw.root'),
        thread: sizeRef(slot, 'screw.thread'),
        through: [[1, sizeRef(slot, 'height.neckSide')]],
        held: { label: 'ring', role: 'plastic' },
        ...toBack(build),
        woodOf: 'body',
        located: { ...BY_PART, from: ['the ring’s own holes'] },
        over: 'the ring laid on where its pickup stands under the outer strings',
        guards: solid(build),
      },
    )
  }

/** A guard's screws: a few first, the rest when everything under it works. */
export const guardScrews: Finder = (build, bench) => {
  if (!build.parts.guard || !build.parts.body) return undefined
  const there = { slot: 'body', trait: 'bored.guard' } as const
  const round = goesRound(build)
  return screwed(
    build,
    bench,
    {
      id: 'guard-screws',
      title: 'Guard screws',
      slot: 'guard',
      side: 'front',
      byPart: true,
      goesIn: 'small screws round its edge',
      located: `the guard itself, laid ${round ? 'where every opening clears' : 'where it clears strings and covers'}`,
      first: [
        ...(round ? ['neck in and the guard pushed to it; or the guard on, loosened while the neck goes in'] : []),
        'pickups and bridge in, the strings’ lines checked',
      ],
      back: 'A sliver of hardwood and glue, an hour, drilled anew; the guard hides it.',
    },
    {
      work: workOf(build, there),
      there,
      length: sizeRef('guard', 'screw.length'),
      root: sizeRef('guard', 'screw.root'),
      thread: sizeRef('guard', 'screw.thread'),
      through: [[1, sizeRef('guard', 'thickness')]],
      held: { label: 'guard', role: 'plastic' },
      ...toBack(build),
      woodOf: 'body',
      located: { ...BY_PART, from: ['the guard’s own holes'] },
      over: 'the guard laid on where every opening clears',
      guards: [...toRoute(build), ...solid(build)],
      mind: [
        'Three screws, wiring tested, then the rest.',
        'Nothing under it: lift it and look for wires and routes where each hole comes.',
      ],
    },
  )
}

/** The control plate's screws, into the wood at either end of the control route. */
export const plateScrews: Finder = (build, bench) => {
  if (!build.parts['control-plate'] || !build.parts.body) return undefined
  const there = { slot: 'body', trait: 'bored.plate' } as const
  return screwed(
    build,
    bench,
    {
      id: 'plate-screws',
      title: 'Control plate’s screws',
      slot: 'control-plate',
      side: 'front',
      byPart: true,
      goesIn: 'small screws at its ends',
      located: 'the plate itself, laid over its route with every control in it',
      first: [
        'the control route, and the passages out of it',
        'the controls in the plate: it lies down by itself and nothing touches a wall',
      ],
      back: 'A sliver of hardwood and glue, an hour, drilled anew; the plate hides it.',
    },
    {
      work: workOf(build, there),
      there,
      length: sizeRef('control-plate', 'screw.length'),
      root: sizeRef('control-plate', 'screw.root'),
      thread: sizeRef('control-plate', 'screw.thread'),
      through: [[1, sizeRef('control-plate', 'thickness')]],
      held: { label: 'plate', role: 'metal' },
      ...toBack(build),
      woodOf: 'body',
      located: { ...BY_PART, from: ['the plate’s own holes'] },
      over: 'the plate laid on over its route',
      guards: [...plateToRoute(build), ...solid(build)],
      mind: ['Nothing under it: lift it and look for wires and passages where each hole comes.'],
    },
  )
}

/** Its outer screws stand in the wood beyond the route's ends, not in their edge. */
function plateToRoute(build: Build): Guard[] {
  const refs = [...SCREW_WOOD, sizeRef('control-plate', 'screw.thread')]
  const sizes = refs.map((r) => sizeAt(build, r))
  if (sizes.some((s) => !s)) return [unread(build, 'route', 'Wood to the control route', refs)]
  const wood = propagate(
    (values) => woodAtScrews(values) - values.at(-1)! / 2,
    sizes.map((s) => ofSize(s!)),
  )
  const mean = likelyOf(wood)
  return [
    ...plateTurn(build),
    guarded(
      'route',
      'Wood to the control route',
      { value: mean, doubt: doubtOf(wood) },
      [
        { upTo: 0, is: 'wont-go' },
        { upTo: 1.5, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      mean <= 0
        ? 'A hole of the plate lies over the route: that screw has no wood under it.'
        : `${printMm(mean, 1)} mm of wood between the nearer hole and the route’s end.`,
      'Move the plate while no hole is drilled, or glue a block into the route’s end.',
    ),
  ]
}

/** No screw of the guard stands in a route's edge. */
function toRoute(build: Build): Guard[] {
  const refs = [sizeRef('guard', 'screw.edge'), sizeRef('guard', 'screw.thread')]
  const [edge, thread] = refs.map((r) => sizeAt(build, r))
  if (!edge || !thread) return [unread(build, 'route', 'Wood to the nearest route', refs)]
  const wood = edge.value - thread.value / 2
  return [
    guarded(
      'route',
      'Wood to the nearest route',
      { value: wood, doubt: Math.hypot(edge.doubt, thread.doubt / 2) },
      [
        { upTo: 0, is: 'wont-go' },
        { upTo: 1.5, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      wood <= 0
        ? 'A hole of the guard lies over a route: that screw has no wood under it.'
        : `${printMm(wood, 1)} mm of wood between the nearest hole and a route.`,
      'Leave it out.',
    ),
  ]
}

/** The wood under a small screw goes to the back where the body is solid all through; elsewhere nobody knows where it ends. */
const toBack = (build: Build): Pick<Screwed, 'wood'> =>
  traitAt(build, 'body', 'build') === 'solid' ? { wood: { terms: [[1, sizeRef('body', 'thickness')]], face: 'the body’s back' } } : {}

const solid = (build: Build): Guard[] =>
  traitAt(build, 'body', 'build') === 'solid'
    ? []
    : [untellable('chamber', 'Solid wood under it', 'the body is not known to be solid there: knock before a bit goes in')]

/** Screws that hold the spring claw, into the wall behind the springs. */
export const clawScrews: Finder = (build, bench) => {
  if (!hasSprings(build) || !build.parts.body) return undefined
  const there = { slot: 'body', trait: 'bored.claw' } as const
  return screwed(
    build,
    bench,
    {
      id: 'claw-screws',
      title: 'Spring claw screws',
      slot: 'springs',
      side: 'back',
      byPart: true,
      goesIn: 'two long screws that hold the claw',
      located: 'the claw held level in its cavity, its middle on the vibrato’s centre line',
      first: ['the ground wire soldered to the claw', 'the vibrato hung on its studs or screws'],
      back: 'Hardwood dowel in the wall, a day to dry, drilled anew.',
    },
    {
      work: workOf(build, there),
      there,
      length: sizeRef('springs', 'screw.length'),
      root: sizeRef('springs', 'screw.root'),
      thread: sizeRef('springs', 'screw.thread'),
      through: [],
      held: { label: 'claw', role: 'metal' },
      woodOf: 'body',
      located: { ...BY_PART, from: ['the claw’s own holes'] },
      over: 'the claw held level against its wall, its middle on the vibrato’s centre line',
      guards: isThrough(build) ? [] : [toPocket(build)],
      mind: ['A long bit held low: it goes in a few degrees upwards; the chuck must clear the cavity’s edge.'],
    },
  )
}

/** The screws point at the neck: they must end before the pocket. */
function toPocket(build: Build): Guard {
  const refs = [sizeRef('body', 'claw.x'), sizeRef('body', 'pocket.length'), sizeRef('springs', 'screw.length')]
  const [claw, pocket, screw] = refs.map((r) => sizeAt(build, r))
  if (!claw || !pocket || !screw) return unread(build, 'pocket', 'Wood to the neck’s pocket', refs)
  const left = claw.value - pocket.value - screw.value
  return guarded(
    'pocket',
    'Wood to the neck’s pocket',
    { value: left, doubt: Math.hypot(claw.doubt, pocket.doubt, screw.doubt) },
    [
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    left > 0
      ? `Screwed home its tips end ${printMm(left, 1)} mm before the pocket.`
      : `${capital(aMm(screw.value, 0))} screw screwed home would reach the pocket ${printMm(-left, 1)} mm before the claw does: cut it or leave it out so far.`,
  )
}
