import { fsyncSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { heron } from '@snug/demo'
import { durable, type WatchedPGlite } from '../../apps/server/src/db/durable'
import { median, row } from './measure'

const CHANGES = 200

/** What it costs that a change lies on the disk before it is answered: the same statement, brought there and not. */
export async function benchDurability(): Promise<void> {
  const home = await mkdtemp(join(tmpdir(), 'snug-bench-durable-'))
  let synced = 0
  try {
    const kept = await withBuild(
      await durable(join(home, 'kept'), (descriptor) => {
        synced++
        fsyncSync(descriptor)
      }),
    )
    const lost = await withBuild(await durable(join(home, 'lost'), () => undefined))
    synced = 0
    const [brought, left] = [await median(CHANGES, () => change(kept)), await median(CHANGES, () => change(lost))]
    row('a change of a build, on the disk before it is answered (PGlite)', brought, `${(synced / (CHANGES + 1)).toFixed(1)} syncs each`)
    row('the same left to the machine, to be lost with its power', left)
    await kept.close()
    await lost.close()
  } finally {
    await rm(home, { recursive: true, force: true })
  }
}

async function withBuild(db: WatchedPGlite): Promise<WatchedPGlite> {
  await db.exec('create table builds (id text primary key, doc jsonb not null)')
  await db.query('insert into builds values ($1, $2)', ['one', JSON.stringify(heron('2026-11-24', '2027-02-15', '2026-12-05'))])
  return db
}

const change = (db: WatchedPGlite) =>
  db.query(`update builds set doc = jsonb_set(doc, '{budget}', $1::jsonb) where id = 'one'`, [JSON.stringify(performance.now())])
