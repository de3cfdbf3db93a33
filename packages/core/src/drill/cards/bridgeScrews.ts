import { sizeAt, sizeRef, traitAt } from '../../document/read'
import type { Finder } from '../finder'
import { acrossBody, evenly } from '../place'
import { screwed } from '../screwed'
import { isThere } from '../told'
import { windowGuard } from './studBores'

const MOUNTS = new Set(['screws', 'string-through', 'six-screw'])
/** Its outer screws, by either name they were measured under. */
const spreadOf = (build: Parameters<Finder>[0]) =>
  sizeAt(build, sizeRef('bridge', 'screw.spread')) ? sizeRef('bridge', 'screw.spread') : sizeRef('bridge', 'studSpacing')

/** Screws of a bridge that lies on the top. */
export const bridgeScrews: Finder = (build, bench) => {
  const mount = traitAt(build, 'bridge', 'mount') ?? ''
  if (!build.parts.body || !MOUNTS.has(mount)) return undefined
  const count = sizeAt(build, sizeRef('bridge', 'screws'))
  const there = { slot: 'body', trait: 'bored.bridge' } as const
  const known = isThere(build, there)
  const row = acrossBody(build, [sizeRef('body', 'mouthToBridge')], spreadOf(build), evenly(Math.max(1, count?.value ?? 2)))
  return screwed(
    build,
    bench,
    {
      id: 'bridge-screws',
      title: mount === 'six-screw' ? 'Pivot screws of the vibrato' : 'Bridge screws',
      slot: 'bridge',
      side: 'front',
      goesIn: 'wood screws through the plate',
      located: 'the scale and the two outer strings; then the plate itself, held down and marked through',
      first: ['the neck home in its pocket', 'two threads for the outer strings, nut to bridge'],
      back: 'Hardwood dowel glued in, a day to dry, drilled anew; the plate hides it.',
    },
    {
      work: known === undefined ? undefined : known ? 'keep' : 'new',
      there,
      length: sizeRef('bridge', 'screw.length'),
      root: sizeRef('bridge', 'screw.root'),
      thread: sizeRef('bridge', 'screw.thread'),
      through: [[1, sizeRef('bridge', 'plate.thickness')]],
      held: { label: 'plate', role: 'metal' },
      wood: { terms: [[1, sizeRef('body', 'thickness')]], face: 'the body’s back' },
      woodOf: 'body',
      located: count ? row : { ...row, places: [], missing: [...row.missing, sizeRef('bridge', 'screws')] },
      byNumbers: true,
      guards: known ? [] : [windowGuard(build)],
      mind: ['First screw in the middle, the plate turned square to the strings; look along the outer threads, then the next.'],
    },
  )
}
