import {
  KIND_NAMES,
  KINDS,
  KNOWN,
  LIMITS,
  METALS,
  parsePlain,
  parseSize,
  printValue,
  startingDoubt,
  waysToKnow,
  whyNotText,
  whyNotValue,
  type Kind,
  type Known,
  type LengthSystem,
  type Part,
  type Size,
  type SizeSpec,
  type StockItem,
} from '@snug/core'
import Papa from 'papaparse'

/**
 * Parts and offers as a table. One row a part; fixed columns first, then a column for each size (its key, such as
 * `pocket.widthMouth`) and each property (`trait:wood`). A size's cell is the value, with its doubt and how it is known when they are
 * not the row's: `56.1`, `56.1 ±0.05`, `56.1 calipers`, `2-13/64 in`.
 */
export const FIXED_COLUMNS = [
  'kind',
  'name',
  'holding',
  'quantity',
  'place',
  'minimum',
  'seller',
  'price',
  'shipping',
  'days promised',
  'days seen',
  'colour',
  'metal',
  'unit',
  'known',
  'note',
] as const
type Fixed = (typeof FIXED_COLUMNS)[number]

/** Largest table taken in. */
export const MOST_ROWS = LIMITS.rows
const TRAIT = 'trait:'

/** What is wrong in one cell: row counted as a spreadsheet does (the header is row 1). */
export interface CsvProblem {
  row: number
  column: string
  read: string
  why: string
}

export type NewStockItem = Omit<StockItem, 'id'>
export interface CsvRead {
  items: NewStockItem[]
  problems: CsvProblem[]
  rows: number
}

