import {
  acceptance,
  claimSheet,
  jobsLeft,
  judgeJoints,
  KINDS,
  mockupSteps,
  notAsListed,
  partDrawing,
  printMm,
  printValue,
  promisedAndCame,
  rescueEstimate,
  slotSpec,
  type Build,
  type KindName,
  type Order,
  type Slot,
} from '@snug/core'
import { sheetHtml, type SheetBlock } from './sheetHtml'

/** Sheets people take to the bench, to the door and to a seller. Each is one HTML file that prints. */

/** A part to be made: drawing with its datum, sizes with tolerances, revision; a column to fill in on arrival. */
export function orderSheet(build: Build, slot: Slot, order: Order): string {
  const part = build.parts[slot]!
  return sheetHtml(`Order: ${part.name}`, `For ${build.name}. Revision ${order.revision}, sent ${order.at}. All lengths in millimetres.`, [
    { text: `Measured ${datumOf(part.kind)}. Sizes with the tighter tolerance decide whether it fits; ask before changing any.` },
    { drawing: partDrawing(build, slot), width: 165 },
    {
      table: {
        columns: ['size', 'ordered', '±', 'came', ''],
        rows: acceptance(order, part).map((a) => [
          a.label,
          printMm(a.ordered),
          printMm(a.tolerance),
          a.came === undefined ? '' : printMm(a.came),
          a.verdict === 'not measured' ? '' : a.verdict,
        ]),
      },
    },
    ...(notAsListed(part).length ? [{ heading: 'Claim' }, { text: claimSheet(part) }] : []),
  ])
}

const datumOf = (kind: KindName) =>
  kind === 'guard'
    ? 'from the edge of its neck cut-out that meets the heel end, along the centre line; across from the centre line, bass side positive'
    : 'as each line says'

/** Everything to take off an instrument one likes, with room to write: for a neck or a body by feel. */
export function measuringSheet(kind: KindName): string {
  const k = KINDS[kind]
  const rows = Object.values(k.sizes)
    .filter((s) => s.unit === 'mm' || s.unit === 'deg' || s.unit === 'count' || s.unit === 'g')
    .map((s) => [s.label, s.how ?? '', s.usual === undefined ? '' : printValue(s.usual, s.unit), '', ''])
  return sheetHtml(
    `Copy from an instrument you like: ${k.label.toLowerCase()}`,
    'Write what you read and with what; three readings where it matters, the middle one counts. Usual values only to tell a slip.',
    [
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
  )
}

/** What should be in the parcels, by seller, to tick at the door before the return window ends. */
export function unpackingSheet(build: Build): string {
  const by = new Map<string, string[]>()
  for (const [slot, part] of Object.entries(build.parts) as [Slot, NonNullable<Build['parts'][Slot]>][]) {
    const seller = part.seller ?? 'from the stash'
    by.set(seller, [
      ...(by.get(seller) ?? []),
      `${slotSpec(slot).label}: ${part.name}${build.unpacked?.[slot] ? ` (${build.unpacked[slot]})` : ''}`,
    ])
  }
  const off = Object.values(build.parts).flatMap((p) => (p ? notAsListed(p).map((d) => `${p.name}: ${promisedAndCame(p, d)}`) : []))
  const blocks: SheetBlock[] = [...by].flatMap(([seller, rows]) => [{ heading: seller }, { tick: rows }])
  return sheetHtml(
    `Unpacking list: ${build.name}`,
    'Look each part over the day it comes: present, whole, and as listed. Kits come complete bar finish and instructions; bare bodies lack every plastic, cover and screw.',
    [...blocks, ...(off.length ? [{ heading: 'Not as listed' }, { tick: off }] : [])],
  )
}

/** Questions for a seller and what a rescue would take. */
export function rescueSheet(defects: readonly string[], asking: number | undefined, worth: number | undefined, currency: string): string {
  const e = rescueEstimate(defects, asking, worth)
  const range = (r: { low: number; likely: number; high: number }, unit: string, digits: number) =>
    `${r.likely.toFixed(digits)} ${unit} (${r.low.toFixed(digits)} to ${r.high.toFixed(digits)})`
  return sheetHtml('Before buying a worn instrument', 'Ranges hold nine times in ten if every defect is on the list.', [
    {
      text: `Parts about ${range(e.money, currency, 0)}; bench about ${range(e.hours, 'hours', 1)}.${e.left === undefined ? '' : ` Left of its worth after price and parts: ${e.left.toFixed(0)} ${currency}.`}`,
    },
    { heading: 'Ask the seller for' },
    { tick: e.questions },
  ])
}

/** The trial build on paper: steps in order with room for the reading, and the jobs that remain. */
export function mockupSheet(build: Build): string {
  const jobs = jobsLeft(judgeJoints(build))
  return sheetHtml(
    `Trial build: ${build.name}`,
    'Everything together once before any finish, then apart again. Nothing pressed, nothing forced.',
    [
      { table: { columns: ['', 'what', 'how', 'reading'], rows: mockupSteps(build).map((s, i) => [String(i + 1), s.title, s.how, '']) } },
      { heading: 'Wood and plastic jobs, all before finish' },
      { tick: jobs.map((j) => `${j.job} (${j.title})`) },
    ],
  )
}
