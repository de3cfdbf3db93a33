import { expect, it } from 'vitest'
import fc from 'fast-check'
import { anyBuild } from '../testing/anyBuild'
import { fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import type { Build } from './build'
import { applyChange, sameJson, type Edit, type Json } from './change'
import { setField, setSize } from './changes'
import { differences, placeWords } from './differences'

const before = fullBuild()

it('a size, a part and a plain word each are one difference, said as a person names them', () => {
  const size = { value: 56.31, doubt: 0.05, known: 'calipers' as const }
  const sized = applyChange(before, setSize(before, { slot: 'neck', size: 'heel.widthMouth' }, size))
  const named = applyChange(sized, setField(sized, ['name'], 'Egret', 'Name'))
  const { tuners: _, ...parts } = named.parts
  const found = differences(before, { ...named, parts } as Build)
  expect(found.map((d) => d.what).toSorted()).toEqual(['Name', 'Neck, heel width, at the pocket mouth', 'Tuners'])
  expect(found.find((d) => d.what.startsWith('Neck'))!.is).toMatchObject({ value: 56.31 })
  expect(found.find((d) => d.what === 'Tuners')).not.toHaveProperty('is')
})

it('what is kept under a moment is said with its day and time', () => {
  expect(placeWords(['setup', 'readings', 'relief 2026-11-26T20:37:59.553+00:00'])).toBe('Setup, readings, relief of 26 Nov, 20:37')
})

it('nothing differs from itself; setting every place that differs makes the one of the other', () => {
  const plain = (b: Build) => JSON.parse(JSON.stringify(b)) as Build
  holds(
    fc.property(anyBuild, anyBuild, (one, other) => {
      const [a, b] = [plain(one), plain(other)]
      expect(differences(a, a)).toEqual([])
      const edits = differences(a, b).map(
        ({ path, was, is }): Edit => ({
          path,
          ...(was === undefined ? {} : { from: was }),
          ...(is === undefined ? {} : { to: is }),
        }),
      )
      expect(sameJson(applyChange(a, { label: '', edits }) as unknown as Json, b as unknown as Json)).toBe(true)
    }),
    100,
  )
})
