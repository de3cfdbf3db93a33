import { describe, expect, it } from 'vitest'
import { asListed, readListing } from './fromListing'
import { KIND_NAMES, KINDS } from './kinds/index'

const first = (kind: Parameters<typeof readListing>[0], text: string) => readListing(kind, text).map((n) => [n.sizes[0], n.value, n.text])

describe('numbers out of a seller’s text', () => {
  it('each with its unit, offered first to the size whose name stands beside it', () => {
    expect(
      first(
        'tuners',
        'Sealed tuners, 6 in line. Bushing diameter 10 mm, string hole 1.8mm. Screw length 12 mm; headstock thickness 12 mm to 16 mm.',
      ),
    ).toEqual([
      ['bushing', 10, '10 mm'],
      ['string.hole', 1.8, '1.8mm'],
      ['screw.length', 12, '12 mm'],
      expect.arrayContaining([12, '12 mm']),
      expect.arrayContaining([16, '16 mm']),
    ])
  })
  it('inches and their fractions, decimal commas, centimetres', () => {
    // 25.5 in is 647.7 mm; 1-5/8 in is 41.275 mm; 46,2 cm is 462 mm.
    expect(first('neck', 'Scale length 25.5" , width at the nut 1-5/8 in, nut to heel end 46,2 cm')).toEqual([
      ['scale', expect.closeTo(647.7, 6), '25.5"'],
      ['nut.width', expect.closeTo(41.275, 6), '1-5/8 in'],
      ['nutToHeelEnd', expect.closeTo(462, 6), '46,2 cm'],
    ])
  })
  it('ohms and farads only where the part has them', () => {
    expect(first('pot', 'Audio pot 500k, bushing length 9.5 mm')).toEqual([
      ['resistance', 500e3, '500k'],
      ['bushing.length', 9.5, '9.5 mm'],
    ])
    expect(first('capacitor', 'film capacitor 22 nF 100 V')).toEqual([['capacitance', expect.closeTo(22e-9, 15), '22 nF']])
    expect(readListing('nut', '500k and 22nF')).toEqual([])
  })
  it('a number without a unit, or one no such part can have, is offered to nothing', () => {
    expect(readListing('pot', 'Order number 4711, pack of 2, 3 days')).toEqual([])
    expect(readListing('pot', 'bushing 950 mm')).toEqual([])
  })
  it('every offer may be stored: within what its size allows, known as listed', () => {
    for (const kind of KIND_NAMES)
      for (const n of readListing(kind, 'a 0.5 mm b 3 mm c 9.5 mm d 44 mm e 120 mm f 650 mm g 8 k h 500 k i 22 nF j 90 g'))
        for (const key of n.sizes) {
          const { min, max, unit } = KINDS[kind].sizes[key]!
          expect(n.unit, `${kind}/${key}`).toBe(unit)
          expect(n.value >= min && n.value <= max, `${kind}/${key}`).toBe(true)
          expect(asListed(kind, n)).toMatchObject({ known: 'listed', value: n.value })
        }
  })
})
