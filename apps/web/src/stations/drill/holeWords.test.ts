import { expect, it } from 'vitest'
import { sizeWords } from './holeWords'

it.each([
  ['pot-holes', '9.5', '⌀9.5'],
  ['switch-slot', '27 long', '27 long'],
  ['route-control', '122x30', '122x30'],
  ['route-pocket', '57', '57'],
  ['binding-ledge', '1.5x6', '1.5x6'],
  ['jack-hole', '', ''],
])('%s of %s is said as %s', (id, size, said) => expect(sizeWords({ id, size })).toBe(said))
