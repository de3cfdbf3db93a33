import { compile, GROUND, refuse, read, type Element, type Netlist, type Parsed } from '@snug/core'

/** Letters behind a figure. [published: SPICE, from memory] */
const LETTERS: Record<string, number> = { t: 1e12, g: 1e9, meg: 1e6, k: 1e3, m: 1e-3, u: 1e-6, µ: 1e-6, n: 1e-9, p: 1e-12, f: 1e-15 }
const MOST = 2000

/** "4k7" is none of it: a figure, its letters, and a unit that is left out. */
function figure(text: string): number | undefined {
  const m = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(meg|[tgkmuµnpf])?[a-zµω]*$/i.exec(text)
  return m ? Number(m[1]) * (m[2] ? LETTERS[m[2].toLowerCase()]! : 1) : undefined
}

/**
 * A circuit file of resistors, capacitors, coils, their couplings and sources, as our own writer makes them and other programs do: R C L K V,
 * comments, continued lines; what begins with a dot is passed over. The output is a node called tip, or the one a comment calls so, or the last.
 */
export function readSpice(text: string): Parsed<Netlist> {
  if (text.length > 200_000) return refuse('The file is larger than 200 kB; a guitar’s circuit is a few kilobytes.')
  const lines = joined(text)
  if (lines.length > MOST) return refuse(`The file has ${lines.length} lines; ${MOST} are allowed.`)
  const elements: Element[] = []
  const refs = new Set<string>()
  for (const { line, at } of lines) {
    const [ref = '', ...words] = line.split(/\s+/)
    const kind = ref[0]!.toUpperCase()
    const where = `Line ${at}: “${line.slice(0, 60)}”`
    if (refs.has(ref.toLowerCase())) return refuse(`${where}: there are two parts called ${ref}.`)
    refs.add(ref.toLowerCase())
    if (kind === 'K') {
      const k = figure(words[2] ?? '')
      if (k === undefined || k <= -1 || k >= 1) return refuse(`${where}: a coupling names two coils and a figure between -1 and 1.`)
      elements.push({ type: 'K', ref, inductors: [words[0]!, words[1]!], k })
      continue
    }
    if (!'RCLV'.includes(kind)) return refuse(`${where}: ${kind} is not known here; R, C, L, K and V are.`)
    const [a, b] = [words[0], words[1]]
    if (!a || !b) return refuse(`${where}: a part has two nodes.`)
    if (a === b) return refuse(`${where}: both ends of ${ref} are on node ${a}.`)
    if (kind === 'V') {
      const ac = words.findIndex((w) => w.toLowerCase() === 'ac')
      const level = ac < 0 ? 0 : (figure(words[ac + 1] ?? '') ?? 1)
      const turned = ac >= 0 && Math.abs((figure(words[ac + 2] ?? '0') ?? 0) - 180) < 1e-6
      elements.push({ type: 'V', ref, nodes: [a, b], ac: turned ? -level : level })
      continue
    }
    const value = figure(words[2] ?? '')
    if (value === undefined) return refuse(`${where}: “${words[2] ?? ''}” is no figure.`)
    if (value < 0) return refuse(`${where}: a part cannot have less than nothing.`)
    // As the trade of simulators has it, a contact is a resistor hardly there or hardly conducting.
    if (kind === 'R' && value <= 1e-3) elements.push({ type: 'W', ref, nodes: [a, b] })
    else if (kind === 'R' && value >= 1e12) continue
    else if (value === 0) return refuse(`${where}: ${kind === 'C' ? 'a capacitor' : 'a coil'} of nothing.`)
    else elements.push({ type: kind as 'R' | 'C' | 'L', ref, nodes: [a, b], value })
  }
  if (!elements.length) return refuse('There is no part in the file.')
  if (!elements.some((e) => e.type !== 'K' && e.nodes.includes(GROUND)))
    return refuse('No part is joined to node 0: that is the jack’s sleeve.')
  const netlist: Netlist = { elements, output: [tipOf(text, elements), GROUND] }
  return sound(netlist)
}

/** A circuit that contradicts itself is told of, not solved. */
function sound(netlist: Netlist): Parsed<Netlist> {
  try {
    compile(netlist)
    return read(netlist)
  } catch (e) {
    return refuse(e instanceof Error ? e.message : 'The circuit contradicts itself.')
  }
}

/** Lines without their comments, those that go on with a + put together; the first is a title when it is no part. */
function joined(text: string): { line: string; at: number }[] {
  const out: { line: string; at: number }[] = []
  text.split(/\r?\n/).forEach((raw, i) => {
    const line = raw.replace(/;.*$/, '').trim()
    if (!line || line.startsWith('*') || line.startsWith('.')) return
    if (line.startsWith('+')) {
      const last = out.at(-1)
      if (last) last.line += ` ${line.slice(1).trim()}`
    } else if (i > 0 || /^[rclvk]\S*\s+\S+\s+\S+\s+\S/i.test(line)) out.push({ line, at: i + 1 })
  })
  return out
}

function tipOf(text: string, elements: readonly Element[]): string {
  const nodes = new Set(elements.flatMap((e) => (e.type === 'K' ? [] : e.nodes)))
  if (nodes.has('tip')) return 'tip'
  const named = /^\*\s*(\S+)\s*=\s*\S*\btip\b/m.exec(text)?.[1]
  if (named && nodes.has(named)) return named
  return [...nodes].filter((n) => n !== GROUND).at(-1) ?? GROUND
}
