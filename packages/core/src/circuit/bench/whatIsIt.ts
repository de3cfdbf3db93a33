import { OPEN_LINE, printOhms } from '../../quantity/electrical'
import { SWITCHES, type SwitchName, type SwitchTable } from '../model/switches'
import type { Taper } from '../model/taper'

/** Pots there are, ohm. [practice] */
const POTS = [10e3, 25e3, 50e3, 100e3, 250e3, 300e3, 500e3, 1e6]
/** A pot of its value lies within so much of it. [practice] */
const POT_OFF = 0.25

export interface NamedPot {
  says: string
  ohm?: number
  taper?: Taper
}

/**
 * An unmarked pot by two readings, nothing soldered to it.
 * @param outer from outer lug to outer lug @param half from the lug that is left with the shaft up and the lugs towards you to the wiper, knob half way
 */
export function namePot(outer: number, half: number): NamedPot {
  if (outer >= OPEN_LINE) return { says: 'Its track is broken, or the probes are not on its outer lugs.' }
  const nearest = POTS.reduce((a, b) => (Math.abs(Math.log(b / outer)) < Math.abs(Math.log(a / outer)) ? b : a))
  const off = outer / nearest - 1
  const value = Math.abs(off) <= POT_OFF ? nearest : undefined
  const name =
    value === undefined
      ? `No usual value: ${printOhms(outer)}`
      : `A ${printOhms(nearest)} pot, ${Math.abs(Math.round(off * 100))} % ${off < 0 ? 'under' : 'over'}`
  if (half > outer * 1.03)
    return {
      says: `${name}. Half way cannot be more than all of it: measure again, nothing else joined to it.`,
      ...(value ? { ohm: value } : {}),
    }
  const share = half / outer
  const taper: Taper | undefined = share < 0.3 ? 'audio' : share > 0.7 ? 'reverse-audio' : share > 0.4 && share < 0.6 ? 'linear' : undefined
  const words = { audio: 'audio', linear: 'linear', 'reverse-audio': 'reverse audio, for a left-handed instrument' } as const
  return {
    says: `${name}, ${taper ? words[taper] : `between audio and linear (${Math.round(share * 100)} % half way): some are made so`}.`,
    ...(value === undefined ? {} : { ohm: value }),
    ...(taper ? { taper } : {}),
  }
}

/** Which lugs of a known switch those of a found one are: nothing where it does something else. */
export function sameSwitch(found: SwitchTable, known: SwitchTable): Record<string, string> | undefined {
  if (found.positions.length !== known.positions.length) return undefined
  const joined = (t: SwitchTable) => t.positions.map((pairs) => new Map(t.lugs.map((l) => [l, groupOf(l, pairs)])))
  const [a, b] = [joined(found), joined(known)]
  // A lug is told by how many it beeps with in each position; equal ones are tried one after the other.
  const mark = (t: ReturnType<typeof joined>, lug: string) => t.map((p) => p.get(lug)!.size).join()
  const used = found.lugs.filter((l) => a.some((p) => p.get(l)!.size > 1))
  const wanted = known.lugs.filter((l) => b.some((p) => p.get(l)!.size > 1))
  if (used.length !== wanted.length) return undefined
  const map: Record<string, string> = {}
  const fits = (lug: string, as: string) =>
    a.every((p, i) => Object.entries(map).every(([l, k]) => p.get(lug)!.has(l) === b[i]!.get(as)!.has(k)))
  const place = (i: number): boolean => {
    if (i === used.length) return true
    const lug = used[i]!
    for (const as of wanted) {
      if (Object.values(map).includes(as) || mark(a, lug) !== mark(b, as) || !fits(lug, as)) continue
      map[lug] = as
      if (place(i + 1)) return true
      delete map[lug]
    }
    return false
  }
  return place(0) ? map : undefined
}

/** Everything a lug beeps with in one position, itself included. */
function groupOf(lug: string, pairs: readonly (readonly [string, string])[]): ReadonlySet<string> {
  const group = new Set([lug])
  for (let before = 0; before < group.size; ) {
    before = group.size
    for (const [p, q] of pairs) {
      if (group.has(p)) group.add(q)
      if (group.has(q)) group.add(p)
    }
  }
  return group
}

/** What a switch is by what beeps in which position; positions may be counted from either end. */
export function nameSwitch(found: SwitchTable): { name: SwitchName; lugs: Record<string, string>; turned: boolean } | undefined {
  for (const turned of [false, true]) {
    const as = turned ? { ...found, positions: found.positions.toReversed() } : found
    for (const name of Object.keys(SWITCHES) as SwitchName[]) {
      const lugs = sameSwitch(as, SWITCHES[name])
      if (lugs) return { name, lugs, turned }
    }
  }
  return undefined
}

/** A reading between two of a pickup's leads. */
export interface LeadReading {
  a: string
  b: string
  ohm: number
}

/** What a pickup's leads are: which two belong to one coil, and what the whole should read. */
export interface NamedLeads {
  coils: { leads: [string, string]; ohm: number }[]
  /** Leads that read nothing with any other: a screen, or a broken coil. */
  alone: string[]
  says: string[]
}

/** A pickup's leads named by the resistance from each to each. */
export function nameLeads(readings: readonly LeadReading[]): NamedLeads {
  const leads = [...new Set(readings.flatMap((r) => [r.a, r.b]))]
  const coils = readings
    .filter((r) => r.ohm < 60e3 && r.ohm > 100)
    .map((r): NamedLeads['coils'][number] => ({ leads: [r.a, r.b], ohm: r.ohm }))
  const shorts = readings.filter((r) => r.ohm <= 100)
  const alone = leads.filter((l) => !coils.some((c) => c.leads.includes(l)))
  const shared = leads.filter((l) => coils.filter((c) => c.leads.includes(l)).length > 1)
  const [first, second] = coils
  return {
    coils,
    alone,
    says: [
      ...shorts.map((s) => `${s.a} and ${s.b} are one: they touch, or are soldered to the same eyelet.`),
      ...(shared.length ? [`${shared.join(', ')} belongs to more than one pair: a tapped coil, or the coils are joined inside.`] : []),
      ...(coils.length === 0 ? ['No pair reads anything: the coil is broken, or the probes touched no metal.'] : []),
      ...coils.map((c) => `${c.leads.join(' and ')} are the ends of one coil, ${printOhms(c.ohm)}.`),
      ...(first && second && !shared.length
        ? [
            `In series the two should read ${printOhms(first.ohm + second.ohm)}, side by side ${printOhms(1 / (1 / first.ohm + 1 / second.ohm))}.`,
            'Which ends are joined: a needle or a phone’s compass over each coil while a meter’s needle is watched; a screwdriver pulled off kicks both the same way from the two ends that go to the outside.',
          ]
        : []),
      ...(alone.length
        ? [`${alone.join(', ')} reads nothing with any other: the screen, to be joined to ground; or the end of a broken coil.`]
        : []),
    ],
  }
}

/** A found switch by the names of the known one it is, its positions as they were found: what a wiring can be reckoned with. */
export function asKnown(found: SwitchTable, named: { name: SwitchName; lugs: Record<string, string> }): SwitchTable {
  const known: SwitchTable = SWITCHES[named.name]
  return { ...known, positions: found.positions.map((pairs) => pairs.map(([a, b]) => [named.lugs[a] ?? a, named.lugs[b] ?? b] as const)) }
}
