import { describe, expect, it } from 'vitest'
import { isAmount, numbered, saidIn } from './said'

/** Words as they are, amounts with their unit, "3." for one in a row. */
const shown = (text: string) => saidIn(text).map((t) => (isAmount(t) ? `${t.value}${t.ordinal ? '.' : ''}${t.unit && ` ${t.unit}`}` : t))

describe('what was said, as words and amounts', () => {
  it.each([
    ['relief 0.3 mm', ['relief', '0.3 mm']],
    ['relief -0,1', ['relief', '-0.1']],
    ['relief −.1', ['relief', '-0.1']],
    ['one and a half turns', ['1.5 turns']],
    ['1 and 1/2 turns', ['1.5 turns']],
    ['1½ turns', ['1.5 turns']],
    ['three quarters of a turn', ['0.75 turn']],
    ['one quarter turn', ['0.25 turn']],
    ['an eighth of a turn', ['0.125 turn']],
    ['half a turn', ['0.5 turn']],
    ['1/8 of a turn', ['0.125 turn']],
    ['saddle 3 1/2 turn', ['saddle', '3', '0.5 turn']],
    ['saddle 1 1/2 turns', ['saddle', '1.5 turns']],
    ['string 3 four cents', ['string', '3', '4 cents']],
    ['G string 4 cents', ['g', 'string', '4 cents']],
    ['string no. 3', ['string', '3']],
    ['string 6: 1,8', ['string', '6', '1.8']],
    ['3rd string', ['3.', 'string']],
    ['third string', ['3.', 'string']],
    ['Nut to first tuner post', ['nut', 'to', 'first', 'tuner', 'post']],
    ['at the 12th fret', ['at', 'the', '12.', 'fret']],
    ['bought a neck for 1,200 euro', ['bought', 'a', 'neck', 'for', 'NaN thousands']],
    ['0,018 in', ['0.018 in']],
    ['15.9-16.1', ['15.9', '-16.1']],
    ['10-46', ['10', '-46']],
    ['1-5/8 in', ['1.625 in']],
    ['4 in the pocket', ['4', 'in', 'the', 'pocket']],
    ['8k8', ['NaN']],
    ['8.1 kΩ', ['8.1 kω']],
    ['twenty-four euro', ['24 euro']],
    ['fourteen, eighty, seventy one', ['14', '80', '71']],
    ['a hundred, two dozen', ['a', 'NaN hundred', '2', 'NaN dozen']],
    ['€24', ['24 €']],
    ['24 euro', ['24 euro']],
    ['2026-12-01, 20:15', ['NaN date', 'NaN date']],
    ['anti-clockwise, counter clockwise', ['counterclockwise', 'counterclockwise']],
    ['about 16?', ['about', '16', '?']],
  ])('%s', (text, tokens) => expect(shown(text)).toEqual(tokens))
  it('a number names what it stands behind, or in front of in a row', () => {
    expect(numbered(saidIn('action of string 3 is 1.6'), 'string')).toMatchObject({ n: 3, rest: ['action', 'of', 'is', { value: 1.6 }] })
    expect(numbered(saidIn('3rd string 4 cents'), 'string').n).toBe(3)
    expect(numbered(saidIn('the string is 4 cents flat'), 'string').n).toBeUndefined()
    expect(numbered(saidIn('string -3 cents'), 'string').n).toBeUndefined()
  })
})
