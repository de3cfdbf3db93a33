import type { Build } from '../../document/build'
import { SIDE_WORDS, type HoleCard } from '../../drill/holeCard'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import type { Drawing, Mark } from '../../drawing/drawing'
import { printMm } from '../../quantity/length'
import type { Sheet, SheetBlock } from '../sheet'

/** Every hole that is to be made, in order, to take to the drill: boxes to tick, and each tape flag at true size beside a rule. */
export function drillSheet(build: Build, cards: readonly HoleCard[]): Sheet {
  const todo = cards.filter((c) => c.work !== 'keep' && c.stands !== 'done')
  const there = cards.filter((c) => c.work === 'keep')
  return {
    id: 'drill-sheet',
    title: 'Drill sheet',
    about: `${build.name}, in the order of the work. Lengths in millimetres. Flags are drawn at true size: print at 100 % and measure the rule first.`,
    blocks: [
      ...todo.flatMap(cardBlocks),
      ...(there.length
        ? [{ heading: 'There already: nothing is drilled' }, { tick: there.map((c) => `${c.title}: ${c.steps[0] ?? 'try it'}`) }]
        : []),
      ...(todo[0] ? [{ heading: 'Cautions' }, { text: [...new Set(todo.flatMap((c) => c.cautions))].join(' ') }] : []),
    ],
  }
}

function cardBlocks(c: HoleCard): SheetBlock[] {
  if (c.stands === 'waiting' || c.stands === 'refused')
    return [{ heading: c.title }, { text: `${c.stands === 'refused' ? 'Do not drill. ' : ''}${c.says}` }]
  return [
    { heading: c.title },
    {
      text: [
        c.says,
        `Worked ${SIDE_WORDS[c.side]}. Located by ${c.located}.`,
        ...(c.from.length ? [`Measured: ${c.from.join('; ')}.`] : []),
      ].join(' '),
    },
    { tick: [...c.first.map((f) => `first: ${f}`), ...c.steps] },
    ...(c.flag === undefined ? [] : [{ drawing: flagDrawing(c.flag, c.bit!), width: c.flag + 22 }]),
    ...(c.mind.length ? [{ text: c.mind.join(' ') }] : []),
  ]
}

/** A bit laid beside a rule, its tape where the flag is: one unit is one millimetre on paper. */
export function flagDrawing(flag: number, bit: number): Drawing {
  const r = bit / 2
  const marks: Mark[] = [
    { mark: 'area', role: 'bit', points: [pt(0, 0), pt(r * 1.2, -r), pt(flag + 14, -r), pt(flag + 14, r), pt(r * 1.2, r)] },
    { mark: 'area', role: 'tape', points: rectangle(flag, -r - 1.5, flag + 6, r + 1.5) },
    ...Array.from(
      { length: Math.floor(flag) + 7 },
      (_, i): Mark => ({
        mark: 'line',
        role: 'guide',
        points: [pt(i, r + 3), pt(i, r + (i % 10 === 0 ? 8 : i % 5 === 0 ? 6.5 : 5))],
      }),
    ),
    ...Array.from(
      { length: Math.floor((flag + 6) / 10) },
      (_, i): Mark => ({
        mark: 'label',
        at: pt(10 * (i + 1), r + 11.5),
        text: String(10 * (i + 1)),
        anchor: 'middle',
      }),
    ),
    { mark: 'label', at: pt(flag, -r - 3), text: `tape ${printMm(flag, 1)} mm from the tip`, anchor: 'middle' },
  ]
  return {
    title: `Tape flag at ${printMm(flag, 1)} mm`,
    note: 'true size',
    marks,
    bounds: { x: -2, y: -r - 8, width: flag + 22, height: 2 * r + 21 },
    numbers: [{ label: 'Tape flag from the tip', value: `${printMm(flag, 1)} mm` }],
  }
}
