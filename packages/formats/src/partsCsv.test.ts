import { describe, expect, it } from 'vitest'
import { printPartsCsv, readPartsCsv } from './partsCsv'

const HEAD = 'kind,name,holding,quantity,price,unit,known,pocket.widthMouth,pocket.depth,trait:wood'

describe('parts as a table', () => {
  it('reads sizes in either system, with doubt and how they are known', () => {
    const { items, problems } = readPartsCsv(
      `${HEAD}\nbody,"Ash body, two-piece",offer,1,84,mm,listed,56.1 ±0.05 calipers,15.9,ash\nbody,Other,stash,2,,in,rule,2-13/64,5/8,alder\n`,
    )
    expect(problems).toEqual([])
    expect(items[0]!.part.sizes['pocket.widthMouth']).toEqual({ value: 56.1, doubt: 0.05, known: 'calipers' })
    expect(items[0]!.part.sizes['pocket.depth']).toEqual({ value: 15.9, doubt: 0.8, known: 'listed' })
    expect(items[0]!.part).toMatchObject({ name: 'Ash body, two-piece', price: 84, traits: { wood: 'ash' }, state: 'planned' })
    expect(items[1]!.part.sizes['pocket.widthMouth']!.value).toBeCloseTo(55.959, 3)
    expect(items[1]).toMatchObject({ holding: 'stash', quantity: 2 })
  })
  it('what a row was read with holds for what that reads: calipers weigh nothing and read no ohms, and no angle is known for certain', () => {
    const { items, problems } = readPartsCsv(
      'kind,name,holding,known,pocket.depth,pocket.tilt,mass,resistance\nbody,Body,stash,calipers,15.9,0,1900,\npot,Pot,stash,calipers,,,,500k\n',
    )
    expect(problems).toEqual([])
    expect(items[0]!.part.sizes).toEqual({
      'pocket.depth': { value: 15.9, doubt: 0.05, known: 'calipers' },
      'pocket.tilt': { value: 0, doubt: 0.1, known: 'calipers' },
      mass: { value: 1900, doubt: 19, known: 'scale' },
    })
    expect(items[1]!.part.sizes.resistance).toEqual({ value: 500e3, doubt: 5e3, known: 'meter' })
  })
  it('writes what reads back the same', () => {
    const { items } = readPartsCsv(
      `kind,name,holding,quantity,place,minimum,seller,price,shipping,days promised,days seen,metal,resistance,bushing.length,capacitance,trait:taper\npot,500 k audio,stash,5,drawer 3,2,,6.5,,,,nickel,500k ±100k,9.5,,audio\ncapacitor,22 n,offer,1,,,Quayside Electrics,1,4.5,3,5,,,,22n,\n`,
    )
    const again = readPartsCsv(printPartsCsv(items))
    expect(again.problems).toEqual([])
    const close = (a: unknown): unknown =>
      JSON.parse(JSON.stringify(a, (_, v: unknown) => (typeof v === 'number' ? Number(v.toPrecision(12)) : v)))
    expect(close(again.items)).toEqual(close(items))
  })
  it('names ten kinds of error in a 200-row file, by row and column, and takes nothing', () => {
    const good = 'body,Body,stash,1,10,mm,listed,56,16,ash'
    const rows = Array.from({ length: 200 }, () => good)
    const slips: [row: number, line: string, column: string, why: RegExp][] = [
      [3, 'boddy,Body,stash,1,10,mm,listed,56,16,ash', 'kind', /"boddy" is not a kind/],
      [20, 'body,,stash,1,10,mm,listed,56,16,ash', 'name', /1 to 120 letters/],
      [41, 'body,Body,shed,1,10,mm,listed,56,16,ash', 'holding', /one of stash, offer/],
      [62, 'body,Body,stash,1.5,10,mm,listed,56,16,ash', 'quantity', /whole number/],
      [83, 'body,Body,stash,1,-4,mm,listed,56,16,ash', 'price', /from 0 to/],
      [104, 'body,Body,stash,1,10,ell,listed,56,16,ash', 'unit', /one of mm, in/],
      [125, 'body,Body,stash,1,10,mm,guess,56,16,ash', 'known', /one of calipers/],
      [146, 'body,Body,stash,1,10,mm,listed,5000,16,ash', 'pocket.widthMouth', /allowed is 40 mm to 90 mm/],
      [167, 'body,Body,stash,1,10,mm,listed,wide,16,ash', 'pocket.widthMouth', /not a length/],
      [188, 'body,Body,stash,1,10,mm,listed,56,16,cheese', 'trait:wood', /one of hard-maple/],
    ]
    for (const [row, line] of slips) rows[row - 2] = line
    const { problems } = readPartsCsv(`${HEAD}\n${rows.join('\n')}`)
    expect(problems.map((p) => [p.row, p.column])).toEqual(slips.map(([row, , column]) => [row, column]))
    problems.forEach((p, i) => expect(p.why).toMatch(slips[i]![3]))
  })
  it.each([
    ['', /empty/],
    ['kind,name,colur\nbody,x,#000000', /"colur" is not a column/],
    ['name\nx', /"kind" is missing/],
    ['kind,kind,name\nbody,body,x', /there twice/],
    ['kind,name\nnut,a,b,c', /4 cells and there are 2 columns/],
    ['kind,name,pocket.depth\nnut,a,16', /has no size "pocket.depth"/],
  ])('%j is refused', (text, why) => expect(readPartsCsv(text).problems[0]!.why).toMatch(why))
  it('masses in the units of any scale; what it took is kept where no promise is known; a thousand with its comma is asked again', () => {
    const { items, problems } = readPartsCsv(
      'kind,name,holding,days promised,days seen,mass\nbridge,A,offer,,9,0.3 kg\nbridge,B,offer,5,9,"10 oz ±5"\nbridge,C,offer,,,300\n',
    )
    expect(problems).toEqual([])
    expect(items.map((i) => i.lead)).toEqual([{ promised: 9, seen: 9 }, { promised: 5, seen: 9 }, undefined])
    // 10 · 453.59237 / 16 = 283.495 g.
    expect(items.map((i) => i.part.sizes.mass!.value)).toEqual([300, expect.closeTo(283.495, 3), 300])
    const odd = readPartsCsv('kind,name,holding,price\nbridge,A,offer,"1,200"\n')
    expect(odd.items).toEqual([])
    expect(odd.problems[0]).toMatchObject({ column: 'price', why: expect.stringMatching(/"1,200" can be read in two ways; write 1200/) })
  })
  it('disarms cells a spreadsheet would run', () => {
    const { items } = readPartsCsv('kind,name\nnut,plain')
    items[0]!.part.name = '=1+1'
    expect(printPartsCsv(items)).not.toMatch(/(^|,)=1\+1/m)
  })
})
