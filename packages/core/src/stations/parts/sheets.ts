import type { Build } from '../../document/build'
import { chosenParts } from '../../document/read'
import { partDrawing } from '../../portrait/partDrawing'
import { printValue } from '../../parts/check'
import type { SizeUnit } from '../../parts/kind'
import { KINDS, type KindName } from '../../parts/kinds/index'
import { acceptance, type Order } from '../../parts/order'
import { claimSheet, notAsListed, promisedAndCame } from '../../parts/promised'
import { rescueEstimate } from '../../parts/rescue'
import { NO_PARCEL } from '../../parts/spending'
import { slotSpec, type Slot } from '../../parts/slots'
import { printMm } from '../../quantity/length'
import type { Sheet, SheetBlock } from '../sheet'

/** A part to be made: drawing with its datum, sizes with tolerances, revision; a column to fill in on arrival. */
export function orderSheet(build: Build, slot: Slot, order: Order): Sheet {
  const part = build.parts[slot]!
  // The hand above all: a guard made for the other one fits nothing.
  const looks = Object.entries(KINDS[part.kind].traits).flatMap(([key, trait]) => {
    const option = trait.options.find(([value]) => value === part.traits[key])
    return option ? [[trait.label, option[1]]] : []
  })
  return {
    id: `order-${slot}`,
    title: `Order: ${part.name}`,
    about: `For ${build.name}. Revision ${order.revision}, sent ${order.at}. All lengths in millimetres.`,
    blocks: [
      { text: `Measured ${datumOf(part.kind)}. Sizes with the tighter tolerance decide whether it fits; ask before changing any.` },
      { drawing: partDrawing(build, slot), width: 165 },
      {
        table: {
          columns: ['size', 'ordered', '±', 'came', ''],
          rows: acceptance(order, part).map((a) => [
            a.label,
            inMm(a.ordered, a.unit),
            inMm(a.tolerance, a.unit),
            a.came === undefined ? '' : inMm(a.came, a.unit),
            a.verdict === 'not measured' ? '' : a.verdict,
          ]),
        },
      },
      ...(looks.length ? [{ heading: 'As it is wanted' }, { table: { columns: ['what', 'is'], rows: looks } }] : []),
      ...(notAsListed(part).length ? [{ heading: 'Claim' }, { text: claimSheet(part) }] : []),
    ],
  }
}

/** The sheet says once that its lengths are in millimetres. */
const inMm = (value: number, unit: SizeUnit): string => (unit === 'mm' ? printMm(value) : printValue(value, unit))

const datumOf = (kind: KindName) =>
  kind === 'guard'
    ? 'from the edge of its neck cut-out that meets the heel’s end (in one piece: the board’s), along the centre line; across from the centre line, bass side positive'
    : 'as each line says'

/** Everything to take off an instrument one likes, with room to write: for a neck or a body by feel. */
export function measuringSheet(kind: KindName): Sheet {
  const k = KINDS[kind]
  // A size that each string has of its own is one row.
  const rows = Object.entries(k.sizes)
    .flatMap(([key, s]) => {
      const string = /\.(\d+)$/.exec(key)?.[1]
      return string === undefined ? [s] : string === '1' ? [{ ...s, label: s.label.replace('String 1', 'Each string') }] : []
    })
    .filter((s) => s.unit === 'mm' || s.unit === 'deg' || s.unit === 'count' || s.unit === 'g')
    .map((s) => [s.label, s.how ?? '', s.usual === undefined ? '' : printValue(s.usual, s.unit), '', ''])
  return {
    id: `measuring-${kind}`,
    title: `Copy from an instrument you like: ${k.label.toLowerCase()}`,
    about: 'Write what you read and with what; three readings where it matters, the middle one counts. Usual values only to tell a slip.',
    blocks: [
      { table: { columns: ['size', 'how', 'usual', 'read', 'with'], rows } },
      ...(Object.keys(k.traits).length
        ? [
            { heading: 'Look' },
            {
              table: {
                columns: ['what', 'one of', 'is'],
                rows: Object.values(k.traits).map((t) => [t.label, t.options.map(([, l]) => l).join(', '), '']),
              },
            },
          ]
        : []),
      ...(k.outline
        ? [
            { heading: 'Outline' },
            { text: 'Half-widths every 20 mm along the centre line, bass and treble side, from the first place to the tail.' },
            {
              table: { columns: ['mm along', 'bass', 'treble'], rows: Array.from({ length: 22 }, (_, i) => [String(i * 20 - 60), '', '']) },
            },
          ]
        : []),
    ],
  }
}

/** What should be in the parcels, by seller, to tick at the door before the return window ends. */
export function unpackingSheet(build: Build): Sheet {
  const by = new Map<string, string[]>()
  for (const [slot, part] of chosenParts(build)) {
    if (part.state === 'in place') continue
    const seller = part.seller ?? NO_PARCEL.stash
    by.set(seller, [
      ...(by.get(seller) ?? []),
      `${slotSpec(slot).label}: ${part.name}${build.unpacked?.[slot] ? ` (${build.unpacked[slot]})` : ''}`,
    ])
  }
  const off = chosenParts(build).flatMap(([, p]) => notAsListed(p).map((d) => `${p.name}: ${promisedAndCame(p, d)}`))
  const blocks: SheetBlock[] = [...by].flatMap(([seller, rows]) => [{ heading: seller }, { tick: rows }])
  return {
    id: 'unpacking',
    title: `Unpacking list: ${build.name}`,
    about:
      'Look each part over the day it comes: present, whole, and as listed. Kits come complete bar finish and instructions; bare bodies lack every plastic, cover and screw.',
    blocks: [...blocks, ...(off.length ? [{ heading: 'Not as listed' }, { tick: off }] : [])],
  }
}

/** Questions for a seller and what a rescue would take. */
export function rescueSheet(defects: readonly string[], asking: number | undefined, worth: number | undefined, currency: string): Sheet {
  const e = rescueEstimate(defects, asking, worth)
  const range = (r: { low: number; likely: number; high: number }, unit: string, digits: number) =>
    `${r.likely.toFixed(digits)} ${unit} (${r.low.toFixed(digits)} to ${r.high.toFixed(digits)})`
  return {
    id: 'rescue',
    title: 'Before buying a worn instrument',
    about: 'Ranges hold nine times in ten if every defect is on the list.',
    blocks: [
      {
        text: `Parts about ${range(e.money, currency, 0)}; bench about ${range(e.hours, 'hours', 1)}.${e.left === undefined ? '' : ` Left of its worth after price and parts: ${e.left.toFixed(0)} ${currency}.`}`,
      },
      { heading: 'Ask the seller for' },
      { tick: e.questions },
    ],
  }
}
