import { describe, expect, it } from 'vitest'
import { asListed, readListing } from './readListing'
import { KIND_NAMES, KINDS } from '../kinds/index'

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
  it.each<[Parameters<typeof readListing>[0], string, [string, number][]]>([
    // 4 lb 6 oz: 4.375 · 453.59237 = 1984.47 g.
    [
      'body',
      'Ash body 4 lb 6 oz, neck pocket depth 5/8"',
      [
        ['mass', 1984.4666],
        ['pocket.depth', 15.875],
      ],
    ],
    ['body', 'weight 2,100 g', [['mass', 2100]]],
    ['body', 'weight 2.100 g', [['mass', 2100]]],
    [
      'body',
      'Body thickness 45mm. Stud spacing 74 mm',
      [
        ['thickness', 45],
        ['studSpacing', 74],
      ],
    ],
    // 9.5 in is 241.3 mm, 14 in 355.6: a compound board has two radii.
    [
      'neck',
      '9.5"-14" compound radius',
      [
        ['board.radius', 241.3],
        ['board.radiusEnd', 355.6],
      ],
    ],
    [
      'neck',
      '1.650" nut, heel width 56mm',
      [
        ['nut.width', 41.91],
        ['heel.widthEnd', 56],
      ],
    ],
    ['neck', '6 in line headstock, 14 mm thick', [['head.thickness', 14]]],
    ['neck', 'thickness 21-23 mm, min. 40 mm nut, up to 44 mm, not 43 mm', []],
    [
      'neck',
      '25½" scale, 1⅝” nut',
      [
        ['scale', 647.7],
        ['nut.width', 41.275],
      ],
    ],
    [
      'neck',
      '.830" at 1st fret, .920" at 12th',
      [
        ['fret1.thickness', 21.082],
        ['fret12.thickness', 23.368],
      ],
    ],
    [
      'bridge',
      'Plate size: 42 x 84 x 2.5 mm',
      [
        ['plate.width', 42],
        ['plate.width', 84],
        ['plate.thickness', 2.5],
      ],
    ],
    [
      'bridge',
      'height adjustable 8 - 14 mm',
      [
        ['height.min', 8],
        ['height.max', 14],
      ],
    ],
    [
      'tuners',
      'headstock thickness 12-16 mm',
      [
        ['grip.min', 12],
        ['grip.max', 16],
      ],
    ],
    ['tuners', 'for 8 mm to 10 mm holes', []],
    ['strings', 'long scale, length 1020 mm', [['length', 1020]]],
    ['tuners', 'post diameter 6.3 mm', [['post.diameter', 6.3]]],
    [
      'tuners',
      'post height 20.5/18.5 mm',
      [
        ['post.height', 20.5],
        ['post.height', 18.5],
      ],
    ],
    [
      'pickup',
      '8,2 kΩ, 3500 mH, pole spacing 52 mm',
      [
        ['resistance', 8200],
        ['inductance', 3.5],
        ['poles.spread', 52],
      ],
    ],
    ['pickup', 'for 250k to 500k pots', []],
    ['pot', 'A500K', [['resistance', 500e3]]],
    ['pot', '2 250k pots', [['resistance', 250e3]]],
    ['pot', '1 Meg', [['resistance', 1e6]]],
    ['capacitor', '10 x 22nF, 0.047 mfd, 473J, 22 000 pF, 2n2', [22e-9, 47e-9, 47e-9, 22e-9, 2.2e-9].map((v) => ['capacitance', v])],
    [
      'resistor',
      '150 kΩ 1/4 W, 1M, 4k7',
      [
        ['resistance', 150e3],
        ['resistance', 1e6],
        ['resistance', 4700],
      ],
    ],
    ['strings', 'String 2, gauge .013"', [['gauge.2', 0.3302]]],
    ['wire', '3 m of cloth wire', [['length', 3000]]],
  ])('%s: %s', (kind, text, wanted) =>
    expect(readListing(kind, text).map((n) => [n.sizes[0], n.value])).toEqual(
      wanted.map(([size, value]) => [size, expect.closeTo(value, value < 1e-6 ? 15 : 3)]),
    ),
  )
  it('each is shown as it stands there, its tolerance with it', () =>
    expect(readListing('capacitor', 'film, 22 nF ±5 % 400 V; between 10 and 47 nF').map((n) => [n.text, n.around])).toEqual([
      ['22 nF ±5 %', 'film, 22 nF ±5 % 400 V; between'],
    ]))
  it('is no better known than it is written', () => {
    const doubts = (kind: Parameters<typeof readListing>[0], text: string) =>
      readListing(kind, text).map((n) => asListed(kind, n.sizes[0]!, n).doubt)
    // Listings of wood are taken at 0.8 mm, of hardware at 0.4; what is rounded to a centimetre at 5.
    expect(doubts('neck', 'scale 648 mm; 648 mm ± 0.5 mm; 648 ± 1.2 mm; 65 cm; 64.8 cm; 25.5"')).toEqual([0.8, 0.8, 1.2, 5, 0.8, 0.8])
    expect(doubts('bridge', 'plate 84 mm long; about 84 mm long')).toEqual([0.4, 1])
    // A meter's figure from a listing is taken at a tenth; 20 % of 500 k are 100 k.
    expect(doubts('pot', '500k; 500k ±20%')).toEqual([50e3, 100e3])
    // "1.9 kg" is good to 50 g, less than the tenth any listing is taken at; "2 kg" to half a kilogram.
    expect(doubts('body', 'weight 1.9 kg; weight 2 kg')).toEqual([190, 500])
  })
  it('every offer may be stored: within what its size allows, known as listed', () => {
    for (const kind of KIND_NAMES)
      for (const n of readListing(kind, 'a 0.5 mm b 3 mm c 9.5 mm d 44 mm e 120 mm f 650 mm g 8 k h 500 k i 22 nF j 90 g'))
        for (const key of n.sizes) {
          const { min, max, unit } = KINDS[kind].sizes[key]!
          expect(n.unit, `${kind}/${key}`).toBe(unit)
          expect(n.value >= min && n.value <= max, `${kind}/${key}`).toBe(true)
          expect(asListed(kind, key, n)).toMatchObject({ known: 'listed', value: n.value })
        }
  })
})
