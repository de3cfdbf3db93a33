import { neckHome } from '../../instrument/neckWords'
import { sizeAt, sizeRef, traitAt } from '../../document/read'
import type { Build } from '../../document/build'
import { woodUnderBridge } from '../../instrument/woodUnderBridge'
import { printMm } from '../../quantity/length'
import { waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { BETWEEN, guarded } from '../guard'
import type { Guard } from '../holeCard'
import { acrossBody, evenly } from '../place'
import { screwed } from '../screwed'
import { isThere } from '../told'
import { windowGuard } from './studBores'

const MOUNTS = new Set(['screws', 'string-through', 'six-screw'])
/** Its outer screws, by either name they were measured under. */
const spreadOf = (build: Parameters<Finder>[0]) =>
  sizeAt(build, sizeRef('bridge', 'screw.spread')) ? sizeRef('bridge', 'screw.spread') : sizeRef('bridge', 'studSpacing')

/** Where the bridge's screws stand, across the strings. */
export const screwRow = (build: Build) =>
  acrossBody(
    build,
    [sizeRef('body', 'mouthToBridge')],
    spreadOf(build),
    evenly(Math.max(1, sizeAt(build, sizeRef('bridge', 'screws'))?.value ?? 2)),
  )

/** Screws of a bridge that lies on the top. */
export const bridgeScrews: Finder = (build, bench) => {
  const mount = traitAt(build, 'bridge', 'mount') ?? ''
  if (!build.parts.body || !MOUNTS.has(mount)) return undefined
  const count = sizeAt(build, sizeRef('bridge', 'screws'))
  const there = { slot: 'body', trait: 'bored.bridge' } as const
  const known = isThere(build, there)
  const row = screwRow(build)
  const base: Base = {
    id: 'bridge-screws',
    title: mount === 'six-screw' ? 'Pivot screws of the vibrato' : 'Bridge screws',
    slot: 'bridge',
    side: 'front',
    goesIn: 'wood screws through the plate',
    located: 'the scale and the two outer strings; then the plate itself, held down and marked through',
    first: [...neckHome(build), 'two threads for the outer strings, nut to bridge'],
    back: 'Hardwood dowel glued in, a day to dry, drilled anew; the plate hides it.',
  }
  const into = woodUnderBridge(build)
  if (!into && known === false)
    return waiting(build, base, [], [{ slot: 'body', trait: 'build' }], {
      places: row.places,
      takes: sizeAt(build, sizeRef('bridge', 'screw.thread'))?.value,
    })
  return screwed(build, bench, base, {
    work: known === undefined ? undefined : known ? 'keep' : 'new',
    there,
    length: sizeRef('bridge', 'screw.length'),
    root: sizeRef('bridge', 'screw.root'),
    thread: sizeRef('bridge', 'screw.thread'),
    through: [[1, sizeRef('bridge', 'plate.thickness')]],
    held: { label: 'plate', role: 'metal' },
    ...(into ? { wood: { terms: [[1, into.size]], face: into.face } } : {}),
    woodOf: 'body',
    located: count ? row : { ...row, places: [], missing: [...row.missing, sizeRef('bridge', 'screws')] },
    byNumbers: true,
    over: 'the plate laid on, two threads from the nut running to its outer saddles',
    guards: known ? [] : [windowGuard(build), ...oldRows(build)],
    mind: [
      `First ${count && count.value % 2 === 0 ? 'one of the two in the middle' : 'the screw in the middle'}, the plate turned square to the strings; look along the outer threads, then the next.`,
    ],
  })
}

/** An old hole is about so wide, mm. [practice] */
const OLD = 4

/** Rows of an earlier bridge so near that a new screw may fall into one of their holes: how they stand across, nobody measured. */
function oldRows(build: Build): Guard[] {
  const thread = sizeAt(build, sizeRef('bridge', 'screw.thread'))?.value ?? 3.5
  return (['front', 'back'] as const).flatMap((end) => {
    const away = sizeAt(build, sizeRef('body', `oldHoles.${end}`))
    if (!away) return []
    const wood = Math.abs(away.value) - (OLD + thread) / 2
    return [
      guarded(
        `old-${end}`,
        `Wood to the old holes, ${end}`,
        { value: wood, doubt: away.doubt },
        [
          { upTo: BETWEEN, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        wood < BETWEEN
          ? `A row of old holes lies ${Math.abs(away.value) < 0.05 ? 'on the line of these' : `${printMm(Math.abs(away.value), 1)} mm ${end === 'front' ? 'in front of' : 'behind'} these`}: where one of them is in line with a new screw, plug it first, let it dry, drill anew.`
          : `The old holes lie ${printMm(Math.abs(away.value), 1)} mm away.`,
      ),
    ]
  })
}
