import { describe, expect, it } from 'vitest'
import type { Slot } from '../../parts/slots'
import { wirable, type Wanted } from '../../testing/wirable'
import { harnessOf, optionsOf } from './harnessOf'
import { leftOut } from './leftOut'

const PAIR: Wanted = { places: ['neck', 'bridge'], contacts: 'toggle-3' }

describe('what nobody chose is what the parts are for', () => {
  const chosen = (w: Wanted, without: readonly Slot[] = []) => {
    const build = wirable(w)
    for (const slot of without) delete build.parts[slot]
    const result = harnessOf(build)
    if (!result.ok) throw new Error('no harness')
    const options = optionsOf(build, result.recipe)
    return { left: leftOut(build, result.harness), of: (id: string) => options.find((o) => o.spec.id === id)?.chosen }
  }
  const OF_SLIDE: readonly Slot[] = ['switch-2', 'capacitor-2']
  it('two volumes and two tones: one each, and nothing is left over', () => {
    const { of, left } = chosen({ ...PAIR, second: true }, OF_SLIDE)
    expect([of('volumes'), of('tones'), of('toneAt'), of('preset')]).toEqual(['two', 'two', 'before', 'none'])
    expect(left).toEqual([])
  })
  it('two volumes and one tone', () => {
    const { of, left } = chosen({ ...PAIR, second: true }, [...OF_SLIDE, 'pot-tone-2'])
    expect([of('volumes'), of('tones'), of('toneAt')]).toEqual(['two', 'one', 'after'])
    expect(left).toEqual([])
  })
  it('one volume and two tones on a lever', () => {
    const three: Wanted = { places: ['neck', 'middle', 'bridge'], contacts: 'lever-5', second: true }
    const { of, left } = chosen(three, [...OF_SLIDE, 'pot-volume-2'])
    expect([of('tones'), left]).toEqual(['two', []])
  })
  it('a slide with a second volume, tone and capacitor: a circuit of its own', () => {
    const { of, left } = chosen({ ...PAIR, second: true })
    expect([of('preset'), of('volumes'), of('tones'), left]).toEqual(['neck', 'one', 'one', []])
  })
  it('a rotary and no tone pot: the tone is the rotary’s', () => {
    expect(chosen({ ...PAIR, rotary: true }, ['pot-tone']).of('tone')).toBe('rotary')
    expect(chosen({ ...PAIR, rotary: true }).of('tone')).toBe('one')
  })
  it('what was chosen stands', () => {
    const { of } = chosen({ ...PAIR, second: true, options: { volumes: 'one', tones: 'one', preset: 'none' } })
    expect([of('volumes'), of('tones'), of('preset')]).toEqual(['one', 'one', 'none'])
  })
})

describe('a knob that is pulled for nothing is told of', () => {
  const notes = (w: Wanted, change: (parts: ReturnType<typeof wirable>['parts']) => void = () => undefined) => {
    const build = wirable({ two: ['bridge'], leads: 'four', pull: true, ...w })
    change(build.parts)
    const result = harnessOf(build)
    return result.ok ? result.notes : [result.says]
  }
  const CHOOSE = 'Choose under Wiring what a pulled knob does; there is use for one.'
  it('until what it does is chosen', () => {
    expect(notes(PAIR)).toEqual([`Pulled, the tone pot does nothing in this wiring. ${CHOOSE}`])
    expect(notes({ ...PAIR, options: { pull: 'split' } })).toEqual([])
  })
  it('each that is pulled besides the one there is use for', () => {
    const both = (parts: ReturnType<typeof wirable>['parts']) => (parts['pot-volume']!.traits.pull = 'push-pull')
    expect(notes(PAIR, both)).toEqual([`Pulled, the volume pot and tone pot do nothing in this wiring. ${CHOOSE}`])
    expect(notes({ ...PAIR, options: { pull: 'split' } }, both)).toEqual([`Pulled, the volume pot does nothing in this wiring. ${CHOOSE}`])
  })
  it('where a wiring has no use for any, nothing is there to choose', () =>
    expect(notes({ ...PAIR, contacts: 'lever-5x4', leads: 'four' }).at(-1)).toBe('Pulled, the tone pot does nothing in this wiring.'))
})
