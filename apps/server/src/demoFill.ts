import { addDays } from '@snug/core'
import { demoStock, dunlin, heron, plover } from '@snug/demo'
import { existing, insertBuild } from './builds/store'
import type { Db } from './db/open'
import { OWN } from './db/schema'
import { addEntry } from './log/store'
import { addStock } from './stock/store'

/** Puts the demo builds on the shelf when they are not there yet; what a person changed in them stays. */
export async function fillDemo(db: Db): Promise<void> {
  if ((await existing(db, ['heron'])).length) return
  // All of it or nothing: a start cut short fills it anew the next time.
  await db.transaction((tx) => filled(tx as unknown as Db))
}

async function filled(db: Db): Promise<void> {
  const today = new Date().toISOString().slice(0, 10)
  await insertBuild(db, OWN, heron(today, addDays(today, 83), addDays(today, 11)), [], 'heron')
  await insertBuild(db, OWN, plover(today, addDays(today, 83)), [], 'plover')
  await insertBuild(db, OWN, dunlin(today, addDays(today, 83), addDays(today, 19)), [], 'dunlin')
  await addStock(db, OWN, demoStock())
  await addEntry(db, 'heron', {
    kind: 'measurement',
    text: 'Pocket width at the mouth 56.10, three readings within 0.04',
    station: 'fit',
    thing: 'pocket-mouth',
  })
  await addEntry(db, 'heron', { kind: 'note', text: 'Bridge parcel moved back a week by the seller', station: 'parts', thing: 'bridge' })
  await addEntry(db, 'heron', {
    kind: 'decision',
    text: 'Lacquer, not oil: the library’s loan guitars get wiped with damp cloths',
    station: 'finish',
    thing: 'top',
  })
}
