import { describe, expect, it } from 'vitest'
import type { Mark } from '../drawing/drawing'
import { aThrough } from '../testing/aThrough'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { backView, frontView } from './longView'

const of = (marks: readonly Mark[], thing: string, role: string) =>
  marks.filter((m) => m.mark === 'area' && m.thing === thing && m.role === role) as Extract<Mark, { mark: 'area' }>[]
const width = ({ points }: { points: readonly { y: number }[] }) =>
  Math.max(...points.map((p) => p.y)) - Math.min(...points.map((p) => p.y))

describe('saddles on the long view', () => {
  // The plate is drawn first, under them.
  const saddles = (carries: string) => of(frontView(changed(fullBuild(), {}, { 'bridge/carries': carries })), 'bridge', 'metal').slice(1)
  it('are one for each string, or one for two neighbours and as wide as both', () => {
    expect(saddles('one')).toHaveLength(6)
    expect(saddles('two')).toHaveLength(3)
    // Spread over five gaps: a pair's saddle reaches 4 mm beyond either string.
    const pitch = fullBuild().parts.bridge!.sizes.spread!.value / 5
    expect(saddles('one').map(width)).toEqual(Array.from({ length: 6 }, () => expect.closeTo(8, 9)))
    expect(saddles('two').map(width)).toEqual(Array.from({ length: 3 }, () => expect.closeTo(pitch + 8, 9)))
  })
})

describe('the back of the long view', () => {
  const plate = (build: Parameters<typeof backView>[0]) => of(backView(build), 'neck-screws', 'metal')
  it('shows a neck plate, dotted until it is chosen, and none on a neck that is there for good', () => {
    expect(plate(fullBuild()).map((m) => m.dashed)).toEqual([false])
    expect(plate(without(fullBuild(), 'neck-screws')).map((m) => m.dashed)).toEqual([true])
    expect(plate(changed(fullBuild(), {}, { 'neck/joint': 'set' }))).toEqual([])
    expect(plate(aThrough())).toEqual([])
  })
  it('shows the springs’ room of every bridge that moves, and of no other', () => {
    const rooms = (mount: string) => of(backView(changed(fullBuild(), {}, { 'bridge/mount': mount })), 'body', 'cavity').length
    expect(['two-stud', 'six-screw', 'double-locking'].map(rooms)).toEqual([1, 1, 1])
    expect(['post', 'screws', 'string-through'].map(rooms)).toEqual([0, 0, 0])
  })
})
