import { isScrewedDown, switchMake } from '../../instrument/switchMake'
import { capital } from '../../quantity/words'
import { HOLE_OVER } from '../../instrument/holeOver'
import type { Build } from '../../document/build'
import { isSaid, sizeAt, sizeRef, traitAt } from '../../document/read'
import {
  CONTROL_WORDS,
  controlPlace,
  controlRefs,
  controlSaid,
  jackPanel,
  potSlot,
  potsIn,
  type Control,
  type SwitchControl,
} from '../../instrument/controlPlace'
import { inHollow, isCarried, panelName, panelOf, type Panel } from '../../instrument/panel'
import { behindPanel } from '../behind'
import { opened } from '../opened'
import type { Finder } from '../finder'
import type { Side } from '../holeCard'
import type { Located } from '../place'
import { printMm } from '../../quantity/length'
import { alongWords, fromEdge } from '../place'

const CAUTIONS = ['Eye protection; clamp plastic between scrap, it grabs and cracks.']

const METAL =
  'Eye protection; the plate clamped between scrap, never held by hand: a bit that catches spins it. Edges are sharp until deburred.'

/** Work on a part that is drilled by itself. */
export const cautionsOn = (panel: Panel): { cautions?: string[] } =>
  panel.slot === 'body' ? {} : { cautions: panel.slot === 'guard' ? CAUTIONS : [METAL] }

/** What a place is counted from on what carries it. */
const alongOn = (build: Build, panel: Panel, x: number): string =>
  panel.slot === 'guard'
    ? fromEdge(x, 'the guard’s neck edge')
    : panel.slot === 'control-plate'
      ? fromEdge(x, 'the plate’s front end')
      : alongWords(build, x)[0]!
const acrossOn = (y: number): string => {
  const off = printMm(Math.abs(y), 1)
  return off === '0' ? 'on its middle line' : `${off} to the ${y > 0 ? 'bass' : 'treble'} side`
}

/** Where controls sit, in the marks of what carries them or on the wood. */
export function placed(build: Build, which: readonly (Control | 'jack')[]): Located {
  const panel = panelOf(build)
  const refs = which.map((c) => ({ c, ...controlRefs(build, c) }))
  const marked = refs.filter(({ x, y }) => isSaid(build, x, y))
  const missing = refs.flatMap(({ x, y }) => (isSaid(build, x, y) ? [] : [x, y])).filter((ref) => !sizeAt(build, ref))
  const words = ({ c, x, y }: (typeof refs)[number]) =>
    `${c === 'jack' ? c : CONTROL_WORDS[c]}: ${alongOn(build, panel, sizeAt(build, x)!.value)}, ${acrossOn(sizeAt(build, y)!.value)}`
  // A row whose places are known in part has none that could be counted; on a plate that lies nobody knows where neither.
  const places = missing.length || !which.every((c) => controlSaid(build, c)) ? [] : which.map((c) => controlPlace(build, c))
  return { places, from: marked.map(words), missing }
}

/** Where the hand is. */
export const sideOf = (panel: Panel): Side => (isCarried(panel) ? SIDE[panel.slot] : 'front')
const SIDE = { guard: 'guard', 'control-plate': 'control plate' } as const
export const lying = (panel: Panel): string => `the ${panel.name} lying where it will lie`
const throughOf = (panel: Panel) => ({ ref: panel.thickness, label: panel.name, role: panel.role })

/** Where no route was cut, what stands inside is looked for before the top is drilled. */
export const LOOK_IN = 'a mirror and a lamp through the sound hole: no brace, block or lining under the marks'

