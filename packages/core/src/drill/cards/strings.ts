import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt } from '../../document/read'
import { exitError } from '../../physics/pilot'
import { normal, probabilityBetween } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { bitWords, boreBit, METHODS, methodFor, type Bench } from '../bench'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { guarded } from '../guard'
import type { DrawnCard, Guard } from '../holeCard'
import { acrossBody, evenly, inwardsOf } from '../place'
import { bodyLayer, holeSection } from '../section'
import { isThere } from '../told'

const THICK = sizeRef('body', 'thickness')
const THERE = { slot: 'body', trait: 'bored.strings' } as const
/** A row of string holes is drilled with one stiff bit of this size, mm. [practice] */
export const STRING_BORE = 4.5
/** A ferrule is this much larger than its recess, mm. [practice] */
const PRESS = { from: 0.12, to: 0.02, best: 0.07 }

/** Where the strings go through the body, across them. */
export const stringRow = (build: Build) =>
  acrossBody(
    build,
    [sizeRef('body', 'mouthToBridge'), sizeRef('bridge', 'holes.behind')],
    sizeRef('bridge', 'spread'),
    evenly(build.strings),
  )

/** Holes for strings that run through the body. */
export const stringHoles: Finder = (build, bench) => {
  if (!build.parts.body || traitAt(build, 'bridge', 'mount') !== 'string-through') return undefined
  const base: Base = {
    id: 'string-holes',
    title: 'String holes through the body',
    slot: 'bridge',
    side: 'front',
    goesIn: 'the strings, held by ferrules in the back',
    located: 'the fixed bridge, screwed on: its holes marked through, or used as the guide where they are the bit’s size',
    first: ['the bridge screwed down and its saddles tried in tune'],
    back: 'Dowel right through, a day to dry, drilled anew; the bridge and the ferrules hide it.',
  }
  const there = isThere(build, THERE, sizeRef('body', 'string.hole'))
  if (there === undefined) return waiting(build, base, [], [THERE])
  const located = stringRow(build)
  const at = { places: located.places, ...(located.doubt === undefined ? {} : { placeDoubt: located.doubt }) }
  if (there) {
    const hole = sizeAt(build, sizeRef('body', 'string.hole'))
    return filled(build, base, {
      work: 'keep',
      says: `The holes are there${hole ? `, ${printMm(hole.value, 1)} mm` : ''}: nothing is drilled. The bridge in its place, feed the thickest string through each: it comes up in the middle of the bridge’s own hole.`,
      ...at,
      from: ['the holes themselves'],
      ...(hole ? { bit: hole.value, size: printMm(hole.value, 1) } : {}),
      draw: () =>
        holeSection({
          title: base.title,
          layers: bodyLayer(build),
          bit: hole?.value ?? STRING_BORE,
        }),
    })
  }
  const thick = sizeAt(build, THICK)
  if (!thick) return waiting(build, base, [THICK])
  const { method, why } = methodFor(bench, inwardsOf(build, located.places)?.most)
  const wander = exitError(thick.value, method.degrees)
  const bit = boreBit(STRING_BORE - 0.3, STRING_BORE + 0.3, STRING_BORE, bench.bits)
  const each = Object.values(METHODS).map(
    (m) => `${m.id === 'hand' ? 'by eye' : m.id === 'block' ? 'guide block' : m.id} ${printMm(exitError(thick.value, m.degrees))}`,
  )
  return filled(build, base, {
    work: 'new',
    mindful: true,
    says: [
      `${printMm(thick.value, 1)} mm deep and ${printMm(bit.bit)} wide: ${method.words}, the exit wanders up to ${printMm(wander)} mm. A row of ${build.strings} looks straight from the back only by ferrules bored by a template.`,
      why ?? '',
    ]
      .filter(Boolean)
      .join(' '),
    ...at,
    from: located.places.length ? [...located.from, 'the bridge’s own holes decide'] : ['the bridge’s own holes'],
    steps: [
      'mark through the fixed bridge, punch each mark',
      `${bitWords(bit)}, one stiff bit of final size; no thin bit first, it wanders`,
      'the first hole right through into backing scrap, lifted often; bridge back on, look at where it came out, then the rest',
      'chase both ends by hand',
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: method.words,
    mind: [
      `Exit beside its mark, mm: ${each.join(', ')}.`,
      `Chance that the row looks straight from the back, each within ${LOOKS} mm of its line: ${percent(straightChance(wander, build.strings))}.`,
    ],
    draw: () =>
      holeSection({ title: base.title, layers: [{ label: 'body', thickness: thick.value, role: 'body-wood' }], bit: bit.bit, wander }),
  })
}

/** A hole so far beside its row's line is seen, mm. [ours] */
const LOOKS = 0.5
/** Chance that all of a row lie within what is not seen; how far one comes out aside is a normal of half the wander. [physics] */
export const straightChance = (wander: number, count: number): number => probabilityBetween(normal(0, wander / 2), -LOOKS, LOOKS) ** count
const percent = (p: number) => (p < 0.01 ? 'under 1 %' : p > 0.99 ? 'over 99 %' : `${Math.round(100 * p)} %`)

/** Recesses for string ferrules in the back. */
export const ferruleBores: Finder = (build, bench) => {
  if (!build.parts.body || !build.parts.ferrules) return undefined
  const base: Base = {
    id: 'ferrule-bores',
    title: 'Ferrule recesses in the back',
    slot: 'ferrules',
    side: 'back',
    goesIn: 'string ferrules, pressed in with a dowel',
    located: 'a straight template over the row, held by the outer two holes',
    first: ['the string holes'],
    back: 'A ring of dowel glued in; behind the ferrule’s flange it does not show.',
  }
  const there = isThere(build, { slot: 'body', trait: 'bored.ferrules' }, sizeRef('body', 'ferrule.bore'))
  if (there === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'bored.ferrules' }])
  return there ? recessThere(build, bench, base) : recessNew(build, bench, base)
}

