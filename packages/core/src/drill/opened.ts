import type { Build } from '../document/build'
import { sizeAt, type SizeRef } from '../document/read'
import type { Role } from '../drawing/drawing'
import type { TraitRef } from '../judge/completed'
import { judge, type Band } from '../judge/verdict'
import { exitError } from '../physics/pilot'
import { normal } from '../quantity/distribution'
import { printMm, sayMm } from '../quantity/length'
import { bitWords, boreBit, methodFor, type Bench } from './bench'
import { coneSays, drilledThrough, SCRAP_BEHIND, type Behind } from './behind'
import { filled, waiting, type Base } from './card'
import type { DrawnCard, Guard } from './holeCard'
import type { Located } from './place'
import { holeSection } from './section'
import { isThere, summed } from './told'

/** A hole right through something thin, for a bushing or a thread. */
export interface Opened {
  there: TraitRef
  /** What goes through, and the hole it has or gets. */
  own: SizeRef
  hole: SizeRef
  /** Hole minus what goes through, mm: up to where it is too small, and from where it is too large. */
  small: number
  large: number
  /** Drilled or reamed to so much over what goes through, mm. */
  over: number
  through: { ref: SizeRef; label: string; role: Role }
  located: Located
  byNumbers?: boolean
  /** There is one of them, not a row. */
  one?: true
  /** What lies behind it: whether a tool comes to it from its other end. */
  behind: Behind
  /** How it is opened, by hand. */
  ream: string
  /** What is done where the hole is too large. */
  tooLarge: string
  guards?: readonly Guard[]
  mind?: readonly string[]
  cautions?: string[]
}

/** What a person cuts or drills it with may be off by so much either way, mm. [practice] */
const NEAR = 0.15

/** A through hole: kept where what goes in passes it, opened where it is too small, made where there is none. */
export function opened(build: Build, bench: Bench, base: Base, o: Opened): DrawnCard {
  const there = isThere(build, o.there, o.hole)
  if (there === undefined) return waiting(build, base, [], [o.there], { places: o.located.places, takes: sizeAt(build, o.own)?.value })
  const needed = [o.own, ...(there ? [o.hole] : [o.through.ref])]
  const missing = [...needed.filter((ref) => !sizeAt(build, ref)), ...(!there && o.byNumbers ? o.located.missing : [])]
  if (missing.length) return waiting(build, base, missing)
  const own = sizeAt(build, o.own)!
  const aim = own.value + o.over
  const thick = sizeAt(build, o.through.ref)?.value
  const layers = [{ label: o.through.label, thickness: thick ?? 10, role: o.through.role }]
  const common = {
    places: o.located.places,
    ...(o.located.doubt === undefined ? {} : { placeDoubt: o.located.doubt }),
    ...(o.cautions ? { cautions: o.cautions } : {}),
  }
  if (!there) return made(build, bench, base, o, aim)
  const hole = sizeAt(build, o.hole)!
  const play = summed([
    [1, hole],
    [-1, own],
  ])
  const bands: Band[] = [
    { upTo: o.small, is: 'tight' },
    { upTo: o.large, is: 'snug' },
    { upTo: Infinity, is: 'loose' },
  ]
  const { verdict } = judge(normal(play.value, play.doubt / 2), bands)
  const [is, them, itself, each] = o.one
    ? ['The hole is', 'it', 'the hole itself', 'try it in the hole']
    : ['The holes are', 'them', 'the holes themselves', 'try one in each hole']
  const sizes = `${is} ${printMm(hole.value)} mm and what goes through ${printMm(own.value)}`
  if (verdict === 'tight')
    return filled(build, base, {
      ...common,
      work: 'ream',
      alters: [o.hole],
      mindful: true,
      says: `${sizes}: open ${them} by ${printMm(aim - hole.value)} mm, to ${printMm(aim)}.`,
      from: [itself],
      steps: [`${o.ream}, to ${printMm(aim)} mm; try often`],
      bit: aim,
      size: printMm(aim),
      with: 'by hand',
      guards: [...(o.guards ?? [])],
      mind: [coneSays(o.behind), ...(o.mind ?? [])],
      draw: () => holeSection({ title: base.title, layers, bit: aim }),
    })
  return filled(build, base, {
    ...common,
    work: verdict === 'loose' ? 'plug' : 'keep',
    mindful: verdict !== 'snug',
    says:
      verdict === 'snug'
        ? `${sizes}: nothing to cut.`
        : verdict === 'loose'
          ? `${sizes}: ${printMm(play.value)} mm too much. ${o.tooLarge}`
          : `${sizes}; ${sayMm(play.value)} ±${printMm(play.doubt)} mm leaves it open: ${each} before you cut.`,
    from: [itself],
    steps: verdict === 'loose' ? [o.tooLarge] : [each],
    bit: hole.value,
    size: printMm(hole.value),
    with: 'by hand',
    guards: [],
    draw: () => holeSection({ title: base.title, layers, bit: hole.value }),
  })
}

function made(build: Build, bench: Bench, base: Base, o: Opened, aim: number): DrawnCard {
  const thick = sizeAt(build, o.through.ref)!.value
  const bit = boreBit(aim - NEAR, aim + NEAR, aim, bench.bits)
  const { method, why } = methodFor(bench, 0)
  const wander = exitError(thick, method.degrees)
  return filled(build, base, {
    work: 'new',
    mindful: !bit.owned,
    says: [`Through ${printMm(thick, 1)} mm for ${printMm(aim - o.over)} mm: ${bitWords(bit)}.`, why ?? ''].filter(Boolean).join(' '),
    places: o.located.places,
    ...(o.located.doubt === undefined ? {} : { placeDoubt: o.located.doubt }),
    from: o.located.from,
    steps: [
      `mark, punch; ${SCRAP_BEHIND[o.behind]}`,
      '3 mm right through, square',
      drilledThrough(o.behind, printMm(bit.bit)),
      'chamfer by hand',
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: method.words,
    guards: [...(o.guards ?? [])],
    mind: [...(o.mind ?? []), `Comes out up to ${printMm(wander)} mm beside its mark.`],
    ...(o.cautions ? { cautions: o.cautions } : {}),
    draw: () =>
      holeSection({
        title: base.title,
        layers: [{ label: o.through.label, thickness: thick, role: o.through.role }],
        bit: bit.bit,
        wander,
      }),
  })
}
