import { benchBrowser, benchLongDay, benchPage } from './browser'
import { benchChoose, benchMeasureNext } from './choose'
import { benchCircuit } from './circuit'
import { benchDrill } from './drill'
import { benchDurability } from './durability'
import { benchEvaluate } from './evaluate'
import { benchPlan } from './plan'
import { benchServer } from './server'
import { benchSetup } from './setup'
import { benchTable } from './table'

const ALL = {
  evaluate: benchEvaluate,
  measure: benchMeasureNext,
  drill: benchDrill,
  choose: benchChoose,
  table: benchTable,
  circuit: benchCircuit,
  setup: benchSetup,
  plan: benchPlan,
  durability: benchDurability,
  server: benchServer,
  page: benchPage,
  day: benchLongDay,
  browser: benchBrowser,
}

/** All of them, or those named: npm run bench -- evaluate page. */
const named = process.argv.slice(2)
const unknown = named.filter((n) => !(n in ALL))
if (unknown.length) throw new Error(`There is no benchmark called ${unknown.join(', ')}; there are ${Object.keys(ALL).join(', ')}.`)
console.log('Medians of one run on this machine.')
for (const [name, run] of Object.entries(ALL)) if (!named.length || named.includes(name)) await run()
process.exit(0)
