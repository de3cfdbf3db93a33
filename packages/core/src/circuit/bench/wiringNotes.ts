import type { Build } from '../../document/build'
import { traitAt } from '../../document/read'
import { listed } from '../../quantity/words'
import { lugParts, type Harness } from '../model/harness'
import { lugName } from '../model/lugNames'
import { switchesOf, switchStates } from '../model/switchStates'
import { topology } from './topology'

/** Something to do or know before the iron is hot. */
export interface WiringNote {
  id: 'moving' | 'which-where' | 'iron' | 'shield' | 'plugs' | 'battery' | 'closing'
  title: string
  says: string[]
}

/** Hum left of a position below which a lined box changes nothing that is heard, dB. [ours] */
const QUIET = -26

/** What the parts of this build ask for at the bench, beside the list of wires. */
export function wiringNotes(build: Build, harness: Harness): WiringNote[] {
  const positions = switchStates(harness).map((s) => ({ ...s, topology: topology(harness, s.switches) }))
  const selector = switchesOf(harness).find((s) => s.id === 'switch')
  const pickups = new Set(harness.components.flatMap((c) => (c.is === 'coil' ? [c.pickup] : [])))
  const onCases = harness.wires.filter((w) => [w.from, w.to].some((l) => isCase(harness, l))).length
  return [
    {
      id: 'moving',
      title: 'Before anything is soldered',
      says: [
        'Every control over its whole travel, with what it is turned by on it: nothing may rub or stop short.',
        ...(selector
          ? [
              'A selector goes in either way round. Look which end its first position is at before it is soldered: turned over, the positions come in the wrong order.',
            ]
          : []),
      ],
    },
    ...(selector && pickups.size > selector.table.positions.length - 1
      ? [
          {
            id: 'which-where' as const,
            title: 'Which sounds where',
            says: positions.map((p) => `Position ${p.id}: ${p.topology.words}.`),
          },
        ]
      : []),
    {
      id: 'iron',
      title: 'The iron',
      says: [
        `${onCases} ${onCases === 1 ? 'joint is' : 'joints are'} on a pot’s case: roughed with paper, a wide tip and some 60 W, a separate puddle each, five seconds at most. A small iron does all the others.`,
      ],
    },
    shieldNote(build, harness, positions),
    ...(harness.wires.some((w) => w.plug)
      ? [
          {
            id: 'plugs' as const,
            title: 'Plugs',
            says: [
              'The pickups are plugged in, not soldered: each the right way round, pushed home until it stops. Half home reads open, turned round it sounds thin beside the others.',
              'A plug is thicker than its lead: look where it lies before the cavity is closed.',
            ],
          },
        ]
      : []),
    ...(harness.components.some((c) => c.is === 'battery')
      ? [
          {
            id: 'battery' as const,
            title: 'Battery',
            says: [
              'Off its clip for every reading in ohms and while anything is soldered: its volts falsify the reading and can harm the meter. It goes on last.',
              'It is used up while a plug is in the jack: the plug comes out after playing.',
            ],
          },
        ]
      : []),
    {
      id: 'closing',
      title: 'Before it is closed',
      says: [
        `Spare lead folded and tied, clear of screws${selector ? ' and of the switch’s travel' : ''}; nothing bare against foil, paint or a case.`,
      ],
    },
  ]
}

const isCase = (harness: Harness, lug: string) => {
  const c = harness.components.find((x) => x.id === lugParts(lug).component)
  return c?.is === 'ground' && c.metal === 'case'
}

/** Who picks up what is in the air. */
function whoPicks(humming: readonly string[], of: number): string {
  if (of === 1) return 'this circuit picks'
  if (humming.length === of) return 'every position picks'
  return humming.length === 1 ? `position ${humming[0]} picks` : `positions ${listed(humming)} pick`
}

function shieldNote(
  build: Build,
  harness: Harness,
  positions: readonly { id: string; topology: { hum: number; sounding: string[] } }[],
): WiringNote {
  const type = build.parts.shielding && traitAt(build, 'shielding', 'type')
  const humming = positions.filter((p) => p.topology.sounding.length && p.topology.hum > QUIET).map((p) => p.id)
  const worth = humming.length
    ? `Worth it: ${whoPicks(humming, positions.length)} up what is in the air. It keeps buzz of lamps and dimmers out, and hum of transformers hardly.`
    : 'No difference to expect: no position of this circuit picks up much.'
  const live = [...new Set(harness.wires.filter((w) => w.role === 'hot' || w.role === 'signal').flatMap((w) => [w.from, w.to]))].filter(
    (l) => {
      const c = harness.components.find((x) => x.id === lugParts(l).component)
      return c?.is === 'pot' || c?.is === 'switch' || c?.is === 'jack'
    },
  )
  const tape = `Foil and paint conduct: tape or tube where these come near it: ${live.map((l) => lugName(harness, l)).join('; ')}.`
  const every = 'Every part keeps its ground wire all the same: what is glued on comes loose.'
  if (!build.parts.shielding)
    return {
      id: 'shield',
      title: 'Shielding: none',
      says: [
        worth,
        ...(switchesOf(harness).length ? ['A long run to a far switch: wrapped in foil, one end grounded, tape over it.'] : []),
      ],
    }
  if (!type)
    return {
      id: 'shield',
      title: 'Shielding',
      says: [worth, 'Foil or conductive paint: say which under Parts. How it is laid, joined and metered hangs on it.', tape, every],
    }
  if (type === 'paint')
    return {
      id: 'shield',
      title: 'Conductive paint',
      says: [
        worth,
        'After all work on the bridge and its ground, before anything is wired: two coats or three, dry between them as the label says.',
        'Meter from corner to corner: some hundreds of ohm; kilohms want another coat. A lug under a screw joins it to the sleeve: meter sleeve to paint, the same.',
        'Bare wood is left round the pots’ and the switch’s lugs, and where the guard’s screws go.',
        tape,
        every,
      ],
    }
  return {
    id: 'shield',
    title: 'Foil',
    says: [
      worth,
      'Every overlap folded or soldered at one place: most glue does not conduct. A beep from wall to wall and to the sleeve.',
      'The same again after the pickups have gone past it: they scrape it open.',
      tape,
      every,
    ],
  }
}
