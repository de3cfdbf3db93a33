import { benchCircuit } from './circuit'
import { benchEvaluate } from './evaluate'

console.log('Medians of one run on this machine.')
await benchEvaluate()
await benchCircuit()
process.exit(0)
