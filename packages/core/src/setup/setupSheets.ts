import { signed } from '../judge/joint'
import type { Build } from '../document/build'
import { gaugesUntold } from '../instrument/stringPulls'
import { notesOf, tuningOf } from '../instrument/tunings'
import { printMm } from '../quantity/length'
import { setupDrawing } from './setupDrawing'
import type { Move } from './move'
import type { SetupResult } from './setupResult'
import { pickupHeights } from './pickupHeights'

/** A piece of a printed page, as sheets of every station are made of. */
type Block =
  | { heading: string }
  | { text: string }
  | { table: { columns: string[]; rows: string[][] } }
  | { tick: string[] }
  | { drawing: ReturnType<typeof setupDrawing> }
interface Page {
  id: string
  title: string
  about: string
  blocks: Block[]
}

/** What the sums behind the numbers take for granted. */
const MODELS =
  'Action and slots on the crowns as they stand, the free neck a parabola to its joint. Pitch for strings that run on over nut and saddle, pressed 0.1 to 0.3 mm. Turns by what earlier turns gave here, else by the thread.'

/** A number on paper is taken for what is: one that no longer holds says so. */
const asRead = (value: string | undefined, stale: boolean | undefined) =>
  value === undefined ? 'not read' : stale ? `${value}, old` : value
const OLD =
  'Old: read before frets were levelled, a screw was turned or the strings pulled otherwise. Read it again before anything hangs on it.'
/** What stands so now, or a place to write it. */
const handedOver = (m: Move) => (m.stale ? undefined : m.measured) ?? '______'

/** The numbers as read and wanted; a ticket for a shop; a page for who plays it. */
export function setupSheets(build: Build, setup: SetupResult): Page[] {
  const tuning = tuningOf(build)
  const heights = pickupHeights(build)
  const untold = gaugesUntold(build)
  const gauges = setup.pulls
    .filter((p) => !untold.includes(p.number))
    .map((p) => `${p.number}: ${p.gauge.toFixed(2)}`)
    .join(', ')
  const numbers: Block = {
    table: {
      columns: ['number', 'read', 'wanted', 'to do'],
      rows: setup.moves.map((m) => [m.title, asRead(m.measured, m.stale), m.target, m.says]),
    },
  }
  const strings: Block = {
    table: {
      columns: ['string', 'note', 'over fret 12', 'wanted', 'fret 12, cents'],
      rows: setup.actions.map((a) => {
        const cents = setup.intonation.find((i) => i.number === a.number)
        return [
          String(a.number),
          cents?.note ?? '',
          asRead(a.read ? printMm(a.is) : undefined, a.stale),
          printMm(a.wanted),
          asRead(cents?.cents === undefined ? undefined : signed(cents.cents, 1), cents?.stale),
        ]
      }),
    },
  }
  const pickups: Block = {
    table: {
      columns: ['pickup', 'bass end', 'treble end'],
      rows: heights.map((p) => [p.label, ...p.sides.map((s) => `${asRead(s.read?.toFixed(1), s.stale)}; wanted ${s.wanted.toFixed(1)}`)]),
    },
  }
  const stale = [...setup.moves, ...setup.actions, ...setup.intonation, ...heights.flatMap((p) => p.sides)].some((x) => x.stale)
  const old: Block[] = stale ? [{ text: OLD }] : []
  const strung = `${gauges ? `Strings ${gauges}, mm` : 'Strings of unknown gauge'}; tuned ${tuning.name}: ${notesOf(tuning)}.`
  return [
    {
      id: 'setup-sheet',
      title: 'Setup sheet',
      about: `${build.name}. ${strung} Read in tune, in this order.`,
      blocks: [
        numbers,
        { drawing: setupDrawing(build) },
        { heading: 'String by string' },
        strings,
        { heading: 'Pickups' },
        pickups,
        ...old,
        { text: MODELS },
      ],
    },
    {
      id: 'shop-ticket',
      title: 'Shop ticket',
      about: `${build.name}, as it is handed over. ${strung}`,
      blocks: [
        { heading: 'Wanted' },
        { tick: setup.moves.filter((m) => !m.done).map((m) => `${m.title}: ${m.target}, now ${asRead(m.measured, m.stale)}`) },
        { heading: 'As it is handed over' },
        strings,
        ...old,
        { heading: 'What is not to be changed' },
        {
          tick: [
            ...setup.moves.filter((m) => m.done).map((m) => `${m.title}: ${m.measured ?? m.target}`),
            'Wiring and pickups',
            'Strings’ gauge and tuning',
          ],
        },
        { heading: 'On its return: read again and compare' },
        { tick: setup.moves.map((m) => `${m.title}: ${handedOver(m)} handed over, ______ on its return`) },
      ],
    },
    {
      id: 'player-page',
      title: 'Played by somebody else',
      about: `${build.name}. No skill with tools is needed: play, listen, tick or write down.`,
      blocks: [
        {
          tick: Array.from(
            { length: setup.actions.length },
            (_, i) => `String ${i + 1}: every fret once, softly and hard. Buzzes at: ______`,
          ),
        },
        {
          tick: [
            'Bends of a whole step above fret 12: nothing chokes',
            build.parts.switch ? 'Every position of the switch sounds, every control does something' : 'Every control does something',
            'Chords low and high sound in tune',
          ],
        },
        ...(setup.moves.some((m) => m.id === 'float')
          ? [{ tick: ['Arm down and back: in tune again', 'Arm up and back: in tune again'] }]
          : []),
        { heading: 'What feels wrong, in your own words' },
        { text: '______________________________________________' },
      ],
    },
  ]
}
