import type { Build, Tuning } from '../document/build'
import { applyChange, asJson, edit, type Change } from '../document/change'
import { setSetup } from '../document/changes'
import type { Part } from '../parts/part'
import { gaugeName } from '../quantity/length'
import { notesOf } from '../instrument/tunings'

/** Other strings or another tuning that are thought about. */
export interface OtherStrings {
  tuning?: Tuning
  /** The thinnest first, mm. */
  gauges?: readonly number[]
  /** How many of them are wound, where somebody said it. */
  wound?: number
}

/** A packet names gauges to the nearest of its kind, mm. [practice] */
const LISTED = 0.01
/** What is a set's own beside its gauges: of another set nobody has said it. */
const OF_A_SET = /^(core\.|length|winding$|silk\.|wound$)/

/** Another set in a part's place: of what was known of the old one nothing is the new one's. */
function anotherSet(old: Part, gauges: readonly number[], wound: number | undefined): Part {
  const kept = Object.entries(old.sizes).filter(([key]) => !OF_A_SET.test(key))
  const { wrap: _, ...traits } = old.traits
  return {
    kind: old.kind,
    name: `Strings, ${gaugeName(gauges[0]!)} to ${gaugeName(gauges.at(-1)!)} thousandths`,
    state: 'in hand',
    traits,
    sizes: {
      ...Object.fromEntries(kept),
      ...Object.fromEntries(gauges.map((mm, i) => [`gauge.${i + 1}`, { value: mm, doubt: LISTED, known: 'listed' as const }])),
      ...(wound === undefined ? {} : { wound: { value: wound, doubt: 0, known: 'listed' as const } }),
    },
  }
}

/** They go on, and it is tuned so: as one change. */
export function putOn(build: Build, { tuning, gauges, wound }: OtherStrings): Change {
  const strings = build.parts.strings
  const tuned = tuning ? setSetup(build, 'tuning', tuning, `Tuned ${tuning.name}: ${notesOf(tuning)}`) : { label: '', edits: [] }
  if (!gauges || !strings) return tuned
  const set = `Other strings: ${gauges.map(gaugeName).join(' ')} thousandths`
  return {
    label: [set, ...(tuned.label ? [tuned.label] : [])].join('. '),
    edits: [edit(build, ['parts', 'strings'], asJson(anotherSet(strings, gauges, wound))), ...tuned.edits],
  }
}

/** The build as it would be with them. */
export const withStrings = (build: Build, other: OtherStrings): Build => applyChange(build, putOn(build, other))

type Written = { ok: true; value: { gauges: number[]; wound?: number } } | { ok: false; why: string }

/**
 * A set as people write it, the thinnest first: "10 13 17 26 36 46" in thousandths, ".010 .013", or millimetres; "24w" where a string is wound.
 * @returns mm, and how many are wound where any is marked; or a sentence
 */
export function parseGauges(text: string, strings: number): Written {
  const words = text
    .trim()
    .split(/[\s;/]+|,\s+|,(?=\d{2})/)
    .filter(Boolean)
  const given = words.map((w) => Number(w.replace(/[wp]$/i, '').replace(',', '.')))
  const bad = words.find((_, i) => !Number.isFinite(given[i]))
  if (bad !== undefined)
    return { ok: false, why: `“${bad}” is not a gauge; write ${strings} numbers, such as 10 13 17, wound ones as 26w.` }
  if (given.length !== strings)
    return { ok: false, why: `${given.length} gauges are written, ${strings} strings there are; the thinnest first.` }
  const most = Math.max(...given)
  // Thousandths are whole and from 7 up, inches under 0.15, millimetres between.
  const mm = given.map((g) => (most >= 6 ? g * 0.0254 : most < 0.15 ? g * 25.4 : g))
  const off = mm.findIndex((g) => g < 0.15 || g > 3.6)
  if (off >= 0)
    return {
      ok: false,
      why: `${words[off]} cannot be a string; gauges lie from 6 to 140 thousandths, 0.15 to 3.6 mm, all in the same unit.`,
    }
  const gauges = mm.map((g) => Math.round(g * 1e4) / 1e4)
  const [wound, plain] = [/w$/i, /p$/i].map((mark) => gauges.filter((_, i) => mark.test(words[i]!))) as [number[], number[]]
  if (!wound.length) return { ok: true, value: { gauges } }
  // Marked or not, what is thicker than a wound string is wound too.
  const from = Math.min(...wound)
  if (plain.some((g) => g >= from))
    return { ok: false, why: 'A string marked plain is as thick as one marked wound; wound ones are the thickest of a set.' }
  return { ok: true, value: { gauges, wound: gauges.filter((g) => g >= from).length } }
}
