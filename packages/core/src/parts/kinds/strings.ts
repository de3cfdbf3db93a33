import { defineKind, mm, sized, type SizeSpec } from '../kind'

type Row = Record<`gauge.${number}` | `core.${number}` | `length.${number}`, SizeSpec>
const rows: Row = {}
/** Thinnest and thickest of each string in the sets there are, guitar to bass, mm. [practice, from memory] */
const FOUND: readonly (readonly [number, number])[] = [
  [0.2, 1.2],
  [0.25, 1.6],
  [0.33, 2.2],
  [0.45, 2.8],
  [0.6, 3.5],
  [0.8, 1.8],
]
const WIDEST = [0.18, 3.5] as const
for (let n = 1; n <= 12; n++) {
  rows[`gauge.${n}`] = mm(`String ${n}, gauge`, 0.15, 3.5, { found: FOUND[n - 1] ?? WIDEST, ...(n <= 4 ? { required: true } : {}) })
  rows[`core.${n}`] = mm(`String ${n}, core of a wound string`, 0.15, 1.5, {
    optional: true,
    found: [0.25, 0.75],
    how: 'left out of a plain string',
  })
  rows[`length.${n}`] = mm(`String ${n}, own length`, 150, 1800, {
    optional: true,
    how: 'cut before: from the far side of its ball to its end; left out of a new set',
  })
}

/** A set of strings, 1 the highest. A string with a core size is wound. */
export const strings = defineKind({
  kind: 'strings',
  label: 'String set',
  trade: 'hardware',
  sizes: {
    wound: sized('count', 'Wound strings', 0, 12, { optional: true, how: 'where the cores are not given' }),
    ...rows,
    length: mm('Length, ball to end', 150, 1800, { found: [880, 1350], how: 'of the shortest as sold; of cut ones each has its own' }),
    winding: mm('Ball to where the thick winding ends', 150, 1800, {
      optional: true,
      how: 'bass strings: the shortest of them, up to the thread or the thinner end',
    }),
    'twist.diameter': mm('Twist at the ball end, widest', 0.3, 6, {
      optional: true,
      how: 'the thickest of the set: what is wound round the string before its ball',
    }),
    'silk.diameter': mm('Thread wound round the tuner end, widest', 0.3, 6, { optional: true, how: 'left out of bare ends' }),
  },
  traits: {
    wrap: {
      label: 'Wrap',
      options: [
        ['nickel-plated', 'nickel-plated steel'],
        ['pure-nickel', 'pure nickel'],
        ['bronze', 'bronze'],
      ],
    },
  },
})
