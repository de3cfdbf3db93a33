import { isScrewedDown, switchMake } from '../../instrument/switchMake'
import { capital } from '../../quantity/words'
import { HOLE_OVER } from '../../instrument/holeOver'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { pt } from '../../geometry/point'
import { CONTROL_WORDS, controlPlace, controlSaid, potSlot, potsIn, type Control, type SwitchControl } from '../../instrument/controlPlace'
import { opened } from '../opened'
import type { Finder } from '../finder'
import type { Located } from '../place'
import { printMm } from '../../quantity/length'
import { alongWords, fromEdge } from '../place'

export const CAUTIONS = ['Eye protection; clamp plastic between scrap, it grabs and cracks.']

/** Where controls sit, in the guard's own marks or on the wood. */
export function placed(build: Build, which: readonly Control[]): Located {
  const slot = build.parts.guard ? 'guard' : 'body'
  const said = which.filter((c) => controlSaid(build, c))
  const missing = which
    .filter((c) => !controlSaid(build, c))
    .flatMap((c): SizeRef[] => [
      { slot, size: `${c}.x` },
      { slot, size: `${c}.y` },
    ])
    .filter((ref) => !sizeAt(build, ref))
  const words = (c: Control) => {
    const x = sizeAt(build, { slot, size: `${c}.x` })!.value
    const y = sizeAt(build, { slot, size: `${c}.y` })!.value
    const along = slot === 'guard' ? fromEdge(x, 'the guard’s neck edge') : alongWords(build, x)[0]
    return `${CONTROL_WORDS[c]}: ${along}, ${printMm(Math.abs(y), 1)} to the ${y > 0 ? 'bass' : 'treble'} side`
  }
  // A row whose places are known in part has none that could be counted.
  const places = missing.length ? [] : said.map((c) => controlPlace(build, c)).map((p) => pt(p.x, p.y))
  return { places, from: said.map(words), missing }
}

/** Holes for the pots, in the guard or in the wood. */
export const potHoles: Finder = (build, bench) => {
  const pots = potsIn(build)
  if (!pots.length || !(build.parts.guard || build.parts.body)) return undefined
  const guard = build.parts.guard !== undefined
  // One size of hole for all: the thickest bushing decides, and one that nobody read may be the thickest.
  const bushings = pots.map((p) => sizeRef(potSlot(p), 'bushing.diameter'))
  const own =
    bushings.find((ref) => !sizeAt(build, ref)) ?? bushings.reduce((a, b) => (sizeAt(build, b)!.value > sizeAt(build, a)!.value ? b : a))
  return opened(
    build,
    bench,
    {
      id: 'pot-holes',
      title: guard ? 'Pot holes in the guard' : 'Pot holes in the top',
      slot: guard ? 'guard' : potSlot(pots[0]!),
      side: guard ? 'guard' : 'front',
      goesIn: 'the pots’ bushings',
      located: guard
        ? 'the guard’s own marks; the route’s walls below clear the pots by 2 mm'
        : 'the control route: shafts 30 mm apart and 15 from the strings',
      first: guard ? ['the guard lying where it will lie'] : ['the control route, its floor measured'],
      back: guard ? 'A washer wide enough, or another guard.' : 'A washer, or dowel and drill anew: it shows through a clear finish.',
    },
    {
      there: { slot: guard ? 'guard' : 'body', trait: 'bored.controls' },
      own,
      hole: sizeRef(guard ? 'guard' : 'body', 'pot.hole'),
      small: 0.1,
      large: 1.5,
      over: HOLE_OVER.pot,
      through: guard
        ? { ref: sizeRef('guard', 'thickness'), label: 'guard', role: 'plastic' }
        : { ref: sizeRef('body', 'control.top'), label: 'top', role: 'body-wood' },
      located: placed(build, pots),
      byNumbers: true,
      ream: guard ? 'tapered reamer by hand, tape on the face' : 'tapered reamer by hand from both faces, tape on the face',
      tooLarge: 'A flat washer on the face, wider than the hole.',
      ...(guard ? { cautions: CAUTIONS } : {}),
    },
  )
}

/** A toggle's or a rotary's hole, in the guard or in the wood. */
export const toggleHole =
  (of: SwitchControl): Finder =>
  (build, bench) => {
    const contacts = traitAt(build, of, 'contacts')
    if (!build.parts[of] || contacts === undefined || isScrewedDown(contacts)) return undefined
    if (!build.parts.guard && !build.parts.body) return undefined
    const guard = build.parts.guard !== undefined
    const make = switchMake(contacts)
    return opened(
      build,
      bench,
      {
        id: of === 'switch' ? 'toggle-hole' : 'toggle-hole-2',
        title: `${of === 'switch' ? capital(make) : `Second switch’s ${make}`} hole in the ${guard ? 'guard' : 'top'}`,
        slot: of,
        side: guard ? 'guard' : 'front',
        goesIn: `the ${make}’s thread`,
        located: guard ? 'the guard’s own mark' : 'the room below it: its frame turns and clears the walls',
        first: [guard ? 'the guard lying where it will lie' : 'the room under it and its passage'],
        back: 'A ring washer hides little; dowel and drill anew shows through a clear finish.',
      },
      {
        there: { slot: guard ? 'guard' : 'body', trait: of === 'switch' ? 'bored.toggle' : 'bored.toggle-2' },
        own: sizeRef(of, 'thread.diameter'),
        hole: sizeRef(guard ? 'guard' : 'body', `${of}.hole`),
        small: 0.1,
        large: 1.5,
        over: HOLE_OVER.toggle,
        through: guard
          ? { ref: sizeRef('guard', 'thickness'), label: 'guard', role: 'plastic' }
          : { ref: sizeRef('body', 'control.top'), label: 'top', role: 'body-wood' },
        located: placed(build, [of]),
        byNumbers: true,
        ream: 'step bit or reamer by hand, tape on the face',
        tooLarge: 'Its ring washer, wider than the hole.',
        ...(guard ? { cautions: CAUTIONS } : {}),
      },
    )
  }
