import { printPartsCsv, readPartsCsv } from '@snug/formats'
import { median, row } from './measure'

/** A table of ten thousand offers: read with every cell checked, and written. */
export async function benchTable(): Promise<void> {
  const csv = `kind,name,holding,seller,price,shipping,days promised,resistance,bushing.diameter,bushing.length,trait:taper\n${Array.from(
    { length: 10_000 },
    (_, i) => `pot,Pot ${i},offer,Quayside Electrics,6.50,3.5,4,500k,9.4,${(6 + (i % 40) / 10).toFixed(1)},audio`,
  ).join('\n')}`
  const { items } = readPartsCsv(csv)
  row('table of 10 000 offers: read and checked', await median(5, () => readPartsCsv(csv)), `${items.length} parts`)
  row('  written', await median(5, () => printPartsCsv(items)))
}
