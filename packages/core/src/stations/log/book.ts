import type { Build } from '../../document/build'
import { chosenParts, specAt } from '../../document/read'
import { framed } from '../../drawing/sections'
import type { Drawing, Mark } from '../../drawing/drawing'
import { ofHand } from '../../drawing/turnedOver'
import { backView, frontView } from '../../instrument/longView'
import { notesOf, tuningOf } from '../../instrument/tunings'
import type { LogEntry } from '../../log/entry'
import { SLOT_NAMES, slotSpec } from '../../parts/slots'
import { ownSizes } from '../../parts/unknown'
import { isMeasured } from '../../quantity/size'
import { sayDay } from '../../quantity/days'
import type { Results } from '../list'
import { sheetsOf } from '../things'
import { totalSays, turnTotals } from '../../setup/turnTotals'
import { knownFaults } from './handover'
import type { Sheet, SheetBlock } from '../sheet'
import { byMoment } from '../../quantity/moments'

/** Sheets whose pages belong in the book as they are. */
const KEPT: readonly string[] = ['wire-list', 'finish-sheet', 'setup-sheet']

const table = (columns: string[], rows: string[][]): SheetBlock[] => (rows.length ? [{ table: { columns, rows } }] : [])
const section = (heading: string, blocks: SheetBlock[]): SheetBlock[] => (blocks.length ? [{ heading }, ...blocks] : [])

/** The instrument in true proportion, as it is seen; a left-handed one turned over. */
const whole = (build: Build, marks: Mark[], title: string): Drawing =>
  ofHand(framed(title, 'in true proportion, from its own sizes', marks, [], 0.02), build.handedness)

function handedOver({ delivered }: Build): SheetBlock[] {
  if (!delivered) return []
  const { on, to, faults, reopened } = delivered
  const year = (day: string) => `${sayDay(day)} ${day.slice(0, 4)}`
  return [
    {
      text: `On ${year(on)}${to ? `, to ${to}` : ''}${faults.length ? ', with this known to be open:' : ', with nothing known to be open.'}`,
    },
    ...(faults.length ? [{ tick: faults }] : []),
    ...(reopened ? [{ text: `Taken in again on ${year(reopened.on)}: ${reopened.why}` }] : []),
  ]
}

/**
 * The whole instrument as a book: what it is made of, what was read, how it is wired, finished and set up, what was done when and why, what it
 * still lacks. For whoever opens it next.
 */
export function buildBook(build: Build, results: Results, entries: readonly LogEntry[]): Sheet {
  // In the order an instrument is thought of, not that in which its parts were chosen.
  const parts = chosenParts(build).toSorted(([a], [b]) => SLOT_NAMES.indexOf(a) - SLOT_NAMES.indexOf(b))
  const steps = results.plan.steps
  const faults = knownFaults(results)
  return {
    id: 'build-book',
    title: 'Build book',
    about: `${build.name}: ${build.strings} strings, ${build.handedness}-handed, tuned ${tuningOf(build).name} (${notesOf(tuningOf(build))}).`,
    blocks: [
      { drawing: whole(build, frontView(build), 'From the front') },
      { drawing: whole(build, backView(build), 'From the back') },
      ...section(
        'What it is made of',
        table(
          ['part', 'what', 'from', 'price'],
          parts.map(([slot, p]) => [
            slotSpec(slot).label,
            p.name,
            p.seller ?? 'own stock',
            p.price === undefined ? '' : `${p.price.toFixed(2)} ${build.currency}`,
          ]),
        ),
      ),
      ...section(
        'Sizes that were read',
        table(
          ['part', 'size', 'value', 'by'],
          parts.flatMap(([slot, p]) =>
            ownSizes(p)
              .filter(([, s]) => isMeasured(s.known))
              .map(([size, s]) => {
                const spec = specAt({ slot, size })
                return [
                  slotSpec(slot).label,
                  spec.label,
                  `${Number(s.value.toPrecision(6))}${spec.unit === 'mm' ? ' mm' : ` ${spec.unit ?? ''}`}`,
                  s.known,
                ]
              }),
          ),
        ),
      ),
      ...sheetsOf(build, results)
        .filter((s) => KEPT.includes(s.id))
        .flatMap((s): SheetBlock[] => [{ heading: s.title }, { text: s.about }, ...s.blocks]),
      ...section(
        'What was done when',
        table(
          ['day', 'step'],
          steps
            .filter((s) => s.done)
            .toSorted((a, b) => byMoment(a.done, b.done))
            .map((s) => [`${sayDay(s.done!)} ${s.done!.slice(0, 4)}`, s.title]),
        ),
      ),
      ...section(
        'Screws turned so far',
        table(
          ['screw', 'stands at', 'turned altogether', 'last'],
          turnTotals(build).map((t) => [...totalSays(t), sayDay(t.last)]),
        ),
      ),
      ...section(
        'Decided, and why',
        table(
          ['question', 'chosen', 'because'],
          Object.values(build.plan?.decisions ?? {})
            .filter((d) => d.chosen)
            .map((d) => [d.question, d.chosen!, d.reason ?? '']),
        ),
      ),
      ...section('Known faults and what is open', faults.length ? [{ tick: faults }] : []),
      ...section('Handed over', handedOver(build)),
      ...section(
        'From the log',
        table(
          ['day', 'kind', 'what'],
          entries.filter((e) => !e.struck).map((e) => [`${sayDay(e.at)} ${e.at.slice(0, 4)}`, e.kind, e.text]),
        ),
      ),
    ],
  }
}