const FERRULE = sizeRef('ferrules', 'diameter')

function recessThere(build: Build, bench: Bench, base: Base): DrawnCard {
  const refs = [FERRULE, sizeRef('body', 'ferrule.bore')]
  const missing = refs.filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const [ferrule, bore] = refs.map((r) => sizeAt(build, r)!)
  const over = ferrule!.value - bore!.value
  const tight = over > 0.14 + Math.hypot(ferrule!.doubt, bore!.doubt) / 2
  const bit = tight ? boreBit(ferrule!.value - PRESS.from, ferrule!.value - PRESS.to, ferrule!.value - PRESS.best, bench.bits) : undefined
  return filled(build, base, {
    work: tight ? 'ream' : 'keep',
    ...(tight ? { alters: [sizeRef('body', 'ferrule.bore')] } : {}),
    mindful: tight,
    says: tight
      ? `The recesses are ${printMm(over)} mm smaller than the ferrules: open them to ${bitWords(bit!)}.`
      : `The recesses are there, ${printMm(bore!.value)} mm for ferrules of ${printMm(ferrule!.value)}: nothing is drilled.`,
    places: stringRow(build).places,
    from: ['the recesses themselves'],
    steps: tight ? ['try bit and ferrule in scrap', `${printMm(bit!.bit, 1)} mm by its rim, all with one stop`] : [],
    bit: bit?.bit ?? bore!.value,
    size: printMm(bit?.bit ?? bore!.value, 1),
    with: 'stand or press, one stop for all',
    draw: () =>
      holeSection({
        title: base.title,
        layers: [{ label: 'body', thickness: 20, role: 'body-wood' }],
        bit: bit?.bit ?? bore!.value,
        depth: sizeAt(build, sizeRef('ferrules', 'length'))?.value ?? 9,
      }),
  })
}

function recessNew(build: Build, bench: Bench, base: Base): DrawnCard {
  const length = sizeRef('ferrules', 'length')
  const spread = sizeRef('bridge', 'spread')
  const missing = [FERRULE, length, spread, THICK].filter((r) => build.parts[r.slot] && !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const [ferrule, long, thick] = [sizeAt(build, FERRULE)!, sizeAt(build, length)!, sizeAt(build, THICK)!]
  const located = stringRow(build)
  const bit = boreBit(ferrule.value - PRESS.from, ferrule.value - PRESS.to, ferrule.value - PRESS.best, bench.bits)
  const { method, why } = methodFor(bench, inwardsOf(build, located.places)?.most)
  const error = exitError(thick.value, method.degrees)
  const bore = sizeAt(build, sizeRef('body', 'string.hole'))?.value ?? STRING_BORE
  const pitch = (sizeAt(build, spread)?.value ?? 52) / Math.max(1, build.strings - 1)
  return filled(build, base, {
    work: 'new',
    mindful: !bit.owned,
    says: [
      `Ferrules of ${printMm(ferrule.value)} mm want ${printMm(ferrule.value - PRESS.from)} to ${printMm(ferrule.value - PRESS.to)} mm: ${bitWords(bit)}.`,
      why ?? '',
    ]
      .filter(Boolean)
      .join(' '),
    places: located.places,
    ...(located.doubt === undefined ? {} : { placeDoubt: located.doubt }),
    from: ['the template: the row as straight as its edge; the error of the string holes stays inside'],
    steps: [
      'template clamped on over the outer two holes, tape over the finish',
      `try a ferrule in scrap, in a hole of ${bitWords(bit)}`,
      `${printMm(bit.bit)} mm, one stop at ${printMm(long.value, 1)} mm for all`,
    ],
    lasts: 'press each in with a dowel, square',
    bit: bit.bit,
    size: printMm(bit.bit),
    depth: long.value,
    with: method.words,
    guards: recessGuards({ recess: bit.bit, bore, error, pitch }),
    draw: () =>
      holeSection({
        title: base.title,
        layers: [{ label: 'body', thickness: thick.value, role: 'body-wood' }],
        bit: bit.bit,
        depth: long.value,
      }),
  })
}

const SMALLER = 'Take smaller ferrules, or drill the holes by a straighter way.'

/**
 * A recess over a hole that came out beside its mark: its wall stays whole up to half of what it is wider; between neighbours the pitch less
 * a recess less twice the error stays. [physics]
 */
export function recessGuards(r: { recess: number; bore: number; error: number; pitch: number }): Guard[] {
  const wider = (r.recess - r.bore) / 2
  const wall = wider - r.error
  const between = r.pitch - r.recess - 2 * r.error
  return [
    guarded(
      'wall',
      'Recess wall whole',
      { value: wall, doubt: 0 },
      [...(wider <= 0 ? [{ upTo: 0, is: 'wont-go' } as const] : []), { upTo: 0, is: 'tight' }, { upTo: Infinity, is: 'snug' }],
      wider <= 0
        ? `A recess of ${printMm(r.recess, 1)} mm is no wider than the string hole in it, ${printMm(r.bore, 1)}: no wall of it is left to hold a ferrule.`
        : `The hole may come out ${printMm(wider)} mm beside the recess’s middle before it cuts its wall; here it comes up to ${printMm(r.error)}.`,
      'Take larger ferrules.',
    ),
    guarded(
      'between',
      'Wood between neighbours',
      { value: between, doubt: 0 },
      [
        { upTo: 0, is: 'wont-go' },
        { upTo: 1, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      `${printMm(Math.max(0, between), 1)} mm of wood stays between two recesses.`,
      SMALLER,
    ),
  ]
}
