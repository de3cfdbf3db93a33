import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import { applyChange } from './change'
import { setTrait } from './changes'
import { datums } from '../instrument/datums'
import { enteredAt, sizeRef } from './read'

const STUDS = sizeRef('body', 'mouthToBridge')

describe('said to be in one piece after its places were read', () => {
  const build = { ...fullBuild(), pencil: { near: { along: 120, bassLine: 1, trebleLine: 57, bassEnd: 1, trebleEnd: 57 } } }
  const through = applyChange(build, setTrait(build, 'body', 'neckIs', 'through'))

  it('they are guesses from the board’s end, the pocket’s length nearer: 255 − 76 = 179; nothing across is touched', () => {
    expect(enteredAt(through, STUDS)).toMatchObject({ value: 179, known: 'assumed' })
    expect(enteredAt(through, sizeRef('body', 'route.neck.centre'))).toMatchObject({ value: 31, known: 'assumed' })
    expect(through.parts.body!.sizes['control.y']).toEqual(build.parts.body!.sizes['control.y'])
    expect(through.pencil!.near!.along).toBe(44)
    expect(through.parts.body!.outline![0]!.x).toBe(build.parts.body!.outline![0]!.x - 76)
  })
  it('the pocket is no longer there, whatever was read of it', () => {
    expect(enteredAt(through, sizeRef('body', 'pocket.depth'))).toEqual({ value: 0, doubt: 0, known: 'calipers' })
    expect(datums(through).mouth).toBe(through.parts.neck!.sizes.boardLength!.value)
  })
  it('and two parts after all, they stand where they stood, to be read again', () => {
    const back = applyChange(through, setTrait(through, 'body', 'neckIs', undefined))
    expect(enteredAt(back, STUDS)).toMatchObject({ value: 255, known: 'assumed' })
    expect(enteredAt(back, sizeRef('body', 'pocket.depth'))).toEqual(build.parts.body!.sizes['pocket.depth'])
    expect(back.parts.body!.outline).toEqual(build.parts.body!.outline)
  })
  it('said again it moves nothing', () => {
    expect(setTrait(through, 'body', 'neckIs', 'through').edits).toHaveLength(1)
    expect(setTrait(build, 'body', 'neckIs', 'own').edits).toHaveLength(1)
  })
})
