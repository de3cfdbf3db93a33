import { harnessDrawing } from '../../circuit/bench/harnessDrawing'
import { listeningSheet } from '../../circuit/bench/listening'
import { expectedNoise } from '../../circuit/bench/noise'
import { readingWords } from '../../circuit/bench/readings'
import type { WireResult } from '../../circuit/bench/wireResult'
import { benchTests } from '../../circuit/faults/benchTests'
import { symptomsOf } from '../../circuit/faults/symptoms'
import type { Build } from '../../document/build'
import { printOhms } from '../../quantity/electrical'
import type { Sheet, SheetBlock } from '../sheet'

/** One page for whoever is asked: the circuit, what is wrong, what was measured and heard, what was changed. Nothing that was not done stands on it. */
export function helpSheet(build: Build, wire: Extract<WireResult, { ok: true }>): Sheet {
  const { found = {}, complaints = {}, repairs = {}, mends = {}, edits = {}, heard = {} } = build.circuit
  const tests = new Map(benchTests(wire.harness).map((t) => [t.id, t.says]))
  const told = symptomsOf(wire.harness).filter((s) => complaints[s.id])
  const none = (rows: string[][], words: string): SheetBlock[] => (rows.length ? [] : [{ text: words }])
  const measured = Object.entries(found).map(([id, o]) => [tests.get(id) ?? id, typeof o === 'number' ? printOhms(o) : o])
  const done = Object.values(repairs).map((r) => [r.on, r.what, r.then, r.kept ? 'kept' : 'put back'])
  const listening = listeningSheet(wire.harness, build.circuit)
  const bad = listening.rows.flatMap((r) => r.cells.filter((c) => c.heard === 'bad').map((c) => [r.id, c.control, c.expect]))
  return {
    id: 'wire-help',
    title: 'Asking for help with this circuit',
    about: `${build.name}. What it is, what is wrong with it, what was measured and what was changed.`,
    blocks: [
      { heading: 'What is wrong' },
      ...none(
        told.map((s) => [s.says]),
        'Nothing was noted down.',
      ),
      ...(told.length ? [{ tick: told.map((s) => s.says) }] : []),
      { heading: 'The circuit' },
      {
        table: {
          columns: ['position', 'sounds', 'should read at the jack', 'noise to expect'],
          rows: wire.positions.map((p) => [p.id, p.topology.words, readingWords(p.reading), expectedNoise(p.topology).split(/[.:,]/)[0]!]),
        },
      },
      {
        text: Object.keys(edits).length
          ? `${Object.keys(edits).length} ${Object.keys(edits).length === 1 ? 'wire is' : 'wires are'} otherwise than the wiring has them; the drawing shows them as they are.`
          : 'Wired as drawn.',
      },
      { drawing: harnessDrawing(wire.harness, wire.positions[0]!.switches, 'solder') },
      { heading: 'Measured and tried' },
      ...none(measured, 'Nothing yet.'),
      ...(measured.length ? [{ table: { columns: ['test', 'came to'], rows: measured } }] : []),
      ...(Object.keys(heard).length ? [{ text: `Listened to: ${listening.says}` }] : []),
      ...(bad.length ? [{ table: { columns: ['position', 'control', 'should be'], rows: bad } }] : []),
      { heading: 'Changed so far, one thing at a time' },
      ...none(done, 'Nothing yet.'),
      ...(done.length ? [{ table: { columns: ['day', 'what', 'then', ''], rows: done } }] : []),
      ...(Object.keys(mends).length ? [{ heading: 'Suspected' }, { tick: Object.values(mends).map((m) => m.says) }] : []),
    ],
  }
}

/** Position by control, to be ticked off beside the amplifier. */
export function listenSheet(build: Build, wire: Extract<WireResult, { ok: true }>): Sheet {
  const sheet = listeningSheet(wire.harness, build.circuit)
  return {
    id: 'listening',
    title: 'Listening sheet',
    about: `${build.name}. Amplifier: ____________ gain: ____________. Tick what is as it should be, cross what is not; nothing is closed while a box is empty.`,
    blocks: [
      {
        table: {
          columns: ['position', ...sheet.controls],
          rows: sheet.rows.map((r) => [
            r.id,
            ...r.cells.map((c) => `[${c.heard === 'good' ? 'x' : c.heard === 'bad' ? '!' : '  '}] ${c.expect}`),
          ]),
        },
      },
    ],
  }
}
