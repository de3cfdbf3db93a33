import { defineKind, mm, sized, type SizeSpec } from '../kind'

type Row = Record<`gauge.${number}` | `core.${number}`, SizeSpec>
const rows: Row = {}
for (let n = 1; n <= 12; n++) {
  rows[`gauge.${n}`] = mm(`String ${n}, gauge`, 0.15, 3.5, n <= 4 ? { required: true } : {})
  rows[`core.${n}`] = mm(`String ${n}, core of a wound string`, 0.15, 1.5)
}

/** A set of strings, 1 the highest. A string with a core size is wound. */
export const strings = defineKind({
  kind: 'strings',
  label: 'String set',
  trade: 'hardware',
  sizes: { wound: sized('count', 'Wound strings', 0, 12), ...rows },
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
