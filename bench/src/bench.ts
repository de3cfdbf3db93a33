import { benchBrowser } from './browser'
import { benchChoose, benchMeasureNext } from './choose'
import { benchCircuit } from './circuit'
import { benchTable } from './table'
import { benchEvaluate } from './evaluate'

console.log('Medians of one run on this machine.')
await benchEvaluate()
await benchMeasureNext()
await benchChoose()
await benchTable()
await benchCircuit()
await benchBrowser()
process.exit(0)
