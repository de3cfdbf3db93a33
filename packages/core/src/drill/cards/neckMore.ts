import { aMm } from '../../quantity/words'
import { isGlued, sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { datums } from '../../instrument/datums'
import { pt } from '../../geometry/point'
import { printMm } from '../../quantity/length'
import { bitWords, boreBit, methodFor } from '../bench'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { screwed } from '../screwed'
import { holeSection } from '../section'
import { isThere, summed } from '../told'

/** Screws of a locking nut, through the neck's shelf from above. */
export const nutScrews: Finder = (build, bench) => {
  if (!build.parts.neck || traitAt(build, 'nut', 'type') !== 'locking') return undefined
  const there = { slot: 'neck', trait: 'bored.nut' } as const
  const known = isThere(build, there, sizeRef('neck', 'nut.screws'))
  const spread = sizeAt(build, sizeRef('nut', 'screw.spread'))
  return screwed(
    build,
    bench,
    {
      id: 'nut-screws',
      title: 'Locking nut’s screws',
      slot: 'nut',
      side: 'head front',
      goesIn: 'two screws from above',
      located: 'the nut itself, its edge against the board and its middle under the outer strings',
      first: ['the shelf at its height, the nut lying flat on it'],
      back: 'Hardwood dowel, a day to dry, drilled anew; the nut hides it.',
    },
    {
      work: known === undefined ? undefined : known ? 'keep' : 'new',
      there,
      length: sizeRef('nut', 'screw.length'),
      root: sizeRef('nut', 'screw.root'),
      thread: sizeRef('nut', 'screw.thread'),
      through: [[1, sizeRef('nut', 'height')]],
      held: { label: 'nut', role: 'metal' },
      wood: {
        terms: [
          [1, sizeRef('neck', 'fret1.thickness')],
          [-1, sizeRef('neck', 'nut.slotDepth')],
        ],
        face: 'the back of the neck',
      },
      woodOf: 'neck',
      located: {
        places: spread ? [-1, 1].map((s) => pt(-4, (s * spread.value) / 2)) : [],
        ...(spread ? { doubt: spread.doubt } : {}),
        from: ['the nut’s own holes'],
        missing: spread ? [] : [sizeRef('nut', 'screw.spread')],
      },
      over: 'the nut laid on its shelf, its edge against the board',
      mind:
        traitAt(build, 'neck', 'truss') === 'no-rod'
          ? []
          : ['The truss rod’s end lies between the two: look where it comes before a bit goes in.'],
    },
  )
}

/** A tilt screw is reached through plate and pocket by a hole it turns freely in, mm over its thread. [practice] */
const FREE = { from: 0.5, to: 1.5, best: 1 }

/** The hole a neck's tilt screw is reached through. */
export const tiltHole: Finder = (build, bench) => {
  if (!build.parts.body || traitAt(build, 'neck', 'tiltScrew') !== 'screw' || isGlued(build)) return undefined
  const base: Base = {
    id: 'tilt-hole',
    title: 'Hole for the neck’s tilt screw',
    slot: 'neck',
    side: 'back',
    byPart: true,
    goesIn: 'the key that turns the tilt screw, or the screw itself against its steel pad',
    located: 'the heel’s own screw, marked through with chalk on its end',
    first: ['the holes through the body', 'the heel home in its pocket by hand'],
    back: 'Dowel, a day to dry, drilled anew; the plate hides it.',
  }
  const trait = { slot: 'body', trait: 'bored.tilt' } as const
  const there = isThere(build, trait)
  if (there === undefined) return waiting(build, base, [], [trait])
  const layers = (thick: number) => [{ label: 'under the pocket', thickness: thick, role: 'body-wood' as const }]
  if (there)
    return filled(build, base, {
      work: 'keep',
      says: 'The hole is there: the key must reach the screw and turn without rubbing.',
      with: 'the screw’s own key',
      draw: () => holeSection({ title: base.title, layers: layers(28), bit: 7 }),
    })
  const refs: SizeRef[] = [sizeRef('neck', 'tilt.thread'), sizeRef('body', 'thickness'), sizeRef('body', 'pocket.depth')]
  const missing = refs.filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const [thread, thick, pocket] = refs.map((r) => sizeAt(build, r)!)
  const wood = summed([
    [1, thick!],
    [-1, pocket!],
  ])
  const bit = boreBit(thread!.value + FREE.from, thread!.value + FREE.to, thread!.value + FREE.best, bench.bits)
  const { method, why } = methodFor(bench, undefined)
  const at = (datums(build).heelEnd - 12).toFixed(0)
  return filled(build, base, {
    work: 'new',
    mindful: !bit.owned,
    says: [`Through ${printMm(wood.value, 1)} mm and the plate, free of ${aMm(thread!.value, 1)} screw: ${bitWords(bit)}.`, why ?? '']
      .filter(Boolean)
      .join(' '),
    from: ['the screw in the heel'],
    steps: [
      'chalk on the screw’s end, the heel pressed home: it marks the pocket’s floor',
      '3 mm from the pocket’s floor, square, scrap behind the back',
      `${printMm(bit.bit)} mm from the back, right through; the plate drilled by the same mark`,
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: method.words,
    mind: [`Between the neck screws, about ${at} mm from the nut: look that it does not run into them.`],
    draw: () => holeSection({ title: base.title, layers: layers(wood.value), bit: bit.bit }),
  })
}
