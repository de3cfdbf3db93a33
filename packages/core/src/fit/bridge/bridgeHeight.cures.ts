import type { Build } from '../../document/build'
import { sizeRef, traitAt, isThrough } from '../../document/read'
import { CARD, riseOver, SPARE, STRIP, tiltFor, type SideSetting } from '../../instrument/neckAngle'
import type { Cure } from '../../judge/joint'
import { drawnAt, landing, toldAt } from '../../judge/known'
import { likelyOf, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { cardSays, neckTaper, willBeGlued } from './neckTaper'
import { SHIM_DOUBT, sideSetting, tiltJob } from './sideSetting'

export function tiltCures(build: Build, above: Distribution): Cure[] {
  if (isThrough(build)) return lowerBridge(build, above)
  const side = sideSetting(build)
  const least = side && tiltFor(side, { reach: 'least', beyond: landing(above, riseOver(side.reach, SHIM_DOUBT)) })
  if (!side || !least) return []
  const card = (Math.atan(CARD / side.heel) * 180) / Math.PI
  const plan = tiltJob(side.heel, least.tilt)
  const taper = neckTaper(build)
  return [
    ...(traitAt(build, 'neck', 'tiltScrew') === 'screw' && !willBeGlued(build)
      ? [
          {
            id: 'tilt-screw',
            job: `Turn the heel’s tilt screw in until the pocket’s end opens by ${printMm(least.shim)} mm.`,
            how: 'Slacken the neck screws half a turn first, tighten them after; check the side play.',
            gives: 'nothing',
            tools: ['key of the tilt screw', 'screwdriver'],
            plan,
          },
        ]
      : []),
    {
      id: 'taper-shim',
      job: `Tilt the neck ${least.tilt.toFixed(2)}° back: ${taper.what}, ${printMm(least.shim)} mm at the pocket’s end.`,
      how: `${taper.how}${cardSays(build, card, printMm(riseOver(side.reach, card), 1))}`,
      gives: 'nothing',
      tools: taper.tools,
      plan,
    },
    ...(willBeGlued(build)
      ? []
      : [
          {
            id: 'strip-shim',
            job: `Or a strip ${printMm(least.strip)} mm thick and ${STRIP} mm wide at the back of the pocket.`,
            how: 'Quick and easy to undo; the heel lies on its front edge and is hollow before it. Both ways are practised.',
            gives: 'nothing',
            tools: ['card or veneer', 'scissors'],
            plan,
          },
        ]),
    ...middleCure(build, side),
  ]
}

/** A neck that is one piece with the body stands as it was built: it is the bridge that follows. */
function lowerBridge(build: Build, above: Distribution): Cure[] {
  const down = drawnAt(build, sizeRef('bridge', 'height.min')) + likelyOf(above) - SPARE - landing(above, 0)
  return down < LEAST_BRIDGE
    ? []
    : [
        {
          id: 'lower-bridge',
          job: `Take a bridge whose saddles come down to ${printMm(down, 1)} mm above the body.`,
          how: 'Nothing is cut. Its studs, or its screws, have to come where these do.',
          gives: 'the bridge',
          tools: [],
        },
      ]
}
/** No saddle stands lower over the wood under it, mm. [practice, from memory] */
const LEAST_BRIDGE = 3

/** The other goal: the bridge in the middle of its range, room to spare either way. */
function middleCure(build: Build, side: SideSetting): Cure[] {
  const middle = tiltFor(side, { reach: 'middle' })
  if (!middle) return []
  return [
    {
      id: 'shim-to-middle',
      job: `Or tilt it ${middle.tilt.toFixed(2)}° (${printMm(middle.shim)} mm at the end): the bridge then stands mid-range.`,
      how: 'More than needed now; leaves room both ways and a steeper string over the saddles.',
      gives: 'nothing',
      tools: neckTaper(build).tools,
      plan: tiltJob(side.heel, middle.tilt),
    },
  ]
}

/** Only a bridge that lies on the body can be lifted by a plate; one that stands on studs or posts hangs from its threads. */
const LIES_ON_BODY = ['screws', 'string-through', 'six-screw']

/** Strings too low: the neck tipped forward or set deeper, and a plate under a bridge that lies on the body. */
export function raiseCures(build: Build, lack: number, below: Distribution): Cure[] {
  const side = sideSetting(build)
  const least = side && tiltFor(side, { reach: 'least', beyond: landing(below, riseOver(side.reach, SHIM_DOUBT)) })
  const missing = lack + landing(below, DEEPEN_DOUBT)
  const screw = toldAt(build, sizeRef('bridge', 'screw.length'))
  return [
    ...(LIES_ON_BODY.includes(traitAt(build, 'bridge', 'mount') ?? '')
      ? [
          {
            id: 'bridge-plate',
            job: `Put a plate ${printMm(missing, 1)} mm thick under the bridge, with ${screw ? `screws of ${printMm(screw.value + missing, 0)} mm` : 'longer screws'}.`,
            how: 'It must conduct where the string ground runs through it. Takes nothing off the body.',
            gives: 'nothing',
            toGet: true,
            tools: ['plate', 'longer screws'],
            plan: {
              slot: 'bridge' as const,
              size: 'height.max',
              delta: missing,
              doubt: 0.1,
              also: [{ slot: 'bridge' as const, size: 'height.min', delta: missing, doubt: 0.1 }],
            },
          },
        ]
      : []),
    ...(least && least.tilt < 0 && !isThrough(build)
      ? [
          {
            id: 'less-tilt',
            job: `Tip the neck ${Math.abs(least.tilt).toFixed(2)}° forward: ${willBeGlued(build) ? neckTaper(build).what : 'a shim'}, ${printMm(least.shim)} mm at the pocket’s mouth.`,
            how: `${willBeGlued(build) ? neckTaper(build).how : 'Takes out a shim at the end first, where there is one.'} It lifts the heel at the mouth by as much, which is reckoned in; the strings get flatter over the saddles.`,
            gives: 'nothing',
            tools: neckTaper(build).tools,
            plan: tiltJob(side.heel, least.tilt),
          },
        ]
      : []),
    ...(isThrough(build)
      ? []
      : [
          {
            id: 'deepen-pocket',
            job: `Or deepen the pocket by ${printMm(missing, 1)} mm, evenly.`,
            how: 'Router on a flat template, or scraper and straight-edge; it cannot be put back but by a plate under the heel. Before any coat goes on.',
            gives: 'body',
            tools: ['router', 'bearing bit'],
            plan: { slot: 'body' as const, size: 'pocket.depth', delta: missing, doubt: DEEPEN_DOUBT },
          },
        ]),
    {
      id: 'taller-bridge',
      job: `Or take a bridge whose saddles reach ${printMm(drawnAt(build, sizeRef('bridge', 'height.max')) + missing, 1)} mm above the body.`,
      how: 'Nothing is cut. Its studs, or its screws, have to come where these do.',
      gives: 'the bridge',
      tools: [],
    },
  ]
}
/** How exactly a pocket is deepened, mm. [practice] */
const DEEPEN_DOUBT = 0.1
