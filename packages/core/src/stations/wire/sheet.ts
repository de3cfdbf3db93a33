import { wiringNotes } from '../../circuit/bench/wiringNotes'
import { feedingOf, feedingSays } from '../../circuit/bench/feeding'
import { harnessDrawing } from '../../circuit/bench/harnessDrawing'
import { readingWords } from '../../circuit/bench/readings'
import type { WireResult } from '../../circuit/bench/wireResult'
import { LUGS_COUNTED } from '../../circuit/model/lugNames'
import type { Build } from '../../document/build'
import { traitAt } from '../../document/read'
import { PLACES } from '../../instrument/guardPlace'
import type { Sheet, SheetBlock } from '../sheet'

/** The wires in soldering order, each with a box to tick and the meter's check after it; the harness from both sides. */
export function wireSheet(build: Build, wire: Extract<WireResult, { ok: true }>): Sheet {
  const stages = [...new Set(wire.wires.map((w) => w.stage))]
  const stand = wire.positions[0]!.switches
  const feeding = feedingOf(build, wire.harness)
  return {
    id: 'wire-list',
    title: 'Wire list and soldering order',
    about: `${build.name}. Lengths in millimetres, slack included; where none stands, lay the wire along its way and add a hand’s breadth.`,
    blocks: [
      { text: LUGS_COUNTED },
      ...(wire.leftovers.length
        ? [{ heading: 'Take off first: soldered for another wiring' }, { tick: wire.leftovers.map((w) => `${w.from} to ${w.to}`) }]
        : []),
      {
        table: {
          columns: ['no.', 'from', 'to', 'colour', 'cut'],
          rows: wire.wires.map((w) => [
            String(w.number),
            w.from,
            w.to,
            w.screened ? `${w.colour}, screened` : w.colour,
            w.length === undefined ? '' : String(w.length),
          ]),
        },
      },
      ...stages.flatMap((stage): SheetBlock[] => [
        { heading: stage[0]!.toUpperCase() + stage.slice(1) },
        { tick: wire.wires.filter((w) => w.stage === stage).map((w) => `${w.number}  ${w.from} to ${w.to}; ${w.check}`) },
      ]),
      ...(feeding
        ? [
            { heading: 'Into the body, in this order' },
            { tick: feeding.steps },
            { text: feedingSays(feeding).join(' ') || 'Every lead is long enough.' },
          ]
        : []),
      { heading: 'At the jack, knobs at 10, before anything is closed' },
      {
        table: {
          columns: ['position', 'sounds', 'should read', 'reads'],
          rows: wire.positions.map((p) => [p.id, p.topology.words, readingWords(p.reading), '']),
        },
      },
      ...wiringNotes(build, wire.harness).flatMap((n): SheetBlock[] => [{ heading: n.title }, { text: n.says.join(' ') }]),
      { heading: 'From the solder side' },
      { drawing: harnessDrawing(wire.harness, stand, 'solder') },
      { heading: 'From the playing side' },
      { drawing: harnessDrawing(wire.harness, stand, 'playing') },
      {
        text: 'Solder and flux fumes: ventilate. Leaded solder: wash hands, never eat at the bench. Hot iron in its stand; eyes covered when clipping.',
      },
    ],
  }
}

/** Flags of tape for leads that look alike: what each is, twice, to fold over the lead. */
export function tagSheet(build: Build): Sheet {
  const pickups = PLACES.filter((p) => build.parts[`pickup-${p}`])
  const two = (p: (typeof PLACES)[number]) => traitAt(build, `pickup-${p}`, 'coils') === 'two'
  /** What a lead is, and the coil's lug it comes from. */
  const ends = (p: (typeof PLACES)[number]): (readonly [string, string])[] => {
    if (!two(p))
      return [
        ['hot', `${p}.finish`],
        ['ground', `${p}.start`],
      ]
    const leads = traitAt(build, `pickup-${p}`, 'leads')
    if (leads !== 'four')
      return [
        ['hot', `${p}-a.start`],
        ...(leads === 'three' ? [['where its coils join', `${p}-a.finish`] as const] : []),
        ['ground', `${p}-b.start`],
      ]
    return [
      ['coil 1 start', `${p}-a.start`],
      ['coil 1 finish', `${p}-a.finish`],
      ['coil 2 finish', `${p}-b.finish`],
      ['coil 2 start', `${p}-b.start`],
      ['screen', ''],
    ]
  }
  const colour = (lug: string) => build.circuit.leads?.[lug] ?? ''
  const tags = [
    ...pickups.flatMap((p) => ends(p).map(([e, lug]) => [`${p} ${e}`, colour(lug)] as const)),
    ['jack tip', ''] as const,
    ['jack sleeve', ''] as const,
    ['strings', ''] as const,
  ]
  return {
    id: 'lead-tags',
    title: 'Tags for leads',
    about: `${build.name}. Cut out, fold over the lead, tape. The words are there twice so that they read from either side.`,
    blocks: [{ table: { columns: ['lead', 'lead', 'colour it has'], rows: tags.map(([t, colour]) => [t, t, colour]) } }],
  }
}
