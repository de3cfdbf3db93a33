import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import type { Drawing } from '../../drawing/drawing'
import { boxAround, type Box } from '../../geometry/box'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn } from '../../testing/rows'

const drawn = (build: Build): Drawing => jointIn(build, 'switch').draw()
const boxes = ({ marks }: Drawing, role: string): Box[] =>
  marks.flatMap((m) => (m.mark === 'area' && m.role === role ? [boxAround(m.points)] : []))
const gapBetween = ([left, right]: Box[]) => right!.x - (left!.x + left!.width)

describe('the switch as drawn', () => {
  const inGuard = changed(
    fullBuild(),
    { 'guard/thickness': 2.3, 'guard/switch.slot': 27, 'switch/depth': 22 },
    { 'switch/contacts': 'lever-5' },
  )
  it('hangs by its screws beside a slot of its own length', () => {
    const guard = boxes(drawn(inGuard), 'plastic')
    expect(gapBetween(guard)).toBe(27)
    expect(guard.map((b) => [b.y, b.height])).toEqual([
      [-2.3, 2.3],
      [-2.3, 2.3],
    ])
    expect(drawn(inGuard).title).toBe('Switch in the guard and the room under it')
  })
  const toggle = changed(
    inGuard,
    { 'guard/switch.hole': 12.4, 'switch/thread.diameter': 12, 'switch/thread.length': 9, 'switch/depth': 33 },
    { 'switch/contacts': 'toggle-3' },
  )
  it('a toggle stands in its hole, by its thread', () => {
    expect(gapBetween(boxes(drawn(toggle), 'plastic'))).toBeCloseTo(12.4, 9)
    const [body, thread, nut, bat] = boxes(drawn(toggle), 'metal')
    expect([body!.y, body!.height]).toEqual([0, 33])
    expect([thread!.y, thread!.height, thread!.width]).toEqual([-9, 9, 12])
    // On top of the guard, and the bat from the thread's end.
    expect(nut!.y + nut!.height).toBe(-2.3)
    expect(bat!.y + bat!.height).toBe(-9)
  })
  const inTop = (access: string) =>
    changed(
      without(toggle, 'guard'),
      { 'body/control.top': 4, 'body/control.depth': 36, 'body/switch.hole': 12.6 },
      { 'body/access': access, 'body/build': access === 'back' ? 'solid' : 'semi-hollow' },
    )
  it('in the wood of the top, its room closed by a cover where it opens to the back', () => {
    const back = drawn(inTop('back'))
    const [left, right, ...walls] = boxes(back, 'body-wood')
    expect(gapBetween([left!, right!])).toBeCloseTo(12.6, 9)
    expect([left!.y, left!.height]).toEqual([-4, 4])
    expect(walls).toHaveLength(2)
    expect(boxes(back, 'plastic').map((b) => b.y)).toEqual([36])
    expect(back.title).toBe('Switch in the top and the room under it')
  })
  it('in a hollow body there is neither wall nor cover, only the back', () => {
    const hollow = drawn(inTop('sound-hole'))
    expect(boxes(hollow, 'plastic')).toEqual([])
    expect(
      boxes(hollow, 'body-wood')
        .slice(2)
        .map((b) => [b.y, b.width]),
    ).toEqual([[36, 92]])
  })
  it('a thread too short is a longer one; no top is thinned from inside a hollow body', () => {
    const short = (access: string) => checkIn(changed(inTop(access), { 'switch/thread.length': 5 }), 'switch', 'thread').cures[0]!.job
    expect(short('back')).toBe('Take a toggle with 8 mm of thread, or rout the top thinner from inside.')
    expect(short('sound-hole')).toBe('Take a toggle with 8 mm of thread.')
  })
})