/** Reads a table of parts. Nothing of it may be used while there are problems. */
export function readPartsCsv(text: string): CsvRead {
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  // The apostrophe our own export puts before what a spreadsheet would run is not part of the cell.
  const [header, ...rows] = parsed.data.map((row) => row.map((cell) => cell.replace(/^'(?=[=+\-@\t\r])/, '')))
  const problem = (row: number, column: string, read: string, why: string): CsvProblem => ({ row, column, read: read.slice(0, 80), why })
  if (!header)
    return {
      items: [],
      rows: 0,
      problems: [problem(1, '', '', 'The file is empty. Its first row names the columns: kind, name and so on.')],
    }
  const columns = header.map((h) => h.trim())
  const problems = columns.flatMap((c, i): CsvProblem[] => {
    if (columns.indexOf(c) !== i) return [problem(1, c, c, `The column "${c}" is there twice.`)]
    return known(c)
      ? []
      : [
          problem(
            1,
            c,
            c,
            `"${c}" is not a column known here. Columns are ${FIXED_COLUMNS.join(', ')}, a size’s key, or trait: and a property.`,
          ),
        ]
  })
  for (const must of ['kind', 'name'] as const)
    if (!columns.includes(must)) problems.push(problem(1, must, '', `The column "${must}" is missing.`))
  if (rows.length > MOST_ROWS)
    problems.push(problem(MOST_ROWS + 2, '', '', `At most ${MOST_ROWS} rows are taken at once; this file has ${rows.length}.`))
  for (const e of parsed.errors) problems.push(problem((e.row ?? 0) + 1, '', '', `The row cannot be read: ${e.message}.`))
  if (problems.length) return { items: [], problems, rows: rows.length }
  const items: NewStockItem[] = []
  rows.forEach((cells, i) => {
    const at = i + 2
    if (cells.length > columns.length) {
      problems.push(
        problem(
          at,
          '',
          cells.slice(columns.length).join(','),
          `The row has ${cells.length} cells and there are ${columns.length} columns; quote a cell that holds a comma.`,
        ),
      )
      return
    }
    const item = readRow(columns, cells, (column, read, why) => problems.push(problem(at, column, read, why)))
    if (item) items.push(item)
  })
  return { items, problems, rows: rows.length }
}

/** Every size key any kind has, for telling a size's column from a slip of the pen. */
const SIZE_KEYS = new Set(KIND_NAMES.flatMap((k) => Object.keys(KINDS[k].sizes)))
const TRAIT_KEYS = new Set(KIND_NAMES.flatMap((k) => Object.keys(KINDS[k].traits)))
const known = (column: string) =>
  (FIXED_COLUMNS as readonly string[]).includes(column) ||
  SIZE_KEYS.has(column) ||
  (column.startsWith(TRAIT) && TRAIT_KEYS.has(column.slice(TRAIT.length)))

type Wrong = (column: string, read: string, why: string) => void

function readRow(columns: readonly string[], cells: readonly string[], wrong: Wrong): NewStockItem | undefined {
  const get = (c: Fixed) => cells[columns.indexOf(c)]?.trim() ?? ''
  let sound = true
  const bad: Wrong = (...a) => {
    sound = false
    wrong(...a)
  }
  const kindName = get('kind')
  if (!(KIND_NAMES as string[]).includes(kindName)) {
    bad('kind', kindName, `"${kindName}" is not a kind of part. Kinds are ${KIND_NAMES.join(', ')}.`)
    return undefined
  }
  const kind: Kind = KINDS[kindName as Part['kind']]
  const name = get('name')
  if (!name || name.length > LIMITS.partName) bad('name', name, `A part needs a name of 1 to ${LIMITS.partName} letters.`)
  const number = (c: Fixed, low: number, high: number, whole = false): number | undefined => {
    const text = get(c)
    if (!text) return undefined
    const parsed = parsePlain(text)
    const value = parsed.ok ? parsed.value : NaN
    if (Number.isNaN(value) || value < low || value > high || (whole && !Number.isInteger(value))) {
      bad(c, text, `${parsed.ok ? '' : `${parsed.why} `}${c} must be a ${whole ? 'whole ' : ''}number from ${low} to ${high}.`)
      return undefined
    }
    return value
  }
  const oneOf = <T extends string>(c: Fixed, values: readonly T[], otherwise: T): T => {
    const text = get(c).toLowerCase()
    if (!text) return otherwise
    if (!(values as readonly string[]).includes(text)) {
      bad(c, text, `${c} is one of ${values.join(', ')}.`)
      return otherwise
    }
    return text as T
  }
  const holding = oneOf('holding', ['stash', 'offer'] as const, 'stash')
  const unit = oneOf('unit', ['mm', 'in'] as const, 'mm')
  const how = oneOf('known', KNOWN, 'listed')
  const colour = get('colour')
  if (colour && !/^#[0-9a-fA-F]{6}$/.test(colour)) bad('colour', colour, 'A colour is written like #d9b98a.')
  const metal = get('metal').toLowerCase()
  if (metal && !(METALS as readonly string[]).includes(metal)) bad('metal', metal, `A metal is one of ${METALS.join(', ')}.`)
  const [price, shipping, quantity, minimum, promised, seen] = [
    number('price', 0, 1e6),
    number('shipping', 0, 1e5),
    number('quantity', 0, 1e6, true),
    number('minimum', 0, 1e6, true),
    number('days promised', 0, 1000, true),
    number('days seen', 0, 1000, true),
  ]
  const sizes: Record<string, Size> = {}
  const traits: Record<string, string> = {}
  columns.forEach((column, i) => {
    const text = cells[i]?.trim() ?? ''
    if (!text || (FIXED_COLUMNS as readonly string[]).includes(column)) return
    if (column.startsWith(TRAIT)) {
      const key = column.slice(TRAIT.length)
      const spec = kind.traits[key]
      if (!spec) return bad(column, text, `A ${kind.label.toLowerCase()} has no property "${key}".`)
      const option = spec.options.find(([v]) => v === text.toLowerCase())
      if (!option) return bad(column, text, `${spec.label} is one of ${spec.options.map(([v]) => v).join(', ')}.`)
      traits[key] = option[0]
      return
    }
    const spec = kind.sizes[column]
    if (!spec) return bad(column, text, `A ${kind.label.toLowerCase()} has no size "${column}".`)
    const size = readCell(text, spec, kind, unit, how)
    if (typeof size === 'string') bad(column, text, size)
    else sizes[column] = size
  })
  const [seller, place, note] = [get('seller'), get('place'), get('note')]
  for (const [column, text, most] of [
    ['seller', seller, LIMITS.seller],
    ['place', place, LIMITS.place],
    ['note', note, LIMITS.partNote],
  ] as const)
    if (text.length > most) bad(column, text, `A ${column} has at most ${most} letters.`)
  for (const column of ['name', 'seller', 'place', 'note'] as const) {
    const why = whyNotText(get(column))
    if (why) bad(column, get(column), why)
  }
  if (!sound) return undefined
  // What it took is known also where nobody remembers what was promised.
  const told = promised ?? seen
  const lead = told === undefined ? undefined : { promised: told, ...(seen === undefined ? {} : { seen }) }
  return {
    holding,
    quantity: quantity ?? 1,
    reserved: {},
    ...(place ? { place } : {}),
    ...(minimum === undefined ? {} : { minimum }),
    ...(shipping === undefined ? {} : { shipping }),
    ...(lead ? { lead } : {}),
    part: {
      kind: kindName as Part['kind'],
      name,
      state: holding === 'stash' ? 'in hand' : 'planned',
      sizes,
      traits,
      ...(seller ? { seller } : {}),
      ...(price === undefined ? {} : { price }),
      ...(colour ? { colour } : {}),
      ...(metal ? { metal: metal as (typeof METALS)[number] } : {}),
      ...(note ? { note } : {}),
    },
  }
}

/** "56.1 ±0.05 calipers" as a size, or the sentence that says why not. */
function readCell(text: string, spec: SizeSpec, kind: Kind, unit: LengthSystem, row: Known): Size | string {
  const word = /\s+([a-z]+)$/.exec(text)
  const named = word && (KNOWN as readonly string[]).includes(word[1]!) ? (word[1] as Known) : undefined
  const [number = '', plusMinus] = (named ? text.slice(0, word!.index) : text).split('±').map((t) => t.trim())
  const parse = (t: string) => parseSize(spec, t, unit)
  const value = parse(number)
  if (!value.ok) return value.why
  const why = whyNotValue(spec, value.value)
  if (why) return why
  const ways = waysToKnow(spec.unit)
  // What a row says of all its sizes is meant of those that such a tool reads: calipers read no ohms.
  const knownAs = named ?? (ways.includes(row) ? row : ways[0]!)
  if (plusMinus !== undefined) {
    const doubt = parse(plusMinus)
    if (!doubt.ok || doubt.value < 0) return `"${plusMinus}" is not a doubt; write it like ±0.05.`
    const widest = spec.max - spec.min
    if (doubt.value > widest)
      return `The doubt of ${spec.label.toLowerCase()} must lie between 0 and ${printValue(widest, spec.unit)}; ±${plusMinus} is more.`
    return { value: value.value, doubt: doubt.value, known: knownAs }
  }
  return { value: value.value, doubt: startingDoubt(spec, kind.trade, knownAs, value.value), known: knownAs }
}

/** Writes a table that reads back the same. Lengths in millimetres; only columns somebody uses. */
export function printPartsCsv(items: readonly NewStockItem[]): string {
  const sizes = [...new Set(items.flatMap((i) => Object.keys(i.part.sizes)))].toSorted()
  const traits = [...new Set(items.flatMap((i) => Object.keys(i.part.traits)))].toSorted()
  const rows = items.map((i) => {
    const fixed: Record<Fixed, string | number | undefined> = {
      kind: i.part.kind,
      name: i.part.name,
      holding: i.holding,
      quantity: i.quantity,
      place: i.place,
      minimum: i.minimum,
      seller: i.part.seller,
      price: i.part.price,
      shipping: i.shipping,
      'days promised': i.lead?.promised,
      'days seen': i.lead?.seen,
      colour: i.part.colour,
      metal: i.part.metal,
      unit: 'mm',
      known: 'listed',
      note: i.part.note,
    }
    return [
      ...FIXED_COLUMNS.map((c) => fixed[c] ?? ''),
      ...sizes.map((k) => (i.part.sizes[k] ? printCell(i.part.sizes[k], KINDS[i.part.kind].sizes[k]!) : '')),
      ...traits.map((k) => i.part.traits[k] ?? ''),
    ]
  })
  // A cell that a spreadsheet would take for a formula is disarmed.
  return Papa.unparse({ fields: [...FIXED_COLUMNS, ...sizes, ...traits.map((t) => TRAIT + t)], data: rows }, { escapeFormulae: true })
}

const printCell = (s: Size, spec: SizeSpec): string => {
  // Picofarads to twelve figures: enough for any part, and no tail of binary rounding.
  const print = (v: number) => (spec.unit === 'farad' ? `${Number((v * 1e12).toPrecision(12))}p` : String(v))
  const [value, doubt] = [print(s.value), print(s.doubt)]
  return `${value} ±${doubt} ${s.known}`
}
