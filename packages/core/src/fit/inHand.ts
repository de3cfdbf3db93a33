import type { Build } from '../document/build'
import type { Drawing, Mark } from '../drawing/drawing'
import type { DetailTable } from '../judge/joint'
import { sameWords, UNKNOWN, whereSame } from '../judge/unsure'
import { bandOf } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import { unknownSizes, untoldTraits } from '../parts/unknown'
import { JOINT_KINDS } from './jointKinds'
import { existsIn, type JointKind } from './kind'

/** What is shown of the joint in hand beside its words. Figures that hang on what nobody knows are "?". */
export interface InHand {
  drawing: Drawing
  tables: DetailTable[]
}

/** Its drawing and its tables are asked for one after the other. */
const looked = new WeakMap<Build, { id: string; found: InHand | undefined }>()

function jointInHand(build: Build, id: string): InHand | undefined {
  const last = looked.get(build)
  if (last?.id === id) return last.found
  const found = lookAt(build, id)
  looked.set(build, { id, found })
  return found
}

function lookAt(build: Build, id: string): InHand | undefined {
  const kind = JOINT_KINDS.find((k) => k.id === id)
  if (!kind || !existsIn(kind, build)) return undefined
  const shown = show(kind, build)
  const others = otherwise(kind, build).flatMap((other) => (existsIn(kind, other) ? [show(kind, other)] : []))
  return others.length ? sure(shown, others) : shown
}

/** The drawing of one joint, when the build has it. */
export const drawJoint = (build: Build, id: string): Drawing | undefined => jointInHand(build, id)?.drawing

/** The tables of one joint, when the build has it. */
export const tablesOf = (build: Build, id: string): DetailTable[] => jointInHand(build, id)?.tables ?? []

function show(kind: JointKind, build: Build): InHand {
  const joint = kind.find(build)
  return { drawing: joint.draw(), tables: joint.tables() }
}

/**
 * Where in its band the n-th unknown size is taken to lie: at one end and the other by turns, then spread evenly between, each elsewhere
 * than its neighbours, so that no sum or difference of them stays by chance what it was. [ours; the golden ratio's multiples fill an
 * interval evenly]
 */
const shareOf = (n: number, time: number): number => (time < 2 ? (n + time) % 2 : (0.2 + n * 0.618 + time * 0.29) % 1)
/** So many times unknown sizes are taken otherwise; more often where an untold trait has more options than that. [ours] */
const TIMES = 4

/** The build with one set of answers after another to all that nobody knows of the parts a kind of joint looks at; none where all is known. */
function otherwise(kind: JointKind, build: Build): Build[] {
  const open = [...kind.needs, ...(kind.also ?? [])].flatMap((slot) => {
    const part = build.parts[slot]
    if (!part) return []
    // A part's mass that was not weighed is reckoned from its wood.
    const sizes = unknownSizes(part).filter((size) => size !== 'mass')
    return [{ slot, part, spec: KINDS[part.kind], sizes, traits: untoldTraits(part) }]
  })
  if (!open.some((o) => o.sizes.length || o.traits.length)) return []
  const options = open.flatMap(({ traits, spec }) => traits.map((t) => spec.traits[t]!.options.length))
  return Array.from({ length: Math.max(TIMES, ...options) }, (_, time) => {
    let n = 0
    const parts = { ...build.parts }
    for (const { slot, part, spec, sizes, traits } of open) {
      const found = sizes.map((size) => {
        const { low, high } = bandOf(spec.sizes[size]!)
        return [size, { value: low + shareOf(n++, time) * (high - low), doubt: 0, known: 'calipers' as const }] as const
      })
      const told = traits.map((trait) => {
        const { options } = spec.traits[trait]!
        return [trait, options[(n++ + time) % options.length]![0]] as const
      })
      parts[slot] = {
        ...part,
        sizes: { ...part.sizes, ...Object.fromEntries(found) },
        traits: { ...part.traits, ...Object.fromEntries(told) },
      }
    }
    return { ...build, parts }
  })
}

const NOTE = `${UNKNOWN}: not known yet`

function sure({ drawing, tables }: InHand, others: readonly InHand[]): InHand {
  const marks = sureMarks(
    drawing.marks,
    others.map((o) => o.drawing.marks),
  )
  const numbers = drawing.numbers.map((row, i) => {
    const same = others.map((o) => o.drawing.numbers[i])
    const label = whereSame(
      row.label,
      same.map((o) => o?.label ?? ''),
    )
    // Of another thing it is another figure, also where it is as much.
    const value = whereSame(
      row.value,
      same.map((o) => (o && sameWords(o.label, row.label) ? o.value : '')),
    )
    return { ...row, label, value }
  })
  const open = marks !== drawing.marks || numbers.some((row, i) => row.value !== drawing.numbers[i]!.value)
  return {
    drawing: { ...drawing, marks, numbers, ...(open ? { note: drawing.note ? `${NOTE} · ${drawing.note}` : NOTE } : {}) },
    tables: tables.map((table, t) => {
      const same = others.map((o) => o.tables.find((x) => x.title === table.title) ?? o.tables[t])
      const rows = table.rows.map((row, i) =>
        row.map((cell, j) =>
          whereSame(
            cell,
            same.map((x) => x?.rows[i]?.[j] ?? ''),
          ),
        ),
      )
      const { chart, ...rest } = table
      const sureRows = rows.every((row, i) => row.every((cell, j) => cell === table.rows[i]![j]))
      return {
        ...rest,
        title: whereSame(
          table.title,
          same.map((x) => x?.title ?? ''),
        ),
        rows,
        ...(chart && sureRows ? { chart } : {}),
      }
    }),
  }
}

type Worded = Extract<Mark, { text: string }>
const isWorded = (m: Mark): m is Worded => 'text' in m

/** The marks with their figures, each held against the mark of the same place in the others' order. */
function sureMarks(marks: Mark[], others: readonly Mark[][]): Mark[] {
  const theirs = others.map((o) => o.filter(isWorded))
  const own = marks.filter(isWorded)
  const inOrder = theirs.every((t) => t.length === own.length)
  let i = -1
  let open = false
  const said = marks.map((m): Mark => {
    if (!isWorded(m)) return m
    i++
    const text = whereSame(
      m.text,
      theirs.map((t) => (inOrder ? t[i]!.text : (t.find((o) => o.text === m.text)?.text ?? ''))),
    )
    if (text === m.text) return m
    open = true
    return { ...m, text }
  })
  return open ? said : marks
}