/** Holes for the pots, in what carries them or in the wood. */
export const potHoles: Finder = (build, bench) => {
  const pots = potsIn(build)
  const panel = panelOf(build)
  if (!pots.length || !build.parts[panel.slot]) return undefined
  const hollow = inHollow(build)
  // One size of hole for all: the thickest bushing decides, and one that nobody read may be the thickest.
  const bushings = pots.map((p) => sizeRef(potSlot(p), 'bushing.diameter'))
  const own =
    bushings.find((ref) => !sizeAt(build, ref)) ?? bushings.reduce((a, b) => (sizeAt(build, b)!.value > sizeAt(build, a)!.value ? b : a))
  return opened(
    build,
    bench,
    {
      id: 'pot-holes',
      title: `Pot holes in the ${panelName(build)}`,
      slot: isCarried(panel) ? panel.slot : potSlot(pots[0]!),
      side: sideOf(panel),
      goesIn: 'the pots’ bushings',
      located: isCarried(panel)
        ? `the ${panel.name}’s own marks; the route’s walls below clear the pots by 2 mm`
        : hollow
          ? 'the top: shafts 30 mm apart and 15 from the strings, hollow under every one'
          : 'the control route: shafts 30 mm apart and 15 from the strings',
      first: isCarried(panel) ? [lying(panel)] : [hollow ? LOOK_IN : 'the control route, its floor measured'],
      back: isCarried(panel)
        ? `A washer wide enough, or another ${panel.name}.`
        : 'A washer, or dowel and drill anew: it shows through a clear finish.',
    },
    {
      there: { slot: panel.slot, trait: 'bored.controls' },
      own,
      hole: sizeRef(panel.slot, 'pot.hole'),
      small: 0.1,
      large: 1.5,
      over: HOLE_OVER.pot,
      through: throughOf(panel),
      located: placed(build, pots),
      byNumbers: true,
      behind: behindPanel(build),
      ream: 'tapered reamer by hand, tape on the face',
      tooLarge: 'A flat washer on the face, wider than the hole.',
      ...cautionsOn(panel),
    },
  )
}

/** A toggle's or a rotary's hole, in what carries them or in the wood. */
export const toggleHole =
  (of: SwitchControl): Finder =>
  (build, bench) => {
    const contacts = traitAt(build, of, 'contacts')
    if (!build.parts[of] || contacts === undefined || isScrewedDown(contacts)) return undefined
    const panel = panelOf(build)
    if (!build.parts[panel.slot]) return undefined
    const make = switchMake(contacts)
    return opened(
      build,
      bench,
      {
        id: of === 'switch' ? 'toggle-hole' : 'toggle-hole-2',
        title: `${of === 'switch' ? capital(make) : `Second switch’s ${make}`} hole in the ${panelName(build)}`,
        slot: of,
        side: sideOf(panel),
        goesIn: `the ${make}’s thread`,
        located: isCarried(panel) ? `the ${panel.name}’s own mark` : 'the room below it: its frame turns and clears the walls',
        first: [isCarried(panel) ? lying(panel) : inHollow(build) ? LOOK_IN : 'the room under it and its passage'],
        back: 'A ring washer hides little; dowel and drill anew shows through a clear finish.',
      },
      {
        there: { slot: panel.slot, trait: of === 'switch' ? 'bored.toggle' : 'bored.toggle-2' },
        own: sizeRef(of, 'thread.diameter'),
        hole: sizeRef(panel.slot, `${of}.hole`),
        small: 0.1,
        large: 1.5,
        over: HOLE_OVER.toggle,
        through: throughOf(panel),
        one: true,
        located: placed(build, [of]),
        byNumbers: true,
        behind: behindPanel(build),
        ream: 'step bit or reamer by hand, tape on the face',
        tooLarge: 'Its ring washer, wider than the hole.',
        ...cautionsOn(panel),
      },
    )
  }

/** The jack's hole beside the controls, in what carries them. */
export const jackHole: Finder = (build, bench) => {
  const panel = jackPanel(build)
  if (!panel) return undefined
  return opened(
    build,
    bench,
    {
      id: 'jack-hole',
      title: `Jack hole in the ${panelName(build)}`,
      slot: 'jack',
      side: sideOf(panel),
      goesIn: 'the jack’s thread, from behind',
      located: `the ${panel.name}’s own mark; the plug goes straight down into the route below`,
      first: [lying(panel)],
      back: `A flat washer wider than the hole on either face, or another ${panel.name}.`,
    },
    {
      there: { slot: panel.slot, trait: 'bored.jack' },
      own: sizeRef('jack', 'bore'),
      hole: sizeRef(panel.slot, 'jack.hole'),
      small: 0.1,
      large: 1,
      over: HOLE_OVER.jack,
      through: throughOf(panel),
      behind: 'free',
      one: true,
      located: placed(build, ['jack']),
      byNumbers: true,
      ream: 'tapered reamer by hand, tape on the face',
      tooLarge: 'A flat washer wider than the hole on either face.',
      ...cautionsOn(panel),
    },
  )
}
