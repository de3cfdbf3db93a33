import type { Build } from '../../document/build'
import { hasTrussNut } from '../../document/read'
import type { Medium } from '../../finish/products'
import { partOfZone, surfaceOf } from '../../finish/stack'
import { zoneGroups, type ZoneGroup } from '../../finish/zones'
import { gaugesUntold, stringPulls } from '../../instrument/stringPulls'
import { notesOf, tuningOf } from '../../instrument/tunings'
import { listed } from '../../quantity/words'
import type { SetupResult } from '../../setup/setupResult'
import type { Sheet } from '../sheet'

/** How a film is kept, by what it is. [practice] */
const KEEPING: Readonly<Partial<Record<Medium, string>>> = {
  lacquer:
    'Lacquer: a soft dry cloth. It softens on foam or rubber stands and under straps of plastic: put cotton between. No silicone polish.',
  acrylic: 'Acrylic: a damp cloth, then dry. No solvent, no silicone polish.',
  metallic: 'Metallic under clear: a damp cloth, then dry. What is rubbed through to the silver cannot be touched up: no abrasive polish.',
  waterborne: 'Waterborne clear: a damp cloth, dried at once; no alcohol.',
  poly: 'Wipe-on: a damp cloth; a dull place may be wiped with another thin coat.',
  oil: 'Oil: a thin coat once a year, rubbed off within minutes. Oily rags burn by themselves: lay them flat outside to dry, or under water.',
  'hard-wax': 'Hard wax oil: a damp cloth; worn places take another thin coat.',
  shellac: 'Shellac: dry cloth only; alcohol and hot hands mark it.',
}
const ANY = 'A soft dry cloth.'
const BARE = 'Bare wood: dry hands, no water; it marks.'
/** Nobody has said what a finish is that was there already. */
const AS_IT_CAME = 'The finish it came with: a soft dry cloth; no solvent and no silicone polish while nobody knows what it is.'

/** What a hand or a cloth meets: the last film that is laid, with the metallic that shows through it. */
function keepingOf({ layers }: ZoneGroup): string {
  const media = layers.map((l) => l.medium)
  const top = media.findLast((m) => m !== 'wax' && m !== 'decal')
  return (top && KEEPING[media.includes('metallic') ? 'metallic' : top]) ?? ANY
}

/** How each face is kept: by its own stack, or as it came. */
function keeping(build: Build): string[] {
  const groups = zoneGroups(build)
  const came = (['body', 'neck'] as const).filter((part) => build.parts[part] && surfaceOf(build, part) === 'coated')
  const left = came.filter((part) => !groups.some((g) => g.zones.some((zone) => partOfZone(zone) === part && zone !== 'board')))
  const laid = groups.map((g) => `${keepingOf(g)}${groups.length + left.length > 1 ? ` (${g.label.toLowerCase()})` : ''}`)
  const own = left.length ? [`${AS_IT_CAME}${groups.length ? ` (${listed(left)})` : ''}`] : []
  if (laid.length || own.length) return [...laid, ...own]
  return [surfaceOf(build) === 'raw' ? BARE : ANY]
}

/** One page for who plays it: strings, numbers, what to keep off, when to bring it back. */
export function careSheet(build: Build, setup: SetupResult): Sheet {
  // Whoever buys the next set goes by this: a gauge nobody has said is none of it.
  const gauges = gaugesUntold(build).length ? [] : stringPulls(build).map((p) => p.gauge.toFixed(2))
  // Who plays it compares with these for years: what no longer holds is none of them.
  const done = setup.moves.filter((m) => m.measured && !m.stale)
  const action = done.find((m) => m.id === 'action')
  return {
    id: 'care-sheet',
    title: 'Care sheet',
    about: `${build.name}. For who plays it.`,
    blocks: [
      { heading: 'Strings' },
      {
        text: `${gauges.length ? `Gauges ${gauges.join(', ')} mm. ` : ''}Tuned ${tuningOf(build).name}: ${notesOf(tuningOf(build))}. Other gauges or another tuning want a new setup.${build.parts.springs ? ' Change them one at a time, so that the bridge stays where it is.' : ''} Eyes away when cutting strings.`,
      },
      ...(done.length
        ? [
            { heading: 'As it left the bench' },
            { table: { columns: ['what', 'read', 'wanted'], rows: done.map((m) => [m.title, m.measured!, m.target]) } },
          ]
        : []),
      { heading: 'Keeping it' },
      {
        tick: [
          ...keeping(build),
          `Air between ${build.room.low} and ${build.room.high} % as in the room it was built in: below, frets stick out; above, the neck bows.`,
          'Never in a hot car, at a radiator or in the sun behind glass.',
          'Wipe strings and frets after playing; a drop of board oil on bare wood twice a year, none on a lacquered board.',
        ],
      },
      { heading: 'Bring it back when' },
      {
        tick: [
          'it buzzes where it did not, or bends choke',
          `the strings stand more than half a millimetre off what they were${action?.measured ? ` (${action.measured}, over fret 12)` : ''}`,
          `a knob crackles${build.parts.switch ? ', or one position of the switch is silent' : ''}`,
          `the seasons changed and it will not stay in tune${build.parts.neck && hasTrussNut(build) ? ': a quarter turn of the truss nut is work for a bench, not for pliers' : ''}`,
        ],
      },
    ],
  }
}
